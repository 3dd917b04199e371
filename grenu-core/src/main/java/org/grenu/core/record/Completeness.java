package org.grenu.core.record;

import java.util.List;
import java.util.Optional;

/**
 * How much of what a shot should record is known. Counts what others need to repeat or judge the shot; all count
 * alike.
 *
 * @param known   of the entries that count
 * @param missing entries that count and are unknown, the most important first
 */
public record Completeness(int known, List<RecordField> missing) {

    private static final List<RecordField> COUNTED = List.of(RecordField.COFFEE, RecordField.GRINDER, RecordField.GRIND,
            RecordField.DOSE, RecordField.BEVERAGE,
            RecordField.READINGS, RecordField.ZERO, RecordField.REFRACTOMETER, RecordField.SAMPLE_FILTERED,
            RecordField.TEMPERATURE, RecordField.PROFILE,
            RecordField.MACHINE, RecordField.BASKET, RecordField.PULLED_AT, RecordField.ROASTED_ON, RecordField.WATER,
            RecordField.OPERATOR, RecordField.PURGE,
            RecordField.DOSE_TARGET, RecordField.BEVERAGE_TARGET, RecordField.SCALE, RecordField.PREPARATION,
            RecordField.MINUTES_ON, RecordField.TASTE);

    public Completeness {
        missing = List.copyOf(missing);
    }

    /** {@return how complete that record is, completed by its gear} */
    public static Completeness of(ShotRecord record) {
        List<RecordField> missing = COUNTED.stream().filter(field -> !record.has(field)).toList();
        return new Completeness(COUNTED.size() - missing.size(), missing);
    }

    /** {@return how many entries count} */
    public int counted() {
        return known + missing.size();
    }

    /** {@return the unknown entry that matters most} */
    public Optional<RecordField> next() {
        return missing.stream().findFirst();
    }
}
