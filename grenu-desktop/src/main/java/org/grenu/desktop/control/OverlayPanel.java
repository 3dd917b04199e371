package org.grenu.desktop.control;

import javafx.geometry.Pos;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A panel that lies over the page once it is asked for, as high as what is in it. */
public abstract class OverlayPanel extends VBox {

    /** One with that id, no wider than that. */
    protected OverlayPanel(String id, double width) {
        super(10);
        setId(id);
        getStyleClass().add(Styles.OVERLAY);
        setMaxSize(width, USE_PREF_SIZE);
        setVisible(false);
        managedProperty().bind(visibleProperty());
    }

    /** {@return its heading, with what can be done beside it} */
    protected static HBox top(String title, Node... beside) {
        Label words = new Label(title);
        words.getStyleClass().add(Styles.HEADING);
        HBox top = new HBox(8, words, gap());
        top.getChildren().addAll(beside);
        top.setAlignment(Pos.CENTER_LEFT);
        return top;
    }

    /** {@return the button that puts it away} */
    protected final Button close(String id) {
        return button(id, "Close", () -> setVisible(false));
    }

    /** {@return the content, which scrolls when it is higher than that} */
    protected static ScrollPane scrolled(Region content, double height) {
        ScrollPane scroll = new AsHighAsItsContent(content, height);
        scroll.setFitToWidth(true);
        scroll.setMaxHeight(height);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        return scroll;
    }

    /**
     * Asks for the height that its content needs at its width, while that is laid out: a height bound to the content's
     * own comes one layout late, and the panel stood open by a line.
     */
    private static final class AsHighAsItsContent extends ScrollPane {

        private static final double BAR = 14;
        private final Region within;
        private final double most;

        AsHighAsItsContent(Region within, double most) {
            super(within);
            this.within = within;
            this.most = most;
        }

        @Override
        public Orientation getContentBias() {
            return Orientation.HORIZONTAL;
        }

        @Override
        protected double computePrefHeight(double width) {
            double room = width < 0 ? -1 : Math.max(0, width - BAR);
            return Math.min(most, within.prefHeight(room) + snappedTopInset() + snappedBottomInset());
        }
    }

    /** {@return room that pushes what follows to the right} */
    protected static Region gap() {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        return gap;
    }

    /** {@return a button that does that} */
    protected static Button button(String id, String words, Runnable run) {
        return Buttons.action(id, words, run);
    }

    /** {@return a button that looks like a word} */
    protected static Button link(String id, String words, Runnable run) {
        return Buttons.link(id, words, run);
    }
}
