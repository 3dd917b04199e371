package org.grenu.desktop.ledger;

import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Section;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.plane.PlaneFigure;
import org.grenu.figures.plane.PlanePainter;
import org.grenu.figures.theme.Theme;

/** The map of the study with the shot being read on it. */
final class PlaneSection extends Section {

    private static final double HEIGHT = 160;

    PlaneSection(LedgerViewModel model, Appearance appearance) {
        super("Place among the shots");
        remark().setText("EY against ratio");
        getChildren().add(new Plane(model, appearance));
        Tooltip.install(this, new Tooltip(
                "Grain: " + LedgerViewModel.windowCaption() + " (common practice).\nLines: equal strength."));
    }

    private static final class Plane extends Region {
        private final FigureImage image = new FigureImage();
        private final LedgerViewModel model;
        private final Appearance appearance;

        Plane(LedgerViewModel model, Appearance appearance) {
            this.model = model;
            this.appearance = appearance;
            setAccessibleRole(AccessibleRole.IMAGE_VIEW);
            setAccessibleText("Map of extraction yield against brew ratio");
            setPrefHeight(HEIGHT);
            setMinHeight(HEIGHT);
            getChildren().add(image);
            model.plane().addListener((o, was, is) -> repaint());
            widthProperty().addListener((o, was, is) -> repaint());
        }

        private void repaint() {
            PlaneFigure figure = model.plane().get();
            Theme theme = appearance.themeProperty().get();
            image.paint((g, pen, width, height) -> PlanePainter.paint(g, theme, figure, width, height), getWidth(),
                    HEIGHT);
        }
    }
}
