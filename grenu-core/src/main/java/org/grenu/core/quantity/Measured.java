package org.grenu.core.quantity;

import org.hipparchus.distribution.continuous.TDistribution;

/**
 * A value with its standard uncertainty, split as the GUM (JCGM 100:2008) asks when results are later compared:
 * the <em>independent</em> part belongs to this one measurement (repeatability, display step), the <em>shared</em>
 * part is common to all results of the same instrument (bias, calibration) and cancels between them.
 *
 * @param value       the best estimate, in the unit its holder names; finite
 * @param independent standard uncertainty of this measurement alone, same unit, in [0, ∞)
 * @param shared      standard uncertainty common to the instrument, same unit, in [0, ∞)
 * @param df          degrees of freedom of the independent part, in (0, ∞]: few where it rests on few readings that
 *                    scatter, infinite where it is known
 */
public record Measured(double value, double independent, double shared, double df) {

    /** Coverage factor of an expanded uncertainty that rests on what is known of the instruments. */
    public static final double COVERAGE_FACTOR = 2.0;
    /** What two standard deviations cover of a normal distribution. */
    private static final double COVERAGE = 0.954499736103642;

    /** @throws IllegalArgumentException if the value is not finite or an uncertainty is negative or not finite */
    public Measured {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("value must be finite, is " + value);
        }
        if (!(independent >= 0) || !(shared >= 0) || Double.isInfinite(independent) || Double.isInfinite(shared)) {
            throw new IllegalArgumentException(
                    "uncertainties must be finite and not negative, are " + independent + " and " + shared);
        }
        if (!(df > 0)) {
            throw new IllegalArgumentException("degrees of freedom must be above zero, are " + df);
        }
    }

    /** A value whose independent part is known. */
    public Measured(double value, double independent, double shared) {
        this(value, independent, shared, Double.POSITIVE_INFINITY);
    }

    /** {@return a value known without uncertainty} */
    public static Measured exact(double value) {
        return new Measured(value, 0, 0);
    }

    /** {@return a value whose whole uncertainty is its own} */
    public static Measured independent(double value, double u) {
        return new Measured(value, u, 0);
    }

    /** {@return the combined standard uncertainty, same unit as the value} */
    public double u() {
        return Math.hypot(independent, shared);
    }

    /**
     * {@return the coverage factor k of about 95 %: 2, or more where few readings dominate} From Student's t with the
     * effective degrees of freedom of Welch and Satterthwaite (JCGM 100:2008, G.4).
     */
    public double coverageFactor() {
        double effective = effectiveDf();
        return Double.isInfinite(effective) ? COVERAGE_FACTOR
                : new TDistribution(effective).inverseCumulativeProbability((1 + COVERAGE) / 2);
    }

    private double effectiveDf() {
        if (Double.isInfinite(df) || independent == 0) {
            return Double.POSITIVE_INFINITY;
        }
        double share = u() / independent;
        return df * share * share * share * share;
    }

    /** {@return the expanded uncertainty U = k·u} */
    public double expanded() {
        return coverageFactor() * u();
    }

    /** {@return (u/value)², the relative variance; infinite for a value of zero with uncertainty} */
    public double relativeVariance() {
        double u = u();
        return u == 0 ? 0 : (u / value) * (u / value);
    }

    /** {@return this value times an exact factor} */
    public Measured times(double factor) {
        return new Measured(value * factor, independent * Math.abs(factor), shared * Math.abs(factor), df);
    }

    /** {@return the same with another value and other parts, resting on as few readings} */
    public Measured restingAsBefore(double other, double otherIndependent, double otherShared) {
        return new Measured(other, otherIndependent, otherShared, df);
    }

    /** {@return the sum of two quantities measured independently of each other} */
    public Measured plus(Measured other) {
        return joined(value + other.value, other, independent, other.independent, shared, other.shared);
    }

    /**
     * {@return the sum of two quantities whose shared parts are one error, such as a scale's bias in two weighings}
     */
    public Measured plusOfOneInstrument(Measured other) {
        Measured apart = plus(other);
        return new Measured(apart.value, apart.independent, shared + other.shared, apart.df);
    }

    /**
     * {@return the product of two quantities measured independently of each other} First-order propagation; the
     * independent and shared parts are carried separately.
     */
    public Measured times(Measured other) {
        return joined(value * other.value, other, independent * other.value, value * other.independent,
                shared * other.value, value * other.shared);
    }

    /**
     * {@return the quotient of two quantities whose shared parts are one error, such as a scale's bias in two
     * weighings} It moves both the same way, so that in their quotient it mostly cancels: its sensitivity is
     * (1 − this/divisor)/divisor where both have the same (JCGM 100:2008, 5.2.2, with a correlation of 1).
     *
     * @throws IllegalArgumentException if the divisor's value is zero
     */
    public Measured dividedByOfOneInstrument(Measured divisor) {
        Measured apart = dividedBy(divisor);
        double d = divisor.value;
        return new Measured(apart.value, apart.independent, Math.abs(shared / d - value * divisor.shared / (d * d)),
                apart.df);
    }

    /**
     * {@return the quotient of two quantities measured independently of each other}
     *
     * @throws IllegalArgumentException if the divisor's value is zero
     */
    public Measured dividedBy(Measured divisor) {
        if (divisor.value == 0) {
            throw new IllegalArgumentException("divisor must not be zero");
        }
        double d = divisor.value;
        return joined(value / d, divisor, independent / d, value * divisor.independent / (d * d), shared / d,
                value * divisor.shared / (d * d));
    }

    private Measured joined(double result, Measured other, double own, double others, double ownShared,
            double othersShared) {
        return new Measured(result, Math.hypot(own, others), Math.hypot(ownShared, othersShared),
                joined(own, df, others, other.df));
    }

    /** {@return the degrees of freedom of two parts together, after Welch and Satterthwaite} */
    public static double joined(double one, double df, double other, double otherDf) {
        double spread = fourth(one) / df + fourth(other) / otherDf;
        return spread > 0 ? square(one * one + other * other) / spread : Double.POSITIVE_INFINITY;
    }

    private static double square(double value) {
        return value * value;
    }

    private static double fourth(double value) {
        return square(value * value);
    }
}
