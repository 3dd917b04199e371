package org.grenu.core.profile;

import java.util.ArrayList;
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
 * @param water temperature of the water, °C; empty: as it is set on the machine
 * @param exits what ends it, whichever comes first; none: it lasts until the pump stops
 */
public record ProfileStep(String name, Target target, Course course, OptionalDouble limit, OptionalDouble water,
        List<Exit> exits) {

    /** A step that leaves the water as it is set on the machine. */
    public ProfileStep(String name, Target target, Course course, OptionalDouble limit, List<Exit> exits) {
        this(name, target, course, limit, OptionalDouble.empty(), exits);
    }

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

    /** {@return this step held at another value} */
    public ProfileStep at(double level) {
        return with(new Course(course.from, level, course.rampSeconds, course.tolerance));
    }

    /** {@return this step that takes that long to get there, s} */
    public ProfileStep over(double seconds) {
        return with(new Course(course.from, course.to, seconds, course.tolerance));
    }

    /** {@return this step with another half width of its corridor, in the target's unit} */
    public ProfileStep within(double tolerance) {
        return with(new Course(course.from, course.to, course.rampSeconds, tolerance));
    }

    private ProfileStep with(Course other) {
        return new ProfileStep(name, target, other, limit, water, exits);
    }

    /** {@return this step that lets no more of the other quantity through; empty: whatever comes} */
    public ProfileStep limited(OptionalDouble most) {
        return new ProfileStep(name, target, course, most, water, exits);
    }

    /** {@return this step with that one of its exits at another value} */
    public ProfileStep exiting(int index, double value) {
        List<Exit> changed = new ArrayList<>(exits);
        changed.set(index, new Exit(exits.get(index).kind(), value));
        return new ProfileStep(name, target, course, limit, water, changed);
    }

    /** {@return this step with water of that temperature, °C; empty: as it is set on the machine} */
    public ProfileStep brewedAt(OptionalDouble celsius) {
        return new ProfileStep(name, target, course, limit, celsius, exits);
    }

    /** {@return this step with other ends} */
    public ProfileStep until(List<Exit> others) {
        return new ProfileStep(name, target, course, limit, water, others);
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
