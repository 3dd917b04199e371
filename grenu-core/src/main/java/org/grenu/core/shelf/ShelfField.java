package org.grenu.core.shelf;

import java.util.List;
import java.util.stream.Stream;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldDefinition;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.entry.RowColumn;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.TasteNote;

/** What is written down about things on the shelf. The key names the entry in files and in the library. */
public enum ShelfField implements Field {
    // Coffee
    LOT(text("lot", "Lot")),
    ORIGIN(text("origin", "Origin")),
    PROCESS(text("process", "Process")),
    ROAST_LEVEL(text("roast_level", "Roast level")),
    COLOUR_WHOLE(FieldDefinition.number("colour_whole", "Colour, whole", "", -50, 500)),
    COLOUR_GROUND(FieldDefinition.number("colour_ground", "Colour, ground", "", -50, 500)),
    COLOUR_SCALE(text("colour_scale", "Colour scale")),
    DENSITY(FieldDefinition.number("density_g_per_l", "Density", "g/L", 100, 1200)),
    MOISTURE(FieldDefinition.number("moisture_pct", "Moisture", "%", 0, 30)),
    MOISTURE_U(FieldDefinition.number("moisture_u_pct", "Moisture uncertainty", "%", 0, 10)),
    EXPECTED_NOTES(text("expected_notes", "Notes expected")),
    // Bag
    BAG_COFFEE(text("bag_coffee", "Coffee")),
    NET_MASS(FieldDefinition.number("net_g", "Net mass", "g", 1, 100_000)),
    LIFE(FieldDefinition.rows("life", "Life", RowColumn.day("day"), RowColumn.choice("event", BagEvent.keys()),
            RowColumn.number("mass", "g", 0, 100_000).optional(), RowColumn.words("remark"))),
    WASTE(FieldDefinition.rows("waste", "Waste", RowColumn.day("day"), RowColumn.number("mass", "g", 0, 100_000),
            RowColumn.words("remark"))),
    // Grinder
    BURRS(text("burrs", "Burrs")),
    SETTING_WORDS(text("setting_words", "Setting counted in")),
    STEP(FieldDefinition.number("step", "Smallest step (0: stepless)", "", 0, 1000)),
    FINEST(FieldDefinition.number("finest", "Finest setting", "", -1000, 100_000)),
    COARSEST(FieldDefinition.number("coarsest", "Coarsest setting", "", -1000, 100_000)),
    ZERO_POINT(FieldDefinition.number("zero_point", "Burrs touch at", "", -1000, 100_000)),
    RETENTION(FieldDefinition.number("retention_g", "Retention", "g", 0, 500)),
    // Basket
    CAPACITY_FROM(FieldDefinition.number("capacity_from_g", "Made for, from", "g", 1, 60)),
    CAPACITY_TO(FieldDefinition.number("capacity_to_g", "Made for, to", "g", 1, 60)),
    DIAMETER(FieldDefinition.number("diameter_mm", "Diameter", "mm", 10, 150)),
    DEPTH(FieldDefinition.number("depth_mm", "Bed depth", "mm", 1, 100)),
    // Machine
    PUMP(FieldDefinition.choice("pump", "Pump", "vibration", "rotary", "gear", "lever", "other")),
    CONTROLS(text("controls", "Controls")),
    SENSOR_PLACE(FieldDefinition.choice("sensor_place", "Pressure read at", "pump", "line", "group")),
    SENSOR_STATE(FieldDefinition.choice("sensor_state", "Pressure is", "static", "dynamic")),
    SENSOR_OFFSET(FieldDefinition.number("sensor_offset_bar", "Pressure at rest", "bar", -5, 5)),
    WARM_UP(FieldDefinition.number("warm_up_min", "Warm-up", "min", 0, 600)),
    LINE_PRESSURE(FieldDefinition.number("line_bar", "Pressure before the valve", "bar", 0.5, 20)),
    VALVE_WORDS(text("valve_words", "Valve counted in")),
    VALVE_RUNS(FieldDefinition.rows("valve_runs", "Valve runs", RowColumn.number("position", "", -1000, 100_000),
            RowColumn.number("time", "s", 0.1, 3600),
            RowColumn.number("mass", "g", 0, 100_000))),
    VALVE_SCHEDULE(FieldDefinition.rows("valve_schedule", "Valve schedule", RowColumn.number("from", "s", 0, 3600),
            RowColumn.number("position", "", -1000, 100_000))),
    // Scale
    SCALE_STEP(FieldDefinition.number("scale_step_g", "Display step", "g", 0, 10)),
    SCALE_REPEATABILITY(FieldDefinition.number("scale_repeatability_g", "Repeatability", "g", 0, 10)),
    SCALE_BIAS(FieldDefinition.number("scale_bias_g", "Bias limit ±", "g", 0, 10)),
    SCALE_LAG(FieldDefinition.number("scale_lag_s", "Lag", "s", -5, 10)),
    CHECK_WEIGHTS(FieldDefinition.rows("check_weights", "Check weights", RowColumn.day("day"),
            RowColumn.number("weight", "g", 0.1, 10_000),
            RowColumn.number("shown", "g", -10, 10_500))),
    // Refractometer
    READS(FieldDefinition.choice("reads", "Reads", "strength", "brix")),
    READING_STEP(FieldDefinition.number("reading_step", "Display step", "", 0, 1)),
    READING_REPEATABILITY(FieldDefinition.number("reading_repeatability", "Repeatability", "", 0, 2)),
    READING_BIAS(FieldDefinition.number("reading_bias", "Bias limit ±", "", 0, 2)),
    COMPENSATED_FROM(FieldDefinition.number("compensated_from_c", "Compensated from", "°C", -20, 100)),
    COMPENSATED_TO(FieldDefinition.number("compensated_to_c", "Compensated to", "°C", -20, 100)),
    BRIX_FACTOR(FieldDefinition.number("brix_factor", "Strength per °Brix", "", 0.1, 2)),
    BRIX_FACTOR_U(FieldDefinition.number("brix_factor_u", "Its standard uncertainty", "", 0, 1)),
    ZERO_LOG(FieldDefinition.rows("zero_log", "Zero log", RowColumn.moment("when"),
            RowColumn.number("shown", "", -5, 5))),
    DRIED(FieldDefinition.rows("dried_samples", "Oven-dried samples", RowColumn.number("reading", "", 0, 40),
            RowColumn.number("wet", "g", 0.01, 1000),
            RowColumn.number("dry", "g", 0, 1000))),
    // Water
    MINERALS(text("minerals", "Recipe")),
    HARDNESS(FieldDefinition.number("hardness_mg_l", "Hardness as CaCO₃", "mg/L", 0, 2000)),
    ALKALINITY(FieldDefinition.number("alkalinity_mg_l", "Alkalinity as CaCO₃", "mg/L", 0, 2000)),
    BLANK(FieldDefinition.number("blank_pct", "Blank reading", "%", -2, 2)),
    // Site
    ALTITUDE(FieldDefinition.number("altitude_m", "Altitude", "m", -430, 6000)),
    // Study
    QUESTION(text("question", "Question")),
    ORDER_DRAWN(FieldDefinition.choice("order_drawn", "Random order", "yes", "no")),
    ARMS(FieldDefinition.rows("arms", "Arms", RowColumn.words("name"))),
    // Recipe
    FROM_SHOT(FieldDefinition.number("from_shot", "From shot", "", 1, 100_000_000)),
    PRESSURE_CORRIDOR(
            FieldDefinition.rows("pressure_corridor", "Pressure corridor", RowColumn.number("time", "s", -60, 10_800),
                    RowColumn.number("pressure", "bar", -2, 30))),
    FLOW_CORRIDOR(FieldDefinition.rows("flow_corridor", "Flow corridor", RowColumn.number("time", "s", -60, 10_800),
            RowColumn.number("flow", "g/s", -5, 60))),
    CLOCK(text("clock", "Times count")),
    YIELD_MEANT(FieldDefinition.number("yield_pct", "EY as dosed it gave", "%", 0, 40)),
    STRENGTH_MEANT(FieldDefinition.number("strength_pct", "Strength it gave", "%", 0, 40)),
    TIME_MEANT(FieldDefinition.number("time_s", "Time it took", "s", 0, 10_800)),
    AIM_TIME_FROM(FieldDefinition.number("aim_time_from_s", "Time wanted, from", "s", 1, 10_800)),
    AIM_TIME_TO(FieldDefinition.number("aim_time_to_s", "Time wanted, to", "s", 1, 10_800)),
    AIM_YIELD_FROM(FieldDefinition.number("aim_yield_from_pct", "EY wanted, from", "%", 1, 40)),
    AIM_YIELD_TO(FieldDefinition.number("aim_yield_to_pct", "EY wanted, to", "%", 1, 40)),
    AIM_STRENGTH_FROM(FieldDefinition.number("aim_strength_from_pct", "Strength wanted, from", "%", 0.1, 40)),
    AIM_STRENGTH_TO(FieldDefinition.number("aim_strength_to_pct", "Strength wanted, to", "%", 0.1, 40)),
    AIM_BEVERAGE_WITHIN(FieldDefinition.number("aim_beverage_within_g", "Beverage mass within ±", "g", 0, 100)),
    AIM_TASTES(FieldDefinition.rows("aim_tastes", "Tastes wanted", RowColumn.choice("taste", tastes()),
            RowColumn.number("from", "", 0, 10), RowColumn.number("to", "", 0, 10))),
    AIM_SOURCE(text("aim_source", "Where the windows are from")),
    // Any
    NOTE(text("note", "Note"));

    private final FieldDefinition form;

    ShelfField(FieldDefinition form) {
        this.form = form;
    }

    private static List<String> tastes() {
        return Stream.concat(Stream.of(RecordField.LIKING.key()), Stream.of(TasteNote.values()).map(TasteNote::quality))
                .toList();
    }

    private static FieldDefinition text(String key, String title) {
        return FieldDefinition.of(key, title, FieldKind.TEXT);
    }

    @Override
    public FieldDefinition form() {
        return form;
    }
}
