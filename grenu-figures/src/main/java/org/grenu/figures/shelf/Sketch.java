package org.grenu.figures.shelf;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import org.grenu.core.quantity.Unit;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** The strokes that the shelf's pictures share. */
final class Sketch {

    private final Graphics2D g;
    private final Theme theme;

    Sketch(Graphics2D g, Theme theme) {
        this.g = g;
        this.theme = theme;
        Words.quality(g);
    }

    /** A range of values laid out between two places. */
    record Axis(double low, double high, double from, double to) {

        double at(double value) {
            return from + (value - low) / (high - low) * (to - from);
        }
    }

    void value(String text, double x, double y, Align align) {
        Words.draw(g, text, x, y, align, Face.SEMIBOLD.at(12), theme.color("ink"));
    }

    void large(String text, double x, double y) {
        Words.draw(g, text, x, y, Align.LEFT, Face.MEDIUM.at(20), theme.color("ink"));
    }

    void note(String text, double x, double y, Align align) {
        Words.draw(g, text, x, y, align, Face.REGULAR.at(10.5), theme.color("muted"));
    }

    void prose(String text, double x, double y, double room) {
        Words.draw(g, Words.fitted(text, Face.REGULAR.at(12), room), x, y, Align.LEFT, Face.REGULAR.at(12),
                theme.color("ink-2"));
    }

    void italic(String text, double x, double y, double room) {
        Words.draw(g, Words.fitted(text, Face.ITALIC.at(12), room), x, y, Align.LEFT, Face.ITALIC.at(12),
                theme.color("ink-2"));
    }

    void warn(String text, double x, double y, Align align) {
        Words.draw(g, text, x, y, align, Face.SEMIBOLD.at(11), theme.color("amber-text"));
    }

    void accent(String text, double x, double y, Align align) {
        Words.draw(g, text, x, y, align, Face.SEMIBOLD.at(10.5), theme.color("accent"));
    }

    double noteWidth(String text) {
        return Words.width(text, Face.REGULAR.at(10.5));
    }

    double valueWidth(String text) {
        return Words.width(text, Face.SEMIBOLD.at(12));
    }

    double largeWidth(String text) {
        return Words.width(text, Face.MEDIUM.at(20));
    }

    String fittedNote(String text, double room) {
        return Words.fitted(text, Face.REGULAR.at(10.5), room);
    }

    String fittedValue(String text, double room) {
        return Words.fitted(text, Face.SEMIBOLD.at(12), room);
    }

    void line(double x1, double y1, double x2, double y2, String role, double width) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) width, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }

    void curve(Path2D path, String role, double width) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(path);
    }

    void outline(Shape shape, String role, double width) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) width));
        g.draw(shape);
    }

    void fill(Shape shape, String role, double opacity) {
        g.setColor(theme.color(role, opacity));
        g.fill(shape);
    }

    void fill(double x, double y, double width, double height, String role, double opacity) {
        fill(new Rectangle2D.Double(x, y, Math.max(0, width), Math.max(0, height)), role, opacity);
    }

    void grain(double x, double y, double width, double height) {
        if (width > 0 && height > 0) {
            Grain.fill(g, new Rectangle2D.Double(x, y, width, height), theme);
        }
    }

    void grain(Shape shape) {
        Grain.fill(g, shape, theme);
    }

    void dot(double x, double y, double r, String role, double opacity) {
        fill(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r), role, opacity);
    }

    void ring(double x, double y, double r, String role) {
        Color ground = theme.color("panel");
        Shape circle = new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r);
        g.setColor(ground);
        g.fill(circle);
        outline(circle, role, 1.2);
    }

    /** A line below, with round values and the unit at its end. */
    void below(Axis axis, double y, int about, String unit) {
        line(Math.min(axis.from, axis.to), y, Math.max(axis.from, axis.to), y, "ink", 0.9);
        Ticks ticks = Ticks.of(Math.min(axis.low, axis.high), Math.max(axis.low, axis.high), about);
        for (double value : ticks.values()) {
            line(axis.at(value), y, axis.at(value), y + 4, "ink", 0.75);
            note(ticks.label(value).replace('-', '\u2212'), axis.at(value), y + 15, Align.CENTRE);
        }
        if (!unit.isEmpty()) {
            note(unit, Math.max(axis.from, axis.to), y + 28, Align.RIGHT);
        }
    }

    /** Round values at the left, with faint lines across. */
    void beside(Axis axis, double left, double right, int about) {
        beside(axis, left, right, about, Unit.NUMBER);
    }

    /** The same, round in that unit. */
    void beside(Axis axis, double left, double right, int about, Unit unit) {
        Ticks ticks = Ticks.of(Math.min(axis.low, axis.high), Math.max(axis.low, axis.high), about, unit);
        for (double value : ticks.values()) {
            line(left, axis.at(value), right, axis.at(value), "grid", 0.75);
            note(ticks.label(value).replace('-', '\u2212'), left - 6, axis.at(value) + 3.6, Align.RIGHT);
        }
    }
}
