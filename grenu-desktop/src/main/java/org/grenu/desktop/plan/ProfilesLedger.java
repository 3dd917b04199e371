package org.grenu.desktop.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.grenu.core.hydraulics.ValveForCurve;
import org.grenu.core.predict.PredictedDifference;
import org.grenu.core.predict.ProfilePrediction;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.response.ProfileSummary;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.plan.ProfileFigure;

/** The column at the right of Profiles: what is predicted, what makes the profile, how a manual valve follows it. */
public final class ProfilesLedger extends ScrollPane {

    private static final String OWN = "the simulator’s own coffee";
    private static final String OWN_HEADING = "Predicted, simulator’s own coffee";

    private final ProfilesViewModel model;
    private final Part prediction;
    private final VBox predicted = new VBox(4);
    private final VBox features = new VBox(4);
    private final VBox valve = new VBox(4);
    private ShelfItem machine;

    /** The ledger of those profiles. */
    public ProfilesLedger(ProfilesViewModel model) {
        this.model = model;
        setId("profiles-ledger");
        getStyleClass().add(Styles.LEDGER);
        prediction = new Part(OWN_HEADING, "95 %", puck(), predicted);
        VBox column = new VBox(prediction.first(),
                new Part("Features", "means", features), new Part("By a manual valve", "", valve));
        column.getStyleClass().add(Styles.LEDGER_COLUMN);
        setContent(column);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        model.figureProperty().addListener((o, was, is) -> show());
        model.factsProperty().addListener((o, was, is) -> showFeatures());
        model.desk().shelfProperty().addListener((o, was, is) -> show());
        show();
        showFeatures();
    }

    private static final class Part extends Section {

        Part(String heading, String remark, Node... content) {
            super(heading, content);
            remark().setText(remark);
        }

        Part first() {
            getStyleClass().add(Styles.FIRST);
            return this;
        }
    }

    private Node puck() {
        List<String> coffees = new ArrayList<>(List.of(OWN));
        coffees.addAll(model.dialIn().coffees());
        String now = model.puckProperty().get().coffee();
        var choice = Choices.of("profile-puck", "Coffee on which profiles are predicted", coffees,
                now.isEmpty() ? OWN : now, coffee -> coffee,
                coffee -> model.predictOn(coffee.equals(OWN) ? "" : coffee));
        choice.setMaxWidth(Double.MAX_VALUE);
        model.puckProperty().addListener((o, was, is) -> choice.setValue(is.coffee().isEmpty() ? OWN : is.coffee()));
        return choice;
    }

    private void show() {
        predicted.getChildren().clear();
        prediction.title().setText(model.puckProperty().get().fitted() ? "Predicted on this puck" : OWN_HEADING);
        ProfileFigure figure = model.figureProperty().get();
        if (figure == null || figure.prediction().isEmpty()) {
            return;
        }
        ProfilePrediction found = figure.prediction().get();
        Label yield = new Label(Reported.fixed(found.numbers().yield().middle(), 1));
        yield.setId("predicted-yield");
        yield.getStyleClass().add(Styles.HEADLINE);
        Label unit = new Label("% " + half(found.numbers().yield(), 1));
        unit.getStyleClass().add(Styles.HEADLINE_U);
        HBox headline = new HBox(4, yield, unit);
        headline.setAlignment(Pos.BASELINE_LEFT);
        Label what = muted(model.puckProperty().get().fitted() ? "extraction yield as dosed, on this coffee’s puck"
                : "extraction yield as dosed, on the simulator’s own coffee");
        what.setId("predicted-on");
        what.setWrapText(true);
        GridPane grid = grid();
        number(grid, 0, "Time, s", found.numbers().time(), 1);
        number(grid, 1, "First drip, s", found.numbers().firstDrip(), 1);
        number(grid, 2, "In the cup, g", found.numbers().beverage(), 1);
        number(grid, 3, "Strength, %", found.numbers().strength(), 2);
        Label basis = muted("By the simulated puck, " + model.puckProperty().get().words() + "; "
                + found.runs() + (found.runs() == 1 ? " shot while it is dragged." : " simulated shots.")
                + " The ± is of shots that spread as yours do; that the simulator itself may be wrong is not in it.");
        basis.setId("predicted-basis");
        predicted.getChildren().addAll(headline, what, grid);
        Optional.ofNullable(model.differenceProperty().get())
                .ifPresent(by -> predicted.getChildren().add(difference(by)));
        model.puckProperty().get().tooHot(figure.profile()).ifPresent(why -> {
            Label hot = new Label(why);
            hot.setId("profile-too-hot");
            hot.getStyleClass().add(Styles.REFUSAL);
            hot.setWrapText(true);
            predicted.getChildren().add(0, hot);
        });
        predicted.getChildren().add(basis);
        showValve(found);
    }

