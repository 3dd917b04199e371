package org.grenu.figures.compare;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.grenu.core.compare.CurveGroup;
import org.grenu.core.compare.AlignedCurve;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.UniformCurve;
import org.grenu.figures.paint.CurvePen;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints an overlay: single shots thin, means bold, their intervals as a tint, all in the colour of their level. */
public final class OverlayPainter {

    private static final double THIN = 0.9;
    private static final double ALONE = 1.4;
    private static final double BOLD = 1.9;
    private static final double BAND = 0.16;
    private static final double FADED = 0.55;

    private final Graphics2D g;
    private final Theme theme;
    private final OverlayLayout layout;
    private final CurvePen pen;
    private final Function<String, Color> colors;

    private OverlayPainter(Graphics2D g, Theme theme, OverlayLayout layout, CurvePen pen,
            Function<String, Color> colors) {
        this.g = g;
        this.theme = theme;
        this.layout = layout;
        this.pen = pen;
        this.colors = colors;
    }

    /**
     * Paints the figure by that layout; the ground is left to the caller.
     *
     * @param colors of each level; the difference of two has the level ""
     */
    public static void paint(Graphics2D g, Theme theme, OverlayLayout layout, CurvePen pen,
            Function<String, Color> colors) {
        Words.quality(g);
        OverlayPainter painter = new OverlayPainter(g, theme, layout, pen, colors);
        OverlayFigure figure = layout.figure();
        for (int strip = 0; strip < figure.strips().size(); strip++) {
            painter.names(strip);
        }
        for (int facet = 0; facet < figure.facets().size(); facet++) {
            painter.facet(facet);
        }
        Words.draw(g, figure.axis() == AxisKind.CUP_MASS ? "In the cup, g" : "Time, s", 12, layout.plotsBottom() + 17,
                Align.LEFT, Face.REGULAR.at(10.5), theme.color("muted"));
    }

    private void names(int strip) {
        OverlayStrip of = layout.figure().strips().get(strip);
        String title = of.channel().title();
        Words.draw(g, title, 12, layout.top(strip) + 10, Align.LEFT, Face.SEMIBOLD.at(11.5), theme.color("ink"));
        Words.draw(g, of.unit().symbol(), 12, layout.top(strip) + 24, Align.LEFT, Face.REGULAR.at(11),
                theme.color("muted"));
        for (double value : of.ticks().values()) {
            tick(strip, of, value);
        }
    }

    private void tick(int strip, OverlayStrip of, double value) {
        String label = of.ticks().label(value);
        double y = layout.y(strip, value);
        boolean underTitle = y - layout.top(strip) < 16
                && 15 + Words.width(of.channel().title(), Face.SEMIBOLD.at(11.5))
                        > OverlayLayout.GUTTER - 10 - Words.width(label, Face.REGULAR.at(10));
        if (!underTitle) {
            boolean onFoot = layout.bottom(strip) - y < 4;
            Words.draw(g, label, OverlayLayout.GUTTER - 7, onFoot ? layout.bottom(strip) - 1 : y + 3.6, Align.RIGHT,
                    Face.REGULAR.at(10), theme.color("muted"));
        }
    }

    private void facet(int facet) {
        Facet of = layout.figure().facets().get(facet);
        title(facet, of);
        for (int strip = 0; strip < layout.figure().strips().size(); strip++) {
            grid(facet, strip);
            shade(facet, strip, of.shaded());
            groups(facet, strip, of);
        }
        zero(facet);
        labels(facet, of);
        axis(facet);
    }

    private void title(int facet, Facet of) {
        Font titleFont = Face.SEMIBOLD.at(12);
        Words.draw(g,
                Words.fitted(of.title(), titleFont,
                        layout.right(facet) - layout.left(facet) - Words.width(of.remark(), Face.REGULAR.at(11)) - 12),
                layout.left(facet), 14,
                Align.LEFT, titleFont, theme.color("ink"));
        Words.draw(g, of.remark(), layout.right(facet), 14, Align.RIGHT, Face.REGULAR.at(11), theme.color("muted"));
    }

    private void groups(int facet, int strip, Facet of) {
        for (CurveGroup group : of.groups()
                .getOrDefault(layout.figure().strips().get(strip).channel(), List.of())) {
            group(facet, strip, group);
        }
    }

    private void grid(int facet, int strip) {
        OverlayStrip of = layout.figure().strips().get(strip);
        for (double value : of.ticks().values()) {
            boolean nought = of.low() < 0 && Math.abs(value) < 1e-12;
            if (value > of.low() + 1e-9) {
                line(layout.left(facet), layout.y(strip, value), layout.right(facet), layout.y(strip, value),
                        nought ? "muted" : "grid", 0.75);
            }
        }
        line(layout.left(facet), layout.bottom(strip), layout.right(facet), layout.bottom(strip), "line", 1);
    }

    private void shade(int facet, int strip, Map<Channel, List<double[]>> shaded) {
        for (double[] stretch : shaded.getOrDefault(layout.figure().strips().get(strip).channel(), List.of())) {
            double from = Math.max(layout.left(facet), layout.x(facet, stretch[0]));
            double to = Math.min(layout.right(facet), layout.x(facet, stretch[1]));
            if (to > from) {
                g.setColor(theme.color("muted", 0.18));
                g.fill(new Rectangle2D.Double(from, layout.top(strip), to - from,
                        layout.bottom(strip) - layout.top(strip)));
                line(from, layout.bottom(strip), to, layout.bottom(strip), "ink", 2);
            }
        }
    }

