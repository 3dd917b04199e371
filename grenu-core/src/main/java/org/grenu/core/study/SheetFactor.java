package org.grenu.core.study;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.DecimalText;

/**
 * The factors that every record has a place for: what is usually changed first, then all else that is written down.
 */
public enum SheetFactor implements Factor {
    GRIND("Grind", SheetField.GRIND),
    TEMPERATURE("Temperature", SheetField.TEMPERATURE),
    PROFILE("Profile", SheetField.PROFILE),
    DOSE("Dose", SheetField.DOSE),
    COFFEE("Coffee", SheetField.COFFEE),
    AGE("Days off roast", true, "d", sheet -> sheet.ageDays().stream().mapToObj(DecimalText::exact).findFirst()),
    BASKET("Basket", SheetField.BASKET),
    WATER("Water", SheetField.WATER),
    GRINDER("Grinder", SheetField.GRINDER),
    MACHINE("Machine", SheetField.MACHINE),
    MACHINE_VERSION("Machine parts", SheetField.MACHINE_VERSION),
    OPERATOR("Operator", SheetField.OPERATOR),
    REFRACTOMETER("Refractometer", SheetField.REFRACTOMETER),
    SAMPLE_FILTERED("Sample filtered", SheetField.SAMPLE_FILTERED),
    ARM("Arm", SheetField.ARM),
    BLOCK("Block", SheetField.BLOCK),
    DAY("Day", false, "", sheet -> sheet.pulledAt().map(moment -> moment.toLocalDate().toString())),
    BAG(SheetField.BAG),
    ROASTED_ON(SheetField.ROASTED_ON),
    FROZEN_DAYS(SheetField.FROZEN_DAYS),
    ROAST_LEVEL(SheetField.ROAST_LEVEL),
    PROCESS(SheetField.PROCESS),
    COLOUR_WHOLE(SheetField.COLOUR_WHOLE),
    COLOUR_GROUND(SheetField.COLOUR_GROUND),
    DENSITY(SheetField.DENSITY),
    MOISTURE(SheetField.MOISTURE),
    BEANS_TREATMENT(SheetField.BEANS_TREATMENT),
    BEANS_TEMPERATURE(SheetField.BEANS_TEMPERATURE),
    BURRS(SheetField.BURRS),
    PURGE(SheetField.PURGE),
    GROUNDS_TREATMENT(SheetField.GROUNDS_TREATMENT),
    GROUNDS_TEMPERATURE(SheetField.GROUNDS_TEMPERATURE),
    GRIND_TO_BREW(SheetField.GRIND_TO_BREW),
    PREPARATION(SheetField.PREPARATION),
    DOSE_TARGET(SheetField.DOSE_TARGET),
    BEVERAGE_TARGET(SheetField.BEVERAGE_TARGET),
    PROFILE_STEPS(SheetField.PROFILE_STEPS),
    TEMPERATURE_PLACE(SheetField.TEMPERATURE_PLACE),
    MINUTES_ON(SheetField.MINUTES_ON),
    FIRST_OF_SESSION(SheetField.FIRST_OF_SESSION),
    FLUSH(SheetField.FLUSH),
    DWELL(SheetField.DWELL),
    BASKET_CAPACITY(SheetField.BASKET_CAPACITY),
    BED_DIAMETER(SheetField.BED_DIAMETER),
    BED_DEPTH(SheetField.BED_DEPTH),
    HARDNESS(SheetField.HARDNESS),
    ALKALINITY(SheetField.ALKALINITY),
    SITE(SheetField.SITE),
    ALTITUDE(SheetField.ALTITUDE),
    ZERO(SheetField.ZERO),
    DILUTION_WATER(SheetField.DILUTION_WATER),
    REFRACTOMETER_READS(SheetField.REFRACTOMETER_READS),
    REFRACTOMETER_LINE(SheetField.REFRACTOMETER_LINE),
    SCALE(SheetField.SCALE),
    SCALE_LAG(SheetField.SCALE_LAG),
    REPAIRS_OFF(SheetField.REPAIRS_OFF),
    SIMULATED(SheetField.SIMULATED),
    RECIPE(SheetField.RECIPE),
    STUDY(SheetField.STUDY);

    private final String key;
    private final String title;
    private final boolean numeric;
    private final String unit;
    private final Function<ShotSheet, Optional<String>> level;
    private final Optional<SheetField> field;

    /** Named as the entry is in files, so that no entry of the user's own can be called the same. */
    SheetFactor(SheetField field) {
        this(field.key(), field.title(), field.kind() == FieldKind.NUMBER, field.unit(), sheet -> sheet.entry(field),
                Optional.of(field));
    }

    SheetFactor(String title, SheetField field) {
        this("", title, field.kind() == FieldKind.NUMBER, field.unit(), sheet -> sheet.entry(field),
                Optional.of(field));
    }

    SheetFactor(String title, boolean numeric, String unit, Function<ShotSheet, Optional<String>> level) {
        this("", title, numeric, unit, level, Optional.empty());
    }

    SheetFactor(String key, String title, boolean numeric, String unit, Function<ShotSheet, Optional<String>> level,
            Optional<SheetField> field) {
        this.key = key.isEmpty() ? name().toLowerCase(Locale.ROOT) : key;
        this.title = title;
        this.numeric = numeric;
        this.unit = unit;
        this.level = level;
        this.field = field;
    }

    /** {@return the factor with that name in files and commands} */
    public static Optional<Factor> find(String key) {
        return Arrays.stream(values()).filter(factor -> factor.key().equals(key)).map(Factor.class::cast).findFirst();
    }

    /** {@return the entry that it is; empty where it follows from several} */
    public Optional<SheetField> field() {
        return field;
    }

    @Override
    public String key() {
        return key;
    }

    @Override
    public String title() {
        return title;
    }

    @Override
    public String unit() {
        return unit;
    }

    @Override
    public boolean numeric() {
        return numeric;
    }

    @Override
    public OptionalDouble number(ShotSheet sheet) {
        if (numeric && field.isPresent()) {
            return sheet.number(field.get());
        }
        return numeric ? level(sheet).map(Double::parseDouble).map(OptionalDouble::of).orElse(OptionalDouble.empty())
                : OptionalDouble.empty();
    }

    @Override
    public Optional<String> level(ShotSheet sheet) {
        return level.apply(sheet);
    }
}
