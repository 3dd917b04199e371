package org.grenu.figures.shelf;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

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

    @Override
    public double height() {
        return 58 + 20.0 * Math.max(1, used.size());
    }

    @Override
    public String words() {
        return "Settings of " + used.values().stream().mapToInt(List::size).sum() + " shots of " + used.size()
                + " coffees";
    }
}
