package org.grenu.core.strength;

/**
 * What is known of the instrument that read the strength. The numbers are on its own scale: % m/m or °Brix.
 *
 * @param name          as the lab calls it; may be empty
 * @param resolution    display step, in [0, 5]
 * @param repeatability standard deviation of one reading, display step included, in [0, 5]
 * @param bias          limit of the systematic error (±), rectangular, in [0, 5]
 * @param line          how its scale turns into strength
 */
public record Refractometer(String name, double resolution, double repeatability, double bias, ReadingLine line) {

    /**
     * Used where nothing is said of the instrument: one reading has u = 0.03 points, the value of the worked example
     * in common use, split into 0.015 of its own and 0.045/√3 shared (common practice, no source).
     */
    public static final Refractometer USUAL = new Refractometer("", 0.01, 0.015, 0.045);

    /** @throws IllegalArgumentException if a number is outside its range */
    public Refractometer {
        for (double part : new double[] {resolution, repeatability, bias}) {
            if (!(part >= 0 && part <= 5)) {
                throw new IllegalArgumentException("refractometer data must be in [0, 5] strength points, is " + part);
            }
        }
    }

    /** An instrument that shows strength. */
    public Refractometer(String name, double resolution, double repeatability, double bias) {
        this(name, resolution, repeatability, bias, ReadingLine.STRENGTH);
    }

    /** {@return the standard uncertainty that a display step alone leaves: resolution/√12} */
    public double stepUncertainty() {
        return resolution / Math.sqrt(12);
    }
}
