package org.grenu.desktop.compare;

import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import org.grenu.core.compare.ResponseSurface;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.compare.SurfacePainter;
import org.grenu.figures.theme.Theme;

/** How responses depend on the first two numbers; the values under the mouse with their intervals. */
final class SurfacePane extends Region {

    private static final double SIDE = 8;

    private final CompareViewModel model;
    private final ObservableValue<Theme> theme;
    private final FigureImage image = new FigureImage();
    private final Tooltip values = new Tooltip();
    private final Label empty = new Label(
            "A surface needs two numbers that changed, such as grind and temperature, in at least three settings "
                    + "that do not lie on one line.");

    SurfacePane(CompareViewModel model, ObservableValue<Theme> theme) {
        this.model = model;
        this.theme = theme;
        setId("surface");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText("Contours of the responses over two numbers that changed");
        setMinHeight(200);
        empty.getStyleClass().addAll(Styles.MUTED);
        empty.setWrapText(true);
        getChildren().addAll(image, empty);
        repaintWhenChanged();
        setOnMouseMoved(this::pointAt);
    }

    private void repaintWhenChanged() {
        model.answeredProperty().addListener((o, was, is) -> repaint());
        theme.addListener((o, was, is) -> repaint());
        widthProperty().addListener((o, was, is) -> repaint());
        heightProperty().addListener((o, was, is) -> repaint());
    }

    private void pointAt(MouseEvent event) {
        Tooltip.uninstall(this, values);
        surface().flatMap(found -> SurfacePainter.at(found, getWidth() - 2 * SIDE, getHeight(), event.getX() - SIDE,
                event.getY())).ifPresent(words -> {
                    values.setText(words);
                    Tooltip.install(this, values);
                });
    }

    private Optional<ResponseSurface> surface() {
        return model.answeredProperty().get() == null ? Optional.empty() : model.answeredProperty().get().surface();
    }

    private void repaint() {
        Optional<ResponseSurface> found = surface();
        empty.setVisible(found.isEmpty());
        empty.resizeRelocate(14, 10, Math.max(10, getWidth() - 28), 40);
        if (found.isEmpty() || getWidth() < 2) {
            image.clear();
            return;
        }
        Theme look = theme.getValue();
        image.setLayoutX(SIDE);
        image.paint((g, pen, width, height) -> SurfacePainter.paint(g, look, found.get(), width, height),
                getWidth() - 2 * SIDE, getHeight());
    }
}
