package org.grenu.desktop.plan;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.core.predict.ProfilePrediction.StepEnd;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.profile.Target;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.Buttons;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.plan.ProfileFigure;

/** The steps in words; the one that is pressed becomes a field, and all of them a text. */
final class StepsTable extends VBox {

    private final ProfilesViewModel model;
    private final GridPane grid = new GridPane();
    private final TextArea text = new TextArea();
    private final Label refusal = new Label();
    private final Button asText = new Button("Edit as text");
    private final Button water = new Button();
    private boolean whole;

    /** @param addStep adds one behind the last */
    StepsTable(ProfilesViewModel model, Runnable addStep) {
        super(4);
        this.model = model;
        setId("profile-steps");
        setPadding(new Insets(4, 14, 8, 14));
        grid.setHgap(10);
        grid.setVgap(2);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        wide.setMinWidth(60);
        ColumnConstraints told = new ColumnConstraints();
        told.setMinWidth(Region.USE_PREF_SIZE);
        grid.getColumnConstraints()
                .addAll(new ColumnConstraints(12), new ColumnConstraints(70), wide,
                        new ColumnConstraints(40, Region.USE_COMPUTED_SIZE, Double.MAX_VALUE), told,
                        new ColumnConstraints(40, 156, 176), told);
        text.setId("profile-text");
        text.getStyleClass().add(Styles.CODE);
        text.setPrefRowCount(4);
        text.setWrapText(true);
        text.setOnKeyPressed(key -> {
            if (key.getCode() == KeyCode.ENTER && key.isShortcutDown()) {
                keepText();
                key.consume();
            }
        });
        refusal.setId("profile-refusal");
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        getChildren().addAll(grid, text, refusal, foot(addStep));
        visibleProperty().bind(model.figureProperty().isNotNull());
        model.figureProperty().addListener((o, was, is) -> show());
        model.stepProperty().addListener((o, was, is) -> show());
        show();
    }

    private Node foot(Runnable addStep) {
        asText.setId("profile-as-text");
        Button keep = Buttons.link("profile-keep-text", "Keep the text (Ctrl Enter)", this::keepText);
        asText.getStyleClass().addAll(Styles.LINK);
        asText.setMinWidth(Region.USE_PREF_SIZE);
        asText.setOnAction(event -> toggleText());
        Button learn = Buttons.link("profile-learn", "Learn tolerances", model::learnTolerances);
        Hint.on(learn, "From its shots: corridors so wide that 95 % of their time lies within");
        Button add = Buttons.link("profile-add-step", "+ Add a step", addStep);
        water.setId("profile-water");
        water.getStyleClass().add(Styles.LINK);
        water.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(water, "Whether each step says how hot its water is, or the machine’s setting holds for all");
        water.setOnAction(event -> model.toggleWater());
        Label keys = new Label("Drag, or Tab and arrows: 0.1, Shift 1; Ins, Del: a step");
        keys.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        keys.setMinWidth(0);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        keep.visibleProperty().bind(text.visibleProperty());
        keep.managedProperty().bind(keep.visibleProperty());
        HBox foot = new HBox(8, add, asText, keep, learn, water, gap, keys);
        foot.setAlignment(Pos.CENTER_LEFT);
        text.setVisible(false);
        text.managedProperty().bind(text.visibleProperty());
        grid.managedProperty().bind(grid.visibleProperty());
        grid.visibleProperty().bind(text.visibleProperty().not());
        return foot;
    }

    /** All steps as text, or back. */
    void toggleText() {
        whole = !whole && model.profile() != null;
        refusal.setText("");
        if (whole) {
            text.setText(model.profile()
                    .steps()
                    .stream()
                    .map(step -> new Profile(List.of(step)).text())
                    .collect(Collectors.joining(";\n")));
        }
        text.setVisible(whole);
        asText.setText(whole ? "Back to the steps" : "Edit as text");
        if (whole) {
            text.requestFocus();
        }
    }

    private void keepText() {
        try {
            model.keep(Profile.parse(text.getText().replace('\n', ' ')));
            toggleText();
        } catch (IllegalArgumentException refused) {
            refusal.setText(refused.getMessage());
        }
    }

