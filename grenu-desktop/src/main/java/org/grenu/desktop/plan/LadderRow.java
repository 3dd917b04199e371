package org.grenu.desktop.plan;

import org.grenu.app.advice.AdviceWords;
import org.grenu.app.advice.LadderLine;

/** A row of the ladder. */
sealed interface LadderRow {

    /** The shot that is proposed, above all that were pulled. */
    record Proposed(AdviceWords words) implements LadderRow {
    }

    /**
     * A shot, and what was changed to get there.
     *
     * @param last whether none lies below it
     */
    record Pulled(LadderLine line, boolean last) implements LadderRow {
    }
}
