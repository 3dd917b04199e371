package org.grenu.core.response;

import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;

/**
 * A shot as a comparison sees it.
 *
 * @param name     as people call it, such as its number
 * @param record    its record
 * @param measures what was measured from it
 */
public record MeasuredShot(String name, ShotRecord record, ShotMeasures measures) {

    /** {@return whether it was faulty, by accident or on purpose; such shots stay out of every average} */
    public boolean faulty() {
        return record.has(RecordField.FAULT) || record.flag(RecordField.FAULT_ON_PURPOSE);
    }
}
