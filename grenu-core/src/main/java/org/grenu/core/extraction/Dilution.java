package org.grenu.core.extraction;

/** Water added to a beverage: the strength falls, the extraction yield stays. */
public final class Dilution {

    private Dilution() {
    }

    /**
     * {@return the strength after dilution, c' = c·m_b/(m_b + m_water), %}
     *
     * @param strengthPercent before dilution, %
     * @param beverageGrams   before dilution, g, in (0, ∞)
     * @param waterGrams      added, g, in [0, ∞)
     */
    public static double strengthAfter(double strengthPercent, double beverageGrams, double waterGrams) {
        if (!(beverageGrams > 0) || !(waterGrams >= 0)) {
            throw new IllegalArgumentException("beverage must be positive and water not negative, are "
                    + beverageGrams + " and " + waterGrams + " g");
        }
        return strengthPercent * beverageGrams / (beverageGrams + waterGrams);
    }
}
