package org.grenu.figures.shelf;

import java.util.List;
import java.util.OptionalDouble;

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

    @Override
    public double height() {
        return 104;
    }

    @Override
    public String words() {
        return "Made for " + (from.isPresent() && to.isPresent() ? from.getAsDouble() + " to " + to.getAsDouble() + " g"
                : "an unknown dose") + "; " + doses.size() + " doses";
    }
}
