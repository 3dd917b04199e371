package org.grenu.library;

import org.grenu.core.curve.CurveDigest;
import org.grenu.core.study.Masses;
import org.grenu.core.study.ShotSheet;

/**
 * A stored shot without its samples: what a list or a map needs.
 *
 * @param id     key in the library
 * @param number as people call it, counted in the order of import
 * @param sheet  its record
 * @param digest what its log says, in short
 */
public record ShotSummary(long id, int number, ShotSheet sheet, CurveDigest digest) {

    /** {@return masses and strength as far as known} */
    public Masses masses() {
        return Masses.of(sheet, digest.beverage());
    }
}
