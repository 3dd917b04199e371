package org.grenu.desktop.rack;

import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.StrokeLineJoin;
import org.grenu.core.curve.Samples;
import org.grenu.desktop.control.Styles;

/** A shot's pressure as a small shape on a foot. */
final class Miniature {

    private static final double FULL_SCALE_BAR = 10;

    private Miniature() {
    }

    static Node of(Samples points, Color color, double width, double height) {
        Pane pane = new Pane();
        pane.setMinSize(width, height);
        pane.setMaxSize(width, height);
        Line foot = new Line(0, height - 0.5, width, height - 0.5);
        foot.getStyleClass().add(Styles.MINIATURE_FOOT);
        pane.getChildren().add(foot);
        if (points.size() < 2) {
            return pane;
        }
        Polyline line = new Polyline();
        Polygon fill = new Polygon(0, height - 0.5);
        for (int i = 0; i < points.size(); i++) {
            double x = width * i / (points.size() - 1.0);
            double y = (height - 1) * (1 - Math.min(1.1, points.get(i) / FULL_SCALE_BAR));
            line.getPoints().addAll(x, y);
            fill.getPoints().addAll(x, y);
        }
        fill.getPoints().addAll(width, height - 0.5);
        fill.setFill(color.deriveColor(0, 1, 1, 0.10));
        line.setStroke(color);
        line.setStrokeWidth(1.25);
        line.setStrokeLineJoin(StrokeLineJoin.ROUND);
        pane.getChildren().addAll(fill, line);
        return pane;
    }
}
