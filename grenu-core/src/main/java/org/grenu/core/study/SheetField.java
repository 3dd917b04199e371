package org.grenu.core.study;

import java.util.Locale;
import java.util.Optional;

/**
 * The entries of a shot's record. The key names the entry in every file, in the library and in the history of edits;
 * numbers are in the unit that the key ends with and within the range given here.
 */
public enum SheetField {
    STUDY("study", "Study", FieldKind.TEXT),
    ARM("arm", "Arm", FieldKind.TEXT),
    BLOCK("block", "Block", FieldKind.TEXT),
    NAME("name", "Name", FieldKind.TEXT),
    PULLED_AT("pulled_at", "Pulled at", FieldKind.MOMENT),
    OPERATOR("operator", "Operator", FieldKind.TEXT),
    COFFEE("coffee", "Coffee", FieldKind.TEXT),
    ROASTED_ON("roasted_on", "Roasted on", FieldKind.DAY),
    GRINDER("grinder", "Grinder", FieldKind.TEXT),
    GRIND("grind", "Grind", "", -1000, 100_000),
    PURGE("purge_g", "Purge", "g", 0, 500),
    TEMPERATURE("temperature_c", "Temperature", "°C", 1, 130),
    PROFILE("profile", "Profile", FieldKind.TEXT),
    PROFILE_STEPS("profile_steps", "Profile steps", FieldKind.PROFILE),
    MACHINE("machine", "Machine", FieldKind.TEXT),
    MACHINE_VERSION("machine_version", "Machine parts", FieldKind.TEXT),
    WATER("water", "Water", FieldKind.TEXT),
    BASKET("basket", "Basket", FieldKind.TEXT),
    BASKET_CAPACITY("basket_capacity_g", "Basket made for", "g", 1, 60),
    BED_DIAMETER("bed_diameter_mm", "Bed diameter", "mm", 10, 150),
    BED_DEPTH("bed_depth_mm", "Bed depth", "mm", 1, 100),
    ALTITUDE("altitude_m", "Altitude", "m", -430, 6000),
    DOSE_TARGET("dose_target_g", "Dose meant", "g", 0.1, 200),
    DOSE("dose_g", "Dose", "g", 0.1, 200),
    BEVERAGE("beverage_g", "Beverage mass", "g", 0, 2000),
    BEVERAGE_TARGET("beverage_target_g", "Beverage mass meant", "g", 0.1, 2000),
    MOISTURE("moisture_pct", "Moisture", "%", 0, 30),
    MOISTURE_U("moisture_u_pct", "Moisture uncertainty", "%", 0, 10),
    READINGS("strength_readings_pct", "Strength reading", "%", 0, 40, FieldKind.NUMBER_LIST),
    ZERO("strength_zero_pct", "Zero check", "%", -2, 2),
    REFRACTOMETER("refractometer", "Refractometer", FieldKind.TEXT),
    REFRACTOMETER_RESOLUTION("refractometer_resolution_pct", "Refractometer display step", "%", 0, 1),
    REFRACTOMETER_REPEATABILITY("refractometer_repeatability_pct", "Refractometer repeatability", "%", 0, 2),
    REFRACTOMETER_BIAS("refractometer_bias_pct", "Refractometer bias limit", "%", 0, 2),
    SAMPLE_FILTERED("sample_filtered", "Sample filtered", FieldKind.FLAG),
    SCALE_RESOLUTION("scale_resolution_g", "Scale display step", "g", 0, 10),
    SCALE_BIAS("scale_bias_g", "Scale bias limit", "g", 0, 10),
    PUMP_ON("pump_on_s", "Pump on", "s", -600, 10_800),
    PUMP_OFF("pump_off_s", "Pump off", "s", -600, 10_800),
    SCALE_LAG("scale_lag_s", "Scale delay", "s", -5, 10),
    PHASES("phases", "Phases set by hand", FieldKind.PHASE_LIST),
    MOMENT_NOTES("moment_notes", "Notes at a moment", FieldKind.MOMENT_NOTE_LIST),
    TASTE("taste", "Taste", FieldKind.TEXT),
    REPAIRS_OFF("repairs_off", "Repairs switched off", FieldKind.REPAIR_LIST),
    FAULT("fault", "Faulty shot", FieldKind.TEXT),
    FAULT_ON_PURPOSE("fault_on_purpose", "Fault on purpose", FieldKind.FLAG),
    SIMULATED("simulated", "Simulated", FieldKind.FLAG),
    NOTE("note", "Note", FieldKind.TEXT);

    private final String key;
    private final String title;
    private final FieldKind kind;
    private final String unit;
    private final double low;
    private final double high;

    SheetField(String key, String title, FieldKind kind) {
        this(key, title, "", Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, kind);
    }

    SheetField(String key, String title, String unit, double low, double high) {
        this(key, title, unit, low, high, FieldKind.NUMBER);
    }

    SheetField(String key, String title, String unit, double low, double high, FieldKind kind) {
        this.key = key;
        this.title = title;
        this.kind = kind;
        this.unit = unit;
        this.low = low;
        this.high = high;
    }

    /** {@return the name in files and in the library} */
    public String key() {
        return key;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }

    /** {@return how the entry is typed} */
    public FieldKind kind() {
        return kind;
    }

    /** {@return the unit of a number, empty when it has none} */
    public String unit() {
        return unit;
    }

    /** {@return the field with that key} */
    public static Optional<SheetField> find(String key) {
        String wanted = key.strip().toLowerCase(Locale.ROOT);
        for (SheetField field : values()) {
            if (field.key.equals(wanted)) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }

    /** @throws RefusedEntry if the number is outside the field's range */
    void checkRange(double number) {
        if (number < 0 && low >= 0) {
            throw new RefusedEntry(title + " cannot be negative.");
        }
        if (!(number >= low && number <= high)) {
            String space = unit.isEmpty() ? "" : " ";
            throw new RefusedEntry(String.format(Locale.ROOT, "%s must lie between %s and %s%s%s.", title,
                    plain(low), plain(high), space, unit));
        }
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }
}
