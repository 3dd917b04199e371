package org.grenu.figures.read;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import org.grenu.core.curve.CurveAxis;
import org.grenu.core.curve.UniformCurve;
import org.grenu.figures.paint.CurvePen;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * Paints the strips of one shot in its treatment's colour. Knows nothing of screens: the same call serves every
 * export.
 */
public final class StripPainter {

    /** Colours of the curves: the shot's treatment and the ghost's. */
    public record Inks(Color treatment, Color ghost) {
    }

    private static final double CURVE_WIDTH = 1.6;
    private static final double GHOST_WIDTH = 1.2;
    private static final double DOT = 3.2;

    private final Graphics2D g;
    private final Theme theme;
    private final StripLayout layout;
    private final CurvePen pen;

    private StripPainter(Graphics2D g, Theme theme, StripLayout layout, CurvePen pen) {
        this.g = g;
        this.theme = theme;
        this.layout = layout;
        this.pen = pen;
    }

    /** Paints the figure by that layout; the ground is left to the caller. */
    public static void paint(Graphics2D g, Theme theme, ReadFigure figure, StripLayout layout, CurvePen pen,
            Inks inks) {
        Words.quality(g);
        StripPainter painter = new StripPainter(g, theme, layout, pen);
        RibbonPainter.tint(g, theme, figure, layout);
        for (int i = 0; i < layout.strips().size(); i++) {
            painter.scale(i);
            painter.corridor(i);
        }
        RibbonPainter.paint(g, theme, figure, layout);
        for (int i = 0; i < layout.strips().size(); i++) {
            painter.curve(i, inks);
        }
        new LabelPainter(g, theme, layout).paint(figure);
        painter.axis(figure.axis());
    }

    private void scale(int i) {
        Strip strip = layout.strips().get(i);
        title(i, strip);
        for (double value : strip.ticks().values()) {
            double y = layout.y(i, value);
            if (value > strip.low() + 1e-9) {
                line(layout.left(), y, layout.right(), y, "grid", 0.75);
            }
            tickLabel(i, strip, value);
        }
        line(14, layout.bottom(i), layout.width(), layout.bottom(i), "line", 1);
    }

    private void title(int i, Strip strip) {
        Words.draw(g, strip.channel().title(), 14, layout.top(i) + 10, Align.LEFT, Face.SEMIBOLD.at(11.5),
                theme.color("ink"));
        Words.draw(g, strip.unit().symbol(), 14, layout.top(i) + 24, Align.LEFT, Face.REGULAR.at(11),
                theme.color("muted"));
    }

    private void tickLabel(int i, Strip strip, double value) {
        double y = layout.y(i, value);
        double begins = layout.left() - 8 - Words.width(strip.ticks().label(value), Face.REGULAR.at(10));
        boolean underTitle = y - layout.top(i) < 16
                && 17 + Words.width(strip.channel().title(), Face.SEMIBOLD.at(11.5)) > begins;
        if (underTitle) {
            return;
        }
        boolean onFoot = layout.bottom(i) - y < 4;
        Words.draw(g, strip.ticks().label(value), layout.left() - 8, onFoot ? layout.bottom(i) - 1 : y + 3.6,
                Align.RIGHT,
                Face.REGULAR.at(10), theme.color("muted"));
    }

    private void corridor(int i) {
        for (Band band : layout.strips().get(i).corridor()) {
            Graphics2D own = (Graphics2D) g.create();
            own.clip(plot(i, 0));
            Grain.fill(own, outline(i, band), theme);
            own.dispose();
        }
    }

    private Path2D outline(int i, Band band) {
        Path2D path = new Path2D.Double();
        boolean begun = false;
        for (int k = 0; k < band.high().size(); k++) {
            begun = extend(path, begun, layout.x(band.high().time(k)), layout.y(i, band.high().value(k)));
        }
        for (int k = band.low().size() - 1; k >= 0; k--) {
            begun = extend(path, begun, layout.x(band.low().time(k)), layout.y(i, band.low().value(k)));
        }
        if (begun) {
            path.closePath();
        }
        return path;
    }

