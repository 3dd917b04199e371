package org.grenu.desktop.control;

import java.util.Objects;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.MouseEvent;

/**
 * Keeps what lies under the pointer, or has the caret, where it is when something above it grows or shrinks: a field
 * that moves away is missed by the click that was meant for it.
 */
public final class SteadyScroll {

    private static final double LEAST = 0.5;

    private final ScrollPane scroll;
    private final Supplier<?> subject;
    private final Runnable afterLayout = this::afterLayout;
    private Node pointed;
    private Node kept;
    private double at;
    private Object of;

    private SteadyScroll(ScrollPane scroll, Supplier<?> subject) {
        this.scroll = scroll;
        this.subject = subject;
    }

    /**
     * Keeps that pane's content steady.
     *
     * @param subject what it tells of; where that changes everything may move
     */
    public static void keep(ScrollPane scroll, Supplier<?> subject) {
        SteadyScroll steady = new SteadyScroll(scroll, subject);
        scroll.addEventFilter(MouseEvent.MOUSE_MOVED,
                event -> steady.pointed = event.getPickResult().getIntersectedNode());
        scroll.addEventFilter(MouseEvent.MOUSE_EXITED_TARGET, event -> {
            if (event.getTarget() == scroll) {
                steady.pointed = null;
            }
        });
        scroll.sceneProperty().addListener((o, was, is) -> {
            if (was != null) {
                was.removePostLayoutPulseListener(steady.afterLayout);
            }
            if (is != null) {
                is.addPostLayoutPulseListener(steady.afterLayout);
            }
        });
    }

    private void afterLayout() {
        Node held = held(scroll.getScene());
        Object now = subject.get();
        if (held == null) {
            kept = null;
            return;
        }
        double y = place(held);
        boolean moved = held == kept && Objects.equals(of, now) && Math.abs(y - at) >= LEAST;
        if (moved) {
            scrollBy(y - at);
        }
        kept = held;
        at = y;
        of = now;
    }

    /** The field with the caret, or else what the pointer is on. */
    private Node held(Scene scene) {
        Node focused = scene == null ? null : scene.getFocusOwner();
        return inside(focused) ? focused : inside(pointed) ? pointed : null;
    }

    private boolean inside(Node node) {
        Node content = scroll.getContent();
        Node up = node;
        while (up != null && up != content) {
            up = up.getParent();
        }
        return up != null && node != content;
    }

    private double place(Node node) {
        return scroll.getContent().sceneToLocal(node.localToScene(0, 0)).getY();
    }

    private void scrollBy(double pixels) {
        double room = scroll.getContent().getLayoutBounds().getHeight() - scroll.getViewportBounds().getHeight();
        if (room > 0) {
            scroll.setVvalue(Math.max(0, Math.min(1, scroll.getVvalue() + pixels / room)));
            scroll.layout();
        }
    }
}
