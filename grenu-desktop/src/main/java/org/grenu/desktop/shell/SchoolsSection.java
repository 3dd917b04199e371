package org.grenu.desktop.shell;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.app.settings.Schools;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.desktop.control.Buttons;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.StudyDesk;

/** Which schools speak, and their rules to read, edit and write. */
final class SchoolsSection extends VBox {

    private final StudyDesk desk;
    private final VBox list = new VBox(4);
    private final RulesEditor editor;

    SchoolsSection(StudyDesk desk) {
        super(10);
        this.desk = desk;
        this.editor = new RulesEditor(desk);
        Label title = new Label("Schools that speak");
        title.getStyleClass().add(Styles.HEADING);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Button write = Buttons.link("school-new", "Write a school…", editor::begin);
        HBox head = new HBox(8, title, gap, write);
        head.setAlignment(Pos.BASELINE_LEFT);
        Label words = new Label(
                "Where practitioners disagree, choose whose rules are asked. Every finding names its school.");
        words.getStyleClass().add(Styles.MUTED);
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.setMinHeight(90);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(head, words, scroll, editor);
        desk.settingsProperty().addListener((o, was, is) -> fill());
        fill();
    }

    void fill() {
        list.getChildren().clear();
        Map<String, List<RulePack>> topics = schools().all()
                .stream()
                .collect(Collectors.groupingBy(RulePack::topic, LinkedHashMap::new, Collectors.toList()));
        topics.forEach(this::show);
    }

    private void show(String topic, List<RulePack> packs) {
        Label title = new Label(topic.isEmpty() ? "Shared by the schools" : topic);
        title.getStyleClass().add(Styles.STRONG);
        list.getChildren().add(title);
        packs.forEach(pack -> list.getChildren().add(pack(pack)));
    }

    private Node pack(RulePack pack) {
        CheckBox box = new CheckBox(pack.title());
        box.setId("pack-" + pack.id());
        box.setSelected(schools().speaks(pack));
        box.setOnAction(event -> choose(schools().with(pack, box.isSelected())));
        boolean own = Schools.shipped(pack.id()).isEmpty();
        Button edit = Buttons.link("edit-" + pack.id(),
                own ? "Rules, your own…" : schools().edited(pack) ? "Rules, edited…" : "Rules…",
                () -> editor.edit(pack));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox row = new HBox(8, box, gap, edit);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private Schools schools() {
        return desk.settingsProperty().get().schools();
    }

    private void choose(Schools chosen) {
        desk.choose(desk.settingsProperty().get().with(chosen));
    }
}
