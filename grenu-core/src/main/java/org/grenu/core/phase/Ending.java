package org.grenu.core.phase;

/**
 * Why a phase ended.
 *
 * @param kind what kind of reason
 * @param text the reason in a few words, such as {@code pressure above 8.5 bar}; empty when unknown
 */
public record Ending(Kind kind, String text) {

    /** What kinds of reason there are. */
    public enum Kind {
        CONDITION, TIME_LIMIT, MASS, PUMP_OFF, OPERATOR, END_OF_LOG, UNKNOWN
    }

    /** Nothing in log or record says why. */
    public static final Ending UNKNOWN = new Ending(Kind.UNKNOWN, "");
}
