package org.grenu.core.diagnosis;

import java.util.Comparator;
import java.util.List;

/**
 * The one thing to do next.
 *
 * @param change what to change, in a few words
 * @param reason why, a sentence
 * @param school whose advice that is; empty when it follows from the record alone
 */
public record NextStep(String change, String reason, String school) {

    /** {@return the step that the gravest and surest finding asks for; a repeat when none asks for any} */
    public static NextStep of(List<Finding> findings) {
        return findings.stream().filter(finding -> !finding.next().isEmpty())
                .max(Comparator.comparing(Finding::severity).thenComparingDouble(Finding::confidence))
                .map(finding -> new NextStep(finding.next(), finding.statement() + " Change only this.", finding.school()))
                .orElse(new NextStep("Repeat this recipe", "Nothing asks for a change, and one shot does not show how much the next may differ.", ""));
    }
}
