package org.grenu.figures.shelf;

import java.awt.geom.Path2D;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.DoubleStream;
import org.grenu.core.quantity.DecimalText;
import org.grenu.figures.paint.Words.Align;

/** Grinders and baskets. */
final class GearPictures {

    private GearPictures() {
    }

    /** The dial from finest to coarsest, and below it a row for each coffee with the settings its shots had. */
    static void grinder(Sketch s, GrinderFigure grinder, double width) {
        double left = 130;
        double low = used(grinder).min().orElse(0);
        double high = used(grinder).max().orElse(1);
        double from = grinder.finest().orElse(low);
        double to = grinder.coarsest().orElse(high);
        if (from == to) {
            to = from + 1;
        }
        double side = Math.signum(to - from) * Math.abs(to - from) * 0.03;
        double start = grinder.zero().isPresent() ? (to > from ? Math.min(grinder.zero().getAsDouble(), from)
                : Math.max(grinder.zero().getAsDouble(), from)) : from;
        Sketch.Axis axis = new Sketch.Axis(start - side, to + side, left, width - 10);
        s.note("fine", axis.at(from), 12, Align.LEFT);
        s.note("coarse", width - 10, 12, Align.RIGHT);
        s.below(axis, 26, 8, "");
        if (grinder.finest().isPresent() && grinder.coarsest().isPresent()) {
            s.grain(axis.at(from), 18, axis.at(to) - axis.at(from), 8);
        }
        grinder.zero().ifPresent(zero -> {
            s.line(axis.at(zero), 14, axis.at(zero), 26, "brick", 1.4);
            s.note("burrs touch", Math.max(left, axis.at(zero) - 6), 12, Align.RIGHT);
        });
        String step = grinder.step().isEmpty() ? "step unknown" : grinder.step().getAsDouble() == 0 ? "stepless"
                : "steps of " + DecimalText.exact(grinder.step().getAsDouble());
        s.note(s.fittedNote(grinder.counted().isEmpty() ? step : grinder.counted() + ", " + step, left - 10), 0, 30,
                Align.LEFT);
        double y = 64;
        for (Map.Entry<String, List<Double>> coffee : grinder.used().entrySet()) {
            s.line(left, y - 4, width - 10, y - 4, "line", 1);
            s.note(s.fittedNote(coffee.getKey(), left - 10), 0, y, Align.LEFT);
            dots(s, axis, coffee.getValue(), y - 4);
            y += 20;
        }
        if (grinder.used().isEmpty()) {
            s.note("No shot names this grinder with a setting yet.", 0, y, Align.LEFT);
        }
    }

    private static DoubleStream used(GrinderFigure grinder) {
        return grinder.used().values().stream().flatMap(List::stream).mapToDouble(Double::doubleValue);
    }

    /** The area of a dot tells how many shots had the setting; the last one is ringed. */
    private static void dots(Sketch s, Sketch.Axis axis, List<Double> settings, double y) {
        Map<Double, Integer> counts = new TreeMap<>();
        settings.forEach(setting -> counts.merge(setting, 1, Integer::sum));
        counts.forEach(
                (setting, count) -> s.dot(axis.at(setting), y, Math.min(7, 1.9 * Math.sqrt(count) + 0.6), "ink", 0.7));
        double last = settings.get(settings.size() - 1);
        s.outline(new java.awt.geom.Ellipse2D.Double(axis.at(last) - 8, y - 8, 16, 16), "accent", 1.2);
        s.note(DecimalText.exact(last), axis.at(last) + 11, y + 4, Align.LEFT);
    }

    /** In section and to scale, filled to the bed's depth; beside it the doses against what it is made for. */
    static void basket(Sketch s, BasketFigure basket, double width) {
        double scale = 2.2;
        double across = basket.diameter().orElse(58) * scale;
        double depth = Math.max(24, basket.depth().orElse(20) * scale + 22);
        Path2D wall = new Path2D.Double();
        wall.moveTo(4, 16);
        wall.lineTo(14, 16);
        wall.lineTo(14, 16 + depth);
        wall.lineTo(14 + across, 16 + depth);
        wall.lineTo(14 + across, 16);
        wall.lineTo(24 + across, 16);
        if (basket.depth().isPresent()) {
            s.fill(14, 16 + depth - basket.depth().getAsDouble() * scale, across, basket.depth().getAsDouble() * scale,
                    "muted", 0.25);
        }
        s.curve(wall, "ink", 1.6);
        s.note(basket.diameter().isPresent() ? DecimalText.exact(basket.diameter().getAsDouble()) + " mm"
                : "diameter unknown", 14 + across / 2, 12, Align.CENTRE);
        s.note(basket.depth().isPresent() ? "bed " + DecimalText.exact(basket.depth().getAsDouble()) + " mm deep"
                : "bed depth unknown", 14 + across / 2, 16 + depth - 6, Align.CENTRE);
        double left = 60 + across;
        double least = Math.min(basket.from().orElse(14), basket.doses().stream().mapToDouble(d -> d).min().orElse(14))
                - 1;
        double most = Math.max(basket.to().orElse(22), basket.doses().stream().mapToDouble(d -> d).max().orElse(22))
                + 1;
        Sketch.Axis axis = new Sketch.Axis(least, most, left, width - 10);
        if (basket.from().isPresent() && basket.to().isPresent()) {
            s.grain(axis.at(basket.from().getAsDouble()), 30,
                    axis.at(basket.to().getAsDouble()) - axis.at(basket.from().getAsDouble()), 34);
            s.note(String.format(Locale.ROOT, "made for %s to %s g", DecimalText.exact(basket.from().getAsDouble()),
                    DecimalText.exact(basket.to().getAsDouble())), left, 22, Align.LEFT);
        } else {
            s.note("what it is made for is unknown", left, 22, Align.LEFT);
        }
        Map<Double, Integer> counts = new TreeMap<>();
        basket.doses().forEach(dose -> counts.merge(Math.round(dose * 10) / 10.0, 1, Integer::sum));
        counts.forEach(
                (dose, count) -> s.dot(axis.at(dose), 47, Math.min(9, 1.9 * Math.sqrt(count) + 0.6), "ink", 0.7));
        s.below(axis, 64, 6, "g dose");
        s.note(basket.doses().size() + " doses", width - 10, 22, Align.RIGHT);
    }
}
