package org.grenu.desktop.strength;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.entry.EntryField;
import org.grenu.figures.strength.SeriesFigure;
import org.grenu.figures.strength.SeriesPainter;
import org.grenu.figures.theme.Theme;

/** The guided series over the strips: large type, one field to type in, Enter for the next reading. */
public final class SeriesView extends BorderPane {

    private static final double FIGURE = 210;

    private final SeriesViewModel model;
    private final Appearance appearance;
    private final Label title = new Label();
    private final HBox steps = new HBox(2);
    private final Label what = new Label();
    private final Button go = new Button("Done, next step");
    private final FlowPane readings = new FlowPane(4, 4);
    private final Label strength = new Label();
    private final Label half = new Label();
    private final Label unit = new Label();
    private final Label yield = new Label();
    private final Label details = new Label();
    private final Label advice = new Label();
    private final VBox warnings = new VBox(2);
    private final Label methodRefusal = new Label();
    private final EntryField reading;
    private final EntryField zero;
    private final Picture picture = new Picture();
    private final SliceTable slices = new SliceTable();
    private int shown = -1;
    private long shot = -1;

    /** The series of that model. */
    public SeriesView(SeriesViewModel model, Appearance appearance) {
        this.model = model;
        this.appearance = appearance;
        getStyleClass().add(Styles.WORK);
        setId("series");
        reading = new EntryField(model.newReading(), "series-reading").thatAdds().wide(120).hinting("reading");
        reading.field().getStyleClass().add(Styles.LARGE_ENTRY);
        zero = new EntryField(model.zero(), "series-zero").wide(90).hinting("zero");
        zero.field().getStyleClass().add(Styles.LARGE_ENTRY);
        VBox page = new VBox(12, new SampleBar(model), steps, instruction(), entering(), methodRefusal, readings,
                picture,
                result(), slices, advice, warnings, method());
        page.setPadding(new Insets(4, 14, 20, 14));
        ScrollPane scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add(Styles.SHELF_LIST);
        setTop(head());
        setCenter(scroll);
        advice.setId("series-advice");
        advice.getStyleClass().add(Styles.ANSWER);
        advice.setWrapText(true);
        methodRefusal.setId("series-method-refusal");
        methodRefusal.getStyleClass().add(Styles.REFUSAL);
        methodRefusal.setWrapText(true);
        methodRefusal.managedProperty().bind(methodRefusal.textProperty().isNotEmpty());
        warnings.setId("series-warnings");
        go.sceneProperty().addListener((o, was, is) -> giveKeys());
        model.openProperty().addListener((o, was, is) -> show());
        model.stepProperty().addListener((o, was, is) -> lead());
        model.samples().chosenProperty().addListener((o, was, is) -> {
            shown = -1;
            show();
            lead();
        });
        model.shownProperty().addListener((o, was, is) -> {
            show();
            lead();
        });
        appearance.themeProperty().addListener((o, was, is) -> show());
    }

    private Node head() {
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Button close = new Button("Back to the curves");
        close.setId("series-close");
        close.getStyleClass().add(Styles.ACTION);
        Hint.on(close, "Esc; what was entered is stored");
        close.setOnAction(event -> model.shownProperty().set(false));
        HBox row = new HBox(10, title, gap, close);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add(Styles.TITLE_ROW);
        return row;
    }

