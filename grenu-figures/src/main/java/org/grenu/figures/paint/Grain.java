package org.grenu.figures.paint;

import java.awt.BasicStroke;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.util.Random;
import org.grenu.figures.theme.Theme;

/**
 * The product's mark: an uneven stipple that fills whatever is intended or tolerated. The same dots on every
 * drawing.
 */
public final class Grain {

    private static final double TILE = 20;
    private static final int DOTS = 36;
    private static final double[][] TILE_DOTS = dots();

    private Grain() {
    }

    /** Fills the shape with grain and draws its outline. */
    public static void fill(Graphics2D g, Shape shape, Theme theme) {
        Graphics2D own = (Graphics2D) g.create();
        own.setColor(theme.color("stipple-ground"));
        own.fill(shape);
        own.clip(shape);
        own.setColor(theme.color("stipple-grain", 0.6));
        dots(own, shape.getBounds2D());
        own.dispose();
        g.setColor(theme.color("phase-edge"));
        g.setStroke(new BasicStroke(0.5f));
        g.draw(shape);
    }

    private static void dots(Graphics2D g, Rectangle2D bounds) {
        for (double x = Math.floor(bounds.getMinX() / TILE) * TILE; x < bounds.getMaxX(); x += TILE) {
            for (double y = Math.floor(bounds.getMinY() / TILE) * TILE; y < bounds.getMaxY(); y += TILE) {
                for (double[] dot : TILE_DOTS) {
                    double r = dot[2];
                    g.fill(new Ellipse2D.Double(x + dot[0] - r, y + dot[1] - r, 2 * r, 2 * r));
                }
            }
        }
    }

    /** A 6 × 6 lattice, each dot moved within its cell. */
    private static double[][] dots() {
        Random random = new Random(7);
        double[][] dots = new double[DOTS][];
        double cell = TILE / 6;
        for (int i = 0; i < DOTS; i++) {
            dots[i] = new double[] {(i % 6 + 0.15 + 0.7 * random.nextDouble()) * cell,
                    (i / 6 + 0.15 + 0.7 * random.nextDouble()) * cell,
                    0.38 + 0.26 * random.nextDouble()};
        }
        return dots;
    }
}
