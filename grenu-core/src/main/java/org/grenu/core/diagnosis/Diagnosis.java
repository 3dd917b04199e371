package org.grenu.core.diagnosis;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import org.grenu.core.record.Plausibility;

/** Asks every rule of the chosen packs; the gravest findings come first. */
public final class Diagnosis {

    private Diagnosis() {
    }

    /**
     * {@return the findings on that shot by those packs; where an entry is hardly meant, the question comes first
     * and nothing is advised}
     */
    public static List<Finding> of(ShotContext shot, Collection<RulePack> packs) {
        List<Finding> findings = new ArrayList<>();
        for (RulePack pack : packs) {
            for (FindingRule rule : pack.rules()) {
                rule.look(shot, pack.school()).ifPresent(findings::add);
            }
        }
        holdAdviceBack(shot, findings);
        findings.sort(Comparator.comparing(Finding::severity).reversed());
        return findings;
    }

    private static void holdAdviceBack(ShotContext shot, List<Finding> findings) {
        List<Plausibility.Doubt> doubts = Plausibility.of(shot.record(), shot.measures().masses());
        if (!doubts.isEmpty()) {
            findings.replaceAll(Finding::withoutAdvice);
            doubts.forEach(doubt -> findings.add(
                    new Finding("implausible_entry", Severity.FAULT,
                            new FindingWords(doubt.field().title() + ": " + doubt.question(),
                                    "No advice is given before it is answered",
                                    "Correct the entry, or say in the note why it is so.", ""),
                            OptionalDouble.empty(), 1, Finding.SHARED_PRACTICE)));
        }
    }
}
