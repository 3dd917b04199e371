package org.grenu.core.puck;

import org.grenu.core.profile.Profile;

/**
 * What the simulated rig is asked for.
 *
 * @param coffee      what is ground
 * @param ageDays     days since roast
 * @param doseGrams   in the basket, g, in [5, 30]
 * @param grind       dial of the grinder; lower is finer, one notch is 0.2
 * @param celsius     brewing temperature, °C, in [60, 100]
 * @param profile     what the machine follows
 * @param stopGrams   the pump stops when the scale shows this, g
 * @param stopSeconds the pump stops at the latest after this, s
 */
public record PuckRecipe(SimulatedCoffee coffee, double ageDays, double doseGrams, double grind, double celsius,
        Profile profile,
        double stopGrams, double stopSeconds) {

    /** @throws IllegalArgumentException if the simulator cannot answer for such a recipe */
    public PuckRecipe {
        require(doseGrams, 5, 30, "dose", "g");
        require(grind, 0, 6, "grind", "on the simulated dial");
        require(celsius, 60, 100, "temperature", "°C");
        require(ageDays, 0, 3650, "age", "days");
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
