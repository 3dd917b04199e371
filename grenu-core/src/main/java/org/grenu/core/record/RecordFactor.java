package org.grenu.core.record;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;

/**
 * The factors that every record has a place for: what is usually changed first, then all else that is written down.
 */
public enum RecordFactor implements Factor {
    GRIND("Grind", RecordField.GRIND),
    TEMPERATURE("Temperature", RecordField.TEMPERATURE),
    PROFILE("Profile", RecordField.PROFILE),
    DOSE("Dose", RecordField.DOSE),
    COFFEE("Coffee", RecordField.COFFEE),
    AGE("Days off roast", true, "d", record -> record.ageDays().stream().mapToObj(DecimalText::exact).findFirst()),
    BASKET("Basket", RecordField.BASKET),
    WATER("Water", RecordField.WATER),
    GRINDER("Grinder", RecordField.GRINDER),
    MACHINE("Machine", RecordField.MACHINE),
    MACHINE_VERSION("Machine parts", RecordField.MACHINE_VERSION),
    OPERATOR("Operator", RecordField.OPERATOR),
    REFRACTOMETER("Refractometer", RecordField.REFRACTOMETER),
    SAMPLE_FILTERED("Sample filtered", RecordField.SAMPLE_FILTERED),
    ARM("Arm", RecordField.ARM),
    BLOCK("Block", RecordField.BLOCK),
    DAY("Day", false, "", record -> record.pulledAt().map(moment -> moment.toLocalDate().toString())),
    BAG(RecordField.BAG),
    ROASTED_ON(RecordField.ROASTED_ON),
    FROZEN_DAYS(RecordField.FROZEN_DAYS),
    ROAST_LEVEL(RecordField.ROAST_LEVEL),
    PROCESS(RecordField.PROCESS),
    COLOUR_WHOLE(RecordField.COLOUR_WHOLE),
    COLOUR_GROUND(RecordField.COLOUR_GROUND),
    DENSITY(RecordField.DENSITY),
    MOISTURE(RecordField.MOISTURE),
    BEANS_TREATMENT(RecordField.BEANS_TREATMENT),
    BEANS_TEMPERATURE(RecordField.BEANS_TEMPERATURE),
    BURRS(RecordField.BURRS),
    PURGE(RecordField.PURGE),
    GROUNDS_TREATMENT(RecordField.GROUNDS_TREATMENT),
    GROUNDS_TEMPERATURE(RecordField.GROUNDS_TEMPERATURE),
    GRIND_TO_BREW(RecordField.GRIND_TO_BREW),
    PREPARATION(RecordField.PREPARATION),
    DOSE_TARGET(RecordField.DOSE_TARGET),
    BEVERAGE_TARGET(RecordField.BEVERAGE_TARGET),
    PROFILE_STEPS(RecordField.PROFILE_STEPS),
    TEMPERATURE_PLACE(RecordField.TEMPERATURE_PLACE),
    MINUTES_ON(RecordField.MINUTES_ON),
    FIRST_OF_SESSION(RecordField.FIRST_OF_SESSION),
    FLUSH(RecordField.FLUSH),
    DWELL(RecordField.DWELL),
    BASKET_CAPACITY(RecordField.BASKET_CAPACITY),
    BED_DIAMETER(RecordField.BED_DIAMETER),
    BED_DEPTH(RecordField.BED_DEPTH),
    HARDNESS(RecordField.HARDNESS),
    ALKALINITY(RecordField.ALKALINITY),
    SITE(RecordField.SITE),
    ALTITUDE(RecordField.ALTITUDE),
    ZERO(RecordField.ZERO),
    DILUTION_WATER(RecordField.DILUTION_WATER),
    REFRACTOMETER_READS(RecordField.REFRACTOMETER_READS),
    REFRACTOMETER_LINE(RecordField.REFRACTOMETER_LINE),
    SCALE(RecordField.SCALE),
    SCALE_LAG(RecordField.SCALE_LAG),
    REPAIRS_OFF(RecordField.REPAIRS_OFF),
    TASTED_AS(RecordField.TASTED_AS),
    TASTED_AT(RecordField.TASTED_AT),
    TASTED_BLIND(RecordField.TASTED_BLIND),
    TASTER(RecordField.TASTER),
    SERVED(RecordField.SERVED),
    SIMULATED(RecordField.SIMULATED),
    RECIPE(RecordField.RECIPE),
    STUDY(RecordField.STUDY);

    private final String key;
    private final String title;
    private final boolean numeric;
    private final String unit;
    private final Function<ShotRecord, Optional<String>> level;
    private final Optional<RecordField> field;

    /** Named as the entry is in files, so that no entry of the user's own can be called the same. */
    RecordFactor(RecordField field) {
        this(field.key(), field.title(), field.kind() == FieldKind.NUMBER, field.unit(), record -> record.entry(field),
                Optional.of(field));
    }

    RecordFactor(String title, RecordField field) {
        this("", title, field.kind() == FieldKind.NUMBER, field.unit(), record -> record.entry(field),
                Optional.of(field));
    }

    RecordFactor(String title, boolean numeric, String unit, Function<ShotRecord, Optional<String>> level) {
        this("", title, numeric, unit, level, Optional.empty());
    }

    RecordFactor(String key, String title, boolean numeric, String unit, Function<ShotRecord, Optional<String>> level,
            Optional<RecordField> field) {
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
    public Optional<RecordField> field() {
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
    public OptionalDouble number(ShotRecord record) {
        if (numeric && field.isPresent()) {
            return record.number(field.get());
        }
        return numeric ? level(record).map(Double::parseDouble).map(OptionalDouble::of).orElse(OptionalDouble.empty())
                : OptionalDouble.empty();
    }

    @Override
    public Optional<String> level(ShotRecord record) {
        return level.apply(record);
    }

    @Override
    public Factor in(DisplayUnits units) {
        return numeric && !units.symbol(unit).equals(unit) ? new ShownFactor(this, units) : this;
    }
}
