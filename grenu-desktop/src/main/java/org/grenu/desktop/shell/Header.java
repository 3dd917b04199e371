package org.grenu.desktop.shell;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.beans.Observable;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.action.ActionButton;
import org.grenu.desktop.action.Actions;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.StudyDesk;

/** The top of the window: what is open, undo and redo, import. */
final class Header extends HBox {

    private final Label study = new Label();

    Header(StudyDesk desk, Actions actions, Node library) {
        getStyleClass().add(Styles.HEADER);
        setAlignment(Pos.CENTER_LEFT);
        Label name = new Label("Grenu");
        name.getStyleClass().add(Styles.WORDMARK);
        name.setMinWidth(Region.USE_PREF_SIZE);
        study.getStyleClass().add(Styles.MUTED);
        NoticeBar notice = new NoticeBar(desk.noticeProperty());
        study.visibleProperty().bind(notice.visibleProperty().not());
        study.managedProperty().bind(study.visibleProperty());
        // The notice has its place whether there is one or not: nothing moves when it comes, and it covers nothing.
        StackPane told = new StackPane(study, notice);
        StackPane.setAlignment(study, Pos.CENTER_LEFT);
        HBox.setHgrow(told, Priority.ALWAYS);
        Button find = ActionButton.icon(actions.get("find-or-do"), Icon.SEARCH);
        Button undo = ActionButton.icon(actions.get("undo"), Icon.UNDO);
        Button redo = ActionButton.icon(actions.get("redo"), Icon.REDO);
        undo.setDisable(true);
        redo.setDisable(true);
        desk.editDepthProperty().addListener((o, was, is) -> {
            undo.setDisable(is.undoable() == 0);
            redo.setDisable(is.redoable() == 0);
        });
        Button settings = ActionButton.icon(actions.get("settings"), Icon.SETTINGS);
        Button write = ActionButton.words(actions.get("new-shot"));
        Button map = ActionButton.words(actions.get("map-log"));
        Button take = ActionButton.words(actions.get("import")).with(Icon.IMPORT);
        getChildren().addAll(name, told, find, undo, redo, settings, library, write, map, take);
        Runnable describe = desk.turns().of(() -> describe(desk));
        desk.shots().addListener((Observable o) -> describe.run());
        describe(desk);
    }

    private void describe(StudyDesk desk) {
        Set<String> named = new LinkedHashSet<>();
        desk.shots().forEach(shot -> named.addAll(shot.record().studies()));
        List<String> studies = List.copyOf(named);
        boolean simulated = !desk.shots().isEmpty()
                && desk.shots().stream().allMatch(shot -> shot.record().flag(RecordField.SIMULATED));
        String first = studies.isEmpty() ? ""
                : studies.get(0) + (studies.size() > 1 ? " and " + (studies.size() - 1) + " more" : "");
        study.setText((simulated ? "Basalt Room / " : "") + first + (simulated ? "  (simulated)" : ""));
        Hint.on(study, String.join("\n", studies));
    }
}
