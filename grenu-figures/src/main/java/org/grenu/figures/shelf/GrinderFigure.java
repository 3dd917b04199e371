package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.figures.theme.Theme;

/**
 * A grinder's dial.
 *
 * @param finest   setting; empty when unknown
 * @param coarsest setting; may be the smaller number
 * @param step     smallest, 0 when stepless
 * @param zero     where the burrs touch
 * @param counted  what settings are counted in
 * @param used     settings of shots, by coffee, in the order they were pulled
 */
public record GrinderFigure(OptionalDouble finest, OptionalDouble coarsest, OptionalDouble step, OptionalDouble zero,
        String counted,
        Map<String, List<Double>> used) implements ShelfFigure {

    static GrinderFigure of(Standing grinder) {
        Map<String, List<Double>> settings = new LinkedHashMap<>();
        grinder.used()
                .forEach(record -> record.number(RecordField.GRIND)
                        .ifPresent(grind -> settings
                                .computeIfAbsent(record.text(RecordField.COFFEE).orElse("coffee unknown"),
                                        key -> new ArrayList<>())
                                .add(grind)));
        return new GrinderFigure(grinder.number(ShelfField.FINEST), grinder.number(ShelfField.COARSEST),
                grinder.number(ShelfField.STEP), grinder.number(ShelfField.ZERO_POINT),
                grinder.words(ShelfField.SETTING_WORDS), settings);
    }

    @Override
    public double height() {
        return 58 + 20.0 * Math.max(1, used.size());
    }

    @Override
    public String words() {
        return "Settings of " + used.values().stream().mapToInt(List::size).sum() + " shots of " + used.size()
                + " coffees";
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        GearPictures.grinder(new Sketch(g, theme), this, width);
    }
}
