package org.grenu.desktop.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.beans.value.ObservableValue;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Line;
import org.grenu.core.compare.CurveGroup;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.PlaceKey;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.compare.OverlayFigure;
import org.grenu.figures.compare.OverlayLayout;
import org.grenu.figures.compare.OverlayPainter;
import org.grenu.figures.compare.OverlayStrip;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;

/** Overlaid curves on screen, with a hairline that reads the groups' means. */
final class OverlayPane extends Region {

    private final CompareViewModel model;
    private final ObservableValue<Theme> theme;
    private final ObservableValue<TreatmentScale> scale;
    private final Function<Answered, Optional<OverlayFigure>> figure;
    private final FigureImage image = new FigureImage();
    private final Pane above = new Pane();
    private final Label place = new Label();
    private final List<Label> readings = new ArrayList<>();
    private final List<Line> lines = new ArrayList<>();
    private OverlayLayout layout;
    private double draggedFrom = Double.NaN;
    private double lastY;

    OverlayPane(String id, CompareViewModel model, ObservableValue<Theme> theme, ObservableValue<TreatmentScale> scale,
            Function<Answered, Optional<OverlayFigure>> figure) {
        this.model = model;
        this.theme = theme;
        this.scale = scale;
        this.figure = figure;
        setId(id);
        getStyleClass().add(Styles.STRIPS);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText(
                "Curves of the picked shots. Left and right move the hairline, plus and minus zoom, 0 shows all.");
        above.setMouseTransparent(true);
        above.setManaged(false);
        place.getStyleClass().add(Styles.TIME_FLAG);
        place.setManaged(false);
        above.getChildren().add(place);
        getChildren().addAll(image, above);
        model.answeredProperty().addListener((o, was, is) -> repaint());
        model.viewProperty().addListener((o, was, is) -> repaint());
        model.cursorProperty().addListener((o, was, is) -> hairline());
        theme.addListener((o, was, is) -> repaint());
        widthProperty().addListener((o, was, is) -> repaint());
        heightProperty().addListener((o, was, is) -> repaint());
        visibleProperty().addListener((o, was, is) -> repaint());
        input();
    }