    private Node instruction() {
        what.setId("series-what");
        what.getStyleClass().add(Styles.ANSWER);
        what.setWrapText(true);
        what.setMinHeight(44);
        HBox.setHgrow(what, Priority.ALWAYS);
        what.setMaxWidth(Double.MAX_VALUE);
        makeGo();
        HBox line = new HBox(12, what, go);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private void makeGo() {
        go.setId("series-next");
        go.getStyleClass().addAll(Styles.ACTION, Styles.PRIMARY);
        go.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(go, "Enter or Space");
        go.setOnAction(event -> model.next());
    }

    private Node entering() {
        FlowPane line = new FlowPane(12, 6, with("Zero", zero), with("Reading", reading),
                with("sample", celsius("series-sample", model.sampleProperty()), unit()),
                with("prism", celsius("series-prism", model.prismProperty()), unit()));
        line.setRowValignment(VPos.CENTER);
        return line;
    }

    /** What belongs together stays on one line. */
    private static Node with(String word, Node... nodes) {
        HBox line = new HBox(8, Section.word(word));
        line.getChildren().addAll(nodes);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Node unit() {
        Label unit = new Label();
        unit.getStyleClass().add(Styles.MUTED);
        unit.textProperty().bind(model.units().map(units -> units.symbol("°C")));
        return unit;
    }

    private static Node celsius(String id, javafx.beans.property.StringProperty value) {
        TextField field = new TextField();
        field.setId(id);
        field.getStyleClass().add(Styles.ENTRY);
        field.setPrefWidth(52);
        field.setMinWidth(52);
        field.setAccessibleText("Temperature");
        Hint.on(field, "Stays for the next readings; empty is unknown");
        field.textProperty().bindBidirectional(value);
        return field;
    }

    private Node result() {
        strength.setId("series-strength");
        strength.getStyleClass().add(Styles.HEADLINE);
        yield.setId("series-yield");
        yield.getStyleClass().add(Styles.STRONG);
        details.setId("series-details");
        details.getStyleClass().add(Styles.MUTED);
        HBox large = large();
        VBox words = new VBox(3, yield, details);
        words.setAlignment(Pos.CENTER_LEFT);
        FlowPane line = new FlowPane(28, 6, large, words);
        line.setRowValignment(VPos.CENTER);
        return line;
    }

    private HBox large() {
        unit.getStyleClass().add(Styles.MUTED);
        half.getStyleClass().add(Styles.HEADLINE_U);
        HBox large = new HBox(8, strength, half, unit);
        large.setAlignment(Pos.BASELINE_LEFT);
        return large;
    }

    /** Instrument, filtering and dilution: seldom changed, so at the foot. */
    private Node method() {
        ToggleGroup group = new ToggleGroup();
        ToggleButton filtered = toggle("series-filtered", "filtered", true, group);
        ToggleButton unfiltered = toggle("series-unfiltered", "unfiltered", false, group);
        model.openProperty().addListener((o, was, is) -> {
            boolean known = is != null && is.summary().record().has(RecordField.SAMPLE_FILTERED);
            filtered.setSelected(known && is.summary().record().flag(RecordField.SAMPLE_FILTERED));
            unfiltered.setSelected(known && !filtered.isSelected());
        });
        HBox one = new HBox(8, Section.word("Sample"), filtered, unfiltered, Section.word("read with"),
                new EntryField(model.entry(RecordField.REFRACTOMETER), "series-instrument").wide(130)
                        .hinting("instrument"));
        FlowPane two = new FlowPane(8, 4,
                with("Diluted:",
                        new EntryField(model.entry(RecordField.DILUTION_BEVERAGE), "series-dilution-beverage").wide(60)
                                .hinting("g")),
                with("g beverage with",
                        new EntryField(model.entry(RecordField.DILUTION_WATER), "series-dilution-water").wide(60)
                                .hinting("g")),
                Section.word("g water; the strength is calculated back"));
        two.visibleProperty().bind(model.samples().chosenProperty().isEqualTo(SampleChoice.CUP));
        two.managedProperty().bind(two.visibleProperty());
        one.setAlignment(Pos.TOP_LEFT);
        VBox box = new VBox(6, one, two);
        box.setPadding(new Insets(6, 0, 0, 0));
        return box;
    }

    private ToggleButton toggle(String id, String words, boolean filtered, ToggleGroup group) {
        ToggleButton button = new ToggleButton(words);
        button.setId(id);
        button.getStyleClass().setAll(Styles.CHOICE);
        button.setToggleGroup(group);
        button.setOnAction(event -> {
            methodRefusal.setText(model.chooseFiltered(filtered).orElse(""));
            boolean stays = !methodRefusal.getText().isEmpty();
            button.setSelected(!stays);
            group.getToggles().stream().filter(other -> other != button).forEach(other -> other.setSelected(stays));
        });
        return button;
    }

    private void lead() {
        steps.getChildren().clear();
        for (SeriesStep step : SeriesStep.values()) {
            ToggleButton chip = new ToggleButton((step.ordinal() + 1) + "  " + step.title());
            chip.setId("series-step-" + step.name().toLowerCase(Locale.ROOT));
            chip.getStyleClass().setAll(Styles.CHOICE, Styles.SERIES_STEP);
            chip.setSelected(step == model.stepProperty().get());
            chip.setFocusTraversable(false);
            chip.setOnAction(event -> {
                chip.setSelected(true);
                model.stepProperty().set(step);
            });
            steps.getChildren().add(chip);
        }
        SeriesStep due = model.stepProperty().get();
        what.setText(due.what());
        boolean typing = due == SeriesStep.ZERO || due == SeriesStep.READ;
        go.setVisible(!typing);
        go.setManaged(!typing);
        giveKeys();
    }

    /** To what is due, once all of this stands in the window: what scrolls does so from its first pulse on only. */
    private void giveKeys() {
        if (model.shownProperty().get() && go.getScene() != null) {
            Platform.runLater(() -> {
                SeriesStep due = model.stepProperty().get();
                (due == SeriesStep.ZERO ? zero.field() : due == SeriesStep.READ ? reading.field() : go).requestFocus();
            });
        }
    }

    private void show() {
        if (!model.shownProperty().get() || model.openProperty().get() == null) {
            return;
        }
        title.setText(model.title());
        readings();
        showStrength();
        yield.setText(model.yield());
        details.setText(model.details());
        advice.setText(model.advice().sentence());
        showWarnings();
        picture.show(model.figure());
        slices.show(model.cumulative());
    }

    private void showStrength() {
        strength.setText(model.strength().map(Reported::value).orElse("–"));
        half.setText(model.strength().map(Reported::half).orElse(""));
        unit.setText(model.strength()
                .map(Reported::factor)
                .filter(factor -> !factor.isEmpty())
                .map(factor -> "% strength, " + factor)
                .orElse("% strength"));
    }

    private void showWarnings() {
        List<Node> lines = new ArrayList<>();
        model.warnings().forEach(sentence -> {
            Label line = new Label(sentence);
            line.getStyleClass().add(Styles.MARK_CHECK);
            line.setWrapText(true);
            lines.add(line);
        });
        warnings.getChildren().setAll(lines);
    }

    private void readings() {
        int count = model.series().taken().size();
        long id = model.openProperty().get().summary().id();
        if (count == shown && id == shot) {
            return;
        }
        shown = count;
        shot = id;
        readings.getChildren().clear();
        for (int i = 0; i < count; i++) {
            readings.getChildren().add(reading(i));
        }
    }

    private Node reading(int index) {
        EntryField entry = new EntryField(model.reading(index), "series-reading-" + index).wide(58);
        Button remove = new Button();
        remove.setId("series-remove-" + index);
        remove.setGraphic(Icon.CLOSE.node());
        remove.getStyleClass().addAll(Styles.QUIET, Styles.REMOVE);
        remove.setAccessibleText("Take reading " + (index + 1) + " out");
        remove.setOnAction(event -> model.remove(index));
        return new HBox(entry, remove);
    }

    /** The painted series. */
    private final class Picture extends Region {
        private final FigureImage image = new FigureImage();
        private SeriesFigure figure;

        Picture() {
            setMinHeight(FIGURE);
            setPrefHeight(FIGURE);
            getChildren().add(image);
            widthProperty().addListener((o, was, is) -> repaint());
        }

        void show(SeriesFigure other) {
            figure = other;
            repaint();
        }

        private void repaint() {
            if (figure != null) {
                SeriesFigure painted = figure;
                Theme theme = appearance.themeProperty().get();
                image.paint((g, pen, width, height) -> SeriesPainter.paint(g, theme, painted, width, height),
                        Math.floor(getWidth()), FIGURE);
            }
        }
    }
}
