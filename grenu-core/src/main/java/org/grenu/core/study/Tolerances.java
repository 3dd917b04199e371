package org.grenu.core.study;

import static java.util.Map.entry;

import java.util.Map;

/** How far two shots may lie apart in a number and still count as pulled the same. */
public final class Tolerances {

    /** Dose and beverage as in the trade (common practice, no source); the others are ours. */
    private static final Map<SheetField,
            Double> BY_FIELD = Map.ofEntries(entry(SheetField.DOSE, 0.3), entry(SheetField.BEVERAGE, 0.5),
                    entry(SheetField.TEMPERATURE, 1.0),
                    entry(SheetField.FROZEN_DAYS, 1.0), entry(SheetField.PURGE, 1.0),
                    entry(SheetField.BEANS_TEMPERATURE, 2.0), entry(SheetField.GROUNDS_TEMPERATURE, 2.0),
                    entry(SheetField.GRIND_TO_BREW, 10.0), entry(SheetField.MINUTES_ON, 5.0),
                    entry(SheetField.FLUSH, 1.0), entry(SheetField.DWELL, 5.0), entry(SheetField.ZERO, 0.05),
                    entry(SheetField.SCALE_LAG, 0.3));
    /** Of the coffee's age, days. */
    public static final double AGE_DAYS = 1;

    private Tolerances() {
    }

    /** {@return the tolerance of that entry in its unit; NaN where any difference counts} */
    public static double of(SheetField field) {
        return BY_FIELD.getOrDefault(field, Double.NaN);
    }
}
