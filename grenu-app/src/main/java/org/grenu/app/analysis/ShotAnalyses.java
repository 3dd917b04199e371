package org.grenu.app.analysis;

import java.util.LinkedHashMap;
import java.util.Map;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.record.ShotMeasures;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;

/**
 * The shots of a library with what is measured of them, the latest asked for. A shot is measured anew when its record
 * has
 * changed, and its log only when what the record says about the log has.
 */
public final class ShotAnalyses {

    private static final int KEPT = 500;

    private final Library library;
    private final MeasuredLogs logs;
    private final Map<Long, ShotAnalysis> known = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, ShotAnalysis> eldest) {
            return size() > KEPT;
        }
    };

    /** The shots of that library, whose logs are measured there. */
    public ShotAnalyses(Library library, MeasuredLogs logs) {
        this.library = library;
        this.logs = logs;
    }

    /** {@return that shot, measured} Takes milliseconds where it was not asked for before. */
    public ShotAnalysis of(ShotSummary summary) {
        ShotAnalysis before;
        synchronized (known) {
            before = known.get(summary.id());
        }
        if (before != null && before.summary().equals(summary)) {
            return before;
        }
        boolean sameLog = before != null && before.summary().log().equals(summary.log());
        ShotLog log = sameLog ? before.log() : library.read(tx -> tx.shots().log(summary.id()));
        ShotMeasures measures = sameLog && before.summary().record().equals(summary.record()) ? before.measures()
                : ShotMeasures.of(summary.record(), logs.measures(log, summary.record().curveSettings()));
        ShotAnalysis now = new ShotAnalysis(summary, log, measures);
        synchronized (known) {
            known.put(summary.id(), now);
        }
        return now;
    }

    /** The library became another as a whole: what was known of its shots counts no longer. */
    public void forget() {
        synchronized (known) {
            known.clear();
        }
    }
}
