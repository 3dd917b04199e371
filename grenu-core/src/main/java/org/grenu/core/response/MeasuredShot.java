package org.grenu.core.response;

import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;

/**
 * A shot as a comparison sees it.
 *
 * @param name     as people call it, such as its number
 * @param sheet    its record
 * @param measures what was measured from it
 */
public record MeasuredShot(String name, ShotSheet sheet, ShotMeasures measures) {

    /** {@return whether it was faulty, by accident or on purpose; such shots stay out of every average} */
    public boolean faulty() {
        return sheet.has(SheetField.FAULT) || sheet.flag(SheetField.FAULT_ON_PURPOSE);
    }
}
