package org.grenu.desktop.shell;

import java.util.Locale;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.action.Action;
import org.grenu.desktop.action.ActionButton;
import org.grenu.desktop.action.Actions;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.desk.Workspace;

/** The far left: the workspaces that exist, the look, and when something was last stored. */
final class Spine extends VBox {

    Spine(StudyDesk desk, Appearance appearance, ObjectProperty<Workspace> workspace, Actions actions) {
        getStyleClass().add(Styles.SPINE);
        setAlignment(Pos.TOP_CENTER);
        getChildren().add(mark());
        for (Workspace place : Workspace.values()) {
            getChildren().add(item(place, workspace, actions));
        }
        Region gap = new Region();
        VBox.setVgrow(gap, Priority.ALWAYS);
        Button look = look(appearance, actions);
        Label stored = stored(desk);
        getChildren().addAll(gap, look, stored);
    }

    private static Node mark() {
        Node mark = Icon.MARK.node();
        mark.getStyleClass().add(Styles.PRODUCT_MARK);
        return mark;
    }

    private static Button look(Appearance appearance, Actions actions) {
        Button look = ActionButton.icon(actions.get("look"), Icon.DARK);
        appearance.themeProperty()
                .addListener((o, was, is) -> look.setGraphic(is.dark() ? Icon.LIGHT.node() : Icon.DARK.node()));
        return look;
    }

    private static Label stored(StudyDesk desk) {
        Label stored = new Label();
        stored.setId("stored");
        stored.getStyleClass().add(Styles.STORED);
        stored.textProperty().bind(desk.storedProperty());
        stored.setWrapText(true);
        Hint.on(stored, "Every edit is stored at once; there is nothing to save.");
        return stored;
    }

    private static Button item(Workspace place, ObjectProperty<Workspace> workspace, Actions actions) {
        Action action = actions.get("workspace-" + place.name().toLowerCase(Locale.ROOT));
        Button item = new Button(action.label(), place.icon().node());
        item.setId(action.id());
        item.getStyleClass().add(Styles.SPINE_ITEM);
        Hint.on(item, action.tooltip());
        item.setOnAction(event -> action.invoke());
        Runnable mark = () -> mark(item, workspace.get() == place);
        workspace.addListener((o, was, is) -> mark.run());
        mark.run();
        return item;
    }

    private static void mark(Button item, boolean current) {
        item.getStyleClass().remove(Styles.CURRENT);
        if (current) {
            item.getStyleClass().add(Styles.CURRENT);
        }
    }
}
