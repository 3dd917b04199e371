package org.grenu.desktop.control;

import java.util.function.Supplier;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableBooleanValue;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/**
 * Puts parts of the window into their place when they are first shown: what nobody looks at is not styled, and where it
 * can be is not even made.
 */
public final class FirstShown {

    private FirstShown() {
    }

    /** Puts the node in front of what is in that pane once it is visible. */
    public static void inFrontIn(Pane pane, Node node) {
        once(pane, node.visibleProperty(), node, () -> pane.getChildren().add(node));
    }

    /**
     * Makes the node once it is to be seen, behind what is in that pane; from then on it is seen while that holds.
     */
    public static void behindIn(Pane pane, ObservableBooleanValue seen, Supplier<Node> node) {
        once(pane, seen, seen, () -> pane.getChildren().add(0, made(node, seen)));
    }

    private static Node made(Supplier<Node> node, ObservableBooleanValue seen) {
        Node made = node.get();
        made.visibleProperty().bind(seen);
        return made;
    }

    private static void once(Pane pane, ObservableBooleanValue seen, Object kept, Runnable put) {
        if (seen.get()) {
            put.run();
            return;
        }
        // What makes it visible holds it weakly, as bindings do: until it is shown the pane keeps it.
        pane.getProperties().put(kept, kept);
        seen.addListener(new ChangeListener<>() {

            @Override
            public void changed(ObservableValue<? extends Boolean> o, Boolean was, Boolean is) {
                seen.removeListener(this);
                pane.getProperties().remove(kept);
                put.run();
            }
        });
    }
}
