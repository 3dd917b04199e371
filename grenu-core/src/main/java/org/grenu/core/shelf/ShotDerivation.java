package org.grenu.core.shelf;

import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.record.ShotRecord;

/**
 * What follows from a shot as it was written down: for whoever stores shots and neither measures nor completes them.
 * Who measures logs anyway lends a keeper of shots its measures.
 */
public interface ShotDerivation {

    /** Completes and measures whatever it is asked for, anew each time. */
    ShotDerivation ANEW = (log, settings) -> CurveDigest.of(CurveMeasures.of(log, settings));

    /** {@return what that log says in short, by what its record says about it} */
    CurveDigest digest(ShotLog log, CurveSettings settings);

    /** {@return the record with what it leaves open and the shelf tells of its coffee and gear} */
    default ShotRecord complete(ShotRecord written, Shelf shelf) {
        return shelf.complete(written);
    }
}
