package org.grenu.core.hydraulics;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;

/**
 * Positions of a valve over a shot.
 *
 * @param steps in the order of their times
 */
public record ValveSchedule(List<Step> steps) {

    /**
     * From a moment on the valve stands there.
     *
     * @param seconds  since pump on
     * @param position of the valve
     */
    public record Step(double seconds, double position) {
    }

    /**
     * A step on another machine.
     *
     * @param from     on the machine it was written for
     * @param flow     free flow it gave there, g/s; empty outside that machine's calibration
     * @param position that gives the same free flow on the other machine; empty when none does
     * @param low      lower end of the positions that the flow's uncertainty (k = 2) leaves open, as far as they are reached
     * @param high     upper end
     */
    public record Translated(Step from, Optional<Measured> flow, OptionalDouble position, double low, double high) {
    }

    public ValveSchedule {
        steps = List.copyOf(steps);
    }

    /** {@return the same free flows on the other machine} */
    public List<Translated> translate(ValveCalibration here, ValveCalibration there) {
        List<Translated> translated = new ArrayList<>();
        for (Step step : steps) {
            Optional<Measured> flow = here.flowAt(step.position);
            OptionalDouble position = flow.isEmpty() ? OptionalDouble.empty() : there.positionFor(flow.get().value());
            double low = Double.NaN;
            double high = Double.NaN;
            if (position.isPresent()) {
                double u = Math.hypot(flow.get().expanded(), there.flowAt(position.getAsDouble()).orElseThrow().expanded());
                double one = there.positionFor(Math.max(there.least(), flow.get().value() - u)).orElse(position.getAsDouble());
                double other = there.positionFor(Math.min(there.largest(), flow.get().value() + u)).orElse(position.getAsDouble());
                low = Math.min(one, other);
                high = Math.max(one, other);
            }
            translated.add(new Translated(step, flow, position, low, high));
        }
        return translated;
    }
}
