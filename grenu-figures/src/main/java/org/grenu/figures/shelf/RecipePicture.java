package org.grenu.figures.shelf;

import java.awt.geom.Path2D;
import java.util.List;
import org.grenu.core.quantity.Unit;
import org.grenu.figures.paint.Words.Align;

/**
 * A recipe card: the large numbers, the pressure to follow as a grained corridor, and all that is to be kept equal.
 */
final class RecipePicture {

    /** Half the corridor's width, bar (common practice, no source). */
    private static final double CORRIDOR = 0.5;

    private RecipePicture() {
    }

    static void paint(Sketch s, RecipeFigure recipe, double width) {
        double x = 0;
        if (recipe.numbers().isEmpty()) {
            s.note("No dose, grind or temperature on this card yet.", 0, 20, Align.LEFT);
        }
        for (RecipeFigure.Number number : recipe.numbers()) {
            s.large(number.value(), x, 24);
            double after = x + s.largeWidth(number.value()) + 3;
            s.note(number.unit(), after, 24, Align.LEFT);
            s.note(number.name(), x, 40, Align.LEFT);
            x = Math.max(after + s.noteWidth(number.unit()), x + s.noteWidth(number.name())) + 20;
        }
        double y = 78;
        s.note(s.fittedNote(
                recipe.version() + (recipe.pressure().isEmpty() ? ""
                        : " · " + recipe.units().symbol("bar") + " against s from pump on, grain: within "
                                + recipe.units().textOfDifference(CORRIDOR, "bar", 1) + " of that shot"),
                width - 10), 0, 62, Align.LEFT);
        if (!recipe.pressure().isEmpty()) {
            corridor(s, recipe, width, y - 6);
            y += 96;
        }
        double half = width / 2;
        for (int i = 0; i < recipe.lines().size(); i++) {
            double left = i % 2 * half;
            RecipeFigure.Line line = recipe.lines().get(i);
            s.note(s.fittedNote(line.name(), 110), left, y + 4, Align.LEFT);
            s.prose(line.text(), left + 116, y + 4, half - 126);
            y += i % 2 == 1 ? 17 : 0;
        }
    }

    private static void corridor(Sketch s, RecipeFigure recipe, double width, double top) {
        List<double[]> points = recipe.pressure();
        double end = points.get(points.size() - 1)[0];
        double most = points.stream().mapToDouble(point -> point[1]).max().orElse(9) + 1;
        Sketch.Axis across = new Sketch.Axis(Math.min(0, points.get(0)[0]), Math.max(1, end), 34, width - 10);
        Sketch.Axis up = new Sketch.Axis(0, most, top + 66, top);
        s.beside(up, across.from(), across.to(), 3, recipe.units().of(Unit.BAR));
        Path2D shape = new Path2D.Double();
        for (int i = 0; i < points.size(); i++) {
            double y = up.at(Math.min(most, points.get(i)[1] + CORRIDOR));
            if (i == 0) {
                shape.moveTo(across.at(points.get(i)[0]), y);
            } else {
                shape.lineTo(across.at(points.get(i)[0]), y);
            }
        }
        for (int i = points.size() - 1; i >= 0; i--) {
            shape.lineTo(across.at(points.get(i)[0]), up.at(Math.max(0, points.get(i)[1] - CORRIDOR)));
        }
        shape.closePath();
        s.grain(shape);
        Path2D middle = new Path2D.Double();
        middle.moveTo(across.at(points.get(0)[0]), up.at(points.get(0)[1]));
        points.forEach(point -> middle.lineTo(across.at(point[0]), up.at(point[1])));
        s.curve(middle, "ink-2", 1);
        s.below(across, top + 66, 8, "");
    }
}
