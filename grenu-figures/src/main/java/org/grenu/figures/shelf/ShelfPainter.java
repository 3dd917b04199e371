package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import org.grenu.figures.theme.Theme;

/** Paints what is drawn of a thing on the shelf. */
public final class ShelfPainter {

    private ShelfPainter() {
    }

    /** Paints the figure into that width and the height it asks for; the ground is left to the caller. */
    public static void paint(Graphics2D g, Theme theme, ShelfFigure figure, double width) {
        Sketch sketch = new Sketch(g, theme);
        if (figure instanceof CoffeeFigure coffee) {
            ThingPictures.coffee(sketch, coffee, width);
        } else if (figure instanceof BagFigure bag) {
            new BagPicture(sketch, bag, width).paint();
        } else if (figure instanceof GrinderFigure grinder) {
            GearPictures.grinder(sketch, grinder, width);
        } else if (figure instanceof BasketFigure basket) {
            GearPictures.basket(sketch, basket, width);
        } else if (figure instanceof MachineFigure machine) {
            new MachinePicture(sketch, machine, width).paint();
        } else if (figure instanceof ScaleFigure scale) {
            InstrumentPictures.scale(sketch, scale, width);
        } else if (figure instanceof RefractometerFigure refractometer) {
            InstrumentPictures.refractometer(sketch, refractometer, width);
        } else if (figure instanceof WaterFigure water) {
            ThingPictures.water(sketch, water, width);
        } else if (figure instanceof SiteFigure site) {
            ThingPictures.site(sketch, site, width);
        } else if (figure instanceof RecipeFigure recipe) {
            RecipePicture.paint(sketch, recipe, width);
        } else if (figure instanceof StudyFigure study) {
            ThingPictures.study(sketch, study, width);
        }
    }
}
