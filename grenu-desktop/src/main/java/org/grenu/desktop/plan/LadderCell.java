package org.grenu.desktop.plan;

import java.util.Locale;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.app.advice.AdviceWords;
import org.grenu.app.advice.LadderLine;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.learn.NextShot;
import org.grenu.core.learn.Prediction;
import org.grenu.core.learn.Slope;
import org.grenu.desktop.control.FxColor;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;

/** A rung with the step below it. */
final class LadderCell extends ListCell<LadderRow> {

    private final Appearance appearance;

    LadderCell(Appearance appearance) {
        this.appearance = appearance;
        getStyleClass().add("ladder-cell");
    }

    @Override
    protected void updateItem(LadderRow row, boolean empty) {
        super.updateItem(row, empty);
        setText(null);
        if (empty || row == null) {
            setGraphic(null);
            setAccessibleText(null);
            return;
        }
        if (row instanceof LadderRow.Proposed proposed) {
            show(LadderRail.proposed(appearance.themeProperty().get()), proposed(proposed.words()));
            setAccessibleText("Proposed: " + proposed.words().next() + ". " + proposed.words().expected());
        } else if (row instanceof LadderRow.Pulled pulled) {
            LadderRail rail = new LadderRail(pulled.last());
            rail.show(FxColor.of(appearance.scale()
                    .get()
                    .color(pulled.line().rung().shot().record(), appearance.themeProperty().get())),
                    pulled.line().rung().step());
            show(rail, pulled(pulled.line()));
            setAccessibleText(pulled.line().words());
        }
    }

    private void show(Node rail, Node words) {
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(8, rail, words);
        row.setMinWidth(0);
        row.setPrefWidth(0);
        setGraphic(row);
    }

    private static Node proposed(AdviceWords words) {
        NextShot next = words.given().advice().next();
        Prediction time = words.given().advice().beliefs().time().shot(next.inputs());
        Label what = label(next instanceof NextShot.Enough ? "good enough" : "proposed", Styles.MUTED);
        Label set = label(words.setting(next instanceof NextShot.Change change ? change.lever()
                : Slope.GRIND, next.inputs()), "ladder-proposed");
        HBox head = new HBox(5, set, what);
        head.setAlignment(Pos.BASELINE_LEFT);
        Label told = label(String.format(Locale.ROOT, "about %.0f s (%.0f–%.0f)", time.median(), time.quantile(0.025),
                time.quantile(0.975)), Styles.CHIP);
        told.setMinWidth(USE_PREF_SIZE);
        VBox box = new VBox(1, head, told);
        words.given()
                .advice()
                .beliefs()
                .yield()
                .map(belief -> belief.shot(next.inputs()))
                .ifPresent(yield -> told.setText(told.getText() + String.format(Locale.ROOT, ", EY %.1f ±%.1f",
                        yield.median(), yield.half())));
        box.setMinHeight(46);
        return box;
    }

    private static Node pulled(LadderLine line) {
        Label name = label(line.rung().shot().name(), "ladder-name");
        Label set = label(line.set(), Styles.MUTED, Styles.CAPTION);
        Label time = label(line.time(), "ladder-name");
        time.setMinWidth(USE_PREF_SIZE);
        HBox first = spread(new HBox(5, name, set), time);
        Label yield = label(line.yield().isEmpty() ? "EY –" : "EY " + line.yield(), Styles.CHIP);
        yield.setMinWidth(USE_PREF_SIZE);
        Label taste = label(line.taste(), Styles.CHIP, "ladder-taste");
        taste.setMinWidth(0);
        Hint.on(taste, line.taste());
        HBox told = new HBox(yield);
        HBox second = spread(told, taste);
        told.setMinWidth(USE_PREF_SIZE);
        Label changed = label(line.changed(), "ladder-changed");
        Hint.on(changed, line.detail());
        Label verdict = label(line.verdict(), Styles.CHIP,
                "step-" + line.rung().step().name().toLowerCase(Locale.ROOT));
        verdict.setMinWidth(USE_PREF_SIZE);
        Hint.on(verdict, line.verdict());
        Label detail = label(line.detail(), Styles.MUTED, Styles.CHIP);
        Hint.on(detail, line.detail());
        Label follows = label(line.follows(), Styles.MUTED, Styles.CHIP);
        follows.setMinWidth(USE_PREF_SIZE);
        if (line.rung().step() == Step.SEVERAL_THINGS) {
            follows.getStyleClass().add("step-several_things");
        }
        // What was changed takes the line for itself wherever what follows from it leaves room below.
        Node step = line.follows().isEmpty()
                ? step(new HBox(changed), spread(new HBox(detail), verdict))
                : line.rung().step() == Step.SEVERAL_THINGS
                        ? step(new HBox(changed), spread(new HBox(detail), follows))
                        : step(spread(new HBox(changed), verdict), spread(new HBox(detail), follows));
        VBox box = new VBox(1, first, second, step);
        box.setMinHeight(Region.USE_PREF_SIZE);
        return box;
    }

    private static Node step(HBox changed, HBox below) {
        VBox step = new VBox(1, changed, below);
        step.setPadding(new Insets(8, 0, 10, 0));
        return step;
    }

    private static HBox spread(HBox left, Label right) {
        left.setMinWidth(0);
        left.setAlignment(Pos.BASELINE_LEFT);
        HBox.setHgrow(left, Priority.ALWAYS);
        HBox line = new HBox(6, left, right);
        line.setAlignment(Pos.BASELINE_LEFT);
        return line;
    }

    private static Label label(String text, String... styles) {
        Label label = new Label(text);
        label.getStyleClass().addAll(styles);
        return label;
    }
}
