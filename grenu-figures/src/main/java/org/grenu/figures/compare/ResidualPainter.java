package org.grenu.figures.compare;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.RowResidual;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * Paints what the model leaves over of each shot, in the order they were pulled; the tint is the spread, a ring a
 * shot that draws the model to itself.
 */
public final class ResidualPainter {

    private static final double DOT = 3;
    private static final double FOOT = 16;
    private static final double HIGH_LEVERAGE = 2;

    private ResidualPainter() {
    }

    /** Paints the shots of that answer into that size. */
    public static void paint(Graphics2D g, Theme theme, ResponseAnswer answer, Function<RowResidual, Color> colors,
            double width, double height) {
        Words.quality(g);
        List<RowResidual> rows = inOrder(answer);
        double most = rows.stream().mapToDouble(row -> Math.abs(row.residual())).max().orElse(1);
        double reach = 1.12
                * Math.max(Math.max(most, Double.isFinite(answer.deviation()) ? answer.deviation() : 0), 1e-9);
        double middle = (height - FOOT) / 2;
        double scale = (middle - 3) / reach;
        if (answer.deviation() > 0) {
            g.setColor(theme.color("muted", 0.14));
            g.fill(new Rectangle2D.Double(0, middle - answer.deviation() * scale, width,
                    2 * answer.deviation() * scale));
        }
        line(g, theme, new Line2D.Double(0, middle, width, middle), "muted", 0.9);
        double mean = rows.stream().mapToDouble(RowResidual::leverage).average().orElse(0);
        String block = null;
        double begun = 0;
        for (int i = 0; i < rows.size(); i++) {
            RowResidual row = rows.get(i);
            double x = (i + 0.5) * width / rows.size();
            double y = middle - row.residual() * scale;
            String own = row.block().orElse("");
            if (block != null && !own.equals(block)) {
                double edge = i * width / rows.size();
                line(g, theme, new Line2D.Double(edge, 0, edge, height - FOOT), "phase-edge", 0.75);
                name(g, theme, block, begun, edge, height);
                begun = edge;
            }
            block = own;
            Color color = colors.apply(row);
            g.setColor(color);
            g.setStroke(new BasicStroke(1.2f));
            g.draw(new Line2D.Double(x, middle, x, y));
            g.fill(new Ellipse2D.Double(x - DOT, y - DOT, 2 * DOT, 2 * DOT));
            if (row.leverage() > HIGH_LEVERAGE * mean) {
                g.draw(new Ellipse2D.Double(x - DOT - 2.5, y - DOT - 2.5, 2 * DOT + 5, 2 * DOT + 5));
            }
        }
        name(g, theme, block == null ? "" : block, begun, width, height);
    }

    /** {@return the shots as they are painted, left to right} */
    public static List<RowResidual> inOrder(ResponseAnswer answer) {
        List<RowResidual> rows = new ArrayList<>(answer.rows());
        rows.sort(Comparator.comparing(row -> row.shot().record().pulledAt().map(Object::toString).orElse("")));
        return rows;
    }

    private static void name(Graphics2D g, Theme theme, String block, double from, double to, double height) {
        String words = Words.fitted(block, Face.REGULAR.at(10), to - from - 2);
        if (words.length() > 4 || words.equals(block)) {
            Words.draw(g, words, (from + to) / 2, height - 3, Align.CENTRE, Face.REGULAR.at(10), theme.color("muted"));
        }
    }

    private static void line(Graphics2D g, Theme theme, Line2D line, String role, double width) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) width));
        g.draw(line);
    }
}
