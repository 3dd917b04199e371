package org.grenu.core.puck;

/**
 * Coffee in the basket, as the simulator is asked for it.
 *
 * @param coffee    what is ground
 * @param ageDays   days since roast, in [0, 3650]
 * @param doseGrams in the basket, g, in [5, 30]
 * @param grind     dial of the grinder, in [0, 6]; lower is finer, one notch is 0.2
 * @param celsius   brewing temperature, °C, in [60, 100]
 */
public record Puck(SimulatedCoffee coffee, double ageDays, double doseGrams, double grind, double celsius) {

    /** @throws IllegalArgumentException if the simulator cannot answer for such a puck */
    public Puck {
        require(doseGrams, 5, 30, "dose", "g");
        require(grind, 0, 6, "grind", "on the simulated dial");
        require(celsius, 60, 100, "temperature", "°C");
        require(ageDays, 0, 3650, "age", "days");
    }

    /** {@return the same of another coffee} */
    public Puck of(SimulatedCoffee other) {
        return new Puck(other, ageDays, doseGrams, grind, celsius);
    }

    /** {@return the same puck brewed at that temperature, °C} */
    public Puck at(double otherCelsius) {
        return new Puck(coffee, ageDays, doseGrams, grind, otherCelsius);
    }

    private static void require(double value, double low, double high, String name, String unit) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(
                    name + " must lie between " + low + " and " + high + " " + unit + ", is " + value);
        }
    }
}
