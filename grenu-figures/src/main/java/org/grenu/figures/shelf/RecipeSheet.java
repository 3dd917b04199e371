package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import org.grenu.figures.export.Sheet;
import org.grenu.figures.paint.CurvePen;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * A recipe card for the wall: half a sheet of A4 across.
 *
 * @param name   of the recipe
 * @param recipe what stands on it
 */
public record RecipeSheet(String name, RecipeFigure recipe) implements Sheet {

    private static final double MARGIN = 32;

    @Override
    public String title() {
        return name;
    }

    @Override
    public double width() {
        return 720;
    }

    @Override
    public double height() {
        return 66 + recipe.height() + MARGIN;
    }

    @Override
    public void paint(Graphics2D g, Theme theme, CurvePen pen) {
        Words.quality(g);
        g.setColor(theme.color("panel"));
        g.fill(new Rectangle2D.Double(0, 0, width(), height()));
        Words.draw(g, Words.fitted(name, Face.SEMIBOLD.at(18), width() - 2 * MARGIN), MARGIN, 44, Align.LEFT,
                Face.SEMIBOLD.at(18), theme.color("ink"));
        Graphics2D card = (Graphics2D) g.create();
        card.translate(MARGIN, 58);
        recipe.paint(card, theme, width() - 2 * MARGIN);
        card.dispose();
    }
}
