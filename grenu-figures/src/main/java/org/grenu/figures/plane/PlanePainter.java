package org.grenu.figures.plane;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import org.grenu.core.extraction.TargetWindow;
import org.grenu.core.quantity.Reported;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints the map of extraction yield against brew ratio. */
public final class PlanePainter {

    private static final double LEFT = 34;
    private static final double RIGHT = 8;
    private static final double TOP = 8;
    private static final double BOTTOM = 24;

    private final Graphics2D g;
    private final Theme theme;
    private final PlaneFigure figure;
    private final Rectangle2D plot;
    private final double[] ratios;
    private final double[] yields;

    private PlanePainter(Graphics2D g, Theme theme, PlaneFigure figure, double width, double height) {
        this.g = g;
        this.theme = theme;
        this.figure = figure;
        this.plot = new Rectangle2D.Double(LEFT, TOP, Math.max(20, width - LEFT - RIGHT),
                Math.max(20, height - TOP - BOTTOM));
        this.ratios = figure.ratios();
        this.yields = figure.yields();
    }

    /** Paints the map into that size; the ground is left to the caller. */
    public static void paint(Graphics2D g, Theme theme, PlaneFigure figure, double width, double height) {
        Words.quality(g);
        PlanePainter painter = new PlanePainter(g, theme, figure, width, height);
        painter.window();
        painter.strengths();
        painter.axes();
        figure.others().forEach(painter::other);
        figure.chosen().ifPresent(painter::chosen);
    }

    private double x(double ratio) {
        return plot.getMinX() + (ratio - ratios[0]) / (ratios[1] - ratios[0]) * plot.getWidth();
    }

    private double y(double yield) {
        return plot.getMaxY() - (yield - yields[0]) / (yields[1] - yields[0]) * plot.getHeight();
    }

    /** The window narrows where strength and yield pull apart. */
    private void window() {
        TargetWindow window = figure.window();
        double from = Math.max(ratios[0], window.smallestRatio());
        double to = Math.min(ratios[1], window.largestRatio());
        if (!(from < to)) {
            return;
        }
        Path2D shape = new Path2D.Double();
        int steps = 60;
        for (int i = 0; i <= steps; i++) {
            double ratio = from + (to - from) * i / steps;
            if (i == 0) {
                shape.moveTo(x(ratio), y(window.yieldHighAt(ratio)));
            } else {
                shape.lineTo(x(ratio), y(window.yieldHighAt(ratio)));
            }
        }
        for (int i = steps; i >= 0; i--) {
            double ratio = from + (to - from) * i / steps;
            shape.lineTo(x(ratio), y(window.yieldLowAt(ratio)));
        }
        shape.closePath();
        Graphics2D own = (Graphics2D) g.create();
        own.clip(plot);
        Grain.fill(own, shape, theme);
        own.dispose();
    }

    /** Shots of equal strength lie on EY = c·R; each curve is named where it leaves the map. */
    private void strengths() {
        Graphics2D own = (Graphics2D) g.create();
        own.clip(plot);
        own.setStroke(new BasicStroke(0.75f));
        for (int strength = 4; strength <= 20; strength += 2) {
            own.setColor(theme.color("rail"));
            own.draw(new Line2D.Double(x(ratios[0]), y(strength * ratios[0]), x(ratios[1]), y(strength * ratios[1])));
        }
        own.dispose();
        for (int strength = 4; strength <= 20; strength += 2) {
            strength(strength);
        }
    }

    private void strength(int strength) {
        double atRight = strength * ratios[1];
        double atTop = yields[1] / strength;
        String label = strength + " %";
        if (atRight > yields[0] && atRight < yields[1] - 0.08 * (yields[1] - yields[0])) {
            Words.draw(g, label, plot.getMaxX() - 2, y(atRight) + 13, Align.RIGHT, Face.REGULAR.at(10),
                    theme.color("muted"));
        } else if (atTop > ratios[0] + 0.1 * (ratios[1] - ratios[0]) && atTop < ratios[1]) {
            Words.draw(g, label, x(atTop) - 6, plot.getMinY() + 9, Align.RIGHT, Face.REGULAR.at(10),
                    theme.color("muted"));
        }
    }

    private void axes() {
        g.setStroke(new BasicStroke(0.9f));
        g.setColor(theme.color("ink"));
        g.draw(new Line2D.Double(plot.getMinX(), plot.getMaxY(), plot.getMaxX(), plot.getMaxY()));
        Words.draw(g, "EY", 0, TOP + 8, Align.LEFT, Face.SEMIBOLD.at(10.5), theme.color("ink"));
        Words.draw(g, "%", 0, TOP + 20, Align.LEFT, Face.REGULAR.at(10), theme.color("muted"));
        across();
        upward();
    }

    private void across() {
        Ticks across = Ticks.of(ratios[0], ratios[1], 4);
        for (double ratio : across.values()) {
            g.setColor(theme.color("ink"));
            g.draw(new Line2D.Double(x(ratio), plot.getMaxY(), x(ratio), plot.getMaxY() + 4));
            Words.draw(g, "1:" + Reported.fixed(ratio, Math.max(1, across.decimals())), x(ratio), plot.getMaxY() + 16,
                    Align.CENTRE,
                    Face.REGULAR.at(10.5), theme.color("ink-2"));
        }
    }

    private void upward() {
        Ticks up = Ticks.of(yields[0], yields[1], 4);
        for (double yield : up.values()) {
            if (y(yield) > TOP + 24 || y(yield) < TOP) {
                Words.draw(g, up.label(yield), plot.getMinX() - 6, y(yield) + 3.6, Align.RIGHT, Face.REGULAR.at(10.5),
                        theme.color("ink-2"));
            }
        }
    }

    private void other(PlaneFigure.Point point) {
        dot(point, 2.4, Theme.withOpacity(point.color(), 0.55));
    }

    private void dot(PlaneFigure.Point point, double r, Color color) {
        double cx = x(point.ratio().value());
        double cy = y(point.yield().value());
        g.setColor(color);
        g.fill(new Ellipse2D.Double(cx - r, cy - r, 2 * r, 2 * r));
    }

    /** The chosen shot wears its uncertainty, k = 2, as a tint and a ring to be found by. */
    private void chosen(PlaneFigure.Point point) {
        double cx = x(point.ratio().value());
        double cy = y(point.yield().value());
        double rx = x(point.ratio().value() + point.ratio().expanded()) - cx;
        double ry = cy - y(point.yield().value() + point.yield().expanded());
        g.setColor(Theme.withOpacity(point.color(), 0.22));
        g.fill(new Ellipse2D.Double(cx - rx, cy - ry, 2 * rx, 2 * ry));
        dot(point, 3.4, point.color());
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(1.1f));
        g.draw(new Ellipse2D.Double(cx - 6.5, cy - 6.5, 13, 13));
    }
}
