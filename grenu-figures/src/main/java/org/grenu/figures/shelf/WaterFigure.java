package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.util.OptionalDouble;
import org.grenu.core.shelf.ShelfField;
import org.grenu.figures.theme.Theme;

/**
 * A brewing water.
 *
 * @param minerals   its recipe in words
 * @param hardness   mg/L as CaCO₃
 * @param alkalinity mg/L as CaCO₃
 * @param blank      what it reads, %
 */
public record WaterFigure(String minerals, OptionalDouble hardness, OptionalDouble alkalinity, OptionalDouble blank)
        implements ShelfFigure {

    static WaterFigure of(Standing water) {
        return new WaterFigure(water.words(ShelfField.MINERALS), water.number(ShelfField.HARDNESS),
                water.number(ShelfField.ALKALINITY), water.number(ShelfField.BLANK));
    }

    @Override
    public double height() {
        return 84;
    }

    @Override
    public String words() {
        return "Water: " + minerals;
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        ThingPictures.water(new Sketch(g, theme), this, width);
    }
}
