package org.grenu.desktop.control;

import javafx.geometry.Pos;
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
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setMaxHeight(height);
        scroll.prefViewportHeightProperty().bind(content.heightProperty());
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        return scroll;
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
