package org.grenu.desktop.ledger;

import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.FxColor;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.theme.Theme;

/** Where the uncertainty comes from: one bar, shared out. */
final class BudgetSection extends Section {

    private final Bar bar = new Bar();
    private final FlowPane legend = new FlowPane(14, 3);
    private final LedgerViewModel model;
    private final Appearance appearance;

    BudgetSection(LedgerViewModel model, Appearance appearance) {
        super("Where the ± comes from");
        this.model = model;
        this.appearance = appearance;
        legend.setId("budget");
        legend.setPrefWrapLength(240);
        getChildren().addAll(bar, legend);
        model.text().addListener((o, was, is) -> show());
        appearance.themeProperty().addListener((o, was, is) -> show());
        show();
    }

    private void show() {
        LedgerText text = model.text().get();
        bar.getChildren().clear();
        legend.getChildren().clear();
        boolean known = text != null && !text.made().budget().isEmpty();
        setVisible(known);
        setManaged(known);
        if (!known) {
            return;
        }
        boolean assumed = !text.made().assumed().isEmpty();
        remark().setText((assumed ? "partly assumed · " : "") + "variance, " + model.basisProperty().get().title());
        Theme theme = appearance.themeProperty().get();
        paint(text, theme);
    }

    private void paint(LedgerText text, Theme theme) {
        for (int i = 0; i < text.made().budget().size(); i++) {
            LedgerText.Share share = text.made().budget().get(i);
            var color = FxColor.of(theme.color("budget-" + (i + 1)));
            bar.add(share.share(), new Rectangle(0, 8, color));
            Label name = new Label(share.input().title() + " " + Reported.fixed(100 * share.share(), 0) + " %");
            name.getStyleClass().add(Styles.CAPTION);
            name.setGraphic(new Rectangle(8, 8, color));
            name.setGraphicTextGap(5);
            legend.getChildren().add(name);
        }
    }

    /** Lays its pieces side by side by their shares. */
    private static final class Bar extends Region {

        void add(double share, Rectangle piece) {
            piece.setUserData(share);
            getChildren().add(piece);
        }

        @Override
        public ObservableList<Node> getChildren() {
            return super.getChildren();
        }

        @Override
        protected double computePrefHeight(double width) {
            return 9;
        }

        @Override
        protected void layoutChildren() {
            double x = 0;
            for (Node node : getChildren()) {
                Rectangle piece = (Rectangle) node;
                double width = (double) piece.getUserData() * getWidth();
                piece.setWidth(Math.max(0, width - 1));
                piece.relocate(x, 0);
                x += width;
            }
        }
    }
}
