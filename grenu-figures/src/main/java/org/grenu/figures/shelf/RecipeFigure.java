package org.grenu.figures.shelf;

import java.util.List;
import java.util.Locale;
import org.grenu.core.quantity.DisplayUnits;

/**
 * A recipe card.
 *
 * @param version  such as "version 2, from shot 14"
 * @param numbers  the large ones
 * @param lines    everything else that is to be kept equal
 * @param pressure corridor, s and bar
 * @param units    of pressures
 */
public record RecipeFigure(String version, List<Number> numbers, List<Line> lines, List<double[]> pressure,
        DisplayUnits units)
        implements ShelfFigure {

    /** A number with its unit and name. */
    public record Number(String value, String unit, String name) {
    }

    /** An entry with its name. */
    public record Line(String name, String text) {
    }

    public RecipeFigure {
        numbers = List.copyOf(numbers);
        lines = List.copyOf(lines);
        pressure = List.copyOf(pressure);
    }

    @Override
    public double height() {
        return 78 + (pressure.isEmpty() ? 0 : 96) + 17.0 * ((lines.size() + 1) / 2) + 10;
    }

    @Override
    public String words() {
        return String.format(Locale.ROOT, "Recipe, %s, %d entries", version, lines.size());
    }
}
