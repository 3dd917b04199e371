package org.grenu.desktop.plan;

import java.awt.Graphics2D;
import javafx.beans.value.ObservableValue;
import javafx.scene.AccessibleRole;
import javafx.scene.layout.Region;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Subscriptions;
import org.grenu.figures.theme.Theme;

/** A small picture of fixed height, as wide as there is room. */
final class PaintedRow extends Region {

    private final FigureImage image = new FigureImage();

    /** Paints it into that width. */
    @FunctionalInterface
    interface Painting {
        void paint(Graphics2D g, Theme theme, double width);
    }

    private final ObservableValue<Theme> theme;
    private final double high;
    private final Painting painting;

    PaintedRow(ObservableValue<Theme> theme, double high, String words, Painting painting) {
        this.theme = theme;
        this.high = high;
        this.painting = painting;
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText(words);
        setMinHeight(high);
        setPrefHeight(high);
        setMaxHeight(high);
        setMinWidth(40);
        getChildren().add(image);
        widthProperty().addListener((o, was, is) -> repaint());
        Subscriptions.whileShown(this, this::repaint, theme);
    }

    private void repaint() {
        Theme look = theme.getValue();
        image.paint((g, pen, width, height) -> painting.paint(g, look, width), Math.floor(getWidth()), high);
    }
}
