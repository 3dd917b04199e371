package org.grenu.core.model;

/**
 * Two one-sided tests that an effect lies within a margin of nought (D. J. Schuirmann, J. Pharmacokinet. Biopharm.
 * 15,
 * 1987, 657–680).
 *
 * @param above p-value against the effect being −margin or less
 * @param below p-value against the effect being +margin or more
 */
public record Equivalence(double above, double below) {

    /**
     * {@return the tests}
     *
     * @param margin in the estimate's unit, in [0, ∞)
     */
    public static Equivalence of(Estimate estimate, double margin) {
        return new Equivalence(estimate.pAbove(-margin), estimate.times(-1).pAbove(-margin));
    }

    /** {@return the p-value of both together} */
    public double p() {
        return Math.max(above, below);
    }
}
