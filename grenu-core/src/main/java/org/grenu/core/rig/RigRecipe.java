package org.grenu.core.rig;

import org.grenu.core.profile.Profile;
import org.grenu.core.puck.Puck;

/**
 * What the simulated rig is asked for.
 *
 * @param puck        what is in the basket
 * @param profile     what the machine follows
 * @param stopGrams   the pump stops when the scale shows this, g, in [1, 400]
 * @param stopSeconds the pump stops at the latest after this, s, in [1, 600]
 */
public record RigRecipe(Puck puck, Profile profile, double stopGrams, double stopSeconds) {

    /** @throws IllegalArgumentException if the simulator cannot answer for such a recipe */
    public RigRecipe {
        require(stopGrams, 1, 400, "beverage mass", "g");
        require(stopSeconds, 1, 600, "longest time", "s");
    }

    private static void require(double value, double low, double high, String name, String unit) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(
                    name + " must lie between " + low + " and " + high + " " + unit + ", is " + value);
        }
    }
}
