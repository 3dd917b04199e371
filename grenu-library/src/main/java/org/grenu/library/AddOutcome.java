package org.grenu.library;

/** What became of a shot that was to be added. */
public sealed interface AddOutcome {

    /** It is stored. */
    record Added(ShotSummary shot) implements AddOutcome {
    }

    /** A shot with the very same samples is stored already; nothing was changed. */
    record Duplicate(int number) implements AddOutcome {
    }
}
