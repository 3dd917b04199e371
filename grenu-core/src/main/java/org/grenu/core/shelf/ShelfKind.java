package org.grenu.core.shelf;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.grenu.core.entry.Field;
import org.grenu.core.study.SheetField;

/** Sorts of things on the shelf. A shot names the thing in the entry given here. */
public enum ShelfKind {
    COFFEE("Coffees", "coffee", SheetField.COFFEE, ShelfField.LOT, ShelfField.ORIGIN, ShelfField.PROCESS,
            ShelfField.ROAST_LEVEL,
            ShelfField.COLOUR_WHOLE, ShelfField.COLOUR_GROUND, ShelfField.COLOUR_SCALE, ShelfField.DENSITY,
            ShelfField.MOISTURE,
            ShelfField.MOISTURE_U, ShelfField.EXPECTED_NOTES),
    BAG("Bags", "bag", SheetField.BAG, ShelfField.BAG_COFFEE, ShelfField.NET_MASS, ShelfField.LIFE, ShelfField.WASTE),
    GRINDER("Grinders", "grinder", SheetField.GRINDER, ShelfField.BURRS, ShelfField.SETTING_WORDS, ShelfField.STEP,
            ShelfField.FINEST,
            ShelfField.COARSEST, ShelfField.ZERO_POINT, ShelfField.RETENTION),
    BASKET("Baskets", "basket", SheetField.BASKET, ShelfField.CAPACITY_FROM, ShelfField.CAPACITY_TO,
            ShelfField.DIAMETER, ShelfField.DEPTH),
    MACHINE("Machines", "machine", SheetField.MACHINE, ShelfField.PUMP, ShelfField.CONTROLS, ShelfField.SENSOR_PLACE,
            ShelfField.SENSOR_STATE,
            ShelfField.SENSOR_OFFSET, ShelfField.WARM_UP, ShelfField.VALVE_WORDS, ShelfField.VALVE_RUNS,
            ShelfField.VALVE_SCHEDULE),
    SCALE("Scales", "scale", SheetField.SCALE, ShelfField.SCALE_STEP, ShelfField.SCALE_REPEATABILITY,
            ShelfField.SCALE_BIAS,
            ShelfField.SCALE_LAG, ShelfField.CHECK_WEIGHTS),
    REFRACTOMETER("Refractometers", "refractometer", SheetField.REFRACTOMETER, ShelfField.READS,
            ShelfField.READING_STEP,
            ShelfField.READING_REPEATABILITY, ShelfField.READING_BIAS, ShelfField.COMPENSATED_FROM,
            ShelfField.COMPENSATED_TO,
            ShelfField.BRIX_FACTOR, ShelfField.BRIX_FACTOR_U, ShelfField.ZERO_LOG, ShelfField.DRIED),
    WATER("Water", "water", SheetField.WATER, ShelfField.MINERALS, ShelfField.HARDNESS, ShelfField.ALKALINITY,
            ShelfField.BLANK),
    SITE("Sites", "site", SheetField.SITE, ShelfField.ALTITUDE),
    RECIPE("Recipes", "recipe", SheetField.RECIPE, SheetField.COFFEE, SheetField.BAG, SheetField.GRINDER,
            SheetField.GRIND, SheetField.PURGE,
            SheetField.BEANS_TREATMENT, SheetField.PREPARATION, SheetField.TEMPERATURE, SheetField.TEMPERATURE_PLACE,
            SheetField.PROFILE,
            SheetField.PROFILE_STEPS, SheetField.MACHINE, SheetField.WATER, SheetField.BASKET, SheetField.DOSE_TARGET,
            SheetField.BEVERAGE_TARGET, SheetField.SCALE, SheetField.REFRACTOMETER, SheetField.SITE,
            ShelfField.FROM_SHOT, ShelfField.CLOCK,
            ShelfField.TIME_MEANT, ShelfField.YIELD_MEANT, ShelfField.STRENGTH_MEANT, ShelfField.PRESSURE_CORRIDOR,
            ShelfField.FLOW_CORRIDOR),
    STUDY("Studies", "study", SheetField.STUDY, ShelfField.QUESTION, ShelfField.ORDER_DRAWN, ShelfField.ARMS);

    private final String title;
    private final String one;
    private final SheetField named;
    private final List<Field> fields;

    ShelfKind(String title, String one, SheetField named, Field... fields) {
        this.title = title;
        this.one = one;
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

    /** {@return the name in files and in the library} */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** {@return the entry by which a shot names such a thing} */
    public SheetField named() {
        return named;
    }

    /** {@return what is written down about them} */
    public List<Field> fields() {
        return fields;
    }

    /** {@return whether its parts can be changed, which makes a new version} */
    public boolean hasParts() {
        return switch (this) {
            case GRINDER, BASKET, MACHINE, SCALE, REFRACTOMETER, WATER, RECIPE -> true;
            case COFFEE, BAG, SITE, STUDY -> false;
        };
    }

    /** {@return the field of this sort with that key} */
    public Optional<Field> field(String key) {
        return fields.stream().filter(field -> field.key().equals(key)).findFirst();
    }

    /** {@return the sort of things that shots name in that entry} */
    public static Optional<ShelfKind> of(SheetField field) {
        return Arrays.stream(values()).filter(kind -> kind.named == field).findFirst();
    }

    /** {@return the sort of that name} */
    public static Optional<ShelfKind> find(String key) {
        return Arrays.stream(values()).filter(kind -> kind.key().equals(key)).findFirst();
    }
}
