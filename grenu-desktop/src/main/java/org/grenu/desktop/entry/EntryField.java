package org.grenu.desktop.entry;

import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.FirstShown;
import org.grenu.desktop.control.PlaceKey;
import org.grenu.desktop.control.Styles;

/**
 * An entry edited where it stands. Enter or leaving the field stores it, Escape takes the typing back. A refused
 * entry
 * is explained under the field; the old value stays.
 */
public final class EntryField extends VBox {

    private final EntryViewModel model;
    private final TextField field = new TextField();
    private final Label refusal = new Label();
    private final Button doubt = new Button();
    private boolean adding;
    private String hint = "";
    private String focusedHint = "";

    /** The entry, whose field has that id. */
    public EntryField(EntryViewModel model, String id) {
        this.model = model;
        makeField(id);
        model.shownProperty().addListener((o, was, is) -> field.setText(is));
        model.insteadProperty().addListener((o, was, is) -> hint());
        hint();
        listenToKeys();
        explain(id);
        ask(id);
        getChildren().add(field);
        FirstShown.inFrontIn(this, refusal);
        FirstShown.inFrontIn(this, doubt);
        setFillWidth(true);
    }

    private void makeField(String id) {
        field.setId(id);
        field.getStyleClass().add(Styles.ENTRY);
        field.setAccessibleText(model.title());
        field.setText(model.shownProperty().get());
    }

    private void listenToKeys() {
        field.setOnAction(event -> enter());
        field.focusedProperty().addListener((o, was, focused) -> {
            hint();
            if (!focused && enter() == EntryViewModel.Outcome.REFUSED) {
                field.setText(model.shownProperty().get());
            }
        });
        field.setOnKeyPressed(this::giveUpOnEscape);
    }

    private void giveUpOnEscape(KeyEvent key) {
        if (PlaceKey.TAKE_BACK.is(key)) {
            field.setText(model.shownProperty().get());
            model.clearRefusal();
            field.selectAll();
            key.consume();
        }
    }

    private void explain(String id) {
        refusal.setId(id + "-refusal");
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        refusal.textProperty().bind(model.refusalProperty());
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        refusal.visibleProperty().bind(refusal.managedProperty());
    }

    private void ask(String id) {
        doubt.setId(id + "-doubt");
        doubt.getStyleClass().addAll(Styles.LINK, Styles.REFUSAL);
        doubt.setWrapText(true);
        doubt.setTextAlignment(TextAlignment.LEFT);
        doubt.managedProperty().bind(doubt.visibleProperty());
        doubt.setOnAction(event -> Optional.ofNullable(model.doubtProperty().get())
                .flatMap(EntryViewModel.Doubt::meant)
                .ifPresent(model::enter));
        model.doubtProperty().addListener((o, was, is) -> ask());
        ask();
    }

    /** {@return this field, that wide} */
    public EntryField wide(double width) {
        field.setMinWidth(width);
        field.setPrefWidth(width);
        field.setMaxWidth(width);
        return this;
    }

    /** {@return this field, with words that stand in it while it is empty} */
    public EntryField hinting(String words) {
        hint = words;
        hint();
        return this;
    }

    /** Shows those words instead while the caret stands in it. */
    void hintingWhileFocused(String words) {
        focusedHint = words;
    }

    /** {@return this field, with what its number means on hovering} */
    public EntryField explained(String words) {
        Hint.on(field, words);
        return this;
    }

    /** {@return the field to type in} */
    public TextField field() {
        return field;
    }

    /** {@return this field, which adds to a list: what was stored leaves it, so that it is not stored twice} */
    public EntryField thatAdds() {
        adding = true;
        return this;
    }

    /**
     * {@return what is asked under the field when the entry is hardly meant; pressed, it enters what was perhaps
     * meant}
     */
    public Button doubt() {
        return doubt;
    }

    private void ask() {
        EntryViewModel.Doubt asked = model.doubtProperty().get();
        doubt.setVisible(asked != null);
        doubt.setText(asked == null ? "" : asked.question());
        doubt.setFocusTraversable(asked != null && asked.meant().isPresent());
        Hint.on(doubt, asked == null ? "" : asked.meant().map(meant -> "Enter " + meant).orElse(""));
    }

    /** {@return the words under the field} */
    public Label refusal() {
        return refusal;
    }

    private void hint() {
        String instead = model.insteadProperty().get();
        field.setPromptText(
                !instead.isEmpty() ? instead : field.isFocused() && !focusedHint.isEmpty() ? focusedHint : hint);
    }

    /** What was stored comes back through the model as it was stored; what changed nothing is put back at once. */
    private EntryViewModel.Outcome enter() {
        EntryViewModel.Outcome outcome = model.enter(field.getText());
        if (outcome == EntryViewModel.Outcome.UNCHANGED) {
            field.setText(model.shownProperty().get());
        } else if (outcome == EntryViewModel.Outcome.STORED && adding) {
            field.clear();
        }
        return outcome;
    }
}
