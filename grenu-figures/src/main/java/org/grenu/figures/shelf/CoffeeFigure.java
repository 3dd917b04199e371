package org.grenu.figures.shelf;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;

/**
 * A coffee.
 *
 * @param roast    level in words, may be empty
 * @param whole    colour number of whole beans
 * @param ground   colour number of the grounds
 * @param scale    on which the numbers are, may be empty
 * @param density  g/L
 * @param moisture %
 * @param notes    expected of it
 * @param facts    lot, origin and process in words
 * @param shots    pulled of it
 */
public record CoffeeFigure(String roast, OptionalDouble whole, OptionalDouble ground, String scale,
        OptionalDouble density,
        Optional<Measured> moisture, List<String> notes, String facts, int shots) implements ShelfFigure {

    public CoffeeFigure {
        notes = List.copyOf(notes);
    }

    @Override
    public double height() {
        return 92;
    }

    @Override
    public String words() {
        return facts + (roast.isEmpty() ? "" : ", roast " + roast) + ", " + shots + " shots";
    }
}
