package org.grenu.desktop.compare;

import java.util.List;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Repeatability;
import org.grenu.core.record.Factor;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;

/** Where nothing that is asked about changed: what the repeats say, and what else can be asked. */
final class NothingChanged extends VBox {

    private final CompareViewModel model;
    private final Appearance appearance;

    NothingChanged(CompareViewModel model, Appearance appearance) {
        super(6);
        this.model = model;
        this.appearance = appearance;
        setId("nothing-changed");
        setPadding(new Insets(8, 14, 8, 14));
        model.answeredProperty().addListener((o, was, is) -> show());
        setManaged(false);
        setVisible(false);
    }

    private void show() {
        Comparison comparison = model.answeredProperty().get().comparison();
        boolean nothing = !comparison.shots().isEmpty()
                && comparison.answers().stream().allMatch(answer -> answer.effects().isEmpty());
        setManaged(nothing);
        setVisible(nothing);
        getChildren().clear();
        if (!nothing) {
            return;
        }
        List<Factor> changed = model.dividingFactors();
        if (!changed.isEmpty()) {
            getChildren().add(words("These changed. Ask what one of them did:", Styles.MUTED));
            FlowPane choices = new FlowPane(6, 6);
            changed.forEach(factor -> choices.getChildren().add(ask(factor)));
            getChildren().add(choices);
        }
        List<Repeatability> repeats = comparison.answers()
                .stream()
                .flatMap(answer -> Repeatability.of(answer).stream())
                .toList();
        if (!repeats.isEmpty()) {
            getChildren().add(words("As repeats of one recipe", Styles.HEADING));
            repeats.forEach(one -> getChildren().add(words(one.words() + ".")));
        }
    }

    private Button ask(Factor factor) {
        Button button = new Button(factor.title());
        button.setId("ask-" + factor.key().replaceAll("[^a-z0-9_]", "-"));
        button.getStyleClass().add(Styles.ACTION);
        button.setOnAction(event -> appearance.colourByProperty().set(factor));
        return button;
    }

    private static Label words(String text, String... styles) {
        Label label = new Label(text);
        label.getStyleClass().addAll(styles);
        label.setWrapText(true);
        label.setMinHeight(USE_PREF_SIZE);
        return label;
    }
}
