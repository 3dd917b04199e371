package org.grenu.figures.plan;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * Where a response's values stand that is drawn along something else, with its upright scale.
 *
 * @param foot room below, px
 * @param from what is at the left end
 * @param to   what is at the right end
 * @param low  value at the foot
 * @param high value at the head
 */
record PlotFrame(double width, double height, double foot, double from, double to, double low, double high) {

    static final double LEFT = 56;
    static final double RIGHT = 66;
    static final double HEAD = 18;
    private static final double DOT = 4.2;

    double x(double along) {
        return LEFT + (along - from) / (to - from) * (right() - LEFT);
    }

    /** {@return what stands there, the other way round} */
    double along(double x) {
        return from + (x - LEFT) / (right() - LEFT) * (to - from);
    }

    double y(double value) {
        return bottom() - (value - low) / (high - low) * (bottom() - HEAD);
    }

    double right() {
        return width - RIGHT;
    }

    double bottom() {
        return height - foot;
    }

    Rectangle2D inside() {
        return new Rectangle2D.Double(LEFT, HEAD, right() - LEFT, bottom() - HEAD);
    }

    /** Paints the scale with its unit above it, and the line that it stands on. */
    void upright(Graphics2D g, Theme theme, String unit, int most) {
        Words.draw(g, unit, LEFT - 8, HEAD - 9, Align.RIGHT, Face.REGULAR.at(11), theme.color("muted"));
        Ticks ticks = Ticks.of(low, high, most);
        for (double value : ticks.values()) {
            line(g, LEFT, y(value), right(), y(value), theme.color("grid"), 0.75);
            Words.draw(g, ticks.label(value), LEFT - 8, y(value) + 4, Align.RIGHT, Face.REGULAR.at(11),
                    theme.color("muted"));
        }
        line(g, LEFT, bottom(), right(), bottom(), theme.color("ink"), 0.9);
    }

    /** {@return the room of a shot's dot, once it is painted} */
    Rectangle2D dot(Graphics2D g, Theme theme, double along, double value, Color ink) {
        Ellipse2D dot = new Ellipse2D.Double(x(along) - DOT, y(value) - DOT, 2 * DOT, 2 * DOT);
        g.setColor(ink);
        g.fill(dot);
        g.setColor(theme.color("panel"));
        g.setStroke(new BasicStroke(1.2f));
        g.draw(dot);
        return dot.getBounds2D();
    }

    static void line(Graphics2D g, double x1, double y1, double x2, double y2, Color ink, double wide) {
        g.setColor(ink);
        g.setStroke(new BasicStroke((float) wide));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }
}
