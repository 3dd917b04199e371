package org.grenu.desktop.read;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.read.Strip;
import org.grenu.figures.read.StripLayout;

/**
 * The line that reads every strip: nodes above the painted figure, so that moving it repaints nothing.
 */
final class Hairline extends Pane {

    private static final double FLAG_WIDTH = 62;

    private final Line line = new Line();
    private final Label time = new Label();
    private final List<ReadingFlag> flags = new ArrayList<>();
    private final List<Circle> rings = new ArrayList<>();
    private final ReadViewModel model;

    Hairline(ReadViewModel model) {
        this.model = model;
        setMouseTransparent(true);
        setManaged(false);
        line.getStyleClass().add(Styles.HAIRLINE);
        line.setId("hairline");
        time.getStyleClass().add(Styles.TIME_FLAG);
        time.setId("hairline-time");
        time.setManaged(false);
        getChildren().addAll(line, time);
        setVisible(false);
    }

    /** Places the line and its readings at the model's cursor. */
    void update(StripLayout layout) {
        double at = model.cursorProperty().get();
        boolean shown = layout != null && at >= layout.view().from() - 1e-9 && at <= layout.view().to() + 1e-9;
        setVisible(shown);
        if (!shown) {
            return;
        }
        makeFlags(layout.strips().size());
        double x = layout.x(at);
        stand(layout, x);
        for (int i = 0; i < layout.strips().size(); i++) {
            place(layout, i, x);
        }
    }

    private void stand(StripLayout layout, double x) {
        line.setStartX(x);
        line.setEndX(x);
        line.setStartY(layout.plotsTop() - 6);
        line.setEndY(layout.plotsBottom() + 6);
        time.setText(model.place());
        time.resizeRelocate(x - 27, layout.plotsBottom() + 11, 54, 18);
    }

    private void place(StripLayout layout, int i, double x) {
        Strip strip = layout.strips().get(i);
        String reading = model.reading(strip);
        ReadingFlag flag = flags.get(i);
        Circle ring = rings.get(i);
        flag.setVisible(!reading.isEmpty());
        ring.setVisible(!reading.isEmpty());
        if (reading.isEmpty()) {
            return;
        }
        double value = strip.curve().at(model.cursorProperty().get());
        double y = Math.min(layout.bottom(i), Math.max(layout.top(i), layout.y(i, value)));
        ring.setCenterX(x);
        ring.setCenterY(y);
        String doubt = model.readingDoubt(strip);
        flag.show(reading, doubt);
        flag.setAccessibleText(
                strip.channel().title() + " " + reading + " " + strip.unit().symbol() + " " + doubt);
        double height = doubt.isEmpty() ? 20 : 33;
        double top = Math.min(layout.bottom(i) - height, Math.max(layout.top(i) - 2, y - height / 2));
        flag.resizeRelocate(layout.right() + 10, top, FLAG_WIDTH, height);
    }

    private void makeFlags(int count) {
        while (flags.size() < count) {
            addFlag();
        }
        for (int i = count; i < flags.size(); i++) {
            flags.get(i).setVisible(false);
            rings.get(i).setVisible(false);
        }
    }

    private void addFlag() {
        ReadingFlag flag = new ReadingFlag();
        flag.name("reading-" + flags.size());
        Circle ring = new Circle(2.6);
        ring.getStyleClass().add(Styles.RING);
        flags.add(flag);
        rings.add(ring);
        getChildren().addAll(ring, flag);
    }
}
