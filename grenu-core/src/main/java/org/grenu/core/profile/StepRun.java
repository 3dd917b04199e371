package org.grenu.core.profile;

import java.util.Optional;

/**
 * One step of a profile as it went in a shot.
 *
 * @param step what was meant
 * @param fromSeconds when it began, s
 * @param toSeconds when it ended, s
 * @param startsFrom what it started from unless it says so itself, in the target's unit
 * @param ending why it ended
 * @param exit the exit that was met, when one was
 * @param match how well it was followed
 */
public record StepRun(ProfileStep step, double fromSeconds, double toSeconds, double startsFrom, StepEnding ending,
        Optional<Exit> exit, Match match) {

    /**
     * How well it was followed.
     *
     * @param distance root mean square of what was held less what was meant, in the target's unit; NaN when not logged
     * @param inside share of its time within the tolerance, in [0, 1]; NaN when not logged
     */
    public record Match(double distance, double inside) {
    }

    /** {@return root mean square of what was held less what was meant, in the target's unit; NaN when not logged} */
    public double distance() {
        return match.distance;
    }

    /** {@return share of its time within the tolerance, in [0, 1]; NaN when not logged} */
    public double inside() {
        return match.inside;
    }

    /** {@return what was aimed at at that time of the log, s, in the target's unit} */
    public double targetAt(double seconds) {
        return step.targetAt(seconds - fromSeconds, startsFrom);
    }

    /** {@return its length, s} */
    public double seconds() {
        return toSeconds - fromSeconds;
    }
}
