package org.grenu.desktop.plan;

import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.app.advice.LeverTable;
import org.grenu.app.advice.SchoolAnswers;
import org.grenu.app.advice.SchoolAnswers.Answer;
import org.grenu.app.advice.SchoolAnswers.Evidence;
import org.grenu.app.advice.SchoolAnswers.Verdict;
import org.grenu.core.learn.Prediction;
import org.grenu.core.learn.StudentT;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.plan.LeverPainter;

/**
 * How the schools answer an unwanted taste, each with this log's own evidence for its levers; where nothing unwanted
 * was tasted, what each lever would do to the next shot.
 */
final class SchoolsPane extends VBox {

    private static final double MARGIN = 1;

    private final DialInViewModel model;
    private final NextShotViewModel next;
    private final Appearance appearance;
    private final HBox head = new HBox(10);
    private final HBox columns = new HBox();

    SchoolsPane(DialInViewModel model, NextShotViewModel next, Appearance appearance) {
        this.model = model;
        this.next = next;
        this.appearance = appearance;
        setId("schools-answer");
        getStyleClass().add("schools-answer");
        head.setAlignment(Pos.BASELINE_LEFT);
        ScrollPane scroll = new ScrollPane(columns);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add(Styles.SHELF_LIST);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(head, scroll);
        model.answeredProperty().addListener((o, was, is) -> show());
        show();
    }

    private void show() {
        head.getChildren().clear();
        columns.getChildren().clear();
        DialInAnswer answer = model.answeredProperty().get();
        if (answer == null || answer.given().isEmpty()) {
            return;
        }
        if (answer.schools().isPresent() && !answer.schools().get().answers().isEmpty()) {
            schools(answer.schools().get());
        } else {
            levers(answer.levers());
        }
    }

    private void head(String words, String caption, Optional<Node> right) {
        Label title = new Label(words);
        title.getStyleClass().add(Styles.HEADING);
        title.setMinWidth(Region.USE_PREF_SIZE);
        Label small = new Label(caption);
        small.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        small.setMinWidth(0);
        Hint.on(small, caption);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        head.getChildren().setAll(title, small, gap);
        right.ifPresent(head.getChildren()::add);
    }

    private void schools(SchoolAnswers answers) {
        Button both = new Button("Test both blind…");
        both.setId("test-both");
        both.getStyleClass().addAll(Styles.LINK, "accent-link");
        both.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(both, "Keeps a small study with an arm for each school, to be pulled and tasted blind");
        both.setOnAction(event -> next.testBoth(answers));
        int schools = answers.answers().size();
        head("Shot " + answers.shot() + " was " + answers.note().key() + ". " + (schools == 1 ? "One school answers"
                : schools == 2 ? "Two schools answer" : schools + " schools answer"),
                answers.note().quality() + " by this log, 0–10; grain: same in practice",
                answers.disagree() ? Optional.of(both) : Optional.empty());
        for (Answer answer : answers.answers()) {
            Node column = school(answer, answers);
            HBox.setHgrow(column, Priority.ALWAYS);
            columns.getChildren().add(column);
        }
    }

    private Node school(Answer answer, SchoolAnswers answers) {
        Label who = new Label(answer.school().school());
        who.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        Label what = new Label(answer.rule().words().toTry());
        what.getStyleClass().add("school-says");
        what.setWrapText(true);
        VBox column = new VBox(4, who, what);
        if (answer.contradicted()) {
            Label against = new Label("This log says otherwise: its first lever made it worse.");
            against.getStyleClass().add(Styles.REFUSAL);
            against.setWrapText(true);
            column.getChildren().add(against);
        }
        answer.levers().forEach(lever -> column.getChildren().add(lever(lever, answers)));
        column.getChildren().add(use(answer.levers().get(0)));
        column.setPadding(new Insets(2, 14, 4, 0));
        column.setPrefWidth(1);
        column.setMinWidth(0);
        return column;
    }

