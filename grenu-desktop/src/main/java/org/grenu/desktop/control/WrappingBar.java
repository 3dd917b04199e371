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

    /** An empty bar in the style of those below figures. */
    protected WrappingBar() {
        super(Orientation.HORIZONTAL, 10, 4);
        getStyleClass().add(Styles.WORK_FOOT);
        setAlignment(Pos.CENTER_LEFT);
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
