package org.grenu.core.shelf;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.grenu.core.entry.Field;
import org.grenu.core.record.RecordField;

/** Sorts of things on the shelf. A shot names the thing in the entry given here. */
public enum ShelfKind {
    COFFEE("Coffees", "coffee",
            "A coffee keeps roast, density and moisture; its bags keep their dates, and say how old they are"
                    + " and what is left.",
            Parts.STAY, RecordField.COFFEE, ShelfField.LOT, ShelfField.ORIGIN, ShelfField.PROCESS,
            ShelfField.ROAST_LEVEL,
            ShelfField.COLOUR_WHOLE, ShelfField.COLOUR_GROUND, ShelfField.COLOUR_SCALE, ShelfField.DENSITY,
            ShelfField.MOISTURE,
            ShelfField.MOISTURE_U, ShelfField.EXPECTED_NOTES),
    BAG("Bags", "bag", "A bag keeps its dates, and says how old it is and what is left.", Parts.STAY, RecordField.BAG,
            ShelfField.BAG_COFFEE, ShelfField.NET_MASS, ShelfField.LIFE,
            ShelfField.WASTE),
    GRINDER("Grinders", "grinder",
            "A grinder keeps its scale and burrs; its picture shows which settings each coffee has had.", Parts.CHANGE,
            RecordField.GRINDER, ShelfField.BURRS, ShelfField.SETTING_WORDS,
            ShelfField.STEP,
            ShelfField.FINEST,
            ShelfField.COARSEST, ShelfField.ZERO_POINT, ShelfField.RETENTION),
    BASKET("Baskets", "basket",
            "A basket keeps the dose it is made for and its size, which resistance is computed from.", Parts.CHANGE,
            RecordField.BASKET, ShelfField.CAPACITY_FROM, ShelfField.CAPACITY_TO,
            ShelfField.DIAMETER, ShelfField.DEPTH),
    MACHINE("Machines", "machine",
            "A machine keeps where its pressure is read, and its valve’s flow once you have run it.", Parts.CHANGE,
            RecordField.MACHINE, ShelfField.PUMP, ShelfField.CONTROLS,
            ShelfField.SENSOR_PLACE,
            ShelfField.SENSOR_STATE,
            ShelfField.SENSOR_OFFSET, ShelfField.WARM_UP, ShelfField.LINE_PRESSURE, ShelfField.VALVE_WORDS,
            ShelfField.VALVE_RUNS,
            ShelfField.VALVE_SCHEDULE),
    SCALE("Scales", "scale", "A scale keeps its step, bias and lag, and a log of check weights.", Parts.CHANGE,
            RecordField.SCALE, ShelfField.SCALE_STEP, ShelfField.SCALE_REPEATABILITY,
            ShelfField.SCALE_BIAS,
            ShelfField.SCALE_LAG, ShelfField.CHECK_WEIGHTS),
    REFRACTOMETER("Refractometers", "refractometer",
            "It keeps its step, repeatability, zero log and calibration; every shot read with it uses them.",
            Parts.CHANGE, RecordField.REFRACTOMETER, ShelfField.READS,
            ShelfField.READING_STEP,
            ShelfField.READING_REPEATABILITY, ShelfField.READING_BIAS, ShelfField.COMPENSATED_FROM,
            ShelfField.COMPENSATED_TO,
            ShelfField.BRIX_FACTOR, ShelfField.BRIX_FACTOR_U, ShelfField.ZERO_LOG, ShelfField.DRIED),
    WATER("Water", "water", "A water keeps its recipe and blank reading.", Parts.CHANGE, RecordField.WATER,
            ShelfField.MINERALS, ShelfField.HARDNESS,
            ShelfField.ALKALINITY,
            ShelfField.BLANK),
    SITE("Sites", "site", "A site’s altitude tells where water boils, and the highest sensible set temperature.",
            Parts.STAY, RecordField.SITE, ShelfField.ALTITUDE),
    RECIPE("Recipes", "recipe", "Open a shot that worked and choose Promote to recipe, or begin one in Plan.",
            Parts.CHANGE,
            RecordField.RECIPE, RecordField.COFFEE, RecordField.BAG,
            RecordField.GRINDER,
            RecordField.GRIND, RecordField.PURGE,
            RecordField.BEANS_TREATMENT, RecordField.PREPARATION, RecordField.TEMPERATURE,
            RecordField.TEMPERATURE_PLACE,
            RecordField.PROFILE,
            RecordField.PROFILE_STEPS, RecordField.MACHINE, RecordField.WATER, RecordField.BASKET,
            RecordField.DOSE_TARGET,
            RecordField.BEVERAGE_TARGET, RecordField.SCALE, RecordField.REFRACTOMETER, RecordField.SITE,
            ShelfField.FROM_SHOT, ShelfField.CLOCK,
            RecordField.SERVED, ShelfField.AIM_TIME_FROM, ShelfField.AIM_TIME_TO, ShelfField.AIM_YIELD_FROM,
            ShelfField.AIM_YIELD_TO, ShelfField.AIM_STRENGTH_FROM, ShelfField.AIM_STRENGTH_TO,
            ShelfField.AIM_BEVERAGE_WITHIN, ShelfField.AIM_TASTES,
            ShelfField.AIM_SOURCE, ShelfField.TIME_MEANT, ShelfField.YIELD_MEANT, ShelfField.STRENGTH_MEANT,
            ShelfField.PRESSURE_CORRIDOR,
            ShelfField.FLOW_CORRIDOR),
    PROFILE("Profiles", "profile", "A profile keeps its steps; shots pulled by a version keep that version.",
            Parts.CHANGE, RecordField.PROFILE, RecordField.PROFILE_STEPS),
    STUDY("Studies", "study", "A study keeps its question; shots name the studies they belong to, and their arm.",
            Parts.STAY, RecordField.STUDY, ShelfField.QUESTION, ShelfField.ORDER_DRAWN,
            ShelfField.ARMS);

