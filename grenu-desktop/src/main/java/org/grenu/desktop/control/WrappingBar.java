package org.grenu.desktop.control;

import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

/** Controls in a row that goes on below where there is no more room. */
public class WrappingBar extends FlowPane {

    private static final double PADDING = 32;

    /** An empty bar in the style of those below figures. */
    protected WrappingBar() {
        super(Orientation.HORIZONTAL, 10, 4);
        getStyleClass().add(Styles.WORK_FOOT);
        setAlignment(Pos.CENTER_LEFT);
        // A long word must not make the whole page as wide as itself.
        setMinWidth(0);
    }

    /** Lets the label be as wide as its words and no wider than the bar. */
    protected final void fit(Label label) {
        label.setMinWidth(0);
        label.maxWidthProperty().bind(widthProperty().subtract(PADDING));
    }

    /** {@return controls that stay together behind what they are about} */
    protected static Node named(String words, Node... controls) {
        Label label = new Label(words);
        label.getStyleClass().add(Styles.MUTED);
        label.setMinWidth(Region.USE_PREF_SIZE);
        HBox together = new HBox(8, label);
        together.getChildren().addAll(controls);
        together.setAlignment(Pos.CENTER_LEFT);
        return together;
    }
}
