package org.grenu.core.quantity;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The units that logs are written in and that entries are typed in, each with its conversion to the canonical unit of
 * its quantity (s, bar, g, g/s, mL/s, °C, mm, mL): canonical = value · scale + offset.
 */
public enum Unit {
    SECOND("s", Quantity.TIME, 1, 0, List.of("sec", "secs", "second", "seconds")),
    MILLISECOND("ms", Quantity.TIME, 1e-3, 0, List.of("msec", "millis", "millisecond", "milliseconds")),
    BAR("bar", Quantity.PRESSURE, 1, 0, List.of("bars", "barg", "bar(g)")),
    KILOPASCAL("kPa", Quantity.PRESSURE, 0.01, 0, List.of("kilopascal", "kilopascals")),
    /** Exactly 6894.757293168 Pa: NIST SP 811, appendix B. */
    PSI("psi", Quantity.PRESSURE, 0.06894757293168, 0, List.of("psig", "lbf/in2")),
    GRAM("g", Quantity.MASS, 1, 0, List.of("gr", "gram", "grams")),
    GRAM_PER_SECOND("g/s", Quantity.MASS_FLOW, 1, 0, List.of("gps", "g/sec", "g_s", "g per s", "gs")),
    MILLILITRE_PER_SECOND("mL/s", Quantity.VOLUME_FLOW, 1, 0,
            List.of("mlps", "ml/sec", "ml_s", "cc/s", "ml per s", "mls")),
    CELSIUS("°C", Quantity.TEMPERATURE, 1, 0, List.of("c", "degc", "deg c", "celsius", "ºc")),
    FAHRENHEIT("°F", Quantity.TEMPERATURE, 5.0 / 9.0, -160.0 / 9.0, List.of("f", "degf", "deg f", "fahrenheit", "ºf")),
    MINUTE("min", Quantity.TIME, 60, 0, List.of("mins", "minute", "minutes"), false),
    HOUR("h", Quantity.TIME, 3600, 0, List.of("hr", "hrs", "hour", "hours"), false),
    DAY("d", Quantity.TIME, 86_400, 0, List.of("day", "days"), false),
    WEEK("wk", Quantity.TIME, 604_800, 0, List.of("week", "weeks"), false),
    KILOGRAM("kg", Quantity.MASS, 1000, 0, List.of("kilogram", "kilograms"), false),
    MILLIGRAM("mg", Quantity.MASS, 1e-3, 0, List.of("milligram", "milligrams"), false),
    /** Avoirdupois, exactly 28.349523125 g: NIST SP 811, appendix B. */
    OUNCE("oz", Quantity.MASS, 28.349523125, 0, List.of("ounce", "ounces"), false),
    MILLILITRE("mL", Quantity.VOLUME, 1, 0, List.of("millilitre", "millilitres", "milliliter", "milliliters", "cc",
            "cm3", "cm³"), false),
    CENTILITRE("cL", Quantity.VOLUME, 10, 0, List.of("centilitre", "centilitres"), false),
    LITRE("L", Quantity.VOLUME, 1000, 0, List.of("litre", "litres", "liter", "liters"), false),
    /** US fluid ounce, 29.57353 mL: NIST SP 811, appendix B. */
    FLUID_OUNCE("fl oz", Quantity.VOLUME, 29.57353, 0, List.of("floz", "fluid ounce", "fluid ounces"), false),
    MILLIMETRE("mm", Quantity.LENGTH, 1, 0, List.of("millimetre", "millimetres", "millimeter", "millimeters"), false),
    CENTIMETRE("cm", Quantity.LENGTH, 10, 0, List.of("centimetre", "centimetres", "centimeter", "centimeters"), false),
    METRE("m", Quantity.LENGTH, 1000, 0, List.of("metre", "metres", "meter", "meters"), false),
    KILOMETRE("km", Quantity.LENGTH, 1e6, 0, List.of("kilometre", "kilometres"), false),
    /** Exactly 25.4 mm: NIST SP 811, appendix B. */
    INCH("in", Quantity.LENGTH, 25.4, 0, List.of("inch", "inches", "″"), false),
    /** Exactly 304.8 mm: NIST SP 811, appendix B. */
    FOOT("ft", Quantity.LENGTH, 304.8, 0, List.of("foot", "feet", "′"), false),
    /** A count or an index. */
    NUMBER("", Quantity.NUMBER, 1, 0, List.of()),
    BAR_SECOND_PER_GRAM("bar·s/g", Quantity.RESISTANCE, 1, 0, List.of()),
    BAR_SECOND_SQUARED_PER_GRAM_SQUARED("bar·s²/g²", Quantity.RESISTANCE_SQUARED, 1, 0, List.of());

    private final String symbol;
    private final Quantity quantity;
    private final double scale;
    private final double offset;
    private final List<String> otherSpellings;
    private final boolean logged;

    Unit(String symbol, Quantity quantity, double scale, double offset, List<String> otherSpellings) {
        this(symbol, quantity, scale, offset, otherSpellings, true);
    }

    Unit(String symbol, Quantity quantity, double scale, double offset, List<String> otherSpellings, boolean logged) {
        this.symbol = symbol;
        this.quantity = quantity;
        this.scale = scale;
        this.offset = offset;
        this.otherSpellings = otherSpellings;
        this.logged = logged;
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

    /** {@return the value in this unit, given in the canonical one of its quantity} */
    public double fromCanonical(double value) {
        return this.scale == 1 && offset == 0 ? value : (value - offset) / scale;
    }

    /** {@return a difference in this unit, given in the canonical one: zero stays zero} */
    public double differenceFromCanonical(double difference) {
        return difference / scale;
    }

    /** {@return the units that logs give that quantity in} */
    public static List<Unit> ofLogs(Quantity quantity) {
        return Arrays.stream(values()).filter(unit -> unit.logged && unit.quantity == quantity).toList();
    }

    /** {@return the unit spelled so in the head of a log's column of that quantity, ignoring case} */
    public static Optional<Unit> find(String spelling, Quantity quantity) {
        return typed(spelling, quantity).filter(unit -> unit.logged);
    }

    /** {@return the unit spelled so in the head of a log's column, of whatever quantity, ignoring case} */
    public static Optional<Unit> find(String spelling) {
        return typed(spelling).filter(unit -> unit.logged);
    }

    /** {@return the unit of that quantity spelled so behind a number, ignoring case} */
    public static Optional<Unit> typed(String spelling, Quantity quantity) {
        return Arrays.stream(values()).filter(unit -> unit.quantity == quantity && unit.spelled(spelling)).findFirst();
    }

    /** {@return the unit spelled so behind a number, of whatever quantity, ignoring case} */
    public static Optional<Unit> typed(String spelling) {
        return Arrays.stream(values()).filter(unit -> unit.spelled(spelling)).findFirst();
    }

    private boolean spelled(String spelling) {
        String wanted = spelling.strip().toLowerCase(Locale.ROOT);
        return !wanted.isEmpty() && (symbol.toLowerCase(Locale.ROOT).equals(wanted) || otherSpellings.contains(wanted));
    }
}
