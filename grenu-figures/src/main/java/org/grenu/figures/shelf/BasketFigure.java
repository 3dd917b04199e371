package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.util.List;
import java.util.OptionalDouble;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.figures.theme.Theme;

/**
 * A basket in section.
 *
 * @param from     least dose it is made for, g
 * @param to       most
 * @param diameter mm
 * @param depth    of the bed, mm
 * @param doses    that were in it, g
 */
public record BasketFigure(OptionalDouble from, OptionalDouble to, OptionalDouble diameter, OptionalDouble depth,
        List<Double> doses) implements ShelfFigure {

    public BasketFigure {
        doses = List.copyOf(doses);
    }

    static BasketFigure of(Standing basket) {
        return new BasketFigure(basket.number(ShelfField.CAPACITY_FROM), basket.number(ShelfField.CAPACITY_TO),
                basket.number(ShelfField.DIAMETER), basket.number(ShelfField.DEPTH), basket.used(RecordField.DOSE));
    }

    @Override
    public double height() {
        return 104;
    }

    @Override
    public String words() {
        return "Made for " + (from.isPresent() && to.isPresent() ? from.getAsDouble() + " to " + to.getAsDouble() + " g"
                : "an unknown dose") + "; " + doses.size() + " doses";
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        GearPictures.basket(new Sketch(g, theme), this, width);
    }
}
