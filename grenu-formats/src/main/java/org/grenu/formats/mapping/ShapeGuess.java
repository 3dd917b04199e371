package org.grenu.formats.mapping;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;
import org.grenu.formats.ColumnHeading;

/** What a column probably is when its heading does not say: by a unit in the heading, or by how its numbers run. */
final class ShapeGuess {

    private ShapeGuess() {
    }

    /**
     * {@return a rule for the column, not read when nothing speaks for anything}; the reason is put among the
     * others
     */
    static ColumnRule of(String column, double[] numbers, Map<String, String> reasons) {
        Optional<Unit> named = named(column);
        if (named.isPresent()) {
            Optional<Channel> channel = Channel.ofLogs()
                    .stream()
                    .filter(c -> c.quantity() == named.get().quantity())
                    .findFirst();
            if (channel.isPresent()) {
                reasons.put(column, "its heading names " + named.get().symbol());
                return ColumnRule.of(column, new ColumnRole.OfChannel(channel.get()), named);
            }
        }
        if (ColumnHeading.namesVolume(column)) {
            reasons.put(column, "its heading names a volume, which is no mass");
            return ColumnRule.of(column, new ColumnRole.NotRead(), Optional.empty());
        }
        return byNumbers(column, numbers, reasons);
    }

    private static Optional<Unit> named(String column) {
        return Arrays.stream(column.split("[^\\p{L}°/]+"))
                .map(Unit::find)
                .flatMap(Optional::stream)
                .filter(unit -> unit.quantity() != Quantity.TIME && unit != Unit.GRAM)
                .findFirst();
    }

    private static ColumnRule byNumbers(String column, double[] numbers, Map<String, String> reasons) {
        if (numbers.length < 10) {
            return ColumnRule.of(column, new ColumnRole.NotRead(), Optional.empty());
        }
        double[] sorted = numbers.clone();
        Arrays.sort(sorted);
        double low = sorted[0];
        double high = sorted[sorted.length - 1];
        double middle = sorted[sorted.length / 2];
        double up = 0;
        double down = 0;
        for (int i = 1; i < numbers.length; i++) {
            double step = numbers[i] - numbers[i - 1];
            // A fall all the way back is the next shot's beginning, not part of the run.
            if (Math.abs(step) < 0.5 * (high - low)) {
                up += Math.max(0, step);
                down += Math.max(0, -step);
            }
        }
        if (middle > 75 && middle < 105 && high < 130) {
            return said(column, Channel.TEMPERATURE, Unit.CELSIUS, false,
                    "its numbers lie about " + Math.round(middle) + ", as a brewing temperature does", reasons);
        }
        boolean rises = up > 8 * down && high > 10 && high < 500;
        boolean falls = down > 8 * up && low < -10 && low > -500;
        if (rises || falls) {
            return said(
                    column, Channel.CUP_MASS, Unit.GRAM, falls, String
                            .format(Locale.ROOT, "its numbers %s to %.0f, as a filling cup does",
                                    falls ? "fall" : "rise", falls ? low : high)
                            .replace('-', '\u2212'),
                    reasons);
        }
        if (high > 4 && high < 16 && low > -1 && low < 1) {
            return said(column, Channel.PRESSURE, Unit.BAR, false,
                    String.format(Locale.ROOT, "its numbers go up to %.0f and back, as a pressure in bar does", high),
                    reasons);
        }
        return ColumnRule.of(column, new ColumnRole.NotRead(), Optional.empty());
    }

    private static ColumnRule said(String column, Channel channel, Unit unit, boolean negated, String why,
            Map<String, String> reasons) {
        reasons.put(column, why);
        return new ColumnRule(column, new ColumnRole.OfChannel(channel), Optional.of(unit), negated, 1, 0);
    }
}
