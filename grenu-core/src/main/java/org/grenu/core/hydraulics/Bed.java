package org.grenu.core.hydraulics;

/**
 * The bed of coffee as a cylinder.
 *
 * @param diameterMetres m, in (0, ∞)
 * @param depthMetres    m, in (0, ∞)
 */
public record Bed(double diameterMetres, double depthMetres) {

    private static final double PASCAL_PER_BAR = 1e5;

    /** @throws IllegalArgumentException if a length is not positive */
    public Bed {
        if (!(diameterMetres > 0) || !(depthMetres > 0)) {
            throw new IllegalArgumentException(
                    "a bed needs a diameter and a depth, are " + diameterMetres + " and " + depthMetres);
        }
    }

    /** {@return its cross section, m²} */
    public double area() {
        return Math.PI * diameterMetres * diameterMetres / 4;
    }

    /**
     * {@return Darcy's permeability k = q·μ·L/(A·Δp), m²}
     *
     * @param gramsPerSecond flow through the bed, g/s
     * @param bar            pressure drop over the bed, bar, not zero
     * @param celsius        temperature of the water, °C
     */
    public double permeability(double gramsPerSecond, double bar, double celsius) {
        double cubicMetres = gramsPerSecond / 1000 / Water.density(celsius);
        return cubicMetres * Water.viscosity(celsius) / 1000 * depthMetres / (area() * bar * PASCAL_PER_BAR);
    }

    /** {@return the flow that Darcy's law gives, g/s} Arguments as in {@link #permeability}. */
    public double flow(double permeability, double bar, double celsius) {
        double cubicMetres = permeability * area() * bar * PASCAL_PER_BAR
                / (Water.viscosity(celsius) / 1000 * depthMetres);
        return cubicMetres * Water.density(celsius) * 1000;
    }
}
