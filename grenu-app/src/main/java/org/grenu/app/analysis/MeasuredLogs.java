package org.grenu.app.analysis;

import java.util.LinkedHashMap;
import java.util.Map;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.shelf.ShotDerivation;

/** Logs with their measures, the latest asked for: whoever asks again is given the same ones. */
public final class MeasuredLogs implements ShotDerivation {

    /** A log with its measures takes about 0.1 MB. */
    private static final int KEPT = 500;

    private final Map<Key, CurveMeasures> known = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, CurveMeasures> eldest) {
            return size() > KEPT;
        }
    };

    /** What measures depend on: the samples, and what the record says about them. The algorithm is this program's. */
    private record Key(ShotLog log, CurveSettings settings) {
    }

    @Override
    public CurveDigest digest(ShotLog log, CurveSettings settings) {
        return CurveDigest.of(measures(log, settings));
    }

    /**
     * {@return what that log says} Two who ask at the same moment may both measure it; both are given the same
     * numbers.
     */
    CurveMeasures measures(ShotLog log, CurveSettings settings) {
        Key key = new Key(log, settings);
        synchronized (known) {
            CurveMeasures found = known.get(key);
            if (found != null) {
                return found;
            }
        }
        CurveMeasures measured = CurveMeasures.of(log, settings);
        synchronized (known) {
            known.put(key, measured);
        }
        return measured;
    }
}
