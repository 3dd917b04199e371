package org.grenu.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The units that a reader wants temperatures and pressures in. All is kept in the canonical ones; nothing else
 * changes its unit, resistance (bar·s/g) among it.
 *
 * @param temperature °C or °F
 * @param pressure    bar, kPa or psi
 */
public record DisplayUnits(Unit temperature, Unit pressure) {

    /** As all is kept: °C and bar. */
    public static final DisplayUnits CANONICAL = new DisplayUnits(Unit.CELSIUS, Unit.BAR);
    /** What temperatures can be shown in. */
    public static final List<Unit> TEMPERATURES = Unit.ofLogs(Quantity.TEMPERATURE);
    /** What pressures can be shown in. */
    public static final List<Unit> PRESSURES = Unit.ofLogs(Quantity.PRESSURE);
    /** Conversion to and fro changes the last digits of a double, by no more than that share. */
    private static final double ALIKE = 1e-12;
    private static final int MOST_DECIMALS = 9;

    /** @throws IllegalArgumentException if one is not a unit of its quantity */
    public DisplayUnits {
        if (temperature.quantity() != Quantity.TEMPERATURE || pressure.quantity() != Quantity.PRESSURE) {
            throw new IllegalArgumentException(temperature + " and " + pressure);
        }
    }

    /** {@return the unit that is shown for that canonical one} */
    public Unit of(Unit canonical) {
        return switch (canonical) {
            case CELSIUS -> temperature;
            case BAR -> pressure;
            default -> canonical;
        };
    }

    /** {@return whether what is kept in that unit can be shown in others} */
    public static boolean varies(String kept) {
        return kept.equals(Unit.CELSIUS.symbol()) || kept.equals(Unit.BAR.symbol());
    }

    /** {@return the shown unit for the one that an entry is kept in, as it is written; empty for none} */
    public String symbol(String kept) {
        return other(kept).map(Unit::symbol).orElse(kept);
    }

    /** {@return the value in the shown unit} */
    public double value(double value, String kept) {
        return other(kept).map(unit -> unit.fromCanonical(value)).orElse(value);
    }

    /** {@return the difference in the shown unit: five °C are nine °F} */
    public double difference(double difference, String kept) {
        return other(kept).map(unit -> unit.differenceFromCanonical(difference)).orElse(difference);
    }

    /** {@return the value as it is kept, given in the shown unit} */
    public double kept(double shown, String kept) {
        return other(kept).map(unit -> unit.toCanonical(shown)).orElse(shown);
    }

    /** {@return the difference as it is kept, given in the shown unit} */
    public double keptDifference(double shown, String kept) {
        return shown / difference(1, kept);
    }

    /** {@return the difference in the shown unit, round enough to be said: a limit, not a measurement} */
    public double limit(double difference, String kept) {
        return other(kept).isEmpty() || !Double.isFinite(difference) ? difference
                : new BigDecimal(difference(difference, kept)).round(new MathContext(4)).doubleValue();
    }

    /** {@return the difference as it is typed and shown, such as {@code 1.8}} */
    public String typedDifference(double difference, String kept) {
        return DecimalText
                .exact(new BigDecimal(difference(difference, kept)).round(new MathContext(6)).doubleValue());
    }

    /** {@return the value with its unit, such as {@code 130.5 psi}, with decimals for the canonical unit} */
    public String text(double value, String kept, int decimals) {
        return written(value(value, kept), kept, decimals);
    }

    /** {@return the difference with its unit, likewise} */
    public String textOfDifference(double difference, String kept, int decimals) {
        return written(difference(difference, kept), kept, decimals);
    }

    private String written(double shown, String kept, int decimals) {
        int own = other(kept).map(unit -> decimals(unit, decimals)).orElse(decimals);
        return Reported.fixed(shown, own) + " " + symbol(kept);
    }

    /** {@return how many decimals that unit deserves where the canonical one of its quantity has that many} */
    public static int decimals(Unit shown, int canonical) {
        return Math.max(0, canonical - (int) Math.round(Math.log10(shown.differenceFromCanonical(1))));
    }

    /** {@return an entry as it is kept, as it is shown: with as many decimals as tell it apart from its neighbours} */
    public String shown(String kept, String text) {
        OptionalDouble number = other(kept).isEmpty() ? OptionalDouble.empty() : DecimalText.parse(text);
        if (number.isEmpty()) {
            return text;
        }
        int point = text.indexOf('.');
        double lastPlace = Math.pow(10, point < 0 ? 0 : point + 1 - text.strip().length());
        double near = Math.max(0.01 * lastPlace, ALIKE * Math.abs(number.getAsDouble()));
        double shown = value(number.getAsDouble(), kept);
        for (int decimals = 0; decimals < MOST_DECIMALS; decimals++) {
            BigDecimal rounded = new BigDecimal(shown).setScale(decimals, RoundingMode.HALF_EVEN);
            if (Math.abs(kept(rounded.doubleValue(), kept) - number.getAsDouble()) <= near) {
                return DecimalText.exact(rounded.doubleValue());
            }
        }
        return DecimalText.exact(shown);
    }

    /** {@return what was typed for an entry kept in that unit, with the shown unit where none was typed} */
    public String meant(String kept, String typed) {
        Optional<Unit> unit = other(kept);
        return unit.isPresent() && DecimalText.parse(typed).isPresent() ? typed.strip() + " " + unit.get().symbol()
                : typed;
    }

    /** The shown unit, where it is another than the canonical one. */
    private Optional<Unit> other(String kept) {
        return switch (kept) {
            case "°C" -> Optional.of(temperature).filter(unit -> unit != Unit.CELSIUS);
            case "bar" -> Optional.of(pressure).filter(unit -> unit != Unit.BAR);
            default -> Optional.empty();
        };
    }
}
