package org.grenu.desktop.control;

import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/** Puts parts of the window into their place when they are first shown: what nobody looks at is not styled. */
public final class FirstShown {

    private FirstShown() {
    }

    /** Puts the node in front of what is in that pane once it is visible. */
    public static void inFrontIn(Pane pane, Node node) {
        onceVisible(pane, node, () -> pane.getChildren().add(node));
    }

    /** Puts the node behind what is in that pane once it is visible. */
    public static void behindIn(Pane pane, Node node) {
        onceVisible(pane, node, () -> pane.getChildren().add(0, node));
    }

    private static void onceVisible(Pane pane, Node node, Runnable put) {
        if (node.isVisible()) {
            put.run();
            return;
        }
        // What makes it visible holds it weakly, as bindings do: until it is shown the pane keeps it.
        pane.getProperties().put(node, node);
        node.visibleProperty().addListener(new ChangeListener<>() {

            @Override
            public void changed(ObservableValue<? extends Boolean> o, Boolean was, Boolean is) {
                node.visibleProperty().removeListener(this);
                pane.getProperties().remove(node);
                put.run();
            }
        });
    }
}
