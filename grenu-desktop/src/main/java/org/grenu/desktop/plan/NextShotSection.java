package org.grenu.desktop.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.event.ActionEvent;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.grenu.app.advice.AdviceWords;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/** The one next shot with its reasons and doubts, and the fields in which it is written down once it is pulled. */
final class NextShotSection extends Section {

    private static final Map<RecordField, String> NAMES = new LinkedHashMap<>();

    static {
        NAMES.put(RecordField.GRIND, "Grind");
        NAMES.put(RecordField.PURGE, "Purge, g");
        NAMES.put(RecordField.DOSE, "Dose, g");
        NAMES.put(RecordField.TEMPERATURE, "Water, ");
        NAMES.put(RecordField.PROFILE, "Profile");
        NAMES.put(RecordField.BEVERAGE, "Cup, g");
        NAMES.put(RecordField.PUMP_OFF, "Time, s");
        NAMES.put(RecordField.READINGS, "Strength, %");
        NAMES.put(RecordField.TASTING, "Taste, 0–10");
    }

    private static final Map<RecordField,
            Double> WIDTHS = Map.of(RecordField.TASTING, 126.0, RecordField.PROFILE, 126.0,
                    RecordField.READINGS, 92.0);
    private static final Map<RecordField, String> PROMPTS = Map.of(RecordField.TASTING, "sour 6; sweet 3",
            RecordField.READINGS, "9.1 9.2 9.1");

    /** So many of the first fields are set before the shot, the others measured after it. */
    private static final int SET_BEFORE = 5;

    private final DialInViewModel dialIn;
    private final NextShotViewModel model;
    private final Label heading = new Label();
    private final Label expected = new Label();
    private final Label brief = new Label();
    private final Label why = new Label();
    private final Label doubts = new Label();
    private final Label refusal = new Label();
    private final List<TextField> fields = new ArrayList<>();
    private final List<Label> names = new ArrayList<>();
    /** What stood in each field before anything was typed. */
    private final List<String> prefilled = new ArrayList<>();
    private String coffee = "";

    NextShotSection(DialInViewModel dialIn, NextShotViewModel model) {
        super("Next");
        this.dialIn = dialIn;
        this.model = model;
        getStyleClass().add(Styles.NEXT);
        heading.setId("plan-next");
        heading.getStyleClass().add(Styles.HEADING);
        heading.setWrapText(true);
        expected.setWrapText(true);
        expected.managedProperty().bind(expected.textProperty().isNotEmpty());
        brief.setId("plan-brief");
        brief.getStyleClass().addAll(Styles.CAPTION, "doubted");
        brief.setWrapText(true);
        brief.managedProperty().bind(brief.textProperty().isNotEmpty());
        why.getStyleClass().add(Styles.MUTED);
        why.setWrapText(true);
        doubts.setId("plan-doubts");
        doubts.getStyleClass().addAll(Styles.MUTED, Styles.GUARD);
        doubts.setWrapText(true);
        doubts.managedProperty().bind(doubts.textProperty().isNotEmpty());
        doubts.visibleProperty().bind(doubts.managedProperty());
        refusal.setId("plan-refusal");
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        Label caution = new Label("Hot water and pressure: never unlock the holder while it is under pressure.");
        caution.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        caution.setWrapText(true);
        getChildren().addAll(heading, expected, brief, why, typing(), refusal, write(), doubts, caution);
        dialIn.answeredProperty().addListener((o, was, is) -> {
            show();
            prefill(false);
        });
        model.usedProperty().addListener((o, was, is) -> prefill(is != null));
        show();
        prefill(false);
    }

    private Node typing() {
        FlowPane flow = new FlowPane(6, 4);
        for (RecordField field : NextShotViewModel.TYPED) {
            TextField typed = new TextField();
            typed.setId("pulled-" + field.key().replace('_', '-'));
            typed.getStyleClass().add(Styles.ENTRY);
            typed.setPrefWidth(WIDTHS.getOrDefault(field, 60.0));
            typed.setPromptText(PROMPTS.getOrDefault(field, ""));
            typed.setOnAction(event -> write(null));
            fields.add(typed);
            prefilled.add("");
            Label name = new Label();
            names.add(name);
            name.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
            flow.getChildren().add(new VBox(1, name, typed));
        }
        return flow;
    }

    private Node write() {
        Button write = new Button("Write the shot down");
        write.setId("write-rung");
        write.getStyleClass().addAll(Styles.ACTION, Styles.PRIMARY);
        Hint.on(write, "A new rung with the set-up of the one before; a log can be given to it in Read (Enter)");
        write.setOnAction(this::write);
        FlowPane row = new FlowPane(8, 4, write);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void write(ActionEvent event) {
        try {
            model.write(fields.stream().map(TextField::getText).toList());
            refusal.setText("");
            // What was pulled is no longer typed: the next proposal takes its place.
            for (int i = 0; i < SET_BEFORE; i++) {
                prefilled.set(i, fields.get(i).getText());
            }
            fields.subList(SET_BEFORE, fields.size()).forEach(TextField::clear);
            Collections.fill(prefilled.subList(SET_BEFORE, fields.size()), "");
            fields.get(SET_BEFORE).requestFocus();
        } catch (RefusedEntry refused) {
            refusal.setText(refused.getMessage());
        }
    }

    private void nameFields() {
        for (int i = 0; i < fields.size(); i++) {
            RecordField field = NextShotViewModel.TYPED.get(i);
            String words = NAMES.get(field)
                    + (field == RecordField.TEMPERATURE ? model.units().symbol(field.unit()) : "");
            names.get(i).setText(words);
            fields.get(i).setAccessibleText(words);
        }
    }

    /** What was typed stays, but for another coffee, or where a lever was chosen by hand. */
    private void prefill(boolean chosen) {
        nameFields();
        boolean another = !dialIn.coffeeProperty().get().equals(coffee);
        coffee = dialIn.coffeeProperty().get();
        for (int i = 0; i < fields.size(); i++) {
            String text = model.prefilled(NextShotViewModel.TYPED.get(i));
            boolean untouched = fields.get(i).getText().equals(prefilled.get(i));
            if (another || !text.isEmpty() && (untouched || chosen)) {
                fields.get(i).setText(text);
                prefilled.set(i, text);
            }
        }
    }

    private void show() {
        DialInAnswer answer = dialIn.answeredProperty().get();
        AdviceWords words = answer == null ? null : answer.words().orElse(null);
        if (words == null) {
            CoffeeAdvice.Held held = answer != null && answer.outcome() instanceof CoffeeAdvice.Held asked ? asked
                    : null;
            heading.setText(
                    answer == null ? "Name a coffee to begin" : held != null ? held.change() : "Pull the first shot");
            expected.setText("");
            brief.setText("");
            why.setText(held != null ? held.reason()
                    : answer == null ? "" : "Write down its grind, dose, what came and how long it took: from the "
                            + "first shot on the next one is proposed. " + whyNot(answer));
            doubts.setText("");
            return;
        }
        heading.setText(words.next());
        expected.setText(words.expected() + ".");
        brief.setText(words.brief());
        why.setText(words.why() + " " + words.cost());
        String assumed = words.given().setUp().assumed().isEmpty() ? ""
                : "\nAssumed: " + String.join("; ", words.given().setUp().assumed()) + ".";
        doubts.setText(String.join("\n", words.doubts()) + assumed);
    }

    private static String whyNot(DialInAnswer answer) {
        return answer.outcome() instanceof CoffeeAdvice.NotYet not && !not.unpulled() ? not.why() : "";
    }
}
