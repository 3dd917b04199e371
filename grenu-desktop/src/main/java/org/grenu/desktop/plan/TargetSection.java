package org.grenu.desktop.plan;

import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.app.advice.AdviceWords;
import org.grenu.core.entry.Field;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.desktop.control.EntryGrid;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.EntryField;

/** What is wanted of the coffee: its recipe with the windows, each edited where it stands. */
final class TargetSection extends Section {

    private static final double NARROW = 62;

    private final TargetViewModel model;
    private final Runnable startRecipe;
    private final VBox body = new VBox(6);
    private final Label from = new Label();
    private long shown = -2;
    private int versions;

    TargetSection(TargetViewModel model, Runnable startRecipe) {
        super("Target recipe");
        this.model = model;
        this.startRecipe = startRecipe;
        getStyleClass().add(Styles.FIRST);
        from.setId("target-source");
        from.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        from.setWrapText(true);
        getChildren().add(body);
        model.dialIn().answeredProperty().addListener((o, was, is) -> show());
        show();
    }

    /** Built anew only for another recipe: who types in it stays in the field. */
    private void show() {
        DialInAnswer answer = model.dialIn().answeredProperty().get();
        ShelfItem recipe = model.recipe().orElse(null);
        remark().setText(recipe == null ? "none yet" : "version " + recipe.newest().number());
        long id = recipe == null ? -1 : recipe.id();
        from.setText(answer == null || answer.target().source().isEmpty() ? ""
                : "Windows from: " + answer.target().source());
        if (recipe != null && shown == id && versions == recipe.versions().size()) {
            return;
        }
        shown = id;
        versions = recipe == null ? 0 : recipe.versions().size();
        body.getChildren().clear();
        if (recipe == null) {
            body.getChildren().addAll(assumed(answer), start());
        } else {
            body.getChildren().addAll(entries(), foot(recipe));
        }
    }

    private Node assumed(DialInAnswer answer) {
        Label words = new Label(answer == null ? "Choose a coffee, or name a new one above."
                : "Wanted: " + answer.words().map(AdviceWords::wanted).orElse("25–30 s") + ", assumed from "
                        + answer.target().source() + ".");
        words.setId("aim-assumed");
        words.setWrapText(true);
        return words;
    }

    private Button start() {
        Button start = new Button("Start recipe…");
        start.setId("start-recipe");
        start.getStyleClass().add(Styles.ACTION);
        Hint.on(start, "Dose, ratio, temperature, grind and windows, each with what it rests on");
        start.disableProperty().bind(model.dialIn().coffeeProperty().isEmpty());
        start.setOnAction(event -> startRecipe.run());
        return start;
    }

    private Node entries() {
        EntryGrid grid = new EntryGrid();
        int row = 0;
        grid.addRow(row++, name("Dose → in the cup", "g"),
                pair(RecordField.DOSE_TARGET, "→", RecordField.BEVERAGE_TARGET));
        grid.addRow(row++, name("Water, " + model.units().symbol("°C") + " · grind", ""),
                pair(RecordField.TEMPERATURE, "·", RecordField.GRIND));
        grid.addRow(row++, name("Profile", ""), editor(RecordField.PROFILE, 0));
        grid.addRow(row++, name("Time", "s"), pair(ShelfField.AIM_TIME_FROM, "–", ShelfField.AIM_TIME_TO));
        grid.addRow(row++, name("EY as dosed", "%"), pair(ShelfField.AIM_YIELD_FROM, "–", ShelfField.AIM_YIELD_TO));
        grid.addRow(row++, name("Strength", "%"),
                pair(ShelfField.AIM_STRENGTH_FROM, "–", ShelfField.AIM_STRENGTH_TO));
        grid.addRow(row, name("Taste", "0–10"),
                new EntryField(model.tastes(), "target-aim-tastes").hinting("sour 0–3; sweet 5–10"));
        return grid;
    }

    private static Label name(String title, String unit) {
        Label name = new Label(title + (unit.isEmpty() ? "" : ", " + unit));
        name.setPadding(new Insets(4, 0, 0, 0));
        return name;
    }

    private EntryField editor(Field field, double width) {
        EntryField editor = new EntryField(model.entry(field), "target-" + field.key().replace('_', '-'))
                .hinting("unknown");
        return width > 0 ? editor.wide(width) : editor;
    }

    private HBox pair(Field from, String between, Field to) {
        HBox pair = new HBox(4, editor(from, NARROW), between(between), editor(to, NARROW));
        pair.setAlignment(Pos.TOP_LEFT);
        return pair;
    }

    private static Label between(String words) {
        Label between = word(words);
        between.setMinWidth(14);
        between.setAlignment(Pos.TOP_CENTER);
        return between;
    }

    private Node foot(ShelfItem recipe) {
        HBox foot = new HBox(8, from, version(recipe));
        HBox.setHgrow(from, Priority.ALWAYS);
        from.setMaxWidth(Double.MAX_VALUE);
        foot.setAlignment(Pos.TOP_LEFT);
        return foot;
    }

    private Button version(ShelfItem recipe) {
        Button next = new Button("Begin version " + (recipe.newest().number() + 1));
        next.setId("target-version");
        next.getStyleClass().add(Styles.LINK);
        Hint.on(next,
                "Shots pulled by version " + recipe.newest().number() + " keep it; new shots start from the next");
        next.setMinWidth(Region.USE_PREF_SIZE);
        next.setOnAction(event -> model.nextVersion());
        return next;
    }
}
