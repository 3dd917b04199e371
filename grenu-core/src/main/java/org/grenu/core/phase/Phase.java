package org.grenu.core.phase;

import java.util.Map;
import org.grenu.core.curve.Channel;

/**
 * One part of a shot.
 *
 * @param kind    what it is
 * @param from    when it begins, s
 * @param to      when it ends, s
 * @param ending  why
 * @param courses each channel's mean and slope during it
 */
public record Phase(PhaseKind kind, double from, double to, Ending ending, Map<Channel, Course> courses) {

    /**
     * A channel during a phase.
     *
     * @param mean  in the channel's unit
     * @param slope per second, by least squares
     */
    public record Course(double mean, double slope) {
    }

    public Phase {
        courses = Map.copyOf(courses);
    }

    /** {@return its length, s} */
    public double seconds() {
        return to - from;
    }
}
