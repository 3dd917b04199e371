package org.grenu.app.analysis;

import org.grenu.core.curve.ShotLog;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.library.ShotSummary;

/**
 * A stored shot with its log and everything measured from it.
 *
 * @param measures by the record in {@code summary}
 */
public record ShotAnalysis(ShotSummary summary, ShotLog log, ShotMeasures measures) {

    /** {@return record and log} */
    public Shot shot() {
        return new Shot(summary.record(), log);
    }

    /** {@return the shot as comparisons see it, called by its number} */
    public MeasuredShot measured() {
        return new MeasuredShot(Integer.toString(summary.number()), summary.record(), measures);
    }
}
