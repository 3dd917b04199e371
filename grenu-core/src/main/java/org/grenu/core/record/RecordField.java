package org.grenu.core.record;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldDefinition;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.entry.RowColumn;

/**
 * The entries of a shot's record. The key names the entry in every file, in the library and in the history of edits;
 * numbers are in the unit that the key ends with and within the range given here.
 */
public enum RecordField implements Field {
    STUDY("study", "Study", FieldKind.NAME_LIST),
    ARM("arm", "Arm", FieldKind.ARM_LIST),
    BLOCK("block", "Block", FieldKind.TEXT),
    ORDER_DRAWN("order_drawn", "Random order", FieldKind.FLAG),
    NAME("name", "Name", FieldKind.TEXT),
    /** The file that the log came in. */
    FILE("file", "Log file", FieldKind.TEXT),
    PULLED_AT("pulled_at", "Pulled at", FieldKind.MOMENT),
    OPERATOR("operator", "Operator", FieldKind.TEXT),
    RECIPE("recipe", "Recipe", FieldKind.TEXT),
    SITE("site", "Site", FieldKind.TEXT),
    COFFEE("coffee", "Coffee", FieldKind.TEXT),
    BAG("bag", "Bag", FieldKind.TEXT),
    ROASTED_ON("roasted_on", "Roasted on", FieldKind.DAY),
    FROZEN_DAYS("frozen_d", "Days frozen", "d", 0, 5000),
    ROAST_LEVEL("coffee_roast_level", "Roast level", FieldKind.TEXT),
    EXPECTED_NOTES("coffee_expected_notes", "Notes expected", FieldKind.TEXT),
    PROCESS("coffee_process", "Process", FieldKind.TEXT),
    COLOUR_WHOLE("coffee_colour_whole", "Colour, whole", "", -50, 500),
    COLOUR_GROUND("coffee_colour_ground", "Colour, ground", "", -50, 500),
    DENSITY("coffee_density_g_per_l", "Bean density", "g/L", 100, 1200),
    BEANS_TREATMENT("beans_treatment", "Beans treated", FieldKind.TEXT),
    BEANS_TEMPERATURE("beans_c", "Bean temperature", "°C", -200, 60),
    GRINDER("grinder", "Grinder", FieldKind.TEXT),
    BURRS("grinder_burrs", "Burrs", FieldKind.TEXT),
    GRIND("grind", "Grind", "", -1000, 100_000),
    FINEST("grinder_finest", "Finest setting", "", -1000, 100_000),
    COARSEST("grinder_coarsest", "Coarsest setting", "", -1000, 100_000),
    RETENTION("grinder_retention_g", "Retention", "g", 0, 500),
    PURGE("purge_g", "Purge", "g", 0, 500),
    GROUNDS_TREATMENT("grounds_treatment", "Grounds treated", FieldKind.TEXT),
    GROUNDS_TEMPERATURE("grounds_c", "Grounds temperature", "°C", -80, 90),
    GRIND_TO_BREW("grind_to_brew_s", "Grind to brew", "s", 0, 1_000_000),
    PREPARATION("preparation", "Preparation", FieldKind.TEXT),
    MINUTES_ON("switched_on_min", "Switched on for", "min", 0, 100_000),
    WARM_UP("machine_warm_up_min", "Warm-up", "min", 0, 600),
    FIRST_OF_SESSION("first_of_session", "First of the session", FieldKind.FLAG),
    FLUSH("flush_s", "Flush", "s", 0, 600),
    DWELL("dwell_s", "Portafilter dwell", "s", 0, 3600),
    TEMPERATURE("temperature_c", "Temperature", "°C", 1, 130),
    TEMPERATURE_PLACE("temperature_place", "Temperature set at", FieldKind.TEXT),
    PROFILE("profile", "Profile", FieldKind.TEXT),
    PROFILE_STEPS("profile_steps", "Profile steps", FieldKind.PROFILE),
    MACHINE("machine", "Machine", FieldKind.TEXT),
    MACHINE_VERSION("machine_version", "Machine parts", FieldKind.TEXT),
    WATER("water", "Water", FieldKind.TEXT),
    HARDNESS("water_hardness_mg_l", "Water hardness as CaCO₃", "mg/L", 0, 2000),
    ALKALINITY("water_alkalinity_mg_l", "Water alkalinity as CaCO₃", "mg/L", 0, 2000),
    BLANK("water_blank_pct", "Water blank", "%", -2, 2),
    BASKET("basket", "Basket", FieldKind.TEXT),
    BASKET_CAPACITY("basket_capacity_g", "Basket capacity", "g", 1, 60),
    BASKET_FROM("basket_from_g", "Basket capacity, from", "g", 1, 60),
    BASKET_TO("basket_to_g", "Basket capacity, to", "g", 1, 60),
    BED_DIAMETER("bed_diameter_mm", "Bed diameter", "mm", 10, 150),
    BED_DEPTH("bed_depth_mm", "Bed depth", "mm", 1, 100),
    ALTITUDE("altitude_m", "Altitude", "m", -430, 6000),
    DOSE_TARGET("dose_target_g", "Target dose", "g", 0.1, 200),
    DOSE("dose_g", "Dose", "g", 0.1, 200),
    BEVERAGE("beverage_g", "Beverage mass", "g", 0, 2000),
    BEVERAGE_ESTIMATED("beverage_estimated", "Beverage mass estimated from a volume", FieldKind.FLAG),
    BEVERAGE_TARGET("beverage_target_g", "Target beverage mass", "g", 0.1, 2000),
    MOISTURE("moisture_pct", "Moisture", "%", 0, 30),
    MOISTURE_U("moisture_u_pct", "Moisture uncertainty", "%", 0, 10),
    READINGS("strength_readings_pct", "Strength reading", "%", 0, 40, FieldKind.READING_LIST),
    /** As a file stated it, computed by somebody else: never used, only compared with the shot's own. */
    STATED_YIELD("stated_yield_pct", "Extraction yield stated", "%", 0, 100),
    SAMPLES("samples", "Other samples", "", 0, 40, FieldKind.SAMPLE_LIST),
    ZERO("strength_zero_pct", "Zero check", "%", -2, 2),
    ZERO_WATER(FieldDefinition.choice("zero_water", "Zero checked with", "distilled", "brewing")),
    DILUTION_BEVERAGE("dilution_beverage_g", "Beverage in the diluted sample", "g", 0.01, 2000),
    DILUTION_WATER("dilution_water_g", "Water in the diluted sample", "g", 0.01, 5000),
    REFRACTOMETER("refractometer", "Refractometer", FieldKind.TEXT),
    REFRACTOMETER_RESOLUTION("refractometer_resolution_pct", "Refractometer display step", "%", 0, 1),
    REFRACTOMETER_REPEATABILITY("refractometer_repeatability_pct", "Refractometer repeatability", "%", 0, 2),
    REFRACTOMETER_BIAS("refractometer_bias_pct", "Refractometer bias limit", "%", 0, 2),
    REFRACTOMETER_READS(FieldDefinition.choice("refractometer_reads", "Refractometer reads", "strength", "brix")),
    REFRACTOMETER_LINE("refractometer_line", "Refractometer calibration", "", -1000, 1000, FieldKind.NUMBER_LIST),
    COMPENSATED_FROM("compensated_from_c", "Compensated from", "°C", -20, 100),
    COMPENSATED_TO("compensated_to_c", "Compensated to", "°C", -20, 100),
    SAMPLE_FILTERED("sample_filtered", "Sample filtered", FieldKind.FLAG),
    SCALE("scale", "Scale", FieldKind.TEXT),
    SCALE_RESOLUTION("scale_resolution_g", "Scale display step", "g", 0, 10),
    SCALE_REPEATABILITY("scale_repeatability_g", "Scale repeatability", "g", 0, 10),
    SCALE_BIAS("scale_bias_g", "Scale bias limit", "g", 0, 10),
    PRESSURE_AT_REST("pressure_at_rest_bar", "Pressure at rest", "bar", -5, 5),
    PUMP_ON("pump_on_s", "Pump on", "s", -600, 10_800),
    PUMP_OFF("pump_off_s", "Pump off", "s", -600, 10_800),
    SCALE_LAG("scale_lag_s", "Scale delay", "s", -5, 10),
    PHASES("phases", "Phases set by hand", FieldKind.PHASE_LIST),
    MOMENT_NOTES("moment_notes", "Notes at a moment", FieldKind.MOMENT_NOTE_LIST),
    TASTE("taste", "Taste", FieldKind.TEXT),
    TASTING(FieldDefinition.rows("tasting", "Tasting notes", RowColumn.choice("note", TasteNote.keys()),
            RowColumn.number("strength", "", 0, 10).optional())),
    LIKING("liking", "Liking, 0–10", "", 0, 10),
    TASTED_AS(FieldDefinition.choice("tasted_as", "Tasted", "neat", "diluted")),
    TASTED_AT("tasted_c", "Temperature when tasted", "°C", 0, 90),
    TASTED_BLIND(FieldDefinition.choice("tasting_kind", "Tasting was", "open", "blind")),
    TASTER("taster", "Taster", FieldKind.TEXT),
    SERVED(FieldDefinition.choice("served_as", "Served", "straight", "milk", "long")),
    REPAIRS_OFF("repairs_off", "Repairs switched off", FieldKind.REPAIR_LIST),
    FAULT("fault", "Faulty shot", FieldKind.TEXT),
    FAULT_ON_PURPOSE("fault_on_purpose", "Fault on purpose", FieldKind.FLAG),
    SIMULATED("simulated", "Simulated", FieldKind.FLAG),
    NOTE("note", "Note", FieldKind.TEXT);

    private static final Map<String, RecordField> BY_KEY = Stream.of(values())
            .collect(Collectors.toUnmodifiableMap(RecordField::key, field -> field));

    private final FieldDefinition form;

    RecordField(String key, String title, FieldKind kind) {
        this(FieldDefinition.of(key, title, kind));
    }

    RecordField(String key, String title, String unit, double low, double high) {
        this(FieldDefinition.number(key, title, unit, low, high));
    }

    RecordField(String key, String title, String unit, double low, double high, FieldKind kind) {
        this(FieldDefinition.number(key, title, unit, low, high, kind));
    }

    RecordField(FieldDefinition form) {
        this.form = form;
    }

    @Override
    public FieldDefinition form() {
        return form;
    }

    @Override
    public boolean volumeTells() {
        return this == BEVERAGE;
    }

    /** {@return the field with that key} */
    public static Optional<RecordField> find(String key) {
        return Optional.ofNullable(BY_KEY.get(key.strip().toLowerCase(Locale.ROOT)));
    }
}
