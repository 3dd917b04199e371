package org.grenu.desktop.shell;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.StudyDesk;

/** The far left: the workspaces that exist, the look, and when something was last stored. */
final class Spine extends VBox {

    Spine(StudyDesk desk, Appearance appearance) {
        getStyleClass().add(Styles.SPINE);
        setAlignment(Pos.TOP_CENTER);
        Node mark = Icon.MARK.node();
        mark.getStyleClass().add(Styles.PRODUCT_MARK);
        Label read = new Label("Read", Icon.READ.node());
        read.getStyleClass().addAll(Styles.SPINE_ITEM, Styles.CURRENT);
        Region gap = new Region();
        VBox.setVgrow(gap, Priority.ALWAYS);
        Button look = new Button();
        look.setId("look");
        look.getStyleClass().add(Styles.QUIET);
        look.setTooltip(new Tooltip("Light or dark (Ctrl D)"));
        look.setAccessibleText("Light or dark");
        look.setOnAction(event -> appearance.switchTheme());
        look.setGraphic(Icon.DARK.node());
        appearance.themeProperty().addListener((o, was, is) -> look.setGraphic(is.dark() ? Icon.LIGHT.node() : Icon.DARK.node()));
        Label stored = new Label();
        stored.setId("stored");
        stored.getStyleClass().add(Styles.STORED);
        stored.textProperty().bind(desk.storedProperty());
        stored.setWrapText(true);
        stored.setTooltip(new Tooltip("Every edit is stored at once; there is nothing to save."));
        getChildren().addAll(mark, read, gap, look, stored);
    }
}
