package org.grenu.desktop.calculator;

import java.util.Locale;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.extraction.YieldEquation.Term;
import org.grenu.desktop.control.OverlayPanel;
import org.grenu.desktop.control.Styles;

/** Dose, beverage mass, strength and extraction yield, of which any one follows from the others. */
public final class CalculatorPanel extends OverlayPanel {

    private static final double NUMBER_WIDTH = 84;
    private static final double HALF_WIDTH = 62;

    private final CalculatorViewModel model;
    private final GridPane grid = new GridPane();
    private final ToggleGroup group = new ToggleGroup();

    /** The panel of that calculator. */
    public CalculatorPanel(CalculatorViewModel model) {
        super("calculator", 440);
        this.model = model;
        Label words = new Label(
                "EY · dose · (1 − moisture) = strength · (beverage + liquid kept). Mark what is wanted.");
        words.getStyleClass().add(Styles.MUTED);
        words.setWrapText(true);
        grid.setHgap(8);
        grid.setVgap(5);
        for (Term term : Term.values()) {
            row(term);
        }
        getChildren().addAll(
                top("Calculator", button("calculator-fill", "From the open shot", model::fillFromShot),
                        close("calculator-close")),
                words, grid, foot(), cup());
    }

    /** Shows it with what is known of the open shot. */
    public void open() {
        model.fillFromShot();
        setVisible(true);
    }

    private void row(Term term) {
        String id = term.name().toLowerCase(Locale.ROOT);
        RadioButton wanted = new RadioButton(term.title());
        wanted.setId("calculate-" + id);
        wanted.setToggleGroup(group);
        wanted.setSelected(model.wantedProperty().get() == term);
        Hint.on(wanted, "Compute this from the others");
        wanted.setOnAction(event -> model.wantedProperty().set(term));
        TextField number = field("calculator-" + id, term.title(), NUMBER_WIDTH);
        number.textProperty().bindBidirectional(model.number(term));
        number.setPromptText(term == Term.RATIO ? "1:" : term.optional() ? "none" : "");
        TextField half = field("calculator-" + id + "-u", term.title() + ", ± (k = 2)", HALF_WIDTH);
        half.textProperty().bindBidirectional(model.half(term));
        Label plusMinus = new Label("±");
        Label computed = new Label();
        computed.setId("calculated-" + id);
        computed.getStyleClass().add(Styles.NUMBER);
        computed.textProperty().bind(model.resultProperty());
        Label unit = new Label(term.unit());
        HBox typed = new HBox(6, number, plusMinus, half, unit);
        typed.setAlignment(Pos.CENTER_LEFT);
        typed.visibleProperty().bind(model.wantedProperty().isNotEqualTo(term));
        computed.visibleProperty().bind(typed.visibleProperty().not());
        model.wantedProperty().addListener((o, was, is) -> wanted.setSelected(is == term));
        int at = term.ordinal();
        grid.add(wanted, 0, at);
        grid.add(typed, 1, at);
        grid.add(computed, 1, at);
    }

    private Label foot() {
        Label said = new Label();
        said.setId("calculator-said");
        said.getStyleClass().add(Styles.CAPTION);
        said.setWrapText(true);
        said.setMinHeight(34);
        said.setAlignment(Pos.TOP_LEFT);
        said.textProperty().bind(model.saidProperty());
        return said;
    }

    /** What becomes of that beverage. */
    private GridPane cup() {
        GridPane rows = new GridPane();
        rows.setHgap(8);
        rows.setVgap(5);
        rows.setId("calculator-cup");
        CupViewModel cup = model.cup();
        TextField strength = field("cup-strength", "Strength wanted at the same extraction, %", HALF_WIDTH);
        strength.textProperty().bindBidirectional(cup.wantedStrengthProperty());
        TextField water = field("cup-water", "Water added, g", HALF_WIDTH);
        water.textProperty().bindBidirectional(cup.waterProperty());
        TextField mass = field("cup-other-mass", "Mass of another beverage, g", HALF_WIDTH);
        mass.textProperty().bindBidirectional(cup.otherMassProperty());
        TextField other = field("cup-other-strength", "Its strength, %", HALF_WIDTH);
        other.textProperty().bindBidirectional(cup.otherStrengthProperty());
        rows.addRow(0, new Label("Stronger, as much extracted"), new HBox(6, strength, new Label("%")));
        rows.add(told("cup-stronger", cup.strongerProperty()), 0, 1, 2, 1);
        rows.addRow(2, new Label("With water added"), new HBox(6, water, new Label("g")));
        rows.add(told("cup-diluted", cup.dilutedProperty()), 0, 3, 2, 1);
        rows.addRow(4, new Label("With another beverage"),
                new HBox(6, mass, new Label("g at"), other, new Label("%")));
        rows.add(told("cup-blended", cup.blendedProperty()), 0, 5, 2, 1);
        return rows;
    }

    private static Label told(String id, ReadOnlyStringProperty words) {
        Label told = new Label();
        told.setId(id);
        told.getStyleClass().add(Styles.STRONG);
        told.setWrapText(true);
        told.textProperty().bind(words);
        told.managedProperty().bind(told.textProperty().isNotEmpty());
        return told;
    }

    private static TextField field(String id, String meaning, double width) {
        TextField field = new TextField();
        field.setId(id);
        field.setAccessibleText(meaning);
        field.getStyleClass().add(Styles.ENTRY);
        field.setPrefWidth(width);
        field.setMinWidth(width);
        return field;
    }
}
