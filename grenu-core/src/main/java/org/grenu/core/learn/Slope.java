package org.grenu.core.learn;

import org.grenu.core.record.RecordField;

/** What is set for a shot and moves what comes of it, in the order of a belief's slopes. */
public enum Slope {
    /** A notch finer. */
    GRIND(RecordField.GRIND),
    /** ln(dose). */
    DOSE(RecordField.DOSE),
    /** ln(beverage mass). */
    BEVERAGE(RecordField.BEVERAGE),
    /** A degree. */
    TEMPERATURE(RecordField.TEMPERATURE),
    /** A day of age. */
    AGE(RecordField.ROASTED_ON);

    private final RecordField field;

    Slope(RecordField field) {
        this.field = field;
    }

    /** {@return where a shot's record says it} */
    public RecordField field() {
        return field;
    }
}
