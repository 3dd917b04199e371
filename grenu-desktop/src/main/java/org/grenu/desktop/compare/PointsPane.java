package org.grenu.desktop.compare;

import java.awt.Color;
import java.util.Optional;
import java.util.function.Function;
import javafx.beans.value.ObservableValue;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import org.grenu.core.quantity.Reported;
import org.grenu.core.response.Variable;
import org.grenu.desktop.control.FigureImage;
import org.grenu.figures.compare.PointsFigure;
import org.grenu.figures.compare.PointsPainter;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;

/** Every shot as a point, by the first variable; a point names its shot. */
final class PointsPane extends Region {

    private static final double SIDE = 8;

    private final CompareViewModel model;
    private final ObservableValue<Theme> theme;
    private final ObservableValue<TreatmentScale> scale;
    private final FigureImage image = new FigureImage();
    private final Tooltip shot = new Tooltip();
    private PointsFigure figure;

    PointsPane(CompareViewModel model, ObservableValue<Theme> theme, ObservableValue<TreatmentScale> scale) {
        this.model = model;
        this.theme = theme;
        this.scale = scale;
        setId("points");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText("Every shot as a point by level, with means and their 95 % intervals");
        setMinHeight(180);
        getChildren().add(image);
        model.answeredProperty().addListener((o, was, is) -> repaint());
        theme.addListener((o, was, is) -> repaint());
        widthProperty().addListener((o, was, is) -> repaint());
        heightProperty().addListener((o, was, is) -> repaint());
        setOnMouseMoved(event -> {
            var found = figure == null ? Optional.<PointsFigure.Point>empty()
                    : PointsPainter.pointAt(figure, getWidth() - 2 * SIDE, getHeight(), event.getX() - SIDE,
                            event.getY());
            Tooltip.uninstall(this, shot);
            found.ifPresent(point -> {
                shot.setText("Shot " + point.row().shot().name() + ", " + point.level() + ": "
                        + Reported.fixed(point.row().value(), 2)
                        + point.row().block().map(block -> "\n" + block).orElse(""));
                Tooltip.install(this, shot);
            });
        });
    }

    private void repaint() {
        var answered = model.answeredProperty().get();
        Variable first = answered == null || answered.comparison().question().variables().isEmpty() ? null
                : answered.comparison().question().variables().get(0);
        figure = first == null ? null : PointsFigure.of(first, answered.sideBySide(), answered.comparison().answers());
        if (figure == null || figure.fields().isEmpty() || getWidth() < 2) {
            image.clear();
            return;
        }
        paint(figure);
    }

    private void paint(PointsFigure wanted) {
        Theme look = theme.getValue();
        TreatmentScale colors = scale.getValue();
        Function<PointsFigure.Point, Color> ink = point -> colors.color(point.row().shot().record(), look);
        image.setLayoutX(SIDE);
        image.paint((g, pen, width, height) -> PointsPainter.paint(g, look, wanted, ink, width, height),
                getWidth() - 2 * SIDE, getHeight());
    }
}
