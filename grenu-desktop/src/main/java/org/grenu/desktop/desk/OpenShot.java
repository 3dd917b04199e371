package org.grenu.desktop.desk;

import java.util.List;
import java.util.Optional;
import org.grenu.app.analysis.ShotAnalysis;
import org.grenu.app.findings.FindingIndex;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.diagnosis.NextStep;
import org.grenu.core.diagnosis.Siblings;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.phase.Phase;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.record.Plausibility;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.library.ShotSummary;

/**
 * The shot being read, with everything that is measured from it.
 */
public record OpenShot(ShotAnalysis analysis, List<Finding> findings) {

    /** {@return the shot with what those schools say of it} */
    static OpenShot of(ShotAnalysis analysis, Optional<ShotSummary> before, List<RulePack> packs) {
        return new OpenShot(analysis, FindingIndex.of(analysis, before, packs));
    }

    /** {@return the same shot with what other schools say of it} */
    OpenShot judgedBy(List<RulePack> packs, Optional<ShotSummary> before) {
        return of(analysis, before, packs);
    }

    /** {@return the shot without its samples} */
    public ShotSummary summary() {
        return analysis.summary();
    }

    /** {@return its samples as they were logged} */
    public ShotLog log() {
        return analysis.log();
    }

    /** {@return everything measured from it} */
    public ShotMeasures measures() {
        return analysis.measures();
    }

    /** {@return the one thing to do next, seen beside shots of the same recipe} */
    public NextStep next(Siblings siblings) {
        return NextStep.of(findings, measures().masses(), doubts(), siblings).withinReach(summary().record());
    }

    /** {@return entries that were hardly meant} */
    public List<Plausibility.Doubt> doubts() {
        return Plausibility.of(summary().record(), measures().masses());
    }

    /** {@return where its phases begin} */
    public List<PhaseBorder> phases() {
        return measures().phases().borders();
    }

    /** {@return the phase at that time of the log} */
    public Optional<Phase> phaseAt(double seconds) {
        return measures().phases()
                .phases()
                .stream()
                .filter(phase -> seconds >= phase.from() && seconds < phase.to())
                .findFirst();
    }

    /** {@return who says so} */
    public String phasesOrigin() {
        return measures().phases().origin().title();
    }

    /**
     * {@return the standard uncertainty of a reading at that time of the log, in the channel's unit; NaN when
     * unknown}
     */
    public double uncertainty(Channel channel, double seconds) {
        return measures().curve().uncertainty(channel, seconds);
    }

    /** {@return what was repaired in its log} */
    public List<Repair> repairs() {
        return measures().curve().repaired().repairs();
    }

    /** {@return record and log} */
    public Shot shot() {
        return analysis.shot();
    }
}
