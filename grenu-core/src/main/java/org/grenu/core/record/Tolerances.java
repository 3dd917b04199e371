package org.grenu.core.record;

import static java.util.Map.entry;

import java.util.Map;

/** How far two shots may lie apart in a number and still count as pulled the same. */
public final class Tolerances {

    /** Dose and beverage as in the trade (common practice, no source); the others are ours. */
    private static final Map<RecordField,
            Double> BY_FIELD = Map.ofEntries(entry(RecordField.DOSE, 0.3), entry(RecordField.BEVERAGE, 0.5),
                    entry(RecordField.TEMPERATURE, 0.5),
                    entry(RecordField.FROZEN_DAYS, 1.0), entry(RecordField.PURGE, 1.0),
                    entry(RecordField.BEANS_TEMPERATURE, 2.0), entry(RecordField.GROUNDS_TEMPERATURE, 2.0),
                    entry(RecordField.GRIND_TO_BREW, 10.0), entry(RecordField.MINUTES_ON, 5.0),
                    entry(RecordField.FLUSH, 1.0), entry(RecordField.DWELL, 5.0), entry(RecordField.ZERO, 0.05),
                    entry(RecordField.SCALE_LAG, 0.3));
    /** Of the coffee's age, days. */
    public static final double AGE_DAYS = 1;

    private Tolerances() {
    }

    /** {@return the tolerance of that entry in its unit; NaN where any difference counts} */
    public static double of(RecordField field) {
        return BY_FIELD.getOrDefault(field, Double.NaN);
    }
}
