package org.grenu.desktop.entry;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.core.entry.Row;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.TasteNote;
import org.grenu.core.record.Tasting;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Styles;

/** Tasting notes picked from words, grouped by what they tell of, each with its strength from 0 to 10. */
public final class TasteEntry extends VBox {

    private static final double MIDDLING = 5;
    private static final double MOST = 10;

    private final EntryViewModel model;
    private final String id;

    /** The notes of that entry; the words' buttons have ids that begin so. */
    public TasteEntry(EntryViewModel model, String id) {
        super(3);
        this.model = model;
        this.id = id;
        setId(id);
        model.shownProperty().addListener((o, was, is) -> show());
        show();
    }

    private Map<TasteNote, OptionalDouble> notes() {
        Map<TasteNote, OptionalDouble> notes = new EnumMap<>(TasteNote.class);
        notes.putAll(Tasting.of(ShotRecord.EMPTY.with(RecordField.TASTING, model.standing())).notes());
        return notes;
    }

    private void show() {
        Optional<String> focused = Optional.ofNullable(getScene())
                .map(Scene::getFocusOwner)
                .filter(owner -> isFocusWithin())
                .map(Node::getId);
        getChildren().clear();
        Map<TasteNote, OptionalDouble> notes = notes();
        for (TasteNote.Side side : TasteNote.Side.values()) {
            Label heading = new Label(switch (side) {
                case UNDER -> "too little extracted";
                case OVER -> "too much extracted";
                case NEITHER -> "of the coffee";
            });
            heading.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
            FlowPane words = new FlowPane(3, 3);
            for (TasteNote note : TasteNote.values()) {
                if (note.side() == side) {
                    words.getChildren().add(notes.containsKey(note) ? picked(note, notes.get(note)) : open(note));
                }
            }
            getChildren().addAll(heading, words);
        }
        focused.map(where -> lookup("#" + where)).ifPresent(Node::requestFocus);
    }

    private Node open(TasteNote note) {
        Button word = button(note.key(), "", () -> set(note, OptionalDouble.of(MIDDLING)));
        word.getStyleClass().add("taste-word");
        word.setId(id + "-" + note.key());
        Hint.on(word, "Tasted: begin with 5 of 10");
        return word;
    }

    private Node picked(TasteNote note, OptionalDouble strength) {
        Button less = button("−", "Less " + note.key(), () -> step(note, -1));
        less.setId(id + "-" + note.key() + "-less");
        Button more = button("+", "More " + note.key(), () -> step(note, 1));
        more.setId(id + "-" + note.key() + "-more");
        Label word = new Label(
                note.key() + (strength.isPresent() ? " " + DecimalText.exact(strength.getAsDouble()) : ""));
        word.getStyleClass().add(Styles.STRONG);
        word.setMinWidth(Region.USE_PREF_SIZE);
        HBox chip = new HBox(1, less, word, more);
        chip.setAlignment(Pos.CENTER);
        chip.getStyleClass().add("taste-picked");
        return chip;
    }

    private static Button button(String words, String meaning, Runnable run) {
        Button button = new Button(words);
        button.getStyleClass().addAll(Styles.LINK);
        button.setMinWidth(Region.USE_PREF_SIZE);
        if (!meaning.isEmpty()) {
            button.setAccessibleText(meaning);
        }
        button.setOnAction(event -> run.run());
        return button;
    }

    /** Below one the note is taken away. */
    private void step(TasteNote note, int by) {
        double next = notes().getOrDefault(note, OptionalDouble.empty()).orElse(MIDDLING) + by;
        set(note, next < 1 ? null : OptionalDouble.of(Math.min(MOST, next)));
    }

    private void set(TasteNote note, OptionalDouble strength) {
        Map<TasteNote, OptionalDouble> notes = notes();
        if (strength == null) {
            notes.remove(note);
        } else {
            notes.put(note, strength);
        }
        model.enter(notes.entrySet()
                .stream()
                .map(one -> new Row(List.of(one.getKey().key(),
                        one.getValue().isPresent() ? DecimalText.exact(one.getValue().getAsDouble()) : "")).text())
                .collect(Collectors.joining("; ")));
        show();
    }
}
