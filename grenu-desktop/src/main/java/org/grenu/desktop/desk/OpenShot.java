package org.grenu.desktop.desk;

import java.util.List;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.diagnosis.Diagnosis;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotMeasures;
import org.grenu.library.ShotSummary;

/**
 * The shot being read, with everything that is measured from it.
 */
public record OpenShot(ShotSummary summary, ShotLog log, ShotMeasures measures, List<Finding> findings) {

    /** {@return the shot with its measures; takes milliseconds, so not on the interface thread} */
    static OpenShot of(ShotSummary summary, ShotLog log) {
        ShotMeasures measures = ShotMeasures.of(new Shot(summary.sheet(), log));
        return new OpenShot(summary, log, measures, Diagnosis.of(summary.sheet(), measures));
    }

    /** {@return what was repaired in its log} */
    public List<Repair> repairs() {
        return measures.curve().repaired().repairs();
    }

    /** {@return record and log} */
    public Shot shot() {
        return new Shot(summary.sheet(), log);
    }
}
