package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.figures.theme.Theme;

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

    private static final List<Field> LARGE = List.of(RecordField.DOSE_TARGET, RecordField.BEVERAGE_TARGET,
            ShelfField.TIME_MEANT, RecordField.GRIND, RecordField.TEMPERATURE, ShelfField.STRENGTH_MEANT,
            ShelfField.YIELD_MEANT);

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

    static RecipeFigure of(Standing recipe) {
        Entries entries = recipe.entries();
        DisplayUnits units = recipe.units();
        List<Number> numbers = numbers(entries, units);
        List<Line> lines = lines(entries, units);
        List<double[]> pressure = entries.rows(ShelfField.PRESSURE_CORRIDOR)
                .stream()
                .map(row -> new double[] {row.needed(0), row.needed(1)})
                .toList();
        String from = entries.entry(ShelfField.FROM_SHOT).map(shot -> ", from shot " + shot).orElse("");
        return new RecipeFigure("version " + recipe.version().number() + from, numbers, lines, pressure, units);
    }

    private static List<Number> numbers(Entries entries, DisplayUnits units) {
        List<Number> numbers = new ArrayList<>();
        for (Field field : LARGE) {
            entries.entry(field)
                    .ifPresent(text -> numbers.add(new Number(units.shown(field.unit(), text),
                            units.symbol(field.unit()), inside(field.title()))));
        }
        return numbers;
    }

    private static List<Line> lines(Entries entries, DisplayUnits units) {
        List<Line> lines = new ArrayList<>();
        for (Field field : ShelfKind.RECIPE.fields()) {
            boolean shown = !LARGE.contains(field) && field.kind() != FieldKind.ROWS && field != ShelfField.FROM_SHOT;
            entries.entry(field)
                    .filter(text -> shown)
                    .ifPresent(text -> lines.add(new Line(field.title(),
                            (units.shown(field.unit(), text) + " " + units.symbol(field.unit())).strip())));
        }
        return lines;
    }

    /** A title within a line of words; abbreviations stay as they are. */
    private static String inside(String title) {
        return Character.isUpperCase(title.charAt(1)) ? title
                : Character.toLowerCase(title.charAt(0)) + title.substring(1);
    }

    @Override
    public double height() {
        return 78 + (pressure.isEmpty() ? 0 : 96) + 17.0 * ((lines.size() + 1) / 2) + 10;
    }

    @Override
    public String words() {
        return String.format(Locale.ROOT, "Recipe, %s, %d entries", version, lines.size());
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        RecipePicture.paint(new Sketch(g, theme), this, width);
    }
}
