package org.grenu.core.strength;

import org.grenu.core.quantity.Measured;

/**
 * Water weighed into a sample before it is read, so that a strong beverage comes within the instrument's range.
 *
 * @param beverage g of beverage in the sample, value in (0, ∞)
 * @param water    g of water added, value in [0, ∞)
 */
public record SampleDilution(Measured beverage, Measured water) {

    /** @throws IllegalArgumentException if there is no beverage, or less than no water */
    public SampleDilution {
        if (!(beverage.value() > 0) || !(water.value() >= 0)) {
            throw new IllegalArgumentException("a diluted sample has beverage, and not less than no water");
        }
    }

    /** {@return how many times weaker the sample is than the beverage} */
    public double times() {
        return 1 + water.value() / beverage.value();
    }

    /**
     * {@return the beverage's strength from the sample's, c = c'·(m_b + m_w)/m_b, %} First-order propagation. Display
     * steps of the two weighings do not cancel in the quotient; what the scale gets wrong in both does in part.
     */
    public Measured before(Measured diluted) {
        double quotient = water.value() / beverage.value();
        double own = diluted.value() * Math.hypot(water.independent(), quotient * beverage.independent())
                / beverage.value();
        double shared = diluted.value() * Math.abs(water.shared() - quotient * beverage.shared()) / beverage.value();
        return new Measured(diluted.value() * times(), Math.hypot(diluted.independent() * times(), own),
                Math.hypot(diluted.shared() * times(), shared), Measured.joined(diluted.independent() * times(),
                        diluted.df(), own, Double.POSITIVE_INFINITY));
    }
}
