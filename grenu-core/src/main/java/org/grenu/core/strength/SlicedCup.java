package org.grenu.core.strength;

import java.util.List;
import java.util.Optional;
import org.grenu.core.quantity.Measured;

/**
 * A cup put together from its slices: masses and dissolved solids add.
 *
 * <p>c = Σ c_i·m_i / Σ m_i. What is each slice's own adds in squares (∂c/∂c_i = m_i/M, ∂c/∂m_i = (c_i − c)/M); what all
 * share, such as an instrument's bias, adds as it is, the scale's apart from the refractometer's. First-order
 * propagation, JCGM 100:2008, 5.1 and 5.2.
 *
 * @param mass     Σ m_i, g
 * @param strength of all slices together, %
 */
public record SlicedCup(Measured mass, Measured strength) {

    /** One slice: its mass, g, and its strength, %. */
    public record Slice(Measured mass, Measured strength) {
    }

    /** {@return the cup; empty without slices} */
    public static Optional<SlicedCup> of(List<Slice> slices) {
        double mass = slices.stream().mapToDouble(slice -> slice.mass.value()).sum();
        if (!(mass > 0)) {
            return Optional.empty();
        }
        double strength = slices.stream().mapToDouble(one -> one.mass.value() * one.strength.value()).sum() / mass;
        double own = 0;
        double ofReadings = 0;
        double ofMasses = 0;
        double massOwn = 0;
        double massShared = 0;
        for (Slice slice : slices) {
            double share = slice.mass.value() / mass;
            double pull = (slice.strength.value() - strength) / mass;
            own += square(share * slice.strength.independent()) + square(pull * slice.mass.independent());
            ofReadings += share * slice.strength.shared();
            ofMasses += pull * slice.mass.shared();
            massOwn += square(slice.mass.independent());
            massShared += slice.mass.shared();
        }
        return Optional.of(new SlicedCup(new Measured(mass, Math.sqrt(massOwn), massShared),
                new Measured(strength, Math.sqrt(own), Math.hypot(ofReadings, ofMasses))));
    }

    private static double square(double number) {
        return number * number;
    }
}
