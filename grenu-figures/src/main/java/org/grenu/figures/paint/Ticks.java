package org.grenu.figures.paint;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.quantity.Reported;
import org.grenu.core.quantity.Unit;

/**
 * Round values along an axis.
 *
 * @param values   increasing, in the canonical unit
 * @param decimals that tell them apart in the unit shown
 * @param unit     in which they are round and written
 * @param apart    whether they are differences, of which the unit's zero is no part
 */
public record Ticks(List<Double> values, int decimals, Unit unit, boolean apart) {

    /** Without any. */
    public static final Ticks NONE = new Ticks(List.of(), 0, Unit.NUMBER, false);

    public Ticks {
        values = List.copyOf(values);
    }

    /** {@return about that many multiples of 1, 2, 2.5 or 5 times a power of ten within the range} */
    public static Ticks of(double low, double high, int about) {
        double rough = (high - low) / Math.max(1, about);
        if (!(rough > 0) || Double.isInfinite(rough)) {
            return new Ticks(List.of(low), 1, Unit.NUMBER, false);
        }
        double step = step(rough);
        List<Double> values = new ArrayList<>();
        for (double k = Math.ceil(low / step - 1e-9); k * step <= high + 1e-9 * step; k++) {
            values.add(k * step + 0.0);
        }
        int decimals = (int) Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
        boolean half = Math.abs(step / Math.pow(10, -decimals) - Math.rint(step / Math.pow(10, -decimals))) > 1e-6;
        return new Ticks(values, decimals + (half ? 1 : 0), Unit.NUMBER, false);
    }

    private static double step(double rough) {
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double[] steps = {1, 2, 2.5, 5, 10};
        double step = steps[4] * power;
        for (int i = steps.length - 1; i >= 0; i--) {
            step = steps[i] * power >= rough * 0.999 ? steps[i] * power : step;
        }
        return step;
    }

    /** {@return about that many within the range, round in that unit; the range is in the canonical one} */
    public static Ticks of(double low, double high, int about, Unit unit) {
        Ticks shown = of(unit.fromCanonical(low), unit.fromCanonical(high), about);
        return new Ticks(shown.values.stream().map(unit::toCanonical).toList(), shown.decimals, unit, false);
    }

    /** {@return about that many differences up to that one either way, round in that unit} */
    public static Ticks apart(double most, int about, Unit unit) {
        double shown = unit.differenceFromCanonical(most);
        Ticks round = of(-shown, shown, about);
        double step = most / shown;
        return new Ticks(round.values.stream().map(value -> value * step).toList(), round.decimals, unit, true);
    }

    /** {@return the multiples of that whole step of the canonical unit within the range} */
    public static Ticks every(int step, double low, double high, Unit unit) {
        List<Double> values = new ArrayList<>();
        for (double k = Math.ceil(low / step - 1e-9); k * step <= high + 1e-9; k++) {
            values.add(k * step + 0.0);
        }
        return new Ticks(values, 0, unit, false);
    }

    /** {@return the value in the unit that is shown} */
    public double shown(double value) {
        return apart ? unit.differenceFromCanonical(value) : unit.fromCanonical(value);
    }

    /** {@return the value as it is written at the axis} */
    public String label(double value) {
        return Reported.fixed(shown(value), decimals);
    }
}
