package org.grenu.figures.compare;

import java.awt.BasicStroke;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.Verdict;
import org.grenu.core.compare.Wording;
import org.grenu.core.quantity.Reported;
import org.grenu.core.response.Response;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints what each change did: the practical zone grained, the interval, its verdict below. */
public final class EffectPanelPainter {

    static final double NAMES = 118;
    private static final int HEADING_LINES = 3;
    private static final double LABEL_GAP = 4;
    private static final double ZONE = 20;
    private static final double DOT = 3.4;

    private final Graphics2D g;
    private final Theme theme;
    private final EffectPanel panel;
    private final double width;

    private EffectPanelPainter(Graphics2D g, Theme theme, EffectPanel panel, double width) {
        this.g = g;
        this.theme = theme;
        this.panel = panel;
        this.width = width;
    }

    /** Paints the panel into that width; the ground is left to the caller. */
    public static void paint(Graphics2D g, Theme theme, EffectPanel panel, double width) {
        Words.quality(g);
        EffectPanelPainter painter = new EffectPanelPainter(g, theme, panel, width);
        for (int c = 0; c < panel.columns().size(); c++) {
            painter.heading(c);
            painter.range(c);
        }
        for (int r = 0; r < panel.rows().size(); r++) {
            painter.row(r);
        }
    }

    /** {@return the column and row at that place; empty outside every cell} */
    public static Optional<int[]> cellAt(EffectPanel panel, double width, double x, double y) {
        int row = (int) Math.floor((y - EffectPanel.HEAD) / EffectPanel.ROW);
        int column = (int) Math.floor((x - NAMES) / columnWidth(panel, width));
        boolean inside = x >= NAMES && y >= EffectPanel.HEAD && row < panel.rows().size()
                && column < panel.columns().size();
        return inside ? Optional.of(new int[] {column, row}) : Optional.empty();
    }

    /** {@return where that cell lies} */
    public static Rectangle2D cell(EffectPanel panel, double width, int column, int row) {
        double wide = columnWidth(panel, width);
        return new Rectangle2D.Double(NAMES + column * wide, EffectPanel.HEAD + row * EffectPanel.ROW, wide,
                EffectPanel.ROW);
    }

    private static double columnWidth(EffectPanel panel, double width) {
        return (width - NAMES - 4) / Math.max(1, panel.columns().size());
    }

    private double middle(int column) {
        return NAMES + (column + 0.5) * columnWidth(panel, width);
    }

    private double half() {
        return columnWidth(panel, width) / 2 - 8;
    }

    private void heading(int c) {
        Response response = panel.columns().get(c).answer().response();
        double room = columnWidth(panel, width) - 6;
        ResponseTitle title = ResponseTitle.of(response, response.differenceUnit());
        List<String> names = lines(title.name(), Face.SEMIBOLD.at(11.5), room, 2);
        double y = 13;
        for (String line : names) {
            Words.draw(g, line, middle(c), y, Align.CENTRE, Face.SEMIBOLD.at(11.5), theme.color("ink"));
            y += 12.5;
        }
        for (String line : lines(title.below(), Face.REGULAR.at(10.5), room, HEADING_LINES - names.size())) {
            Words.draw(g, line, middle(c), y, Align.CENTRE, Face.REGULAR.at(10.5), theme.color("muted"));
            y += 12.5;
        }
        if (c == 0) {
            line(0, EffectPanel.HEAD - 5, width, EffectPanel.HEAD - 5, "line", 1);
        }
    }

    private void range(int c) {
        EffectPanel.Column column = panel.columns().get(c);
        double y = EffectPanel.HEAD + EffectPanel.ROW * panel.rows().size() + 6;
        line(middle(c) - half(), y, middle(c) + half(), y, "muted", 0.75);
        Font font = Face.REGULAR.at(10);
        String zone = column.margin() > 0 ? Wording.margin(column.margin()) : "";
        String end = "+" + Reported.fixed(column.range(), column.range() < 1 ? 2 : 1);
        boolean narrow = Words.width(zone, font) / 2 + Words.width(end, font) + LABEL_GAP > half();
        Words.draw(g, zone, narrow ? middle(c) - half() : middle(c), y + 13, narrow ? Align.LEFT : Align.CENTRE, font,
                theme.color("muted"));
        Words.draw(g, end, middle(c) + half(), y + 13, Align.RIGHT, font, theme.color("faint"));
        for (double at : new double[] {-column.margin(), 0, column.margin()}) {
            line(x(c, at), y - 3, x(c, at), y, "muted", 0.75);
        }
        if (c == 0) {
            Words.draw(g, "zone and range", 0, y + 13, Align.LEFT, font, theme.color("muted"));
        }
    }

    private double x(int c, double value) {
        double share = Math.max(-1, Math.min(1, value / panel.columns().get(c).range()));
        return middle(c) + share * half();
    }

