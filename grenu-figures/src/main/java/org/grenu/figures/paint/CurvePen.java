package org.grenu.figures.paint;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;

/** Draws a curve that is a function of x: as pixel columns on an image, as a path for vectors. */
public interface CurvePen {

    /**
     * Draws the curve through the points.
     *
     * @param g     where to draw; untouched on return
     * @param clip  nothing is drawn outside, in the figure's units
     * @param x     increasing, in the figure's units
     * @param y     same length; NaN breaks the curve
     * @param color of the line
     * @param width of the line, in the figure's units
     */
    void draw(Graphics2D g, Rectangle2D clip, double[] x, double[] y, Color color, double width);
}
