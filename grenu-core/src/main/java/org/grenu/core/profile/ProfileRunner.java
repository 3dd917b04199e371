package org.grenu.core.profile;

import java.util.Optional;

/**
 * Says what a profile asks for at each moment of a shot: whoever follows one, or holds a shot against one, asks here.
 * A
 * step that does not say where it starts from starts from what the step before it aimed at, or, where that held
 * another
 * quantity, from what this quantity was then. Not for several threads.
 */
public final class ProfileRunner {

    private final Profile profile;
    private int index;
    private double inStep;
    private double before;

    /** At the begin of that profile, with nothing held before it. */
    public ProfileRunner(Profile profile) {
        this.profile = profile;
    }

    /** {@return the step that runs} */
    public ProfileStep step() {
        return profile.steps().get(index);
    }

    /** {@return its place, from 0} */
    public int index() {
        return index;
    }

    /** {@return s since it began} */
    public double inStep() {
        return inStep;
    }

    /** {@return whether no step comes after it} */
    public boolean last() {
        return index + 1 >= profile.steps().size();
    }

    /** {@return what it starts from unless it says so itself, in its target's unit} */
    public double before() {
        return before;
    }

    /** {@return what is aimed at now, in the target's unit} */
    public double aim() {
        return step().targetAt(inStep, before);
    }

    /** Lets that time pass, s. */
    public void advance(double seconds) {
        inStep += seconds;
    }

    /**
     * {@return the exit of this step that is met}
     *
     * @param pressure  bar; NaN if unknown, as the others
     * @param flow      pump side, mL/s
     * @param mass      in the cup, g
     * @param sinceDrip s since the first drip, negative before it
     */
    public Optional<Exit> met(double pressure, double flow, double mass, double sinceDrip) {
        return step().exit(new Exit.State(inStep, pressure, flow, mass, sinceDrip));
    }

    /**
     * Goes on to the next step.
     *
     * @param pressure as it is now, bar; NaN if unknown
     * @param flow     pump side, as it is now, mL/s; NaN if unknown
     * @throws IllegalStateException after the last
     */
    public void next(double pressure, double flow) {
        if (last()) {
            throw new IllegalStateException("after the last step of a profile there is none");
        }
        double aimed = aim();
        Target held = step().target();
        index++;
        inStep = 0;
        double was = step().target() == Target.PRESSURE ? pressure : flow;
        before = step().target() == held ? aimed : Double.isNaN(was) ? 0 : was;
    }
}
