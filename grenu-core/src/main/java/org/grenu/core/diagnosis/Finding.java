package org.grenu.core.diagnosis;

import java.util.OptionalDouble;

/**
 * Something worth saying about a shot.
 *
 * @param rule      stable name of the rule that speaks, such as {@code zero_check_missing}
 * @param severity  how much it asks
 * @param statement what is so, one sentence
 * @param evidence  the numbers it rests on
 * @param atSeconds where on the curve, s, when it has a place
 * @param toTry     what to do next
 * @param school    whose advice that is
 */
public record Finding(String rule, Severity severity, String statement, String evidence, OptionalDouble atSeconds,
                      String toTry, String school) {

    /** Advice that the schools share. */
    public static final String SHARED_PRACTICE = "common practice";
}
