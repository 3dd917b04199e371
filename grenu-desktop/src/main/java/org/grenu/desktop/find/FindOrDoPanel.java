package org.grenu.desktop.find;

import javafx.application.Platform;
import javafx.beans.Observable;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Styles;

/** The find-or-do field, over the window: type, go down, Enter. */
public final class FindOrDoPanel extends VBox {

    private static final double WIDTH = 536;

    private final FindOrDoViewModel model;
    private final TextField field = new TextField();
    private final VBox list = new VBox();

    /** Shows what the model finds. */
    public FindOrDoPanel(FindOrDoViewModel model) {
        super(8);
        this.model = model;
        setId("find-or-do-panel");
        getStyleClass().add(Styles.OVERLAY);
        setMaxSize(WIDTH, USE_PREF_SIZE);
        makeField();
        getChildren().addAll(field, list);
        visibleProperty().bind(model.shownProperty());
        managedProperty().bind(visibleProperty());
        followModel();
    }

    private void makeField() {
        field.setId("find-or-do-field");
        field.setPromptText("Find a shot, coffee, gear or setting, or say what to do");
        field.setAccessibleText("Find or do");
        field.textProperty().bindBidirectional(model.typedProperty());
        field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    }

    private void followModel() {
        model.hits().addListener((Observable o) -> show());
        model.chosenProperty().addListener((o, was, is) -> show());
        model.shownProperty().addListener((o, was, is) -> {
            if (is) {
                Platform.runLater(field::requestFocus);
            }
        });
    }

    private void key(KeyEvent event) {
        boolean taken = true;
        switch (event.getCode()) {
            case DOWN -> model.step(1);
            case UP -> model.step(-1);
            case ENTER -> model.invoke();
            default -> taken = false;
        }
        if (taken) {
            event.consume();
        }
    }

    private void show() {
        list.getChildren().clear();
        for (int i = 0; i < model.hits().size(); i++) {
            list.getChildren().add(row(model.hits().get(i), i));
        }
        if (model.hits().isEmpty()) {
            Label nothing = new Label(
                    "Nothing by that name. Shots are found by coffee, day, number and note, actions by what they do.");
            nothing.getStyleClass().add(Styles.MUTED);
            nothing.setWrapText(true);
            list.getChildren().add(nothing);
        }
    }

    private Node row(Hit hit, int place) {
        Label kind = label(hit.kind(), Styles.MUTED);
        kind.setMinWidth(74);
        kind.setMaxWidth(74);
        Label words = label(hit.words(), hit.whyNot().isPresent() ? Styles.MUTED : Styles.STRONG);
        Label beside = beside(hit);
        Label key = label(hit.key(), Styles.MUTED);
        HBox row = new HBox(8, kind, words, beside, key);
        row.setAlignment(Pos.CENTER_LEFT);
        makeChoosable(row, hit, place);
        return row;
    }

    private Label beside(Hit hit) {
        Label beside = label(hit.whyNot().orElse(hit.beside()), Styles.MUTED);
        beside.setMinWidth(0);
        HBox.setHgrow(beside, Priority.ALWAYS);
        beside.setMaxWidth(Double.MAX_VALUE);
        return beside;
    }

    private void makeChoosable(HBox row, Hit hit, int place) {
        row.getStyleClass().add(Styles.OFFER);
        if (place == model.chosenProperty().get()) {
            row.getStyleClass().add(Styles.CURRENT);
        }
        row.setAccessibleText(hit.kind() + " " + hit.words() + ", " + hit.whyNot().orElse(hit.beside()));
        row.setOnMouseClicked(event -> {
            model.chosenProperty().set(place);
            model.invoke();
        });
    }

    private static Label label(String words, String style) {
        Label label = new Label(words);
        label.getStyleClass().add(style);
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }
}
