package org.grenu.core.diagnosis;

import java.util.OptionalDouble;

/**
 * Something worth saying about a shot.
 *
 * @param rule       stable name of the rule that speaks, such as {@code zero_check_missing}
 * @param severity   how much it asks
 * @param words      what it says
 * @param atSeconds  where on the curve, s, when it has a place
 * @param confidence how likely what the rule asks is true, given the numbers' uncertainty, in [0, 1]
 * @param school     whose advice that is
 */
public record Finding(String rule, Severity severity, FindingWords words, OptionalDouble atSeconds,
        double confidence, String school) {

    private static final double SURE = 0.995;

    /** Advice that the schools share. */
    public static final String SHARED_PRACTICE = "common practice";

    /** {@return what is so, one sentence} */
    public String statement() {
        return words.statement();
    }

    /** {@return the numbers it rests on} */
    public String evidence() {
        return words.evidence();
    }

    /** {@return what to do next} */
    public String toTry() {
        return words.toTry();
    }

    /** {@return the one change it asks for, in a few words; empty when it asks for none} */
    public String next() {
        return words.next();
    }

    /** {@return what was seen, without anything to do about it} */
    Finding withoutAdvice() {
        return new Finding(rule, severity, new FindingWords(statement(), evidence(), "", ""), atSeconds, confidence,
                school);
    }

    /** {@return the confidence in words} */
    public String confidenceWords() {
        return confidence >= SURE ? "sure"
                : confidence >= 0.9 ? "very likely" : confidence >= 0.7 ? "likely" : "possible";
    }
}
