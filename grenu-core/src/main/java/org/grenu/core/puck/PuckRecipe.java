package org.grenu.core.puck;

/**
 * What the simulated rig is asked for.
 *
 * @param doseGrams   in the basket, g
 * @param grind       notch; lower is finer
 * @param celsius     brewing temperature, °C
 * @param profile     what the pump aims at
 * @param stopGrams   the pump stops when the scale shows this, g
 * @param stopSeconds the pump stops at the latest after this, s
 */
public record PuckRecipe(double doseGrams, double grind, double celsius, PressureProfile profile, double stopGrams,
                         double stopSeconds) {
}
