package org.grenu.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.app.settings.Schools;
import org.grenu.core.diagnosis.Fact;
import org.grenu.core.diagnosis.Facts;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.RulePackError;
import org.grenu.desktop.control.Buttons;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.StudyDesk;

/** The rules of one school as text: one shipped to edit, or one to write. Nothing counts before it is kept. */
final class RulesEditor extends VBox {

    private static final double FACTS_WIDTH = 220;
    private static final double LEAST_TEXT = 240;

    private final StudyDesk desk;
    private final Label title = new Label();
    private final TextArea text = new TextArea();
    private final Label refusal = new Label();
    private final Button asShipped;
    private final Button remove;
    private Optional<RulePack> edited = Optional.empty();

    RulesEditor(StudyDesk desk) {
        super(6);
        this.desk = desk;
        title.getStyleClass().add(Styles.STRONG);
        text.setId("rules-text");
        text.getStyleClass().add(Styles.CODE);
        text.setPrefRowCount(14);
        text.setMinHeight(LEAST_TEXT);
        text.setAccessibleText("Rules of the school");
        refusal.setId("rules-refusal");
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        refusal.managedProperty().bind(refusal.visibleProperty());
        asShipped = Buttons.action("rules-reset", "As shipped", this::reset);
        remove = Buttons.action("rules-remove", "Remove", this::remove);
        List.of(asShipped, remove).forEach(button -> button.managedProperty().bind(button.visibleProperty()));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox buttons = new HBox(8, Buttons.action("rules-keep", "Keep", this::keep), asShipped, remove,
                Buttons.action("rules-cancel", "Cancel", () -> setVisible(false)), gap, facts());
        buttons.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(title, text, refusal, buttons);
        setVisible(false);
        managedProperty().bind(visibleProperty());
    }

    /** Shows that school's rules. */
    void edit(RulePack pack) {
        show(Optional.of(pack), "Rules of “" + pack.title() + "”", pack.text());
    }

    /** Shows a school that is not there yet. */
    void begin() {
        show(Optional.empty(), "A school of your own",
                desk.settingsProperty().get().schools().begun());
    }

    private void show(Optional<RulePack> pack, String words, String rules) {
        edited = pack;
        boolean shipped = pack.flatMap(of -> Schools.shipped(of.id())).isPresent();
        asShipped.setVisible(shipped);
        remove.setVisible(pack.isPresent() && !shipped);
        title.setText(words);
        text.setText(rules);
        refusal.setVisible(false);
        setVisible(true);
        text.requestFocus();
    }

    /** Every number that a rule can ask for, to be put where the caret is. */
    private ComboBox<Optional<Fact>> facts() {
        List<Optional<Fact>> all = new ArrayList<>(List.of(Optional.empty()));
        Facts.all().forEach(fact -> all.add(Optional.of(fact)));
        ComboBox<Optional<Fact>> box = Choices.of("rules-facts", "Puts a fact where the caret is", all,
                Optional.empty(),
                fact -> fact.map(of -> of.name() + ": " + of.meaning()).orElse("Insert a fact"), fact -> {});
        box.setPrefWidth(FACTS_WIDTH);
        box.valueProperty().addListener((o, was, is) -> is.ifPresent(fact -> {
            text.insertText(text.getCaretPosition(), fact.name());
            Platform.runLater(() -> {
                box.setValue(Optional.empty());
                text.requestFocus();
            });
        }));
        return box;
    }

    private void keep() {
        apply(schools -> edited.map(pack -> schools.edited(pack, text.getText()))
                .orElseGet(() -> schools.added(text.getText())));
    }

    private void reset() {
        text.setText(Schools.shipped(edited.orElseThrow().id()).orElseThrow().text());
        keep();
    }

    /** What was removed stays in sight, so that “Keep” brings it back. */
    private void remove() {
        RulePack pack = edited.orElseThrow();
        apply(schools -> schools.without(pack));
        show(Optional.empty(), "“" + pack.title() + "” is removed; Keep brings it back", text.getText());
    }

    private void apply(UnaryOperator<Schools> change) {
        try {
            desk.choose(desk.settingsProperty()
                    .get()
                    .with(change.apply(desk.settingsProperty().get().schools())));
            setVisible(false);
        } catch (RulePackError refused) {
            refusal.setText(refused.getMessage() + " Nothing was changed.");
            refusal.setVisible(true);
        }
    }
}
