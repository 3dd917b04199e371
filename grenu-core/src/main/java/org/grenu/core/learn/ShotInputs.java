package org.grenu.core.learn;

/**
 * What was set for a shot, as far as it moves its time.
 *
 * @param finer    the grinder's setting in its own notches, more is finer; only differences count
 * @param dose     g, in (0, ∞)
 * @param beverage mass in the cup, g, in (0, ∞)
 * @param celsius  temperature of the water, °C
 * @param days     age of the coffee, d
 */
public record ShotInputs(double finer, double dose, double beverage, double celsius, double days) {

    /** @throws IllegalArgumentException if dose or beverage are not positive */
    public ShotInputs {
        if (!(dose > 0) || !(beverage > 0)) {
            throw new IllegalArgumentException("dose and beverage must be positive, are " + dose + " and " + beverage);
        }
    }

    /** {@return the same at another setting of the grinder} */
    public ShotInputs at(double otherFiner) {
        return new ShotInputs(otherFiner, dose, beverage, celsius, days);
    }

    /** {@return 1 and the differences from a reference in the order of {@link TimePrior}'s slopes} */
    double[] from(ShotInputs reference) {
        return new double[] {1, finer - reference.finer, Math.log(dose / reference.dose),
                Math.log(beverage / reference.beverage), celsius - reference.celsius, days - reference.days};
    }
}
