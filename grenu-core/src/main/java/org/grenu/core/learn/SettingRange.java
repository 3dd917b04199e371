package org.grenu.core.learn;

/**
 * What else than the grinder can be set for a shot.
 *
 * @param low  least, in the setting's unit
 * @param high most
 * @param step smallest move worth tasting, in (0, ∞)
 */
public record SettingRange(double low, double high, double step) {

    private static final double SAME = 1e-9;

    /** @throws IllegalArgumentException if the ends are in the wrong order or the step is not positive */
    public SettingRange {
        if (!(high >= low) || !(step > 0)) {
            throw new IllegalArgumentException(
                    "a range goes up by positive steps, is " + low + "–" + high + " by " + step);
        }
    }

    /** {@return whether it can be set there} */
    public boolean holds(double setting) {
        return setting >= low - SAME && setting <= high + SAME;
    }
}
