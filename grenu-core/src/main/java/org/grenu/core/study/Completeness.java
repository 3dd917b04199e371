package org.grenu.core.study;

import java.util.List;
import java.util.Optional;

/**
 * How much of what a shot should record is known. Counts what others need to repeat or judge the shot; all count
 * alike.
 *
 * @param known   of the entries that count
 * @param missing entries that count and are unknown, the most important first
 */
public record Completeness(int known, List<SheetField> missing) {

    private static final List<SheetField> COUNTED = List.of(SheetField.COFFEE, SheetField.GRINDER, SheetField.GRIND,
            SheetField.DOSE, SheetField.BEVERAGE,
            SheetField.READINGS, SheetField.ZERO, SheetField.REFRACTOMETER, SheetField.SAMPLE_FILTERED,
            SheetField.TEMPERATURE, SheetField.PROFILE,
            SheetField.MACHINE, SheetField.BASKET, SheetField.PULLED_AT, SheetField.ROASTED_ON, SheetField.WATER,
            SheetField.OPERATOR, SheetField.PURGE,
            SheetField.DOSE_TARGET, SheetField.BEVERAGE_TARGET, SheetField.SCALE, SheetField.PREPARATION,
            SheetField.MINUTES_ON, SheetField.TASTE);

    public Completeness {
        missing = List.copyOf(missing);
    }

    /** {@return how complete that record is, completed by its gear} */
    public static Completeness of(ShotSheet sheet) {
        List<SheetField> missing = COUNTED.stream().filter(field -> !sheet.has(field)).toList();
        return new Completeness(COUNTED.size() - missing.size(), missing);
    }

    /** {@return how many entries count} */
    public int counted() {
        return known + missing.size();
    }

    /** {@return the unknown entry that matters most} */
    public Optional<SheetField> next() {
        return missing.stream().findFirst();
    }
}
