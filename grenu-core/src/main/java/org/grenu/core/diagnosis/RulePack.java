package org.grenu.core.diagnosis;

import java.util.List;
import java.util.Locale;

/**
 * The rules of one school, or those that the schools share.
 *
 * @param id     stable
 * @param topic  what the schools differ about; empty for what they share
 * @param title  the position, as its school states it
 * @param chosen whether it speaks unless the user says otherwise
 * @param rules  in order
 * @param starts what it begins with, in order
 * @param text   as it was written
 */
public record RulePack(String id, String topic, String title, boolean chosen, List<FindingRule> rules,
        List<StartRule> starts, String text) {

    public RulePack {
        rules = List.copyOf(rules);
        starts = List.copyOf(starts);
    }

    /**
     * {@return the pack written so} The form is described in docs/rules.md.
     *
     * @throws RulePackError if it cannot be understood; names the line and what to do
     */
    public static RulePack parse(String text) {
        return new RulePackText(text).pack();
    }

    /** {@return whom its findings name} */
    public String school() {
        return topic.isEmpty() ? Finding.SHARED_PRACTICE : topic.toLowerCase(Locale.ROOT) + ": " + title;
    }
}