    private Node lever(Evidence lever, SchoolAnswers answers) {
        Label words = new Label(first(lever.move().words(units())));
        words.getStyleClass().add(Styles.STRONG);
        Label basis = new Label(lever.taste().isEmpty() ? "no strength of it noted yet"
                : lever.tasted() + (lever.tasted() == 1 ? " shot tasted" : " shots tasted")
                        + (lever.mostlyAssumed() ? ", mostly assumed" : ""));
        basis.setWrapText(true);
        basis.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        words.setWrapText(true);
        VBox left = new VBox(words, basis);
        left.setMinWidth(86);
        left.setPrefWidth(116);
        Label verdict = new Label(verdict(lever));
        verdict.getStyleClass().addAll(Styles.CHIP, "verdict-" + lever.verdict().name().toLowerCase(Locale.ROOT));
        verdict.setWrapText(true);
        verdict.setMinWidth(58);
        verdict.setMaxWidth(58);
        HBox row = new HBox(8, left);
        row.setAlignment(Pos.CENTER_LEFT);
        if (lever.taste().isPresent()) {
            StudentT effect = lever.taste().get();
            Label number = new Label(difference(effect, 1));
            number.getStyleClass().addAll(Styles.CHIP, Styles.STRONG);
            number.setMinWidth(Region.USE_PREF_SIZE);
            PaintedRow interval = new PaintedRow(appearance.themeProperty(), LeverPainter.HEIGHT,
                    first(lever.move().words(units())) + ": " + answers.note().quality() + " " + difference(effect, 1),
                    (g, theme, width) -> LeverPainter.paint(g, theme, effect, MARGIN,
                            lever.verdict() == Verdict.DIFFERS, most(answers), width));
            VBox picture = new VBox(number, interval);
            picture.setAlignment(Pos.CENTER);
            HBox.setHgrow(picture, Priority.ALWAYS);
            row.getChildren().addAll(picture, verdict);
        } else {
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            row.getChildren().addAll(gap, verdict);
        }
        return row;
    }

    /** All intervals are drawn along one axis, so that they can be compared. */
    private static double most(SchoolAnswers answers) {
        return answers.answers()
                .stream()
                .flatMap(answer -> answer.levers().stream())
                .flatMap(lever -> lever.taste().stream())
                .mapToDouble(effect -> Math.max(-effect.quantile(0.025), effect.quantile(0.975)))
                .reduce(1.6 * MARGIN, Math::max);
    }

    private static String verdict(Evidence lever) {
        return switch (lever.verdict()) {
            case DIFFERS -> "differs";
            case SAME_IN_PRACTICE -> "same in practice";
            case CANNOT_SAY_YET -> "cannot say yet";
        };
    }

    private Node use(Evidence lever) {
        Button use = new Button("Use: " + lever.move().words(units()));
        use.setId("use-" + lever.move().lever().name().toLowerCase(Locale.ROOT)
                + (lever.move().by() > 0 ? "-up" : "-down"));
        use.getStyleClass().add(Styles.ACTION);
        use.setMinWidth(Region.USE_PREF_SIZE);
        use.setOnAction(event -> next.use(lever.move()));
        Label also = new Label("also " + alsoTime(lever.time())
                + lever.yield().map(yield -> ", EY " + difference(yield, 1)).orElse(""));
        also.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        FlowPane row = new FlowPane(8, 2, use, also);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setPadding(new Insets(4, 0, 0, 0));
        return row;
    }

    private static String alsoTime(StudentT logTime) {
        return "time " + percent(logTime.location()) + " % (" + percent(logTime.quantile(0.025)) + " to "
                + percent(logTime.quantile(0.975)) + ")";
    }

    private static String percent(double logarithm) {
        double percent = 100 * Math.expm1(logarithm);
        return Reported.signed(percent, 0);
    }

    private static String difference(StudentT effect, int decimals) {
        return Reported.signed(effect.location(), decimals) + " ±"
                + Reported.fixed(effect.half(), decimals);
    }

    private static String first(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    private void levers(LeverTable table) {
        head("What each lever would do to the next shot",
                "all else held; in brackets 95 % of shots; note its taste to hear schools", Optional.empty());
        GridPane grid = new GridPane();
        grid.setHgap(14);
        grid.setVgap(2);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints()
                .addAll(new ColumnConstraints(128), new ColumnConstraints(124),
                        new ColumnConstraints(104), wide);
        grid.addRow(0, caption("Lever"), caption("Time, s"), caption("EY as dosed, %"), caption("rests on"));
        int row = 1;
        for (LeverTable.Row lever : table.rows()) {
            Label rests = caption(lever.tried() ? "this log" : "common practice: this log has not moved it");
            rests.setWrapText(true);
            grid.addRow(row++, strong(first(lever.move().words(units()))), value(lever.time()),
                    lever.yield().map(SchoolsPane::value).orElseGet(() -> caption("not read yet")), rests);
        }
        HBox.setHgrow(grid, Priority.ALWAYS);
        columns.getChildren().add(grid);
    }

    private static Label caption(String text) {
        Label label = new Label(text);
        label.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        return label;
    }

    private static Label strong(String text) {
        Label label = new Label(text);
        label.getStyleClass().add(Styles.VALUE);
        return label;
    }

    private static Label value(Prediction shot) {
        Label label = new Label(Reported.fixed(shot.median(), 1) + "  (" + Reported.fixed(shot.quantile(0.025), 1) + "–"
                + Reported.fixed(shot.quantile(0.975), 1) + ")");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    private DisplayUnits units() {
        return model.answeredProperty().get().units();
    }
}
