package org.grenu.figures.plan;

import java.awt.BasicStroke;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import org.grenu.core.learn.StudentT;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Words;
import org.grenu.figures.theme.Theme;

/**
 * Paints what a lever does to a taste: its 95 % interval about the zone in which a difference makes none in practice.
 */
public final class LeverPainter {

    /** What it needs, px. */
    public static final double HEIGHT = 22;
    private static final double DOT = 3.4;

    private LeverPainter() {
    }

    /**
     * Paints it into that width.
     *
     * @param effect  on an intensity from 0 to 10
     * @param margin  half the width of the zone
     * @param differs whether the mark is filled
     * @param most    at the ends of the axis
     */
    public static void paint(Graphics2D g, Theme theme, StudentT effect, double margin, boolean differs,
            double most, double width) {
        Words.quality(g);
        double middle = HEIGHT / 2;
        Grain.fill(g,
                new Rectangle2D.Double(x(-margin, most, width), middle - 6,
                        x(margin, most, width) - x(-margin, most, width), 12),
                theme);
        g.setColor(theme.color("muted"));
        g.setStroke(new BasicStroke(0.75f));
        g.draw(new Line2D.Double(x(0, most, width), 2, x(0, most, width), HEIGHT - 2));
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(differs ? 1.8f : 1.2f));
        double low = x(effect.quantile(0.025), most, width);
        double high = x(effect.quantile(0.975), most, width);
        g.draw(new Line2D.Double(low, middle, high, middle));
        g.draw(new Line2D.Double(low, middle - 3, low, middle + 3));
        g.draw(new Line2D.Double(high, middle - 3, high, middle + 3));
        Shape dot = new Ellipse2D.Double(x(effect.location(), most, width) - DOT, middle - DOT, 2 * DOT, 2 * DOT);
        g.setColor(theme.color(differs ? "ink" : "panel"));
        g.fill(dot);
        g.setColor(theme.color("ink"));
        g.draw(dot);
    }

    private static double x(double effect, double most, double width) {
        return 4 + (Math.max(-most, Math.min(most, effect)) + most) / (2 * most) * (width - 8);
    }
}
