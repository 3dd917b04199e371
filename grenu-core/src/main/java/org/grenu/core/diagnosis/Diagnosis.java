package org.grenu.core.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;

/** Asks every rule; the gravest findings come first. */
public final class Diagnosis {

    private static final List<Rule> RULES = List.of(
            CurveRules::noDrip, CurveRules::lateDrip, CurveRules::gusher, CurveRules::cutOff, CurveRules::massesDisagree,
            YieldRules::outsideWindow,
            StrengthRules::zeroMissing, StrengthRules::zeroLarge, StrengthRules::fewReadings, StrengthRules::outlier,
            StrengthRules::drift);

    private Diagnosis() {
    }

    /** {@return the findings on that shot} */
    public static List<Finding> of(ShotSheet sheet, ShotMeasures measures) {
        List<Finding> findings = new ArrayList<>();
        for (Rule rule : RULES) {
            rule.look(sheet, measures).ifPresent(findings::add);
        }
        findings.sort(Comparator.comparing(Finding::severity).reversed());
        return findings;
    }
}
