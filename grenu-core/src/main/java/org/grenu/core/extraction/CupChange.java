package org.grenu.core.extraction;

import org.grenu.core.quantity.Measured;

/**
 * What becomes of a beverage: another ratio at the same extraction, water added, another beverage added. Solids are
 * conserved; uncertainties by first-order propagation (JCGM 100:2008, 5.1 and 5.2): what one scale gets wrong in two
 * masses, or one refractometer in two readings, adds as it is before it is squared.
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
        double times = strength.value() / wanted.value() - 1;
        double ofMass = beverage.independent() * times;
        double ofStrength = beverage.value() / wanted.value() * strength.independent();
        double ofWanted = beverage.value() * strength.value() / (wanted.value() * wanted.value());
        double shared = Math.hypot(beverage.shared() * times,
                beverage.value() / wanted.value() * strength.shared() - ofWanted * wanted.shared());
        double own = Math.hypot(ofMass, ofStrength);
        double df = Measured.joined(own, Measured.joined(ofMass, beverage.df(), ofStrength, strength.df()),
                ofWanted * wanted.independent(), wanted.df());
        return new Measured(beverage.value() * times, Math.hypot(own, ofWanted * wanted.independent()), shared, df);
    }

    /** {@return both together, weighed on one scale and read by one refractometer} */
    public CupChange with(CupChange other) {
        Measured mass = beverage.plusOfOneInstrument(other.beverage);
        Measured solids = strength.times(beverage).plus(other.strength.times(other.beverage));
        double c = solids.value() / mass.value();
        // Of c = Σc·m/Σm: each mass counts in the numerator and in the denominator.
        double share = beverage.value() / mass.value();
        double pull = (strength.value() - c) / mass.value();
        double othersPull = (other.strength.value() - c) / mass.value();
        Measured own = part(share, pull);
        Measured others = other.part(1 - share, othersPull);
        double shared = Math.hypot(share * strength.shared() + (1 - share) * other.strength.shared(),
                pull * beverage.shared() + othersPull * other.beverage.shared());
        return new CupChange(mass, new Measured(c, Math.hypot(own.independent(), others.independent()), shared,
                Measured.joined(own.independent(), own.df(), others.independent(), others.df())));
    }

    /** What is this cup's own in the strength of a blend. */
    private Measured part(double share, double pull) {
        double ofStrength = Math.abs(share) * strength.independent();
        double ofMass = Math.abs(pull) * beverage.independent();
        return new Measured(0, Math.hypot(ofStrength, ofMass), 0,
                Measured.joined(ofStrength, strength.df(), ofMass, beverage.df()));
    }
}
