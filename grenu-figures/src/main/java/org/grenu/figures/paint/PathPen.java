package org.grenu.figures.paint;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;

/** Draws a curve as a stroked path: exact at every size, for vector files and small drawings. */
public final class PathPen implements CurvePen {

    @Override
    public void draw(Graphics2D g, Rectangle2D clip, double[] x, double[] y, Color color, double width) {
        Path2D path = path(x, y);
        Graphics2D own = (Graphics2D) g.create();
        own.clip(clip);
        own.setColor(color);
        own.setStroke(new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        own.draw(path);
        own.dispose();
    }

    private static Path2D path(double[] x, double[] y) {
        Path2D path = new Path2D.Double();
        boolean down = false;
        for (int i = 0; i < x.length; i++) {
            boolean present = Double.isFinite(y[i]);
            if (present && down) {
                path.lineTo(x[i], y[i]);
            } else if (present) {
                path.moveTo(x[i], y[i]);
            }
            down = present;
        }
        return path;
    }
}
