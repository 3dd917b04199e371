package org.grenu.core.profile;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One step of a profile.
 *
 * @param name such as {@code soak}
 * @param target what is held
 * @param course where it goes
 * @param limit most of the other quantity that is let through: flow in a pressure step, pressure in a flow step
 * @param exits what ends it, whichever comes first; none: it lasts until the pump stops
 */
public record ProfileStep(String name, Target target, Course course, OptionalDouble limit, List<Exit> exits) {

    /**
     * Where it goes.
     *
     * @param from value at its begin; empty: wherever the step before it left off
     * @param to value held, reached after {@code rampSeconds}
     * @param rampSeconds how long the way there takes, s
     * @param tolerance half width of the corridor, same unit as the target, positive
     */
    public record Course(OptionalDouble from, double to, double rampSeconds, double tolerance) {
    }

    /** {@return value at its begin; empty: wherever the step before it left off} */
    public OptionalDouble from() {
        return course.from;
    }

    /** {@return value held, reached after rampSeconds} */
    public double to() {
        return course.to;
    }

    /** {@return how long the way there takes, s} */
    public double rampSeconds() {
        return course.rampSeconds;
    }

    /** {@return half width of the corridor, same unit as the target, positive} */
    public double tolerance() {
        return course.tolerance;
    }

    public ProfileStep {
        exits = List.copyOf(exits);
    }

    /** {@return the value aimed at}
     *
     * @param inStep s since the step began
     * @param before what was aimed at when the step before it ended
     */
    public double targetAt(double inStep, double before) {
        double start = course.from.orElse(before);
        return course.rampSeconds <= 0 || inStep >= course.rampSeconds ? course.to
                : start + (course.to - start) * Math.max(0, inStep) / course.rampSeconds;
    }

    /** {@return the exit that is met, if one is; a condition goes before the time limit} */
    public Optional<Exit> exit(Exit.State now) {
        Optional<Exit> time = Optional.empty();
        for (Exit exit : exits) {
            if (exit.met(now)) {
                if (exit.kind() != Exit.Kind.TIME) {
                    return Optional.of(exit);
                }
                time = Optional.of(exit);
            }
        }
        return time;
    }

    /** {@return whether that exit is this step's time limit: a condition was hoped for and did not come} */
    public boolean isTimeLimit(Exit exit) {
        return exit.kind() == Exit.Kind.TIME && exits.size() > 1;
    }
}
