package org.grenu.desktop.control;

import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A part of a ledger: a heading with a remark at its right, and what belongs to it. */
public class Section extends VBox {

    private final Label title = new Label();
    private final Label remark = new Label();

    /** An empty part with that heading. */
    protected Section(String heading, Node... content) {
        getStyleClass().add(Styles.SECTION);
        title.setText(heading);
        title.getStyleClass().add(Styles.HEADING);
        title.setMinWidth(Region.USE_PREF_SIZE);
        remark.getStyleClass().add(Styles.MUTED);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox line = new HBox(8, title, gap, remark);
        line.setAlignment(Pos.BASELINE_LEFT);
        getChildren().add(line);
        getChildren().addAll(content);
    }

    /** {@return words between fields, on the line of what is typed in them} */
    public static Label word(String text) {
        Label label = new Label(text);
        label.getStyleClass().add(Styles.MUTED);
        label.setMinWidth(Region.USE_PREF_SIZE);
        label.setPadding(new Insets(4, 0, 0, 0));
        return label;
    }

    /** {@return the heading} */
    public final Label title() {
        return title;
    }

    /** {@return the words at the right of the heading} */
    public final Label remark() {
        return remark;
    }
}
