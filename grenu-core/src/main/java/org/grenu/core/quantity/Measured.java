package org.grenu.core.quantity;

/**
 * A value with its standard uncertainty, split as the GUM (JCGM 100:2008) asks when results are later compared:
 * the <em>independent</em> part belongs to this one measurement (repeatability, display step), the <em>shared</em>
 * part is common to all results of the same instrument (bias, calibration) and cancels between them.
 *
 * @param value       the best estimate, in the unit its holder names; finite
 * @param independent standard uncertainty of this measurement alone, same unit, in [0, ∞)
 * @param shared      standard uncertainty common to the instrument, same unit, in [0, ∞)
 */
public record Measured(double value, double independent, double shared) {

    /** Coverage factor of every expanded uncertainty that Grenu shows. */
    public static final double COVERAGE_FACTOR = 2.0;

    /** @throws IllegalArgumentException if the value is not finite or an uncertainty is negative or not finite */
    public Measured {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("value must be finite, is " + value);
        }
        if (!(independent >= 0) || !(shared >= 0) || Double.isInfinite(independent) || Double.isInfinite(shared)) {
            throw new IllegalArgumentException(
                    "uncertainties must be finite and not negative, are " + independent + " and " + shared);
        }
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

    /** {@return the expanded uncertainty U = k·u with k = 2} */
    public double expanded() {
        return COVERAGE_FACTOR * u();
    }

    /** {@return (u/value)², the relative variance; infinite for a value of zero with uncertainty} */
    public double relativeVariance() {
        double u = u();
        return u == 0 ? 0 : (u / value) * (u / value);
    }

    /** {@return this value times an exact factor} */
    public Measured times(double factor) {
        return new Measured(value * factor, independent * Math.abs(factor), shared * Math.abs(factor));
    }

    /** {@return the sum of two quantities measured independently of each other} */
    public Measured plus(Measured other) {
        return new Measured(value + other.value, Math.hypot(independent, other.independent),
                Math.hypot(shared, other.shared));
    }

    /**
     * {@return the product of two quantities measured independently of each other} First-order propagation; the
     * independent and shared parts are carried separately.
     */
    public Measured times(Measured other) {
        return new Measured(value * other.value,
                Math.hypot(independent * other.value, value * other.independent),
                Math.hypot(shared * other.value, value * other.shared));
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
        return new Measured(apart.value, apart.independent, Math.abs(shared / d - value * divisor.shared / (d * d)));
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
        return new Measured(value / d,
                Math.hypot(independent / d, value * divisor.independent / (d * d)),
                Math.hypot(shared / d, value * divisor.shared / (d * d)));
    }
}