    /** Whether such a thing is one for ever, or another once its parts were changed. */
    private enum Parts {
        STAY, CHANGE
    }

    private final String title;
    private final String one;
    private final String keeps;
    private final Parts parts;
    private final RecordField named;
    private final List<Field> fields;

    ShelfKind(String title, String one, String keeps, Parts parts, RecordField named, Field... fields) {
        this.title = title;
        this.one = one;
        this.keeps = keeps;
        this.parts = parts;
        this.named = named;
        List<Field> all = new ArrayList<>(Arrays.asList(fields));
        all.add(ShelfField.NOTE);
        this.fields = List.copyOf(all);
    }

    /** {@return the name of the sort on screen} */
    public String title() {
        return title;
    }

    /** {@return what one of them is called} */
    public String one() {
        return one;
    }

    /** {@return what is kept of them and what for, a sentence for who has none yet} */
    public String keeps() {
        return keeps;
    }

    /** {@return the name in files and in the library} */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** {@return the entry by which a shot names such a thing} */
    public RecordField named() {
        return named;
    }

    /** {@return what is written down about them} */
    public List<Field> fields() {
        return fields;
    }

    /** {@return whether its parts can be changed, which makes a new version} */
    public boolean hasParts() {
        return parts == Parts.CHANGE;
    }

    /** {@return the field of this sort with that key} */
    public Optional<Field> field(String key) {
        return fields.stream().filter(field -> field.key().equals(key)).findFirst();
    }

    /** {@return the sort of things that are named in that entry, of a shot's record or of a thing on the shelf} */
    public static Optional<ShelfKind> of(Field field) {
        return field == ShelfField.BAG_COFFEE ? Optional.of(COFFEE)
                : Arrays.stream(values()).filter(kind -> kind.named == field).findFirst();
    }

    /** {@return the sort of that name} */
    public static Optional<ShelfKind> find(String key) {
        return Arrays.stream(values()).filter(kind -> kind.key().equals(key)).findFirst();
    }
}
