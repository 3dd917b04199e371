package org.grenu.core.diagnosis;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/** Asks every rule of the chosen packs; the gravest findings come first. */
public final class Diagnosis {

    private Diagnosis() {
    }

    /** {@return the findings on that shot by those packs} */
    public static List<Finding> of(ShotContext shot, Collection<RulePack> packs) {
        List<Finding> findings = new ArrayList<>();
        for (RulePack pack : packs) {
            for (FindingRule rule : pack.rules()) {
                rule.look(shot, pack.school()).ifPresent(findings::add);
            }
        }
        findings.sort(Comparator.comparing(Finding::severity).reversed());
        return findings;
    }
}
