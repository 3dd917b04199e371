package org.grenu.desktop.desk;

import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.diagnosis.Diagnosis;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.diagnosis.NextStep;
import org.grenu.core.diagnosis.Siblings;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.ShotContext;
import org.grenu.core.phase.Phase;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.study.Plausibility;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;
import org.grenu.library.ShotSummary;

/**
 * The shot being read, with everything that is measured from it.
 */
public record OpenShot(ShotSummary summary, ShotLog log, ShotMeasures measures, List<Finding> findings) {

    /** {@return the shot with its measures; takes milliseconds, so not on the interface thread} */
    static OpenShot of(ShotSummary summary, ShotLog log, Optional<ShotSheet> before, List<RulePack> packs) {
        ShotMeasures measures = ShotMeasures.of(new Shot(summary.sheet(), log));
        return new OpenShot(summary, log, measures, Diagnosis.of(new ShotContext(summary.sheet(), measures, before), packs));
    }

    /** {@return the same shot with what other schools say of it} */
    OpenShot judgedBy(List<RulePack> packs, Optional<ShotSheet> before) {
        return new OpenShot(summary, log, measures, Diagnosis.of(new ShotContext(summary.sheet(), measures, before), packs));
    }

    /** {@return the one thing to do next, seen beside shots of the same recipe} */
    public NextStep next(Siblings siblings) {
        return NextStep.of(findings, measures.masses(), doubts(), siblings);
    }

    /** {@return entries that were hardly meant} */
    public List<Plausibility.Doubt> doubts() {
        return Plausibility.of(summary.sheet(), measures.masses());
    }

    /** {@return where its phases begin} */
    public List<PhaseBorder> phases() {
        return measures.phases().borders();
    }

    /** {@return the phase at that time of the log} */
    public Optional<Phase> phaseAt(double seconds) {
        return measures.phases().phases().stream().filter(phase -> seconds >= phase.from() && seconds < phase.to()).findFirst();
    }

    /** {@return who says so} */
    public String phasesOrigin() {
        return measures.phases().origin().title();
    }

    /** {@return the standard uncertainty of a reading at that time of the log, in the channel's unit; NaN when unknown} */
    public double uncertainty(Channel channel, double seconds) {
        return measures.curve().uncertainty(channel, seconds);
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
