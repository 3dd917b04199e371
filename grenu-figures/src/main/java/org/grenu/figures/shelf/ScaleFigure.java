package org.grenu.figures.shelf;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;

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

    @Override
    public double height() {
        return checks.isEmpty() ? 44 : 150;
    }

    @Override
    public String words() {
        return checks.size() + " check weights";
    }
}
