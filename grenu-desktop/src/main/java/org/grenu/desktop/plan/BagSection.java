package org.grenu.desktop.plan;

import javafx.scene.control.Label;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.plan.BagStripPainter;
import org.grenu.figures.shelf.BagFigure;

/** What is left of the bag, and how old it is. */
final class BagSection extends Section {

    private final DialInViewModel model;
    private final Appearance appearance;

    BagSection(DialInViewModel model, Appearance appearance) {
        super("Left in the bag");
        this.model = model;
        this.appearance = appearance;
        model.answeredProperty().addListener((o, was, is) -> show());
        show();
    }

    private void show() {
        getChildren().remove(1, getChildren().size());
        DialInAnswer answer = model.answeredProperty().get();
        if (answer == null || answer.bag().isEmpty()) {
            Label none = new Label(
                    "No bag of this coffee is on the shelf: what is left and how old it is are unknown.");
            none.getStyleClass().add(Styles.MUTED);
            none.setWrapText(true);
            getChildren().add(none);
            remark().setText("");
            return;
        }
        BagFigure bag = answer.bag().get();
        remark().setText(bag.rest().map(rest -> "grain: " + rest.school()).orElse("no school of rest chosen"));
        getChildren().add(new PaintedRow(appearance.themeProperty(), BagStripPainter.HEIGHT, bag.words(),
                (g, theme, width) -> BagStripPainter.paint(g, theme, bag, width)));
    }
}
