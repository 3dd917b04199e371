package org.grenu.core.extraction;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.quantity.Measured;

/**
 * The masses and the strength of one beverage, and what follows from them.
 *
 * <p>EY as dosed = c·m_b/m_d; EY dry = c·m_b/(m_d·(1 − w)). Uncertainty by the law of propagation for the product
 * model (JCGM 100:2008, 5.1.6): (u(EY)/EY)² = (u(c)/c)² + (u(m_b)/m_b)² + (u(m_d)/m_d)² + (u(w)/(1 − w))². Where one
 * scale weighed both masses, its bias b is one error and counts once: u(b)²·(1/m_b − 1/m_d)² (5.2.2, correlation 1).
 *
 * @param dose     dry ground coffee, g, in (0, ∞)
 * @param beverage mass in the cup, g, in [0, ∞)
 * @param strength dissolved solids in the beverage, % m/m
 * @param oneScale whether dose and beverage were weighed on one scale
 * @param moisture share of the dose that is not dry coffee, % m/m in [0, 100), when it is known
 */
public record Brew(Measured dose, Measured beverage, Measured strength, boolean oneScale,
        Optional<Measured> moisture) {

    /** @throws IllegalArgumentException if a value is outside its range */
    public Brew {
        if (!(dose.value() > 0)) {
            throw new IllegalArgumentException("dose must be positive, is " + dose.value() + " g");
        }
        if (!(beverage.value() >= 0)) {
            throw new IllegalArgumentException("beverage mass must not be negative, is " + beverage.value() + " g");
        }
        moisture.ifPresent(w -> {
            if (!(w.value() >= 0 && w.value() < 100)) {
                throw new IllegalArgumentException("moisture must be in [0, 100) %, is " + w.value());
            }
        });
    }

    /** {@return brew ratio R = m_b/m_d} */
    public Measured ratio() {
        return oneScale ? beverage.dividedByOfOneInstrument(dose) : beverage.dividedBy(dose);
    }

    /** {@return dissolved solids m_s = c·m_b, g} */
    public Measured solids() {
        return strength.times(beverage).times(0.01);
    }

    /** {@return the extraction yield as dosed, %} */
    public ExtractionYield asDosed() {
        Measured percent = strength.times(ratio());
        return new ExtractionYield(Basis.AS_DOSED, percent, UncertaintyBudget.ofVariances(relativeVariances()));
    }

    /** {@return the extraction yield on the dry basis, %; empty while the moisture is unknown} */
    public Optional<ExtractionYield> dry() {
        return moisture.map(w -> {
            Measured dryShare = new Measured(1 - w.value() / 100, w.independent() / 100, w.shared() / 100);
            Measured percent = strength.times(ratio()).dividedBy(dryShare);
            Map<Input, Double> variances = relativeVariances();
            variances.put(Input.MOISTURE, dryShare.relativeVariance());
            return new ExtractionYield(Basis.DRY, percent, UncertaintyBudget.ofVariances(variances));
        });
    }

    /** {@return the extraction yield on that basis, if it can be given} */
    public Optional<ExtractionYield> yield(Basis basis) {
        return basis == Basis.AS_DOSED ? Optional.of(asDosed()) : dry();
    }

    private Map<Input, Double> relativeVariances() {
        Map<Input, Double> variances = new EnumMap<>(Input.class);
        variances.put(Input.STRENGTH, finite(strength.relativeVariance()));
        variances.put(Input.BEVERAGE, finite(own(beverage).relativeVariance()));
        variances.put(Input.DOSE, finite(own(dose).relativeVariance()));
        if (oneScale) {
            double ratio = ratio().shared() / ratio().value();
            variances.put(Input.SCALE, finite(ratio * ratio));
        }
        return variances;
    }

    /** Without what the scale gets wrong in both masses. */
    private Measured own(Measured mass) {
        return oneScale ? Measured.independent(mass.value(), mass.independent()) : mass;
    }

    /** A zero strength or beverage has no relative variance; its budget stays empty rather than infinite. */
    private static double finite(double variance) {
        return Double.isFinite(variance) ? variance : 0;
    }
}
