package org.grenu.desktop.shell;

import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import org.grenu.desktop.control.FirstShown;
import org.grenu.desktop.desk.Workspace;

/** What a workspace shows on the work surface and in the column beside it, made when it is first gone to. */
record Room(Workspace workspace, Supplier<Node> centre, Supplier<Node> ledger) {

    /** Puts both into their places, seen only while that workspace is the current one. */
    void furnish(ObjectProperty<Workspace> current, StackPane work, StackPane beside) {
        FirstShown.behindIn(work, current(current), centre);
        FirstShown.behindIn(beside, current(current), ledger);
    }

    private BooleanBinding current(ObjectProperty<Workspace> current) {
        return Bindings.equal(current, workspace);
    }
}
