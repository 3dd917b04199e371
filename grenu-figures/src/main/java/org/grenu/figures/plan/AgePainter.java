package org.grenu.figures.plan;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
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

    private static final double LEFT = PlotFrame.LEFT;
    private static final double HEAD = PlotFrame.HEAD;
    private static final double FOOT = 44;

    private final Graphics2D g;
    private final Theme theme;
    private final AgeTrend trend;
    private final PlotFrame frame;

    private AgePainter(Graphics2D g, Theme theme, AgeTrend trend, double width, double height) {
        this.g = g;
        this.theme = theme;
        this.trend = trend;
        double least = trend.low();
        double most = trend.high();
        for (AgeTrend.Point point : trend.points()) {
            least = Math.min(least, point.value());
            most = Math.max(most, point.value());
        }
        double margin = 0.1 * (most - least);
        frame = new PlotFrame(width, height, FOOT, trend.days()[0] - 1, trend.days()[trend.days().length - 1] + 1,
                least - margin, most + margin);
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
        return frame.x(days);
    }

    private double y(double value) {
        return frame.y(value);
    }

    private void paint(Response response, Function<AgeTrend.Point, Color> ink) {
        Grain.fill(g, new Rectangle2D.Double(LEFT, y(trend.high()), frame.right() - LEFT,
                y(trend.low()) - y(trend.high())), theme);
        Words.draw(g, "noise: three spreads about the first day", LEFT + 7, y(trend.high()) + 14, Align.LEFT,
                Face.REGULAR.at(11), theme.color("ink-2"));
        axes(response);
        Shape clip = g.getClip();
        g.clip(frame.inside());
        course();
        g.setClip(clip);
        for (AgeTrend.Point point : trend.points()) {
            frame.dot(g, theme, point.days(), point.value(), ink.apply(point));
        }
        trend.driftFrom().ifPresent(day -> {
            PlotFrame.line(g, x(day), HEAD, x(day), frame.bottom(), theme.color("accent"), 1.2);
            boolean late = x(day) > frame.width() / 2;
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
        frame.upright(g, theme, response.unit(), 6);
        Ticks days = Ticks.of(trend.days()[0], trend.days()[trend.days().length - 1], 7);
        for (double day : days.values()) {
            PlotFrame.line(g, x(day), frame.bottom(), x(day), frame.bottom() + 4, theme.color("ink"), 0.9);
            Words.draw(g, days.label(day), x(day), frame.bottom() + 17, Align.CENTRE, Face.REGULAR.at(11),
                    theme.color("ink-2"));
        }
        Words.draw(g, "days since roast, those frozen not counted", (LEFT + frame.right()) / 2, frame.bottom() + 35,
                Align.CENTRE, Face.REGULAR.at(11), theme.color("muted"));
    }
}