    private void input() {
        setOnMouseMoved(this::hover);
        setOnMousePressed(this::press);
        setOnMouseDragged(this::drag);
        setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                model.reset();
            }
        });
        setOnMouseExited(event -> model.cursorProperty().set(Double.NaN));
        setOnScroll(this::scroll);
        setOnKeyPressed(this::key);
    }

    private void press(MouseEvent event) {
        requestFocus();
        draggedFrom = event.getX();
    }

    private void hover(MouseEvent event) {
        lastY = event.getY();
        model.cursorProperty()
                .set(layout == null || event.getX() < layout.left(0) - 6 ? Double.NaN : layout.at(event.getX()));
        hairline();
    }

    private void drag(MouseEvent event) {
        if (layout != null && !Double.isNaN(draggedFrom)) {
            model.pan((draggedFrom - event.getX()) / (layout.right(0) - layout.left(0)));
            draggedFrom = event.getX();
        }
    }

    private void scroll(ScrollEvent event) {
        if (layout != null && event.getDeltaY() != 0) {
            model.zoom(layout.at(event.getX()), event.getDeltaY() > 0 ? 1 : -1);
        }
        event.consume();
    }

    private void key(KeyEvent event) {
        PlaceKey.at(PlaceKey.Place.CURVES, event).ifPresent(key -> {
            act(key, event);
            event.consume();
        });
    }

    private void act(PlaceKey key, KeyEvent event) {
        switch (key) {
            case CURVE_HAIRLINE -> model.moveCursor(PlaceKey.direction(event) * (event.isShiftDown() ? 1 : 0.1));
            case CURVE_ZOOM_IN -> model.zoom(middle(), 1);
            case CURVE_ZOOM_OUT -> model.zoom(middle(), -1);
            case CURVE_ALL -> model.reset();
            default -> throw new IllegalStateException(key + " means nothing on the curves");
        }
    }

    private double middle() {
        double at = model.cursorProperty().get();
        return Double.isNaN(at) ? (model.viewProperty().get().from() + model.viewProperty().get().to()) / 2 : at;
    }

    private void repaint() {
        Optional<OverlayFigure> found = model.answeredProperty().get() == null || !isVisible() ? Optional.empty()
                : figure.apply(model.answeredProperty().get());
        if (found.isEmpty() || getWidth() < 2) {
            image.clear();
            layout = null;
            hairline();
            return;
        }
        layout = new OverlayLayout(getWidth(), getHeight(), found.get(), model.viewProperty().get());
        above.resizeRelocate(0, 0, getWidth(), getHeight());
        paint(layout);
        hairline();
    }

    private void paint(OverlayLayout wanted) {
        Theme look = theme.getValue();
        TreatmentScale colors = scale.getValue();
        image.paint((g, pen, width, height) -> OverlayPainter.paint(g, look, wanted, pen,
                level -> level.isEmpty() ? look.color("ink") : colors.color(level, look)), getWidth(), getHeight());
    }

    /** One line in each field; what it reads stands beside it, of the strip under the mouse. */
    private void hairline() {
        double at = model.cursorProperty().get();
        boolean shown = layout != null && at >= layout.view().from() && at <= layout.view().to();
        above.setVisible(shown);
        if (!shown) {
            return;
        }
        int facets = layout.figure().facets().size();
        while (lines.size() < facets) {
            Line line = new Line();
            line.getStyleClass().add(Styles.HAIRLINE);
            lines.add(line);
            above.getChildren().add(0, line);
        }
        for (int i = 0; i < lines.size(); i++) {
            lines.get(i).setVisible(i < facets);
            if (i < facets) {
                double x = layout.x(i, at);
                lines.get(i).setStartX(x);
                lines.get(i).setEndX(x);
                lines.get(i).setStartY(layout.plotsTop() - 4);
                lines.get(i).setEndY(layout.plotsBottom() + 4);
            }
        }
        double x = layout.x(0, at);
        place.setText(Reported.fixed(at, 1) + " " + layout.figure().unit());
        place.resizeRelocate(x - 27, layout.plotsBottom() + 7, 54, 17);
        read(at);
    }

    /** In each field its own groups, beside its own line. */
    private void read(double at) {
        int strip = stripAt(lastY);
        int facets = layout.figure().facets().size();
        makeReadings(facets);
        for (int i = 0; i < readings.size(); i++) {
            String words = i < facets ? words(i, strip, at) : "";
            readings.get(i).setVisible(!words.isEmpty());
            if (!words.isEmpty()) {
                place(readings.get(i), words, i, strip, at);
            }
        }
    }

    private void makeReadings(int facets) {
        while (readings.size() < facets) {
            Label reading = new Label();
            reading.setId(getId() + "-reading-" + readings.size());
            reading.getStyleClass().addAll(Styles.FLAG, Styles.OVERLAY_READING);
            reading.setManaged(false);
            readings.add(reading);
            above.getChildren().add(reading);
        }
    }

    private String words(int facet, int strip, double at) {
        OverlayStrip of = layout.figure().strips().get(strip);
        StringBuilder words = new StringBuilder();
        for (CurveGroup group : layout.figure().facets().get(facet).groups().getOrDefault(of.channel(), List.of())) {
            double value = value(group, at);
            if (Double.isFinite(value)) {
                words.append(words.isEmpty() ? "" : "\n")
                        .append(group.level().isEmpty() ? "" : group.level() + ": ")
                        .append(of.reading(value));
            }
        }
        return words.toString();
    }

    private static double value(CurveGroup group, double at) {
        return group.mean()
                .map(mean -> mean.at(at))
                .orElseGet(() -> group.members().isEmpty() ? Double.NaN : group.members().get(0).curve().at(at));
    }

    private void place(Label reading, String words, int facet, int strip, double at) {
        reading.setText(words);
        reading.autosize();
        double x = layout.x(facet, at) + 8;
        double left = x + reading.getWidth() > layout.right(facet) + 16 ? x - 16 - reading.getWidth() : x;
        reading.relocate(left, Math.max(layout.plotsTop(),
                Math.min(layout.plotsBottom() - reading.getHeight(), layout.top(strip) + 4)));
    }

    private int stripAt(double y) {
        for (int i = 0; i < layout.figure().strips().size(); i++) {
            if (y <= layout.bottom(i) + 5) {
                return i;
            }
        }
        return layout.figure().strips().size() - 1;
    }
}
