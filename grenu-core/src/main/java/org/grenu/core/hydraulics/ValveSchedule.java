package org.grenu.core.hydraulics;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
     * @param opening  of the other machine's valve that gives the same free flow; empty when none does
     */
    public record Translated(Step from, Optional<Measured> flow, Optional<ValveCalibration.Opening> opening) {
    }

    public ValveSchedule {
        steps = List.copyOf(steps);
    }

    /** {@return the same free flows on the other machine} */
    public List<Translated> translate(ValveCalibration here, ValveCalibration there) {
        List<Translated> translated = new ArrayList<>();
        for (Step step : steps) {
            Optional<Measured> flow = here.flowAt(step.position);
            translated.add(new Translated(step, flow, flow.flatMap(there::openingFor)));
        }
        return translated;
    }
}