    private static Node difference(ProfileDifference found) {
        PredictedDifference by = found.by();
        Label words = new Label("Against " + found.against() + ": EY " + change(by.yield()) + " points, time "
                + change(by.time()) + " s, first drip " + change(by.firstDrip()) + " s");
        words.setId("predicted-difference");
        words.setWrapText(true);
        VBox box = new VBox(words);
        if (by.yield().half() > 0) {
            Label told = new Label(by.yield().told() ? "one shot of each should show it in EY"
                    : by.time().told() ? "one shot of each should show it in time, not in EY"
                            : "one shot of each cannot say yet");
            told.getStyleClass().addAll(Styles.CAPTION, by.yield().told() ? Styles.MUTED : "doubted");
            told.setWrapText(true);
            box.getChildren().add(told);
        }
        return box;
    }

    private static String change(PredictedDifference.Change of) {
        return Reported.signed(of.by(), 1)
                + (of.half() > 0 ? " ±" + Reported.fixed(of.half(), 1) : "");
    }

    private static String half(ProfilePrediction.Spread of, int decimals) {
        return of.half() > 0 ? "±" + Reported.fixed(of.half(), decimals) : "";
    }

    private static void number(GridPane grid, int row, String name, ProfilePrediction.Spread of, int decimals) {
        Label value = new Label(Reported.fixed(of.middle(), decimals));
        value.getStyleClass().add(Styles.NUMBER);
        grid.addRow(row, muted(name), value, muted(half(of, decimals)));
        GridPane.setHalignment(value, HPos.RIGHT);
    }

