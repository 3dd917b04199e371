package org.grenu.desktop.shell;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import org.grenu.desktop.desk.Workspace;

/**
 * What a workspace puts on the bench.
 *
 * @param place  which workspace
 * @param centre the work surface
 * @param ledger the column beside it
 */
record Room(Workspace place, Node centre, Node ledger) {

    /** Shows both while one is there, and neither elsewhere. */
    void shownWhile(ObjectProperty<Workspace> workspace) {
        centre.visibleProperty().bind(workspace.isEqualTo(place));
        ledger.visibleProperty().bind(centre.visibleProperty());
    }
}
