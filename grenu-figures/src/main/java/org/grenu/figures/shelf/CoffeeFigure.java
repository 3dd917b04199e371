package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.ShelfField;
import org.grenu.figures.theme.Theme;

/**
 * A coffee.
 *
 * @param roast level in words, may be empty
 * @param colour its colour numbers
 * @param density g/L
 * @param moisture %
 * @param notes expected of it
 * @param facts lot, origin and process in words
 * @param shots pulled of it
 */
public record CoffeeFigure(String roast, Colour colour, OptionalDouble density, Optional<Measured> moisture,
        List<String> notes, String facts, int shots) implements ShelfFigure {

    /**
     * Its colour numbers.
     *
     * @param whole colour number of whole beans
     * @param ground colour number of the grounds
     * @param scale on which the numbers are, may be empty
     */
    public record Colour(OptionalDouble whole, OptionalDouble ground, String scale) {
    }

    /** {@return colour number of whole beans} */
    public OptionalDouble whole() {
        return colour.whole;
    }

    /** {@return colour number of the grounds} */
    public OptionalDouble ground() {
        return colour.ground;
    }

    /** {@return on which the numbers are, may be empty} */
    public String scale() {
        return colour.scale;
    }

    public CoffeeFigure {
        notes = List.copyOf(notes);
    }

    static CoffeeFigure of(Standing coffee) {
        List<String> facts = new ArrayList<>();
        coffee.entries().text(ShelfField.LOT).ifPresent(lot -> facts.add("lot " + lot));
        coffee.entries().text(ShelfField.PROCESS).ifPresent(facts::add);
        coffee.entries().text(ShelfField.ORIGIN).ifPresent(facts::add);
        OptionalDouble moisture = coffee.number(ShelfField.MOISTURE);
        List<String> notes = notes(coffee);
        return new CoffeeFigure(coffee.words(ShelfField.ROAST_LEVEL), new Colour(coffee.number(ShelfField.COLOUR_WHOLE),
                coffee.number(ShelfField.COLOUR_GROUND), coffee.words(ShelfField.COLOUR_SCALE)),
                coffee.number(ShelfField.DENSITY),
                moisture.isEmpty() ? Optional.empty() : Optional.of(Measured.independent(moisture.getAsDouble(),
                        coffee.number(ShelfField.MOISTURE_U).orElse(ShotRecord.USUAL_MOISTURE_U))),
                notes, String.join(" · ", facts), coffee.used().size());
    }

    private static List<String> notes(Standing coffee) {
        return Arrays.stream(coffee.words(ShelfField.EXPECTED_NOTES).split("[,;]"))
                .map(String::strip)
                .filter(note -> !note.isEmpty())
                .toList();
    }

    @Override
    public double height() {
        return 92;
    }

    @Override
    public String words() {
        return facts + (roast.isEmpty() ? "" : ", roast " + roast) + ", " + shots + " shots";
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        ThingPictures.coffee(new Sketch(g, theme), this, width);
    }
}