    private void show() {
        grid.getChildren().clear();
        ProfileFigure figure = model.figureProperty().get();
        if (figure == null) {
            return;
        }
        water.setText(figure.profile().heats() ? "Water as set" : "Water by step");
        grid.addRow(0, caption(""), caption("Step"), caption("holds"), caption("lets through"),
                caption(figure.profile().heats() ? "water" : ""), caption("until"), caption("ends"));
        for (int i = 0; i < figure.profile().steps().size(); i++) {
            row(i, figure);
        }
    }

    private void row(int i, ProfileFigure figure) {
        ProfileStep step = figure.profile().steps().get(i);
        if (model.stepProperty().get() == i) {
            TextField field = new TextField(new Profile(List.of(step)).text());
            field.setId("profile-step-" + (i + 1));
            field.getStyleClass().add(Styles.ENTRY);
            field.setAccessibleText("Step " + (i + 1) + " in words");
            field.setOnAction(event -> keepStep(i, field.getText()));
            grid.add(caption(Integer.toString(i + 1)), 0, i + 1);
            grid.add(field, 1, i + 1, 6, 1);
            return;
        }
        Button name = Buttons.link("profile-row-" + (i + 1), first(step.name()), () -> model.stepProperty().set(i));
        Hint.on(name, "Edit this step in words");
        grid.addRow(i + 1, caption(Integer.toString(i + 1)), name, told(holds(step)), told(limit(step)),
                told(water(step)), told(until(step)), expected(i, figure));
    }

    private void keepStep(int i, String typed) {
        try {
            Profile one = Profile.parse(typed);
            if (one.steps().size() != 1) {
                throw new IllegalArgumentException("One step stands here; “Edit as text” takes several.");
            }
            refusal.setText("");
            model.stepProperty().set(-1);
            model.keep(model.profile().with(i, one.steps().get(0)));
        } catch (IllegalArgumentException refused) {
            refusal.setText(refused.getMessage());
        }
    }

    private static String first(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    private static String holds(ProfileStep step) {
        String unit = step.target() == Target.PRESSURE ? " bar" : " mL/s";
        return step.target().word() + " "
                + (step.from().isPresent() ? DecimalText.exact(step.from().getAsDouble()) + " to " : "")
                + DecimalText.exact(step.to()) + " ±" + DecimalText.exact(step.tolerance()) + unit
                + (step.rampSeconds() > 0 ? ", over " + DecimalText.exact(step.rampSeconds()) + " s" : "");
    }

    private static String limit(ProfileStep step) {
        return step.limit().isEmpty() ? "any" : "at most " + DecimalText.exact(step.limit().getAsDouble())
                + (step.target() == Target.PRESSURE ? " mL/s" : " bar");
    }

    private static String water(ProfileStep step) {
        return step.water().isEmpty() ? "" : DecimalText.exact(step.water().getAsDouble()) + " °C";
    }

    private static String until(ProfileStep step) {
        return step.exits().isEmpty() ? "the stop"
                : step.exits().stream().map(Exit::told).collect(Collectors.joining(" or "));
    }

    private static Node expected(int i, ProfileFigure figure) {
        if (figure.prediction().isEmpty() || i >= figure.prediction().get().steps().size()) {
            Label not = caption(figure.prediction().isEmpty() ? "choose a puck" : "not reached");
            not.getStyleClass().add("doubted");
            return not;
        }
        StepEnd end = figure.prediction().get().steps().get(i);
        Label label = new Label("at " + Reported.fixed(end.seconds().middle(), 1) + " ±"
                + Reported.fixed(end.seconds().half(), 1) + " s"
                + (2 * end.limitRuns() > end.runs() ? ", by its time limit" : ""));
        if (2 * end.limitRuns() > end.runs()) {
            label.getStyleClass().add("verdict-cannot_say_yet");
        }
        return label;
    }

    private static Label told(String words) {
        Label label = new Label(words);
        label.getStyleClass().add(Styles.CAPTION);
        label.getStyleClass().add("told");
        Hint.on(label, words);
        return label;
    }

    private static Label caption(String words) {
        Label label = new Label(words);
        label.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        return label;
    }
}