    private void group(int facet, int strip, CurveGroup group) {
        Color color = colors.apply(group.level());
        Rectangle2D plot = new Rectangle2D.Double(layout.left(facet), layout.top(strip) - 1,
                layout.right(facet) - layout.left(facet), layout.bottom(strip) - layout.top(strip) + 2);
        group.half().ifPresent(half -> band(facet, strip, group.mean().orElseThrow(), half, color, plot));
        boolean several = group.mean().isPresent();
        for (AlignedCurve member : group.members()) {
            draw(facet, strip, member.curve(), several ? Theme.withOpacity(color, FADED) : color,
                    several ? THIN : ALONE, plot);
        }
        group.mean().ifPresent(mean -> draw(facet, strip, mean, color, BOLD, plot));
    }

    private void band(int facet, int strip, UniformCurve mean, UniformCurve half, Color color, Rectangle2D plot) {
        Path2D path = new Path2D.Double();
        List<double[]> back = new ArrayList<>();
        for (int i = 0; i < mean.size(); i++) {
            if (Double.isFinite(mean.value(i)) && Double.isFinite(half.value(i))) {
                double x = layout.x(facet, mean.time(i));
                double y = layout.y(strip, mean.value(i) + half.value(i));
                if (back.isEmpty()) {
                    path.moveTo(x, y);
                } else {
                    path.lineTo(x, y);
                }
                back.add(new double[] {x, layout.y(strip, mean.value(i) - half.value(i))});
            }
        }
        if (back.size() < 2) {
            return;
        }
        for (int i = back.size() - 1; i >= 0; i--) {
            path.lineTo(back.get(i)[0], back.get(i)[1]);
        }
        path.closePath();
        Graphics2D own = (Graphics2D) g.create();
        own.clip(plot);
        own.setColor(Theme.withOpacity(color, BAND));
        own.fill(path);
        own.dispose();
    }

    private void draw(int facet, int strip, UniformCurve curve, Color color, double width, Rectangle2D plot) {
        double[] x = new double[curve.size()];
        double[] y = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            x[i] = layout.x(facet, curve.time(i));
            y[i] = layout.y(strip, curve.value(i));
        }
        pen.draw(g, plot, x, y, color, width);
    }

    /** The moment all are lined up at. */
    private void zero(int facet) {
        if (layout.figure().axis() != AxisKind.CUP_MASS && layout.view().from() < 0 && layout.view().to() > 0) {
            double x = layout.x(facet, 0);
            line(x, layout.plotsTop() - 4, x, layout.plotsBottom(), "ink", 0.9);
        }
    }

    /** Each level named once, at the end of its mean in the lowest strip, kept apart. */
    private void labels(int facet, Facet of) {
        int strip = layout.figure().strips().size() - 1;
        List<CurveGroup> groups = of.groups()
                .getOrDefault(layout.figure().strips().get(strip).channel(), List.of())
                .stream()
                .filter(group -> !group.level().isEmpty() && (group.mean().isPresent() || !group.members().isEmpty()))
                .toList();
        List<double[]> ends = new ArrayList<>();
        for (CurveGroup group : groups) {
            UniformCurve curve = group.mean().orElseGet(() -> group.members().get(0).curve());
            ends.add(end(facet, strip, curve, ends.size()));
        }
        ends.sort(Comparator.comparingDouble(end -> end[0]));
        double taken = Double.NEGATIVE_INFINITY;
        Font font = Face.SEMIBOLD.at(10.5);
        for (double[] end : ends) {
            String level = groups.get((int) end[2]).level();
            double wide = Words.width(level, font);
            double left = Math.max(taken + 6, Math.min(layout.right(facet) - wide + 14, end[0] - wide / 2));
            if (left + wide <= layout.right(facet) + 18) {
                Words.draw(g, level, left, Math.max(layout.top(strip) - 1, end[1] - 6), Align.LEFT, font,
                        colors.apply(level));
                taken = left + wide;
            }
        }
    }

    private double[] end(int facet, int strip, UniformCurve curve, int index) {
        int i = curve.size() - 1;
        while (i > 0 && (!Double.isFinite(curve.value(i)) || curve.time(i) > layout.view().to())) {
            i--;
        }
        return new double[] {layout.x(facet, curve.time(i)), layout.y(strip, curve.value(i)), index};
    }

    private void axis(int facet) {
        double y = layout.plotsBottom();
        line(layout.left(facet), y, layout.right(facet), y, "ink", 0.9);
        double room = layout.right(facet) - layout.left(facet);
        Ticks ticks = Ticks.of(layout.view().from(), layout.view().to(), (int) Math.max(2, room / 46));
        for (double value : ticks.values()) {
            double x = layout.x(facet, value);
            line(x, y, x, y + 4, "ink", 0.9);
            boolean nought = Math.abs(value) < 1e-9;
            Words.draw(g, ticks.label(value), x, y + 17, Align.CENTRE,
                    nought ? Face.SEMIBOLD.at(10.5) : Face.REGULAR.at(10.5), theme.color(nought ? "ink" : "ink-2"));
        }
    }

    private void line(double x1, double y1, double x2, double y2, String role, double width) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) width));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }
}
