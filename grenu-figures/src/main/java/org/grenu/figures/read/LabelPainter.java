package org.grenu.figures.read;

import java.awt.BasicStroke;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.grenu.core.curve.UniformCurve;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Moments across the strips and marks on them, with labels that keep clear of each other. */
final class LabelPainter {

    private static final Font NAME = Face.TEXT.at(11);
    private static final Font DETAIL = Face.REGULAR.at(10.5);
    private static final Font NOTE = Face.ITALIC.at(11);
    private static final double LINE = 13;
    private static final double AWAY = 9;
    private static final int LONGEST = 46;

    private final Graphics2D g;
    private final Theme theme;
    private final StripLayout layout;
    private final LabelPlacer placer;

    LabelPainter(Graphics2D g, Theme theme, StripLayout layout) {
        this.g = g;
        this.theme = theme;
        this.layout = layout;
        this.placer = new LabelPlacer(new Rectangle2D.Double(layout.left() - 60, layout.plotsTop() - StripLayout.LABELS,
                layout.right() - layout.left() + 60, layout.plotsBottom() - layout.plotsTop() + StripLayout.LABELS));
    }

    void paint(ReadFigure figure) {
        figure.moments().stream().filter(moment -> shown(moment.at(), moment.at())).forEach(this::moment);
        figure.marks().stream().filter(mark -> shown(mark.from(), mark.to())).forEach(this::mark);
    }

    private boolean shown(double from, double to) {
        return to >= layout.view().from() && from <= layout.view().to();
    }

    private void moment(Moment moment) {
        double x = layout.x(moment.at());
        boolean note = moment.kind() == Moment.Kind.NOTE;
        stroke(note ? "line" : "muted", 0.9);
        g.draw(new Line2D.Double(x, layout.plotsTop() - 8, x, layout.plotsBottom()));
        if (moment.kind() == Moment.Kind.DRIP) {
            drop(x, layout.plotsTop() - 14);
        }
        String name = shortened(moment.name());
        Font font = note ? NOTE : NAME;
        double width = Math.max(Words.width(name, font), Words.width(moment.detail(), DETAIL));
        double height = moment.detail().isEmpty() ? LINE : 2 * LINE;
        List<Rectangle2D> candidates = new ArrayList<>();
        for (int row = 0; row < 6; row++) {
            double y = layout.plotsTop() - 34 + row * LINE;
            candidates.add(new Rectangle2D.Double(x - AWAY - width, y, width, height));
            candidates.add(new Rectangle2D.Double(x + AWAY, y, width, height));
        }
        placer.place(candidates).ifPresent(at -> {
            Align align = at.getX() < x ? Align.RIGHT : Align.LEFT;
            double edge = align == Align.RIGHT ? at.getMaxX() : at.getX();
            Words.draw(g, name, edge, at.getY() + 10, align, font, theme.color(note ? "ink-2" : "ink"));
            Words.draw(g, moment.detail(), edge, at.getY() + 10 + LINE, align, DETAIL, theme.color("muted"));
        });
    }

    /** A bracket above the curve where it is, and words beside it. */
    private void mark(Mark mark) {
        int strip = strip(mark);
        if (strip < 0) {
            return;
        }
        double from = Math.max(layout.left(), layout.x(mark.from()));
        double to = Math.min(layout.right(), Math.max(from + 3, layout.x(mark.to())));
        double y = layout.top(strip) + 7;
        stroke(mark.alarm() ? "brick" : "ink", 1.1);
        Path2D bracket = new Path2D.Double();
        bracket.moveTo(from, y + 4);
        bracket.lineTo(from, y);
        bracket.lineTo(to, y);
        bracket.lineTo(to, y + 4);
        g.draw(bracket);
        String name = shortened(mark.name());
        String detail = shortened(mark.detail());
        double width = Math.max(Words.width(name, NAME), Words.width(detail, DETAIL));
        List<Rectangle2D> candidates = new ArrayList<>();
        for (double top = y - 5; top + 2 * LINE < layout.bottom(strip) + 2; top += LINE / 2) {
            candidates.add(new Rectangle2D.Double(from - AWAY - width, top, width, 2 * LINE));
            candidates.add(new Rectangle2D.Double(to + AWAY, top, width, 2 * LINE));
        }
        // Beside the curve where there is room, over it where there is none.
        candidates.sort(Comparator.comparing(candidate -> touches(strip, candidate)));
        placer.place(candidates).ifPresent(at -> {
            Align align = at.getX() < from ? Align.RIGHT : Align.LEFT;
            double edge = align == Align.RIGHT ? at.getMaxX() : at.getX();
            halo(at);
            Words.draw(g, name, edge, at.getY() + 10, align, NAME, theme.color(mark.alarm() ? "brick" : "ink-2"));
            Words.draw(g, detail, edge, at.getY() + 10 + LINE, align, DETAIL, theme.color("muted"));
        });
    }

    private boolean touches(int strip, Rectangle2D words) {
        UniformCurve curve = layout.strips().get(strip).curve();
        for (double x = words.getMinX(); x <= words.getMaxX(); x += 3) {
            double y = layout.y(strip, curve.at(layout.view().from()
                    + (x - layout.left()) / (layout.right() - layout.left()) * layout.view().length()));
            if (y > words.getMinY() - 3 && y < words.getMaxY() + 3) {
                return true;
            }
        }
        return false;
    }

    /** Words over a curve stay readable. */
    private void halo(Rectangle2D at) {
        g.setColor(theme.color("panel", 0.55));
        g.fill(new Rectangle2D.Double(at.getX() - 2, at.getY() - 1, at.getWidth() + 4, at.getHeight() + 1));
    }

    private int strip(Mark mark) {
        for (int i = 0; i < layout.strips().size(); i++) {
            if (layout.strips().get(i).channel() == mark.channel()) {
                return i;
            }
        }
        return -1;
    }

    private static String shortened(String text) {
        return text.length() > LONGEST ? text.substring(0, LONGEST - 1).strip() + "…" : text;
    }

    private void stroke(String role, double width) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) width));
    }

    private void drop(double x, double y) {
        Path2D drop = new Path2D.Double();
        drop.moveTo(x, y - 8);
        drop.curveTo(x + 2, y - 4, x + 4, y - 2.5, x + 4, y + 0.5);
        drop.curveTo(x + 4, y + 5.5, x - 4, y + 5.5, x - 4, y + 0.5);
        drop.curveTo(x - 4, y - 2.5, x - 2, y - 4, x, y - 8);
        g.setColor(theme.color("panel"));
        g.fill(drop);
        stroke("ink", 1.1);
        g.draw(drop);
    }
}
