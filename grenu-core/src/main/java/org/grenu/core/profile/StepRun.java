package org.grenu.core.profile;

import java.util.Optional;

/**
 * One step of a profile as it went in a shot.
 *
 * @param step        what was meant
 * @param fromSeconds when it began, s
 * @param toSeconds   when it ended, s
 * @param ending      why it ended
 * @param exit        the exit that was met, when one was
 * @param distance    root mean square of what was held less what was meant, in the target's unit; NaN when not logged
 * @param inside      share of its time within the tolerance, in [0, 1]; NaN when not logged
 */
public record StepRun(ProfileStep step, double fromSeconds, double toSeconds, StepEnding ending, Optional<Exit> exit,
        double distance, double inside) {

    /** {@return its length, s} */
    public double seconds() {
        return toSeconds - fromSeconds;
    }
}
