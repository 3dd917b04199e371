package org.grenu.core.compare;

import java.util.Optional;

/**
 * Something that differed, or did not, beside what was asked about.
 *
 * @param kind        how much it matters
 * @param title       what, such as {@code Temperature}
 * @param words       what was seen of it
 * @param sensitivity the answer without the shots that stand out by it
 * @param ofShots     whether it says of shots that they are doubtful, in words that stand by themselves
 */
public record BalanceNote(Kind kind, String title, String words, Optional<Sensitivity> sensitivity,
        boolean ofShots) {

    /** How much a note matters, most first. */
    public enum Kind {
        /** It moved together with what was asked about: the two cannot be told apart. */
        CONFOUNDED,
        /** It differed in some shots. */
        CHANGED,
        /** Nobody wrote it down in any shot on one side: whether it moved along is unknown. */
        HALF_KNOWN,
        /** It moved, and the model takes it out. */
        IN_THE_MODEL,
        /** It moved a little, evenly. */
        EVEN,
        /** Nobody wrote it down in some or all shots. */
        UNKNOWN,
        /** It was the same in all shots. */
        SAME
    }

    static BalanceNote of(Kind kind, String title, String words) {
        return new BalanceNote(kind, title, words, Optional.empty(), false);
    }

    /** Some shots stand out by something that differed. */
    static BalanceNote standingOut(Kind kind, String title, String words, Optional<Sensitivity> without) {
        return new BalanceNote(kind, title, words, without, false);
    }

    /** Shots are doubtful themselves, whatever differed in them. */
    static BalanceNote doubtful(String title, String words, Optional<Sensitivity> without) {
        return new BalanceNote(Kind.CHANGED, title, words, without, true);
    }

    /** {@return whether the answer has to say it: shots are doubtful, or it does not stand without them} */
    boolean doubtsTheAnswer() {
        return ofShots || sensitivity.filter(without -> !without.stands()).isPresent();
    }
}
