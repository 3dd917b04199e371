package org.grenu.core.shelf;

import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldForm;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.entry.RowColumn;

/** What is written down about things on the shelf. The key names the entry in files and in the library. */
public enum ShelfField implements Field {
    // Coffee
    LOT(text("lot", "Lot")),
    ORIGIN(text("origin", "Origin")),
    PROCESS(text("process", "Process")),
    ROAST_LEVEL(text("roast_level", "Roast level")),
    COLOUR_WHOLE(FieldForm.number("colour_whole", "Colour, whole", "", -50, 500)),
    COLOUR_GROUND(FieldForm.number("colour_ground", "Colour, ground", "", -50, 500)),
    COLOUR_SCALE(text("colour_scale", "Colour scale")),
    DENSITY(FieldForm.number("density_g_per_l", "Density", "g/L", 100, 1200)),
    MOISTURE(FieldForm.number("moisture_pct", "Moisture", "%", 0, 30)),
    MOISTURE_U(FieldForm.number("moisture_u_pct", "Moisture uncertainty", "%", 0, 10)),
    EXPECTED_NOTES(text("expected_notes", "Notes expected")),
    // Bag
    BAG_COFFEE(text("bag_coffee", "Coffee")),
    NET_MASS(FieldForm.number("net_g", "Net mass", "g", 1, 100_000)),
    LIFE(FieldForm.rows("life", "Life", RowColumn.day("day"), RowColumn.choice("event", BagEvent.keys()),
            RowColumn.number("mass", "g", 0, 100_000).optional(), RowColumn.words("remark"))),
    WASTE(FieldForm.rows("waste", "Waste", RowColumn.day("day"), RowColumn.number("mass", "g", 0, 100_000),
            RowColumn.words("remark"))),
    // Grinder
    BURRS(text("burrs", "Burrs")),
    SETTING_WORDS(text("setting_words", "Setting counted in")),
    STEP(FieldForm.number("step", "Smallest step (0: stepless)", "", 0, 1000)),
    FINEST(FieldForm.number("finest", "Finest setting", "", -1000, 100_000)),
    COARSEST(FieldForm.number("coarsest", "Coarsest setting", "", -1000, 100_000)),
    ZERO_POINT(FieldForm.number("zero_point", "Burrs touch at", "", -1000, 100_000)),
    RETENTION(FieldForm.number("retention_g", "Retention", "g", 0, 500)),
    // Basket
    CAPACITY_FROM(FieldForm.number("capacity_from_g", "Made for, from", "g", 1, 60)),
    CAPACITY_TO(FieldForm.number("capacity_to_g", "Made for, to", "g", 1, 60)),
    DIAMETER(FieldForm.number("diameter_mm", "Diameter", "mm", 10, 150)),
    DEPTH(FieldForm.number("depth_mm", "Bed depth", "mm", 1, 100)),
    // Machine
    PUMP(FieldForm.choice("pump", "Pump", "vibration", "rotary", "gear", "lever", "other")),
    CONTROLS(text("controls", "Controls")),
    SENSOR_PLACE(FieldForm.choice("sensor_place", "Pressure read at", "pump", "line", "group")),
    SENSOR_STATE(FieldForm.choice("sensor_state", "Pressure is", "static", "dynamic")),
    SENSOR_OFFSET(FieldForm.number("sensor_offset_bar", "Pressure at rest", "bar", -5, 5)),
    WARM_UP(FieldForm.number("warm_up_min", "Warm-up", "min", 0, 600)),
    VALVE_WORDS(text("valve_words", "Valve counted in")),
    VALVE_RUNS(FieldForm.rows("valve_runs", "Valve runs", RowColumn.number("position", "", -1000, 100_000),
            RowColumn.number("time", "s", 0.1, 3600),
            RowColumn.number("mass", "g", 0, 100_000))),
    VALVE_SCHEDULE(FieldForm.rows("valve_schedule", "Valve schedule", RowColumn.number("from", "s", 0, 3600),
            RowColumn.number("position", "", -1000, 100_000))),
    // Scale
    SCALE_STEP(FieldForm.number("scale_step_g", "Display step", "g", 0, 10)),
    SCALE_REPEATABILITY(FieldForm.number("scale_repeatability_g", "Repeatability", "g", 0, 10)),
    SCALE_BIAS(FieldForm.number("scale_bias_g", "Bias limit ±", "g", 0, 10)),
    SCALE_LAG(FieldForm.number("scale_lag_s", "Lag", "s", -5, 10)),
    CHECK_WEIGHTS(FieldForm.rows("check_weights", "Check weights", RowColumn.day("day"),
            RowColumn.number("weight", "g", 0.1, 10_000),
            RowColumn.number("shown", "g", -10, 10_500))),
    // Refractometer
    READS(FieldForm.choice("reads", "Reads", "strength", "brix")),
    READING_STEP(FieldForm.number("reading_step", "Display step", "", 0, 1)),
    READING_REPEATABILITY(FieldForm.number("reading_repeatability", "Repeatability", "", 0, 2)),
    READING_BIAS(FieldForm.number("reading_bias", "Bias limit ±", "", 0, 2)),
    COMPENSATED_FROM(FieldForm.number("compensated_from_c", "Compensated from", "°C", -20, 100)),
    COMPENSATED_TO(FieldForm.number("compensated_to_c", "Compensated to", "°C", -20, 100)),
    BRIX_FACTOR(FieldForm.number("brix_factor", "Strength per °Brix", "", 0.1, 2)),
    BRIX_FACTOR_U(FieldForm.number("brix_factor_u", "Its standard uncertainty", "", 0, 1)),
    ZERO_LOG(FieldForm.rows("zero_log", "Zero log", RowColumn.moment("when"), RowColumn.number("shown", "", -5, 5))),
    DRIED(FieldForm.rows("dried_samples", "Oven-dried samples", RowColumn.number("reading", "", 0, 40),
            RowColumn.number("wet", "g", 0.01, 1000),
            RowColumn.number("dry", "g", 0, 1000))),
    // Water
    MINERALS(text("minerals", "Recipe")),
    HARDNESS(FieldForm.number("hardness_mg_l", "Hardness as CaCO₃", "mg/L", 0, 2000)),
    ALKALINITY(FieldForm.number("alkalinity_mg_l", "Alkalinity as CaCO₃", "mg/L", 0, 2000)),
    BLANK(FieldForm.number("blank_pct", "Blank reading", "%", -2, 2)),
    // Site
    ALTITUDE(FieldForm.number("altitude_m", "Altitude", "m", -430, 6000)),
    // Study
    QUESTION(text("question", "Question")),
    ORDER_DRAWN(FieldForm.choice("order_drawn", "Random order", "yes", "no")),
    ARMS(FieldForm.rows("arms", "Arms", RowColumn.words("name"))),
    // Recipe
    FROM_SHOT(FieldForm.number("from_shot", "From shot", "", 1, 100_000_000)),
    PRESSURE_CORRIDOR(
            FieldForm.rows("pressure_corridor", "Pressure corridor", RowColumn.number("time", "s", -60, 10_800),
                    RowColumn.number("pressure", "bar", -2, 30))),
    FLOW_CORRIDOR(FieldForm.rows("flow_corridor", "Flow corridor", RowColumn.number("time", "s", -60, 10_800),
            RowColumn.number("flow", "g/s", -5, 60))),
    CLOCK(text("clock", "Times count")),
    YIELD_MEANT(FieldForm.number("yield_pct", "EY as dosed it gave", "%", 0, 40)),
    STRENGTH_MEANT(FieldForm.number("strength_pct", "Strength it gave", "%", 0, 40)),
    TIME_MEANT(FieldForm.number("time_s", "Time it took", "s", 0, 10_800)),
    // Any
    NOTE(text("note", "Note"));

    private final FieldForm form;

    ShelfField(FieldForm form) {
        this.form = form;
    }

    private static FieldForm text(String key, String title) {
        return FieldForm.of(key, title, FieldKind.TEXT);
    }

    @Override
    public FieldForm form() {
        return form;
    }
}
