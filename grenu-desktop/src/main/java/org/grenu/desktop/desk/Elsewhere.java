package org.grenu.desktop.desk;

import java.util.List;
import org.grenu.core.shelf.Shelf;
import org.grenu.library.EditDepth;
import org.grenu.library.ShotSummary;

/** Looks whether another window or program has changed the library. Its steps are not this window's to undo. */
final class Elsewhere {

    private final StudyDesk desk;
    private final PendingSteps underWay;

    Elsewhere(StudyDesk desk, PendingSteps underWay) {
        this.desk = desk;
        this.underWay = underWay;
    }

    /** The library as another process has left it. */
    record Found(List<ShotSummary> shots, Shelf shelf, EditDepth depth) {
    }

    /** Takes in what has been done, when anything has. */
    void look() {
        desk.steps().inOrder(PendingSteps.Kind.LOOK, this::found, found -> {
            if (found != null) {
                desk.show(found);
            }
        });
    }

    /** {@return the library as it is now; null while no other process has changed it} */
    private Found found() {
        if (!desk.library().changedElsewhere()) {
            return null;
        }
        Found found = desk.library()
                .read(tx -> new Found(tx.shots().all(), tx.shelf().all(), tx.journal().depth()));
        underWay.made(found.shots);
        return found;
    }
}
