package org.grenu.core.puck;

/**
 * A coffee as the simulator knows it.
 *
 * @param solubleShare mass share of the dry coffee that water can take out, in [0, 1]
 * @param drag         its resistance relative to the reference coffee at the same grind and age, in (0, ∞)
 * @param hardness     how slowly its cores give up their solids, relative to the reference coffee, in (0, ∞)
 */
public record SimulatedCoffee(double solubleShare, double drag, double hardness) {

    /** A light-medium washed coffee. */
    public static final SimulatedCoffee REFERENCE = new SimulatedCoffee(0.25, 1, 1);

    /** {@return the resistance relative to a rested coffee: gas in fresh coffee holds water back} */
    double ageDrag(double days) {
        return 1 + 0.20 * StrictMath.exp(-days / 7) - 0.0015 * Math.max(0, Math.min(60, days) - 14);
    }
}
