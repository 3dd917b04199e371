package org.grenu.figures.plan;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.function.Function;
import org.grenu.core.learn.AgeTrend;
import org.grenu.core.quantity.Reported;
import org.grenu.core.response.Response;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints a response against a coffee's age: what is noise as grain, the smooth course with its band, the shots. */
public final class AgePainter {

    private static final double LEFT = 56;
    private static final double RIGHT = 66;
    private static final double HEAD = 18;
    private static final double FOOT = 44;
    private static final double DOT = 4.2;

    private final Graphics2D g;
    private final Theme theme;
    private final AgeTrend trend;
    private final double width;
    private final double height;
    private final double low;
    private final double high;

    private AgePainter(Graphics2D g, Theme theme, AgeTrend trend, double width, double height) {
        this.g = g;
        this.theme = theme;
        this.trend = trend;
        this.width = width;
        this.height = height;
        double least = trend.low();
        double most = trend.high();
        for (AgeTrend.Point point : trend.points()) {
            least = Math.min(least, point.value());
            most = Math.max(most, point.value());
        }
        double margin = 0.1 * (most - least);
        low = least - margin;
        high = most + margin;
    }

    /**
     * Paints the trend into that size; the ground is left to the caller.
     *
     * @param ink the colour of a shot
     */
    public static void paint(Graphics2D g, Theme theme, AgeTrend trend, Response response,
            Function<AgeTrend.Point, Color> ink, double width, double height) {
        Words.quality(g);
        new AgePainter(g, theme, trend, width, height).paint(response, ink);
    }

    private double x(double days) {
        double first = trend.days()[0] - 1;
        double last = trend.days()[trend.days().length - 1] + 1;
        return LEFT + (days - first) / (last - first) * (width - LEFT - RIGHT);
    }

    private double y(double value) {
        return height - FOOT - (value - low) / (high - low) * (height - FOOT - HEAD);
    }

    private void paint(Response response, Function<AgeTrend.Point, Color> ink) {
        Grain.fill(g, new Rectangle2D.Double(LEFT, y(trend.high()), width - LEFT - RIGHT,
                y(trend.low()) - y(trend.high())), theme);
        Words.draw(g, "noise: three spreads about the first day", LEFT + 7, y(trend.high()) + 14, Align.LEFT,
                Face.REGULAR.at(11), theme.color("ink-2"));
        axes(response);
        Shape clip = g.getClip();
        g.clip(new Rectangle2D.Double(LEFT, HEAD, width - LEFT - RIGHT, height - HEAD - FOOT));
        course();
        g.setClip(clip);
        for (AgeTrend.Point point : trend.points()) {
            Ellipse2D dot = new Ellipse2D.Double(x(point.days()) - DOT, y(point.value()) - DOT, 2 * DOT, 2 * DOT);
            g.setColor(ink.apply(point));
            g.fill(dot);
            g.setColor(theme.color("panel"));
            g.setStroke(new BasicStroke(1.2f));
            g.draw(dot);
        }
        trend.driftFrom().ifPresent(day -> {
            line(x(day), HEAD, x(day), height - FOOT, "accent", 1.2);
            boolean late = x(day) > width / 2;
            Words.draw(g, "drift from day " + Reported.fixed(day, 0), x(day) + (late ? -6 : 6), HEAD + 12,
                    late ? Align.RIGHT : Align.LEFT, Face.SEMIBOLD.at(12), theme.color("accent"));
        });
    }

    private void course() {
        Path2D area = new Path2D.Double();
        Path2D line = new Path2D.Double();
        for (int i = 0; i < trend.days().length; i++) {
            double x = x(trend.days()[i]);
            if (i == 0) {
                area.moveTo(x, y(trend.smooth()[i] + trend.half()[i]));
                line.moveTo(x, y(trend.smooth()[i]));
            } else {
                area.lineTo(x, y(trend.smooth()[i] + trend.half()[i]));
                line.lineTo(x, y(trend.smooth()[i]));
            }
        }
        for (int i = trend.days().length - 1; i >= 0; i--) {
            area.lineTo(x(trend.days()[i]), y(trend.smooth()[i] - trend.half()[i]));
        }
        area.closePath();
        g.setColor(theme.color("ink", 0.1));
        g.fill(area);
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(1.8f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(line);
    }

    private void axes(Response response) {
        Ticks ticks = Ticks.of(low, high, 6);
        for (double value : ticks.values()) {
            line(LEFT, y(value), width - RIGHT, y(value), "grid", 0.75);
            Words.draw(g, ticks.label(value), LEFT - 8, y(value) + 4, Align.RIGHT, Face.REGULAR.at(11),
                    theme.color("muted"));
        }
        line(LEFT, height - FOOT, width - RIGHT, height - FOOT, "ink", 0.9);
        Ticks days = Ticks.of(trend.days()[0], trend.days()[trend.days().length - 1], 7);
        for (double day : days.values()) {
            line(x(day), height - FOOT, x(day), height - FOOT + 4, "ink", 0.9);
            Words.draw(g, days.label(day), x(day), height - FOOT + 17, Align.CENTRE, Face.REGULAR.at(11),
                    theme.color("ink-2"));
        }
        Words.draw(g, "days since roast, those frozen not counted" + (response.unit().isEmpty() ? ""
                : "; upright: " + response.unit()), (LEFT + width - RIGHT) / 2, height - FOOT + 35, Align.CENTRE,
                Face.REGULAR.at(11), theme.color("muted"));
    }

    private void line(double x1, double y1, double x2, double y2, String role, double wide) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) wide));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }
}
