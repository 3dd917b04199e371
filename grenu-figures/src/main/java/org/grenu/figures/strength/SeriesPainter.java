package org.grenu.figures.strength;

import java.awt.BasicStroke;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import org.grenu.core.quantity.Reported;
import org.grenu.core.quantity.Unit;
import org.grenu.core.strength.Reading;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints a series of readings: each a dot, their mean a line with its band, the one that stands apart ringed. */
public final class SeriesPainter {

    private static final double LEFT = 56;
    private static final double RIGHT = 96;
    private static final double TOP = 14;
    private static final double BOTTOM = 36;

    private final Graphics2D g;
    private final Theme theme;
    private final SeriesFigure figure;
    private final double right;
    private final double bottom;
    private double low;
    private double high;
    private double first;
    private double last;

    private SeriesPainter(Graphics2D g, Theme theme, SeriesFigure figure, double width, double height) {
        this.g = g;
        this.theme = theme;
        this.figure = figure;
        right = width - RIGHT;
        bottom = height - BOTTOM;
    }

    /** Paints the figure into that size; the ground is left to the caller. */
    public static void paint(Graphics2D g, Theme theme, SeriesFigure figure, double width, double height) {
        Words.quality(g);
        if (figure.readings().isEmpty()) {
            Words.draw(g, "No reading yet.", LEFT, height / 2, Align.LEFT, Face.REGULAR.at(12), theme.color("muted"));
            return;
        }
        new SeriesPainter(g, theme, figure, width, height).paint();
    }

    private void paint() {
        ranges();
        axes();
        mean();
        for (int i = 0; i < figure.readings().size(); i++) {
            dot(i);
        }
    }

    private void mean() {
        g.setColor(theme.color("ink", 0.13));
        g.fill(new Rectangle2D.Double(LEFT, y(figure.mean() + figure.half()), right - LEFT,
                y(figure.mean() - figure.half()) - y(figure.mean() + figure.half())));
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(1.2f));
        g.draw(new Line2D.Double(LEFT, y(figure.mean()), right, y(figure.mean())));
        Words.draw(g, "mean " + Reported.fixed(figure.mean(), 3), right + 8, y(figure.mean()) + 4, Align.LEFT,
                Face.SEMIBOLD.at(11), theme.color("ink"));
        Words.draw(g, "band: " + figure.factor(), right + 8, y(figure.mean()) + 18, Align.LEFT, Face.REGULAR.at(10),
                theme.color("muted"));
    }

    private void ranges() {
        low = figure.mean() - 1.6 * figure.half();
        high = figure.mean() + 1.6 * figure.half();
        first = figure.timed() ? 0 : 0.5;
        last = figure.timed() ? 60 : Math.max(3, figure.readings().size()) + 0.5;
        widen();
        if (!(high > low)) {
            high = low + 0.1;
        }
    }

    private void widen() {
        for (int i = 0; i < figure.readings().size(); i++) {
            double value = figure.readings().get(i).value();
            low = Math.min(low, value - 0.3 * figure.half());
            high = Math.max(high, value + 0.3 * figure.half());
            last = Math.max(last, figure.timed() ? figure.place(i) * 1.05 : last);
        }
    }

    private void axes() {
        upward();
        Words.draw(g, figure.unit(), 0, TOP, Align.LEFT, Face.SEMIBOLD.at(11), theme.color("ink"));
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(0.9f));
        g.draw(new Line2D.Double(LEFT, bottom, right, bottom));
        across();
        Words.draw(g, figure.timed() ? "s since the first reading" : "reading", right, bottom + 31, Align.RIGHT,
                Face.REGULAR.at(10.5), theme.color("muted"));
    }

    private void upward() {
        Ticks up = Ticks.of(low, high, 5);
        for (double value : up.values()) {
            g.setColor(theme.color("grid"));
            g.setStroke(new BasicStroke(0.75f));
            g.draw(new Line2D.Double(LEFT, y(value), right, y(value)));
            Words.draw(g, up.label(value), LEFT - 8, y(value) + 4, Align.RIGHT, Face.REGULAR.at(10.5),
                    theme.color("ink-2"));
        }
    }

    private void across() {
        Ticks across = figure.timed() ? Ticks.of(first, last, 6) : Ticks.every(1, first, last, Unit.NUMBER);
        for (double value : across.values()) {
            g.draw(new Line2D.Double(x(value), bottom, x(value), bottom + 4));
            Words.draw(g, across.label(value), x(value), bottom + 16, Align.CENTRE, Face.REGULAR.at(10.5),
                    theme.color("ink-2"));
        }
    }

    /** Unfiltered readings are hollow, so that a mixed series is seen. */
    private void dot(int index) {
        Reading reading = figure.readings().get(index);
        double cx = x(figure.place(index));
        double cy = y(reading.value());
        Ellipse2D circle = new Ellipse2D.Double(cx - 4.5, cy - 4.5, 9, 9);
        boolean hollow = reading.filtered().filter(filtered -> !filtered).isPresent();
        g.setColor(theme.color(hollow ? "panel" : "ink"));
        g.fill(circle);
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(1.4f));
        g.draw(circle);
        markApart(index, cx, cy);
    }

    private void markApart(int index, double cx, double cy) {
        if (figure.outlier().isPresent() && figure.outlier().getAsInt() == index) {
            g.setColor(theme.color("brick"));
            g.draw(new Ellipse2D.Double(cx - 9, cy - 9, 18, 18));
            Words.draw(g, "stands apart", cx + 13, cy + 4, Align.LEFT, Face.REGULAR.at(10.5), theme.color("brick"));
        }
    }

    private double x(double place) {
        return LEFT + (place - first) / (last - first) * (right - LEFT);
    }

    private double y(double value) {
        return bottom - (value - low) / (high - low) * (bottom - TOP);
    }
}
