package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import org.grenu.core.shelf.ShelfField;
import org.grenu.figures.theme.Theme;

/**
 * A scale's check weights.
 *
 * @param checks errors over the days
 * @param step   display step, g
 * @param bias   limit of its bias, g
 * @param lag    s
 */
public record ScaleFigure(List<Check> checks, OptionalDouble step, OptionalDouble bias, OptionalDouble repeats,
        OptionalDouble lag) implements ShelfFigure {

    /** What it showed too much, g. */
    public record Check(LocalDate day, double weight, double error) {
    }

    public ScaleFigure {
        checks = List.copyOf(checks);
    }

    static ScaleFigure of(Standing scale) {
        return new ScaleFigure(
                scale.entries()
                        .rows(ShelfField.CHECK_WEIGHTS)
                        .stream()
                        .map(row -> new Check(row.day(0).orElseThrow(), row.needed(1), row.needed(2) - row.needed(1)))
                        .toList(),
                scale.number(ShelfField.SCALE_STEP), scale.number(ShelfField.SCALE_BIAS),
                scale.number(ShelfField.SCALE_REPEATABILITY), scale.number(ShelfField.SCALE_LAG));
    }

    @Override
    public double height() {
        return checks.isEmpty() ? 44 : 150;
    }

    @Override
    public String words() {
        return checks.size() + " check weights";
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        InstrumentPictures.scale(new Sketch(g, theme), this, width);
    }
}