    private static boolean extend(Path2D path, boolean begun, double x, double y) {
        if (!Double.isFinite(y)) {
            return begun;
        }
        if (begun) {
            path.lineTo(x, y);
        } else {
            path.moveTo(x, y);
        }
        return true;
    }

    private void curve(int i, Inks inks) {
        Strip strip = layout.strips().get(i);
        strip.doubt().ifPresent(band -> shade(i, band, inks.treatment()));
        strip.ghost().ifPresent(ghost -> draw(i, ghost, Theme.withOpacity(inks.ghost(), 0.6), GHOST_WIDTH));
        strip.asLogged().ifPresent(logged -> draw(i, logged, theme.color("rail"), 1));
        if (strip.points().isEmpty()) {
            draw(i, strip.curve(), inks.treatment(), CURVE_WIDTH);
        } else {
            draw(i, strip.curve(), Theme.withOpacity(inks.treatment(), 0.35), 1);
            points(i, strip.points(), inks.treatment());
        }
    }

    private void shade(int i, Band band, Color color) {
        Graphics2D own = (Graphics2D) g.create();
        own.clip(plot(i, 0));
        own.setColor(Theme.withOpacity(color, 0.16));
        own.fill(outline(i, band));
        own.dispose();
    }

    private void points(int i, List<double[]> points, Color color) {
        g.setColor(color);
        for (double[] point : points) {
            double x = layout.x(point[0]);
            if (Double.isFinite(point[1]) && x >= layout.left() && x <= layout.right()) {
                g.fill(new Ellipse2D.Double(x - DOT, layout.y(i, point[1]) - DOT, 2 * DOT, 2 * DOT));
            }
        }
    }

    /** The strip's plot, wider by a line's width, so that a curve on the foot is not cut in half. */
    private Rectangle2D plot(int i, double width) {
        return new Rectangle2D.Double(layout.left(), layout.top(i) - width, layout.right() - layout.left(),
                layout.bottom(i) - layout.top(i) + 2 * width);
    }

    private void draw(int i, UniformCurve curve, Color color, double width) {
        AxisRange view = layout.view();
        int first = Math.max(0, (int) Math.floor((view.from() - curve.start()) / curve.step()) - 1);
        int last = Math.min(curve.size() - 1, (int) Math.ceil((view.to() - curve.start()) / curve.step()) + 1);
        if (last <= first) {
            return;
        }
        double[] x = new double[last - first + 1];
        double[] y = new double[x.length];
        for (int k = 0; k < x.length; k++) {
            x[k] = layout.x(curve.time(first + k));
            y[k] = layout.y(i, curve.value(first + k));
        }
        pen.draw(g, plot(i, width), x, y, color, width);
    }

    private void axis(CurveAxis axis) {
        double y = layout.plotsBottom() + 6;
        line(layout.left(), y, layout.right(), y, "ink", 0.9);
        Words.draw(g, axis.title(), 14, y + 8, Align.LEFT, Face.SEMIBOLD.at(axis.title().length() > 12 ? 10 : 11.5),
                theme.color("ink"));
        Words.draw(g, axis.unit(), 14, y + 22, Align.LEFT, Face.REGULAR.at(11), theme.color("muted"));
        Ticks ticks = Ticks.of(layout.view().from(), layout.view().to(), 8);
        for (double value : ticks.values()) {
            double x = layout.x(value);
            line(x, y, x, y + 5, "ink", 0.9);
            Words.draw(g, ticks.label(value), x, y + 18, Align.CENTRE, Face.REGULAR.at(11), theme.color("ink-2"));
        }
    }

    private void line(double x1, double y1, double x2, double y2, String role, double width) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) width));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }
}