    private static GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(8);
        grid.setVgap(1);
        ColumnConstraints name = new ColumnConstraints();
        name.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(name, new ColumnConstraints(70), new ColumnConstraints(58));
        return grid;
    }

    private static Label muted(String words) {
        Label label = new Label(words);
        label.getStyleClass().add(Styles.MUTED);
        label.setWrapText(true);
        return label;
    }

    /** What was measured beside what is meant. */
    private void showFeatures() {
        features.getChildren().clear();
        ProfileFacts facts = model.factsProperty().get();
        if (facts == null) {
            return;
        }
        GridPane grid = new GridPane();
        grid.setHgap(4);
        grid.setVgap(2);
        ColumnConstraints name = new ColumnConstraints();
        name.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(name, right(40), right(38), right(40));
        grid.addRow(0, muted(""), caption("shots"), caption("s"), caption("meant"));
        int row = 1;
        for (StandardResponse feature : StandardResponse.profileFeatures()) {
            feature(grid, row++, feature, facts);
        }
        features.getChildren().add(grid);
        facts.family()
                .ifPresent(family -> features.getChildren()
                        .add(muted("Family: " + family.title() + (facts.kin().isEmpty() ? "; no other profile here is"
                                : "; with " + String.join(", ", facts.kin())) + ". "
                                + (facts.shots().features().isEmpty() ? "By what is meant: no shot was pulled by it."
                                        : "By its shots."))));
        features.getChildren().add(muted("In Compare each is a response, and among what may have changed."));
    }

    private static void feature(GridPane grid, int row, StandardResponse of, ProfileFacts facts) {
        int decimals = of.usualMargin() < 0.1 ? 2 : of.usualMargin() < 1.5 ? 1 : 0;
        ProfileSummary.Row shots = facts.shots().features().get(of);
        Label number = new Label(shots == null ? "–" : Reported.fixed(shots.mean(), decimals));
        number.getStyleClass().addAll(Styles.STRONG, Styles.CAPTION);
        String spread = shots == null || shots.spread().isEmpty() ? ""
                : Reported.fixed(shots.spread().getAsDouble(), decimals + 1);
        OptionalDouble meant = facts.meant().mean(of);
        grid.addRow(row, wrapped(caption(of.title() + ", " + of.unit())), number, caption(spread),
                caption(meant.isEmpty() ? "–" : Reported.fixed(meant.getAsDouble(), decimals)));
    }

    private static Label wrapped(Label label) {
        label.setWrapText(true);
        return label;
    }

    private static ColumnConstraints right(double width) {
        ColumnConstraints column = new ColumnConstraints(width);
        column.setHalignment(HPos.RIGHT);
        return column;
    }

    private static Label caption(String words) {
        Label label = new Label(words);
        label.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        return label;
    }

    private void showValve(ProfilePrediction found) {
        valve.getChildren().clear();
        List<ShelfItem> machines = ValvePlan.machines(model.desk().shelfProperty().get());
        if (machines.isEmpty()) {
            valve.getChildren()
                    .add(muted("Run a machine’s valve at two positions or more on the Shelf, and the profile "
                            + "is translated to it through flow."));
            return;
        }
        ShelfItem on = machines.stream()
                .filter(item -> machine != null && item.id() == machine.id())
                .findFirst()
                .orElse(machines.get(0));
        var choice = Choices.of("profile-valve", "Machine with a manual valve", machines, on,
                item -> "On " + item.name(), item -> {
                    machine = item;
                    showValve(found);
                });
        choice.setMaxWidth(Double.MAX_VALUE);
        valve.getChildren().addAll(choice, translated(ValvePlan.of(found, on)));
    }

    private static Node translated(ValvePlan plan) {
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(2);
        grid.addRow(0, muted("from, s"), muted("free flow, g/s"), muted("stands at"));
        for (int i = 0; i < plan.schedule().entries().size(); i++) {
            ValveForCurve.Entry entry = plan.schedule().entries().get(i);
            Label from = new Label(Reported.fixed(entry.seconds(), 1));
            Label flow = new Label(Reported.fixed(entry.freeFlow(), 1));
            Label opening = new Label(entry.opening().map(at -> Reported.fixed(at.at(), 1)).orElse("cannot reach"));
            if (entry.opening().isEmpty()) {
                opening.getStyleClass().add(Styles.REFUSAL);
            }
            grid.addRow(i + 1, from, flow, opening);
            GridPane.setHalignment(from, HPos.RIGHT);
            GridPane.setHalignment(flow, HPos.RIGHT);
        }
        VBox box = new VBox(3, grid);
        plan.beyond()
                .flatMap(ValveForCurve.Entry::instead)
                .ifPresent(instead -> box.getChildren()
                        .add(muted("Wide open it gives " + Reported.fixed(plan.calibration().largest(), 1)
                                + " g/s, which leaves " + Reported.fixed(instead.bar(), 1) + " bar and "
                                + Reported.fixed(instead.flow(), 1) + " g/s at the puck.")));
        box.getChildren()
                .add(muted("The line before the valve "
                        + (!plan.assumed() ? "holds " + DecimalText.exact(plan.line()) + " bar by the shelf"
                                : "is taken as " + DecimalText.exact(plan.line()) + " bar, for the shelf does not say")
                        + "; flow goes with the root of the pressure across the valve."));
        return box;
    }
}
