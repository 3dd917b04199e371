package org.grenu.desktop.shell;

import java.util.stream.Collectors;
import javafx.beans.Observable;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.grenu.core.study.SheetField;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.StudyDesk;

/** The top of the window: what is open, undo and redo, import. */
final class Header extends HBox {

    private final Label study = new Label();

    Header(StudyDesk desk, Runnable newShot, Runnable importFiles, Runnable mapLog, Runnable settings, Node library) {
        getStyleClass().add(Styles.HEADER);
        setAlignment(Pos.CENTER_LEFT);
        Label name = new Label("Grenu");
        name.getStyleClass().add(Styles.WORDMARK);
        name.setMinWidth(Region.USE_PREF_SIZE);
        study.getStyleClass().add(Styles.MUTED);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Button undo = button("undo", Icon.UNDO, "Undo the last edit (Ctrl Z)", desk::undo);
        Button redo = button("redo", Icon.REDO, "Redo (Ctrl Shift Z)", desk::redo);
        undo.setDisable(true);
        redo.setDisable(true);
        desk.editDepthProperty().addListener((o, was, is) -> {
            undo.setDisable(is.undoable() == 0);
            redo.setDisable(is.redoable() == 0);
        });
        Button choose = button("settings", Icon.SETTINGS, "Schools, time convention (Ctrl ,)", settings);
        Button write = new Button("New shot");
        write.setId("new-shot");
        write.getStyleClass().add(Styles.ACTION);
        write.setMinWidth(Region.USE_PREF_SIZE);
        write.setTooltip(new Tooltip("Write down a shot without a log (Ctrl N); a log may come later"));
        write.setOnAction(event -> newShot.run());
        Button map = new Button("Map a log…");
        map.setId("map-log");
        map.getStyleClass().add(Styles.ACTION);
        map.setMinWidth(Region.USE_PREF_SIZE);
        map.setTooltip(new Tooltip("Say what the columns of any log mean, and import its shots (Ctrl M)"));
        map.setOnAction(event -> mapLog.run());
        Button take = new Button("Import…", Icon.IMPORT.node());
        take.setId("import");
        take.getStyleClass().add(Styles.ACTION);
        take.setMinWidth(Region.USE_PREF_SIZE);
        take.setTooltip(new Tooltip("Import shot logs (Ctrl O), or drop files on the window"));
        take.setOnAction(event -> importFiles.run());
        getChildren().addAll(name, study, gap, undo, redo, choose, library, write, map, take);
        desk.shots().addListener((Observable o) -> describe(desk));
        describe(desk);
    }

    private static Button button(String id, Icon icon, String tip, Runnable action) {
        Button button = new Button();
        button.setGraphic(icon.node());
        button.setId(id);
        button.getStyleClass().add(Styles.QUIET);
        button.setTooltip(new Tooltip(tip));
        button.setAccessibleText(tip);
        button.setOnAction(event -> action.run());
        return button;
    }

    private void describe(StudyDesk desk) {
        String studies = desk.shots().stream().flatMap(shot -> shot.sheet().studies().stream()).distinct().limit(3).collect(Collectors.joining(" / "));
        boolean simulated = !desk.shots().isEmpty() && desk.shots().stream().allMatch(shot -> shot.sheet().flag(SheetField.SIMULATED));
        study.setText((simulated ? "Basalt Room / " : "") + studies + (simulated ? "  (simulated)" : ""));
    }
}
