package org.grenu.desktop.control;

import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/**
 * A heading under which something stands that can be put away; put away, a line says what is in it. What was never
 * looked at is not made.
 */
public final class Fold extends VBox {

    private final String title;
    private final Label summary = new Label();
    private final Label arrow = new Label("›");
    private final Button head = new Button();
    private final Supplier<? extends Node> contents;
    private boolean open;

    /** What is made there, put away, under a heading whose button has that id. */
    public Fold(String title, String id, Supplier<? extends Node> contents) {
        this.title = title;
        this.contents = contents;
        summary.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        summary.setWrapText(true);
        summary.setPadding(new Insets(0, 0, 0, 14));
        summary.managedProperty().bind(summary.visibleProperty());
        summary.setOnMouseClicked(event -> unfold(true));
        makeHead(id);
        getChildren().addAll(head, summary);
    }

    private void makeHead(String id) {
        arrow.getStyleClass().add(Styles.MUTED);
        arrow.setMinWidth(8);
        head.setText(title);
        head.setGraphic(arrow);
        head.setGraphicTextGap(6);
        head.setId(id);
        head.getStyleClass().add(Styles.FOLD);
        head.setMaxWidth(Double.MAX_VALUE);
        head.setOnAction(event -> unfold(!open));
    }

    /** Shows the content or puts it away. */
    public void unfold(boolean wanted) {
        open = wanted;
        if (open && getChildren().size() == 2) {
            Node content = contents.get();
            content.managedProperty().bind(content.visibleProperty());
            getChildren().add(content);
        }
        if (getChildren().size() > 2) {
            getChildren().get(2).setVisible(open);
        }
        summary.setVisible(!open);
        arrow.setRotate(open ? 90 : 0);
    }

    /** Says what is in it while it is put away. */
    public void summarise(String words) {
        summary.setText(words);
        head.setAccessibleText(title + ": " + words);
    }
}
