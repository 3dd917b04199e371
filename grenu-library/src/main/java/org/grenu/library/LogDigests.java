package org.grenu.library;

import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.ShotLog;

/** Makes what the library keeps of a log beside it. Who measures logs anyway lends the library its measures. */
@FunctionalInterface
public interface LogDigests {

    /** Measures each log it is asked for. */
    LogDigests MEASURED_ANEW = (log, settings) -> CurveDigest.of(CurveMeasures.of(log, settings));

    /** {@return what that log says in short, by what its record says about it} */
    CurveDigest of(ShotLog log, CurveSettings settings);
}