    private void row(int r) {
        EffectPanel.Row row = panel.rows().get(r);
        double top = EffectPanel.HEAD + r * EffectPanel.ROW;
        title(row, top);
        for (int c = 0; c < row.cells().size(); c++) {
            int column = c;
            row.cells().get(c).ifPresent(effect -> cell(column, top, effect));
        }
        line(0, top + EffectPanel.ROW - 5, width, top + EffectPanel.ROW - 5, "line-soft", 1);
    }

    private void title(EffectPanel.Row row, double top) {
        Words.draw(g, Words.fitted(row.title(), Face.SEMIBOLD.at(12), NAMES - 8), 0, top + 15, Align.LEFT,
                Face.SEMIBOLD.at(12), theme.color("ink"));
        double y = top + 30;
        for (String part : lines(row.change(), Face.REGULAR.at(11), NAMES - 8, 2)) {
            Words.draw(g, part, 0, y, Align.LEFT, Face.REGULAR.at(11), theme.color("muted"));
            y += 13;
        }
    }

    private void cell(int c, double top, Effect effect) {
        double y = top + 30;
        double margin = panel.columns().get(c).margin();
        if (margin > 0) {
            Grain.fill(g, new Rectangle2D.Double(x(c, -margin), y - ZONE / 2, x(c, margin) - x(c, -margin), ZONE),
                    theme);
        }
        line(x(c, 0), y - ZONE / 2 - 2, x(c, 0), y + ZONE / 2 + 2, "muted", 0.9);
        effect.estimate().ifPresent(estimate -> {
            number(c, top + 13, effect);
            interval(c, y, effect, estimate.value());
        });
        verdict(c, top + 55, effect.verdict());
    }

    private void number(int c, double baseline, Effect effect) {
        String signed = Wording.signed(effect);
        int sign = signed.indexOf('±');
        String value = sign < 0 ? signed : signed.substring(0, sign).strip();
        String doubt = sign < 0 ? "" : " " + signed.substring(sign);
        Font bold = Face.SEMIBOLD.at(11);
        Font plain = Face.REGULAR.at(11);
        double left = middle(c) - (Words.width(value, bold) + Words.width(doubt, plain)) / 2;
        Words.draw(g, value, left, baseline, Align.LEFT, bold, theme.color("ink"));
        Words.draw(g, doubt, left + Words.width(value, bold), baseline, Align.LEFT, plain, theme.color("muted"));
    }

    private void interval(int c, double y, Effect effect, double value) {
        boolean decided = effect.verdict() instanceof Verdict.Differs;
        boolean same = effect.verdict() instanceof Verdict.SameInPractice;
        double range = panel.columns().get(c).range();
        double low = value - effect.halfWidth();
        double high = value + effect.halfWidth();
        double stroke = decided ? 1.9 : 1.2;
        line(x(c, low), y, x(c, high), y, "ink", stroke);
        end(c, y, low, low < -range, stroke);
        end(c, y, high, high > range, stroke);
        dot(x(c, value), y, decided ? "ink" : same ? "rail" : "panel");
    }

    private void dot(double x, double y, String fill) {
        Ellipse2D dot = new Ellipse2D.Double(x - DOT, y - DOT, 2 * DOT, 2 * DOT);
        g.setColor(theme.color(fill));
        g.fill(dot);
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(1.2f));
        g.draw(dot);
    }

    /** A bar at the interval's end, or an arrow where it runs out of the range. */
    private void end(int c, double y, double value, boolean cut, double stroke) {
        double x = x(c, value);
        if (!cut) {
            line(x, y - 3.5, x, y + 3.5, "ink", stroke);
            return;
        }
        arrow(x, y, value < 0 ? 5 : -5);
    }

    private void arrow(double x, double y, double back) {
        Path2D arrow = new Path2D.Double();
        arrow.moveTo(x, y);
        arrow.lineTo(x + back, y - 3.5);
        arrow.lineTo(x + back, y + 3.5);
        arrow.closePath();
        g.setColor(theme.color("ink"));
        g.fill(arrow);
    }

    private void verdict(int c, double baseline, Verdict verdict) {
        String role = verdict instanceof Verdict.Differs ? "ink"
                : verdict instanceof Verdict.SameInPractice ? "moss" : "amber-text";
        Font font = (verdict instanceof Verdict.Differs ? Face.SEMIBOLD : Face.REGULAR).at(10.5);
        double y = baseline;
        for (String line : lines(verdict.words(), font, columnWidth(panel, width) - 2, 2)) {
            Words.draw(g, line, middle(c), y, Align.CENTRE, font, theme.color(role));
            y += 12;
        }
    }

    /** That many lines at most; what is left over ends in an ellipsis. */
    private static List<String> lines(String words, Font font, double room, int most) {
        List<String> lines = new ArrayList<>(Words.wrapped(words, font, room));
        if (lines.size() > most) {
            String rest = String.join(" ", lines.subList(most - 1, lines.size()));
            lines.subList(most - 1, lines.size()).clear();
            lines.add(rest);
        }
        lines.replaceAll(line -> Words.fitted(line, font, room));
        return lines;
    }

    private void line(double x1, double y1, double x2, double y2, String role, double width) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) width));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }
}
