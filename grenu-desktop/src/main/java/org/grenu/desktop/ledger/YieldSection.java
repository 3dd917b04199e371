package org.grenu.desktop.ledger;

import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.extraction.Basis;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/** The extraction yield with its basis, and strength, ratio and dissolved solids under it. */
final class YieldSection extends Section {

    private final Label value = labelled(Styles.HEADLINE);
    private final Label percent = labelled(Styles.HEADLINE_U);
    private final Label expanded = labelled(Styles.HEADLINE_U);
    private final Label other = labelled(Styles.MUTED);
    private final Label wanting = labelled(Styles.EMPTY);
    private final Label stated = labelled(Styles.CAPTION);
    private final HBox headline;
    private final Triple strength = new Triple("Strength", "%");
    private final Triple ratio = new Triple("Ratio", "");
    private final Triple solids = new Triple("Dissolved", "g");

    /** @param calculate shows the calculator */
    YieldSection(LedgerViewModel model, Runnable calculate) {
        super("Extraction yield");
        Button basis = new Button();
        basis.setId("basis");
        basis.getStyleClass().add(Styles.LINK);
        Hint.on(basis, "Show the yield on the other basis");
        basis.setOnAction(event -> model.basisProperty()
                .set(model.basisProperty().get() == Basis.AS_DOSED ? Basis.DRY : Basis.AS_DOSED));
        Runnable name = () -> basis.setText(model.basisProperty().get().title() + " ⇄");
        model.basisProperty().addListener((o, was, is) -> name.run());
        name.run();
        remark().setText("k = 2 ·");
        ((HBox) getChildren().get(0)).getChildren().add(basis);
        ((HBox) getChildren().get(0)).setSpacing(4);
        value.setId("yield");
        expanded.setId("yield-u");
        other.setId("other-basis");
        wanting.setId("wanting");
        other.setWrapText(true);
        wanting.setWrapText(true);
        getStyleClass().add(Styles.FIRST);
        for (Label label : new Label[] {value, percent, expanded}) {
            label.setMinWidth(Region.USE_PREF_SIZE);
        }
        headline = new HBox(6, value, percent, expanded);
        headline.setAlignment(Pos.BASELINE_LEFT);
        HBox triples = new HBox(14, strength, ratio, solids);
        stated.setId("stated-yield");
        stated.setWrapText(true);
        Button solve = new Button("Calculate…");
        solve.setId("calculate");
        solve.getStyleClass().add(Styles.LINK);
        Hint.on(solve, "Solve for any one of dose, beverage mass, strength and extraction yield");
        solve.setOnAction(event -> calculate.run());
        getChildren().addAll(headline, other, wanting, triples, stated, solve);
        model.text().addListener((o, was, is) -> show(is));
        show(model.text().get());
    }

    private void show(LedgerText text) {
        Optional<Reported> yield = text == null ? Optional.empty() : text.made().yield();
        value.setText(yield.map(Reported::value).orElse("–"));
        percent.setText(yield.isPresent() ? "%" : "");
        expanded.setText(yield.map(Reported::half).orElse(""));
        remark().setText(yield.map(Reported::factor).filter(factor -> !factor.isEmpty()).orElse("k = 2") + " ·");
        other.setText(text == null ? "" : text.made().otherBasis());
        other.setManaged(!other.getText().isEmpty());
        wanting.setText(text == null ? "" : text.made().wanting());
        wanting.setManaged(!wanting.getText().isEmpty());
        wanting.setVisible(wanting.isManaged());
        stated.setText(text == null ? "" : text.made().stated());
        stated.setManaged(!stated.getText().isEmpty());
        stated.setVisible(stated.isManaged());
        strength.show(text == null ? Optional.empty() : text.cup().strength());
        ratio.show(text == null ? Optional.empty() : text.cup().ratio());
        solids.show(text == null ? Optional.empty() : text.cup().solids());
    }

    private static Label labelled(String style) {
        Label label = new Label();
        label.getStyleClass().add(style);
        return label;
    }

    /** A name over a value with its uncertainty. */
    private static final class Triple extends VBox {
        private final String unit;
        private final Label value = labelled(Styles.NUMBER);
        private final Label rest = labelled(Styles.MUTED);

        Triple(String name, String unit) {
            this.unit = unit;
            Label title = labelled(Styles.MUTED);
            title.setText(unit.isEmpty() ? name : name + ", " + unit);
            value.setMinWidth(Region.USE_PREF_SIZE);
            rest.setMinWidth(Region.USE_PREF_SIZE);
            HBox line = new HBox(3, new Node[] {value, rest});
            line.setAlignment(Pos.BASELINE_LEFT);
            getChildren().addAll(title, line);
            value.setId("value-" + name.toLowerCase(Locale.ROOT));
        }

        void show(Optional<Reported> reported) {
            value.setText(reported.map(r -> (unit.isEmpty() ? "1:" : "") + r.value()).orElse("–"));
            rest.setText(reported.map(Reported::half).orElse(""));
        }
    }
}
