package org.grenu.desktop.plan;

import java.util.List;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.control.SplitPane;
import javafx.geometry.Orientation;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.core.learn.Practice;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.plan.LearntCurve;

/** A response against the grind above, how schools or levers answer below. */
final class DialInView extends BorderPane {

    private static final String MOVED = "setting";
    private static final String AGE = "age";

    private final DialInViewModel model;
    private final Label title = new Label();
    private final Label caption = new Label();
    private final Label empty = new Label();
    private final GrinderForm grinder;
    private final HBox tabs = new HBox(4);
    private final ToggleGroup group = new ToggleGroup();

    DialInView(DialInViewModel model, NextShotViewModel next, Appearance appearance) {
        this.model = model;
        setId("dial-in");
        getStyleClass().add(Styles.WORK);
        empty.setId("dial-in-empty");
        empty.getStyleClass().add(Styles.PROSE);
        empty.setWrapText(true);
        empty.setMaxWidth(430);
        empty.setMouseTransparent(true);
        empty.managedProperty().bind(empty.textProperty().isNotEmpty());
        grinder = new GrinderForm(next);
        VBox upper = new VBox(head(), curve(appearance));
        upper.setMinHeight(240);
        SchoolsPane schools = new SchoolsPane(model, next, appearance);
        schools.setMinHeight(120);
        SplitPane both = new SplitPane(upper, schools);
        both.setOrientation(Orientation.VERTICAL);
        both.setDividerPositions(0.6);
        setCenter(both);
        model.answeredProperty().addListener((o, was, is) -> show());
        model.responseProperty().addListener((o, was, is) -> describe());
        show();
    }

    private Node curve(Appearance appearance) {
        VBox words = new VBox(14, empty, new UnnamedShots(model), grinder);
        words.setAlignment(Pos.CENTER);
        words.setMaxSize(440, Region.USE_PREF_SIZE);
        words.setPickOnBounds(false);
        StackPane stack = new StackPane(new CurvePane(model, appearance), words);
        VBox.setVgrow(stack, Priority.ALWAYS);
        return stack;
    }

    private Node head() {
        title.setId("dial-in-title");
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        title.setMinWidth(Region.USE_PREF_SIZE);
        caption.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        caption.setMinWidth(0);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        tabs.setAlignment(Pos.CENTER_RIGHT);
        tabs.setMinWidth(Region.USE_PREF_SIZE);
        var against = Choices.of("dial-in-against", "What it is drawn against", List.of(MOVED, AGE), MOVED,
                axis -> axis, axis -> model.byAgeProperty().set(axis.equals(AGE)));
        against.setPrefWidth(88);
        against.visibleProperty()
                .bind(Bindings.createBooleanBinding(() -> Optional.ofNullable(model.answeredProperty().get())
                        .flatMap(DialInAnswer::given)
                        .isPresent(), model.answeredProperty()));
        model.byAgeProperty().addListener((o, was, is) -> describe());
        HBox first = new HBox(8, title, against, gap, tabs);
        first.setAlignment(Pos.CENTER_LEFT);
        VBox head = new VBox(1, first, caption);
        head.getStyleClass().add(Styles.TITLE_ROW);
        return head;
    }

    private void show() {
        DialInAnswer answer = model.answeredProperty().get();
        tabs.getChildren().clear();
        if (answer != null) {
            answer.curves()
                    .stream()
                    .filter(curve -> !tasted(curve))
                    .forEach(curve -> tabs.getChildren().add(tab(curve)));
            List<LearntCurve> tastes = answer.curves().stream().filter(DialInView::tasted).toList();
            if (!tastes.isEmpty()) {
                tabs.getChildren().add(tastes(tastes));
            }
        }
        grinder.show();
        describe();
    }

    /** Instead of a picture, what it needs. */
    private static String needed(DialInAnswer answer, boolean drawn) {
        if (answer == null) {
            return "Here the next shot is decided. Name a coffee above; its shots become a ladder, and from the first "
                    + "one on Grenu learns how long they take and what they extract, says how sure that is, and "
                    + "proposes one change at a time.";
        }
        if (answer.outcome() instanceof CoffeeAdvice.NotYet not) {
            return not.why();
        }
        CoffeeAdvice given = answer.given().orElseThrow();
        return drawn ? ""
                : given.advice().ladder().aged()
                        ? "Fewer than four shots of several ages were set as shot " + given.heldLike()
                                + ". Pull that setting again on another day, and its drift is drawn here."
                        : "No shot’s age is known. Put its bag on the shelf with the day it was roasted, and shots of "
                                + "one setting are drawn against it.";
    }

    private static boolean tasted(LearntCurve curve) {
        return curve.belief().practice() == Practice.INTENSITY;
    }

    /** There are too many tastes for a tab each. */
    private Node tastes(List<LearntCurve> tastes) {
        LearntCurve shown = model.curve().filter(DialInView::tasted).orElse(null);
        var choice = Choices.of("learnt-taste", "Taste that is drawn", tastes, shown, DialInViewModel::tab,
                curve -> model.responseProperty().set(curve.response().key()));
        choice.setPromptText("Taste");
        choice.setPrefWidth(108);
        return choice;
    }

    private ToggleButton tab(LearntCurve curve) {
        ToggleButton tab = new ToggleButton(DialInViewModel.tab(curve));
        tab.setId("learnt-" + curve.response().key().replace('_', '-'));
        tab.getStyleClass().setAll(Styles.CHOICE);
        tab.setMinWidth(Region.USE_PREF_SIZE);
        tab.setToggleGroup(group);
        tab.setSelected(model.curve().filter(shown -> shown.response() == curve.response()).isPresent());
        tab.setOnAction(event -> {
            tab.setSelected(true);
            model.responseProperty().set(curve.response().key());
        });
        return tab;
    }

    private void describe() {
        Optional<LearntCurve> curve = model.curve();
        DialInAnswer answer = model.answeredProperty().get();
        empty.setText(needed(answer, !model.byAgeProperty().get() || model.ageTrend().isPresent()));
        if (curve.isEmpty() || answer.given().isEmpty()) {
            title.setText("Dial in");
            caption.setText("");
            return;
        }
        CoffeeAdvice given = answer.given().get();
        title.setText(DialInViewModel.tab(curve.get()) + " against");
        if (model.byAgeProperty().get()) {
            caption.setText(model.ageTrend().isPresent()
                    ? "shots set as shot " + given.heldLike() + ": grind, profile and temperature; smooth, band 95 %"
                    : "");
            return;
        }
        double spread = curve.get().belief().spread();
        boolean logarithm = switch (curve.get().belief().practice()) {
            case TIME, FIRST_DRIP -> true;
            case EXTRACTION, INTENSITY -> false;
        };
        int before = given.advice().coffeesBefore();
        caption.setText("line: all else as in shot " + given.heldLike() + "; "
                + (before == 0 ? "slopes from common practice and this coffee"
                        : "slopes learnt from " + before + (before == 1 ? " coffee" : " coffees") + " before it too")
                + "; a shot spreads by " + (logarithm ? Reported.fixed(100 * spread, 1) + " %"
                        : Reported.fixed(spread, 2) + " " + curve.get().response().differenceUnit()));
    }
}
