package org.grenu.desktop.plan;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.grenu.app.advice.LadderLine;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;

/** The shots of the coffee that is dialled in, the newest on top, each with what was changed from the one before. */
public final class LadderView extends VBox {

    private final DialInViewModel model;
    private final ListView<LadderRow> list = new ListView<>();
    private final Label count = new Label();
    private final Label foot = new Label();
    private final Label empty = new Label();

    /** The ladder of that model. */
    public LadderView(DialInViewModel model, Appearance appearance) {
        this.model = model;
        getStyleClass().add(Styles.RACK);
        setId("ladder-column");
        setSpacing(8);
        getChildren().addAll(head(), body(appearance), foot);
        foot.setId("ladder-foot");
        foot.setWrapText(true);
        foot.getStyleClass().add(Styles.MUTED);
        model.answeredProperty().addListener((o, was, is) -> show());
        appearance.scale().addListener((o, was, is) -> list.refresh());
        appearance.themeProperty().addListener((o, was, is) -> list.refresh());
        show();
    }

    private HBox head() {
        Label title = new Label("Ladder");
        title.getStyleClass().add(Styles.HEADING);
        count.getStyleClass().add(Styles.MUTED);
        count.setId("ladder-count");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(8, title, gap, count);
        head.setAlignment(Pos.BASELINE_LEFT);
        return head;
    }

    private StackPane body(Appearance appearance) {
        list.setId("ladder");
        list.setAccessibleText("Shots of the coffee that is dialled in, the newest first");
        list.setCellFactory(view -> new LadderCell(appearance));
        list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> {
            if (is instanceof LadderRow.Pulled pulled) {
                model.open(pulled.line().rung().shot().name());
            }
        });
        empty.getStyleClass().add(Styles.EMPTY);
        empty.setWrapText(true);
        empty.setMouseTransparent(true);
        StackPane body = new StackPane(list, empty);
        StackPane.setAlignment(empty, Pos.TOP_LEFT);
        VBox.setVgrow(body, Priority.ALWAYS);
        return body;
    }

    private void show() {
        DialInAnswer answer = model.answeredProperty().get();
        List<LadderRow> rows = new ArrayList<>();
        if (answer != null) {
            answer.words().ifPresent(words -> rows.add(new LadderRow.Proposed(words)));
            List<LadderLine> lines = answer.lines();
            for (int i = 0; i < lines.size(); i++) {
                rows.add(new LadderRow.Pulled(lines.get(i), i == lines.size() - 1));
            }
        }
        list.getItems().setAll(rows);
        int shots = answer == null ? 0 : answer.lines().size();
        count.setText(shots == 0 ? "" : shots == 1 ? "1 shot" : shots + " shots, newest on top");
        empty.setText(shots > 0 ? "" : "No rung yet. The first shot of the coffee makes it.");
        foot.setText(answer == null || shots < 2 ? "" : summary(answer.lines()));
    }

    /** How well the ladder tells what did what. */
    static String summary(List<LadderLine> lines) {
        long steps = lines.stream()
                .filter(line -> line.rung().step() != Step.FIRST && line.rung().step() != Step.APART)
                .count();
        long one = count(lines, Step.ONE_THING);
        long repeats = count(lines, Step.REPEAT);
        long several = count(lines, Step.SEVERAL_THINGS);
        return one + " of " + steps + (steps == 1 ? " step" : " steps") + " changed one thing, " + repeats
                + (repeats == 1 ? " was a repeat" : " were repeats")
                + (several == 0 ? "." : "; " + several + " changed several, so that their cause is unclear.");
    }

    private static long count(List<LadderLine> lines, Step step) {
        return lines.stream().filter(line -> line.rung().step() == step).count();
    }
}
