package org.grenu.figures.read;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Locale;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.quantity.Reported;
import org.grenu.figures.paint.CurvePen;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints the strips of one shot in its treatment's colour. Knows nothing of screens: the same call serves every export. */
public final class StripPainter {

    private static final double CURVE_WIDTH = 1.6;

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
    public static void paint(Graphics2D g, Theme theme, ReadFigure figure, StripLayout layout, CurvePen pen, Color treatment) {
        Words.quality(g);
        StripPainter painter = new StripPainter(g, theme, layout, pen);
        for (int i = 0; i < layout.strips().size(); i++) {
            painter.scale(i);
        }
        painter.moments(figure.moments());
        for (int i = 0; i < layout.strips().size(); i++) {
            painter.curve(i, treatment);
        }
        painter.repairs(figure.repairs());
        painter.timeAxis();
    }

    private void scale(int i) {
        Strip strip = layout.strips().get(i);
        Words.draw(g, strip.channel().title(), 14, layout.top(i) + 10, Align.LEFT, Face.SEMIBOLD.at(11.5), theme.color("ink"));
        Words.draw(g, strip.channel().unit().symbol(), 14, layout.top(i) + 24, Align.LEFT, Face.REGULAR.at(11), theme.color("muted"));
        for (double value : strip.ticks().values()) {
            double y = layout.y(i, value);
            if (value > strip.low() + 1e-9) {
                line(layout.left(), y, layout.right(), y, "grid", 0.75);
            }
            boolean onFoot = layout.bottom(i) - y < 4;
            Words.draw(g, strip.ticks().label(value), layout.left() - 8, onFoot ? layout.bottom(i) - 1 : y + 3.6, Align.RIGHT,
                    Face.REGULAR.at(10), theme.color("muted"));
        }
        line(14, layout.bottom(i), layout.width(), layout.bottom(i), "line", 1);
    }

    private void curve(int i, Color treatment) {
        Strip strip = layout.strips().get(i);
        strip.asLogged().ifPresent(logged -> draw(i, logged, theme.color("rail"), 1));
        draw(i, strip.curve(), treatment, CURVE_WIDTH);
    }

    private void draw(int i, UniformCurve curve, Color color, double width) {
        TimeRange view = layout.view();
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
        // The line may stand out of its strip by its own width, so that a curve on the foot is not cut in half.
        Rectangle2D clip = new Rectangle2D.Double(layout.left(), layout.top(i) - width, layout.right() - layout.left(),
                layout.bottom(i) - layout.top(i) + 2 * width);
        pen.draw(g, clip, x, y, color, width);
    }

    private void moments(List<Moment> moments) {
        double taken = Double.NEGATIVE_INFINITY;
        for (Moment moment : moments) {
            if (moment.seconds() < layout.view().from() || moment.seconds() > layout.view().to()) {
                continue;
            }
            double x = layout.x(moment.seconds());
            line(x, layout.plotsTop() - 8, x, layout.plotsBottom(), "phase-edge", 0.9);
            if (moment.drop()) {
                drop(x, layout.plotsTop() - 14);
            }
            double width = Math.max(Words.width(moment.name(), Face.TEXT.at(11)), Words.width(moment.detail(), Face.REGULAR.at(11)));
            boolean leftwards = x - width - 9 > Math.max(taken, layout.left() - 40);
            Align align = leftwards ? Align.RIGHT : Align.LEFT;
            double at = leftwards ? x - 8 : x + 8;
            Words.draw(g, moment.name(), at, layout.plotsTop() - 24, align, Face.TEXT.at(11), theme.color("ink"));
            Words.draw(g, moment.detail(), at, layout.plotsTop() - 11, align, Face.REGULAR.at(11), theme.color("muted"));
            taken = leftwards ? x + 8 : x + 8 + width;
        }
    }

    private void drop(double x, double y) {
        Path2D drop = new Path2D.Double();
        drop.moveTo(x, y - 8);
        drop.curveTo(x + 2, y - 4, x + 4, y - 2.5, x + 4, y + 0.5);
        drop.curveTo(x + 4, y + 5.5, x - 4, y + 5.5, x - 4, y + 0.5);
        drop.curveTo(x - 4, y - 2.5, x - 2, y - 4, x, y - 8);
        g.setColor(theme.color("panel"));
        g.fill(drop);
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(1.1f));
        g.draw(drop);
    }

    /** A bridged knock is named where it was; its place is a small bar above the curve. */
    private void repairs(List<Repair> repairs) {
        for (int i = 0; i < layout.strips().size(); i++) {
            if (layout.strips().get(i).asLogged().isPresent()) {
                for (Repair repair : repairs) {
                    if (repair.kind() == RepairKind.SCALE_KNOCK && repair.applied()) {
                        knock(i, repair);
                    }
                }
            }
        }
    }

    private void knock(int i, Repair repair) {
        if (repair.toSeconds() < layout.view().from() || repair.fromSeconds() > layout.view().to()) {
            return;
        }
        double from = Math.max(layout.left(), layout.x(repair.fromSeconds()));
        double to = Math.min(layout.right(), layout.x(repair.toSeconds()));
        double y = layout.top(i) + 8;
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(1.1f));
        Path2D bar = new Path2D.Double();
        bar.moveTo(from, y + 4);
        bar.lineTo(from, y);
        bar.lineTo(to, y);
        bar.lineTo(to, y + 4);
        g.draw(bar);
        String detail = String.format(Locale.ROOT, "%s s · %.1f s bridged", Reported.fixed(repair.fromSeconds(), 1),
                repair.toSeconds() - repair.fromSeconds());
        Words.draw(g, "knock on the scale, repaired", from - 8, y + 4, Align.RIGHT, Face.TEXT.at(11), theme.color("ink-2"));
        Words.draw(g, detail, from - 8, y + 17, Align.RIGHT, Face.REGULAR.at(10.5), theme.color("muted"));
    }

    private void timeAxis() {
        double y = layout.plotsBottom() + 6;
        line(layout.left(), y, layout.right(), y, "ink", 0.9);
        Words.draw(g, "Time", 14, y + 8, Align.LEFT, Face.SEMIBOLD.at(11.5), theme.color("ink"));
        Words.draw(g, "s", 14, y + 22, Align.LEFT, Face.REGULAR.at(11), theme.color("muted"));
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
