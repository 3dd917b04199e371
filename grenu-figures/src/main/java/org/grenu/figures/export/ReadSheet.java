package org.grenu.figures.export;

import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import org.grenu.figures.paint.CurvePen;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.read.ReadFigure;
import org.grenu.figures.read.StripLayout;
import org.grenu.figures.read.StripPainter;
import org.grenu.figures.read.AxisRange;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * The strips of a shot with the words that they need away from the screen.
 *
 * @param title     such as {@code Shot 5}
 * @param caption   the recipe, and the yield with its uncertainty and basis
 * @param figure    the strips
 * @param view      the stretch of the axis shown
 * @param inks      colours of the curves
 */
public record ReadSheet(String title, String caption, ReadFigure figure, AxisRange view, StripPainter.Inks inks)
        implements Sheet {

    private static final double WIDTH = 900;
    private static final double HEIGHT = 760;
    private static final double HEADER = 52;

    @Override
    public double width() {
        return WIDTH;
    }

    @Override
    public double height() {
        return HEIGHT;
    }

    @Override
    public void paint(Graphics2D g, Theme theme, CurvePen pen) {
        Words.quality(g);
        g.setColor(theme.color("panel"));
        g.fill(new Rectangle2D.Double(0, 0, WIDTH, HEIGHT));
        Words.draw(g, title, 14, 24, Align.LEFT, Face.SEMIBOLD.at(16), theme.color("ink"));
        Words.draw(g, caption, 14, 42, Align.LEFT, Face.REGULAR.at(11.5), theme.color("muted"));
        StripLayout layout = new StripLayout(WIDTH - 10, HEIGHT - HEADER - 8, figure, view);
        g.translate(0, HEADER);
        StripPainter.paint(g, theme, figure, layout, pen, inks);
        g.translate(0, -HEADER);
    }
}
