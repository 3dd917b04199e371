package org.grenu.desktop.rack;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.StrokeLineJoin;
import org.grenu.core.curve.Samples;
import org.grenu.desktop.control.Styles;

/** A shot's pressure as a small shape on a foot, too small for axes: only its shape is to be seen. */
final class Miniature extends Pane {

    private static final double FULL_SCALE_BAR = 10;
    private static final double WIDTH = 52;
    private static final double HEIGHT = 30;

    private final Polyline line = new Polyline();
    private final Polygon fill = new Polygon();

    Miniature() {
        setMinSize(WIDTH, HEIGHT);
        setMaxSize(WIDTH, HEIGHT);
        Line foot = new Line(0, HEIGHT - 0.5, WIDTH, HEIGHT - 0.5);
        foot.getStyleClass().add(Styles.MINIATURE_FOOT);
        line.setStrokeWidth(1.25);
        line.setStrokeLineJoin(StrokeLineJoin.ROUND);
        getChildren().addAll(foot, fill, line);
    }

    void show(Samples pressure, Color color) {
        List<Double> points = new ArrayList<>();
        for (int i = 0; pressure.size() > 1 && i < pressure.size(); i++) {
            points.add(WIDTH * i / (pressure.size() - 1.0));
            points.add((HEIGHT - 1) * (1 - Math.min(1.1, pressure.get(i) / FULL_SCALE_BAR)));
        }
        line.getPoints().setAll(points);
        if (!points.isEmpty()) {
            points.addAll(List.of(WIDTH, HEIGHT - 0.5, 0.0, HEIGHT - 0.5));
        }
        fill.getPoints().setAll(points);
        fill.setFill(color.deriveColor(0, 1, 1, 0.10));
        line.setStroke(color);
    }
}
