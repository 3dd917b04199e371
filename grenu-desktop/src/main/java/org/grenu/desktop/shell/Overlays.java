package org.grenu.desktop.shell;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import org.grenu.desktop.control.FirstShown;

/**
 * What lies over the page. One stands there at a time; only what holds work, such as a log half mapped, stays beneath
 * another. Escape puts the topmost away, and the focus goes back to where it was.
 */
final class Overlays {

    private static final double TOP = 56;

    private final StackPane over;
    private final List<Overlay> all = new ArrayList<>();
    private Node before;
    private Consumer<Node> whenShown = node -> {};
    /** The nearest to the eye is drawn last. */
    private double nearest;

    /** Over that page, which is the pane's first child. */
    Overlays(StackPane over) {
        this.over = over;
    }

    private record Overlay(Node node, boolean holdsWork, Runnable putAway) {
    }

    /** Has each of them, once it stands there, done that to it. */
    void whenShown(Consumer<Node> what) {
        whenShown = what;
    }

    /** One that gives way to any other. */
    void add(Node node, Runnable putAway) {
        add(new Overlay(node, false, putAway));
    }

    /** One that stays beneath others until it is put away itself. */
    void addHoldingWork(Node node, Runnable putAway) {
        add(new Overlay(node, true, putAway));
    }

    private void add(Overlay one) {
        StackPane.setAlignment(one.node, Pos.TOP_CENTER);
        StackPane.setMargin(one.node, new Insets(TOP, 0, 24, 0));
        FirstShown.inFrontIn(over, one.node);
        all.add(one);
        one.node.visibleProperty().addListener((o, was, is) -> {
            if (is) {
                shown(one);
            } else {
                hidden(one);
            }
        });
    }

    /** {@return whether one stood there; the topmost no longer does} */
    boolean putTopmostAway() {
        return all.stream()
                .filter(one -> one.node.isVisible())
                .min(Comparator.comparingDouble(one -> one.node.getViewOrder()))
                .map(topmost -> {
                    topmost.putAway.run();
                    return true;
                })
                .orElse(false);
    }

    private void shown(Overlay one) {
        List<Overlay> others = all.stream().filter(other -> other != one && other.node.isVisible()).toList();
        if (others.isEmpty() && one.node.getScene() != null) {
            before = one.node.getScene().getFocusOwner();
        }
        one.node.setViewOrder(--nearest);
        whenShown.accept(one.node);
        others.stream().filter(other -> !other.holdsWork).forEach(other -> other.putAway.run());
    }

    /** Whoever had the focus has it again, unless what was done there gave it to another. */
    private void hidden(Overlay one) {
        if (all.stream().noneMatch(other -> other.node.isVisible())) {
            if (before != null && before.getScene() != null && holdsFocus(one.node)) {
                before.requestFocus();
            }
            before = null;
        }
    }

    private static boolean holdsFocus(Node node) {
        Node owner = node.getScene().getFocusOwner();
        while (owner != null && owner != node) {
            owner = owner.getParent();
        }
        return owner == node;
    }
}
