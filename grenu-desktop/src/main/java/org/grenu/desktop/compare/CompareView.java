package org.grenu.desktop.compare;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.grenu.core.compare.Comparison;
import org.grenu.core.response.Variable;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;

/** The work surface of a comparison: curves above, what each change did below. */
public final class CompareView extends BorderPane {

    private final CompareViewModel model;
    private final Label title = new Label();
    private final Label legend = new Label("thin: a shot · bold: mean · tint: 95 % of the mean, pooled spread");
    private final Label empty = new Label();
    private final Label numbers = new Label();
    private final Label differing = new Label();

    /** The comparison of that model; {@code exports} stands at the title's right. */
    public CompareView(CompareViewModel model, Appearance appearance, Node exports) {
        this.model = model;
        getStyleClass().add(Styles.WORK);
        setId("compare");
        setTop(new VBox(titleRow(exports), new QuestionBar(model, appearance)));
        SplitPane both = new SplitPane(upper(appearance), lower(appearance));
        both.setOrientation(Orientation.VERTICAL);
        both.setDividerPositions(0.55);
        setCenter(both);
        Outdated.fade(model, both);
        model.answeredProperty().addListener((o, was, is) -> describe());
        model.busyProperty().addListener((o, was, is) -> describe());
        describe();
    }

    private Node upper(Appearance appearance) {
        OverlayPane curves = new OverlayPane("overlay", model, appearance.themeProperty(), appearance.scale(),
                Answered::overlay);
        empty.getStyleClass().add(Styles.EMPTY);
        empty.setWrapText(true);
        empty.setMouseTransparent(true);
        BorderPane upper = new BorderPane(new StackPane(curves, empty));
        upper.setBottom(new OverlayBar(model));
        upper.setMinHeight(180);
        return upper;
    }

    private Node titleRow(Node exports) {
        title.setId("compare-title");
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        title.setMinWidth(Region.USE_PREF_SIZE);
        legend.getStyleClass().addAll(Styles.MUTED, Styles.RECIPE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox row = new HBox(10, title, legend, gap, exports);
        row.getStyleClass().add(Styles.TITLE_ROW);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private Node lower(Appearance appearance) {
        ScrollPane effects = effects(model, appearance);
        Node differences = differences(appearance);
        Map<String, Node> pages = new LinkedHashMap<>();
        pages.put("What each change did", effects);
        pages.put("Every shot", new PointsPane(model, appearance.themeProperty(), appearance.scale()));
        pages.put("Where curves differ", differences);
        pages.put("Surface", new SurfacePane(model, appearance.themeProperty()));
        BorderPane page = new BorderPane(new StackPane(pages.values().toArray(Node[]::new)));
        page.setTop(choices(pages, effects));
        page.setMinHeight(160);
        return page;
    }

    private static ScrollPane effects(CompareViewModel model, Appearance appearance) {
        ScrollPane effects = new ScrollPane(
                new VBox(new NothingChanged(model, appearance), new EffectsPane(model, appearance.themeProperty())));
        effects.setFitToWidth(true);
        effects.getStyleClass().add(Styles.WORK);
        effects.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        effects.setFocusTraversable(false);
        return effects;
    }

    private Node differences(Appearance appearance) {
        OverlayPane difference = new OverlayPane("difference", model, appearance.themeProperty(), appearance.scale(),
                Answered::differenceFigure);
        differing.setId("differing");
        differing.setWrapText(true);
        differing.getStyleClass().addAll(Styles.WORK_FOOT, Styles.MUTED);
        BorderPane differences = new BorderPane(difference);
        differences.setBottom(differing);
        // Painted only where it is seen.
        difference.visibleProperty().bind(differences.visibleProperty());
        return differences;
    }

    private Node choices(Map<String, Node> pages, Node first) {
        ToggleGroup group = new ToggleGroup();
        HBox choices = new HBox(6);
        choices.setAlignment(Pos.CENTER_LEFT);
        choices.getStyleClass().add(Styles.WORK_FOOT);
        pages.forEach((words, page) -> {
            ToggleButton choice = new ToggleButton(words);
            choice.setId("page-" + words.substring(words.lastIndexOf(' ') + 1));
            choice.setToggleGroup(group);
            choice.getStyleClass().add(Styles.CHOICE);
            choice.setMinWidth(Region.USE_PREF_SIZE);
            choice.setSelected(page == first);
            page.setVisible(page == first);
            choice.setOnAction(event -> {
                choice.setSelected(true);
                pages.values().forEach(other -> other.setVisible(other == page));
            });
            choices.getChildren().add(choice);
        });
        numbers.textProperty().bind(model.numbersProperty());
        numbers.getStyleClass().add(Styles.MUTED);
        numbers.setId("numbers");
        numbers.setMinWidth(0);
        choices.getChildren().add(numbers);
        return choices;
    }

    private void describe() {
        Answered answered = model.answeredProperty().get();
        if (model.busyProperty().get()) {
            title.setText("Computing…");
            return;
        }
        if (answered == null) {
            title.setText("Compare");
            empty.setText("Pick shots in the rack: their check marks, or “All shown”.");
            return;
        }
        Comparison comparison = answered.comparison();
        int shots = comparison.shots().size();
        String levels = comparison.question()
                .variables()
                .stream()
                .findFirst()
                .map(first -> levels(first, comparison))
                .orElse("");
        title.setText((shots == 1 ? "1 shot" : shots + " shots") + levels);
        legend.setVisible(shots > 0);
        empty.setText(
                shots == 0 ? "Pick shots in the rack: their check marks, or “All shown”." : answered.overlay().isEmpty()
                        ? "None of these shots has curves along this axis. Choose another zero." : "");
        differing.setText(answered.difference()
                .map(found -> found.words() + comparison.caveatOnCurves().map(caveat -> " " + caveat).orElse(""))
                .orElse("A difference of curves needs two levels of "
                        + comparison.question().variables().stream().findFirst().map(Variable::title).orElse("a factor")
                        + " with two shots each.")
                + answered.distance()
                        .map(found -> "\n" + found.words(answered.comparison().question().units()))
                        .orElse(""));
    }

    private static String levels(Variable first, Comparison comparison) {
        long levels = comparison.shots().stream().flatMap(shot -> first.level(shot).stream()).distinct().count();
        return levels < 2 ? "" : ", " + levels + " levels of " + first.title().toLowerCase(Locale.ROOT);
    }
}
