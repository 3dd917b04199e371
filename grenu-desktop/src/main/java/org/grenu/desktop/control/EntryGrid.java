package org.grenu.desktop.control;

import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;

/** Names at the left and what is entered for them beside, in the width of a ledger. */
public final class EntryGrid extends GridPane {

    private static final double NAME_WIDTH = 118;

    /** An empty one. */
    public EntryGrid() {
        setHgap(6);
        setVgap(3);
        ColumnConstraints value = new ColumnConstraints();
        value.setHgrow(Priority.ALWAYS);
        getColumnConstraints().addAll(new ColumnConstraints(NAME_WIDTH), value);
    }
}
