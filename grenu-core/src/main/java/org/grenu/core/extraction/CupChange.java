package org.grenu.core.extraction;

import org.grenu.core.quantity.Measured;

/**
 * What becomes of a beverage: another ratio at the same extraction, water added, another beverage added. Solids are
 * conserved; uncertainties by first-order propagation (JCGM 100:2008, 5.1), quantities measured independently.
 *
 * @param beverage g
 * @param strength %
 */
public record CupChange(Measured beverage, Measured strength) {

    /**
     * {@return the beverage mass that would be that strong at the same dose and extraction yield, g} Its solids are
     * those there are: c·m_b stays.
     *
     * @param wanted strength, %, in (0, ∞)
     */
    public Measured beverageFor(Measured wanted) {
        return strength.times(beverage).dividedBy(wanted);
    }

    /** {@return the beverage with that much water added, g in [0, ∞)} */
    public CupChange with(Measured water) {
        return with(new CupChange(water, Measured.exact(0)));
    }

    /** {@return the water that makes it that strong, g; negative where it is weaker already} */
    public Measured waterFor(Measured wanted) {
        return beverageFor(wanted).plus(beverage.times(-1));
    }

    /** {@return both together} */
    public CupChange with(CupChange other) {
        Measured mass = beverage.plus(other.beverage);
        Measured solids = strength.times(beverage).plus(other.strength.times(other.beverage));
        double c = solids.value() / mass.value();
        // Of c = Σc·m/Σm: each mass counts in the numerator and in the denominator.
        double own = part(this, c, mass.value(), false);
        double others = part(other, c, mass.value(), false);
        double ownShared = part(this, c, mass.value(), true);
        double othersShared = part(other, c, mass.value(), true);
        return new CupChange(mass, new Measured(c, Math.hypot(own, others), Math.hypot(ownShared, othersShared)));
    }

    private static double part(CupChange of, double together, double mass, boolean shared) {
        double strength = (shared ? of.strength.shared() : of.strength.independent()) * of.beverage.value() / mass;
        double grams = (shared ? of.beverage.shared() : of.beverage.independent())
                * (of.strength.value() - together) / mass;
        return Math.hypot(strength, grams);
    }
}
