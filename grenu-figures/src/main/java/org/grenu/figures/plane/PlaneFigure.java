package org.grenu.figures.plane;

import java.awt.Color;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.extraction.TargetWindow;
import org.grenu.core.quantity.Measured;

/**
 * What the map shows.
 *
 * @param others the study's other shots
 * @param chosen the shot being read, when its yield is known
 * @param window where shots are meant to lie
 */
public record PlaneFigure(List<Point> others, Optional<Point> chosen, TargetWindow window) {

    /** A shot: brew ratio, extraction yield as dosed in %, and its treatment's colour. */
    public record Point(Measured ratio, Measured yield, Color color) {
    }

    public PlaneFigure {
        others = List.copyOf(others);
    }

    /** {@return the range of ratios that holds all shots and the heart of the window, with some air} */
    double[] ratios() {
        return range(all().stream().mapToDouble(p -> p.ratio.value()).toArray(), 1.9, 2.6, 0.12);
    }

    /** {@return the range of yields that holds all shots and the window, with some air} */
    double[] yields() {
        return range(all().stream().mapToDouble(p -> p.yield.value()).toArray(), window.yieldLow(), window.yieldHigh(),
                0.10);
    }

    private List<Point> all() {
        List<Point> all = new ArrayList<>(others);
        chosen.ifPresent(all::add);
        return all;
    }

    private static double[] range(double[] values, double low, double high, double air) {
        double min = low;
        double max = high;
        for (double value : values) {
            min = Math.min(min, value);
            max = Math.max(max, value);
        }
        double margin = air * (max - min);
        return new double[] {Math.max(0, min - margin), max + margin};
    }
}
