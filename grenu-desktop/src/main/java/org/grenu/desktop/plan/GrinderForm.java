package org.grenu.desktop.plan;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/** Asks what one notch of the grinder is, where neither the shelf nor the log tells it. */
final class GrinderForm extends VBox {

    private final NextShotViewModel model;
    private final TextField name = new TextField();
    private final TextField notch = new TextField();
    private final Label refusal = new Label();

    GrinderForm(NextShotViewModel model) {
        super(6);
        this.model = model;
        setId("grinder-form");
        setMaxSize(430, USE_PREF_SIZE);
        Label why = new Label("Changes of grind are counted in the grinder’s own notches. What is the smallest move of "
                + "its dial, in the dial’s numbers?");
        why.setWrapText(true);
        name.setId("grinder-name");
        name.setPromptText("Grinder");
        name.setPrefWidth(150);
        name.setAccessibleText("Name of the grinder");
        notch.setId("grinder-notch");
        notch.setPromptText("0.1");
        notch.setPrefWidth(60);
        notch.setAccessibleText("One notch in the numbers of its dial");
        notch.setOnAction(event -> keep());
        name.getStyleClass().add(Styles.ENTRY);
        notch.getStyleClass().add(Styles.ENTRY);
        Button keep = new Button("Keep");
        keep.setId("grinder-keep");
        keep.getStyleClass().add(Styles.ACTION);
        keep.setOnAction(event -> keep());
        HBox row = new HBox(6, name, Section.word("one notch"), notch, keep);
        row.setAlignment(Pos.CENTER_LEFT);
        refusal.setId("grinder-refusal");
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        getChildren().addAll(why, row, refusal);
        managedProperty().bind(visibleProperty());
    }

    /** Shows itself where it is needed, with the grinder's name where that is known. */
    void show() {
        setVisible(model.wantsGrinder());
        if (name.getText().isEmpty()) {
            name.setText(model.grinder());
        }
    }

    private void keep() {
        try {
            model.keepGrinder(name.getText(), notch.getText());
            refusal.setText("");
            setVisible(false);
        } catch (RefusedEntry refused) {
            refusal.setText(refused.getMessage());
        }
    }
}
