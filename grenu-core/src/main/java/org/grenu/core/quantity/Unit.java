package org.grenu.core.quantity;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The units that logs are written in, each with its conversion to the canonical unit of its quantity (s, bar, g, g/s,
 * mL/s, °C): canonical = value · scale + offset.
 */
public enum Unit {
    SECOND("s", Quantity.TIME, 1, 0, List.of("sec", "secs", "second", "seconds")),
    MILLISECOND("ms", Quantity.TIME, 1e-3, 0, List.of("msec", "millis", "millisecond", "milliseconds")),
    BAR("bar", Quantity.PRESSURE, 1, 0, List.of("bars", "barg", "bar(g)")),
    KILOPASCAL("kPa", Quantity.PRESSURE, 0.01, 0, List.of("kilopascal", "kilopascals")),
    /** Exactly 6894.757293168 Pa: NIST SP 811, appendix B. */
    PSI("psi", Quantity.PRESSURE, 0.06894757293168, 0, List.of("psig", "lbf/in2")),
    GRAM("g", Quantity.MASS, 1, 0, List.of("gr", "gram", "grams")),
    GRAM_PER_SECOND("g/s", Quantity.MASS_FLOW, 1, 0, List.of("gps", "g/sec", "g_s", "g per s")),
    MILLILITRE_PER_SECOND("mL/s", Quantity.VOLUME_FLOW, 1, 0, List.of("mlps", "ml/sec", "ml_s", "cc/s", "ml per s")),
    CELSIUS("°C", Quantity.TEMPERATURE, 1, 0, List.of("c", "degc", "deg c", "celsius", "ºc")),
    FAHRENHEIT("°F", Quantity.TEMPERATURE, 5.0 / 9.0, -160.0 / 9.0, List.of("f", "degf", "deg f", "fahrenheit", "ºf")),
    /** A count or an index. */
    NUMBER("", Quantity.NUMBER, 1, 0, List.of()),
    BAR_SECOND_PER_GRAM("bar·s/g", Quantity.RESISTANCE, 1, 0, List.of()),
    BAR_SECOND_SQUARED_PER_GRAM_SQUARED("bar·s²/g²", Quantity.RESISTANCE_SQUARED, 1, 0, List.of());

    private final String symbol;
    private final Quantity quantity;
    private final double scale;
    private final double offset;
    private final List<String> otherSpellings;

    Unit(String symbol, Quantity quantity, double scale, double offset, List<String> otherSpellings) {
        this.symbol = symbol;
        this.quantity = quantity;
        this.scale = scale;
        this.offset = offset;
        this.otherSpellings = otherSpellings;
    }

    /** {@return the unit as it is written, such as {@code bar}} */
    public String symbol() {
        return symbol;
    }

    /** {@return what the unit measures} */
    public Quantity quantity() {
        return quantity;
    }

    /** {@return the value in the canonical unit of its quantity} */
    public double toCanonical(double value) {
        return this.scale == 1 && offset == 0 ? value : value * scale + offset;
    }

    /** {@return the unit of that quantity spelled so, ignoring case} */
    public static Optional<Unit> find(String spelling, Quantity quantity) {
        String wanted = spelling.strip().toLowerCase(Locale.ROOT);
        if (wanted.isEmpty()) {
            return Optional.empty();
        }
        for (Unit unit : values()) {
            if (unit.quantity == quantity
                    && (unit.symbol.toLowerCase(Locale.ROOT).equals(wanted) || unit.otherSpellings.contains(wanted))) {
                return Optional.of(unit);
            }
        }
        return Optional.empty();
    }

    /** {@return the unit spelled so, of whatever quantity, ignoring case} */
    public static Optional<Unit> find(String spelling) {
        for (Quantity quantity : Quantity.values()) {
            Optional<Unit> unit = find(spelling, quantity);
            if (unit.isPresent()) {
                return unit;
            }
        }
        return Optional.empty();
    }
}
