package org.grenu.core.model;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.special.Gamma;

/**
 * Expectations over s = √(χ²/ν), the ratio of an estimated to the true standard deviation, by Gauss–Legendre
 * quadrature
 * over ln s.
 */
final class ChiScale {

    /** With few degrees of freedom the range is long and the integrand steep at its end. */
    private static final int PANELS_FOR_FEW = 24;
    private static final int PANELS = 5;
    private static final double FEW = 10;
    /** The density may fall by e to that power before it counts as nought. */
    private static final double DEPTH = 40;
    private static final int HALVINGS = 60;

    private ChiScale() {
    }

    /** {@return E g(s)}; for ν = ∞ that is g(1) */
    static double expectation(double df, DoubleUnaryOperator g) {
        if (Double.isInfinite(df)) {
            return g.applyAsDouble(1);
        }
        double constant = Math.log(2) + df / 2 * Math.log(df / 2) - Gamma.logGamma(df / 2) - df / 2;
        return Quadrature.over(edge(df, -1 - DEPTH / df), edge(df, 1 + DEPTH / df), df < FEW ? PANELS_FOR_FEW : PANELS,
                x -> Math.exp(constant - df * fall(x)) * g.applyAsDouble(Math.exp(x)));
    }

    /**
     * How far the log density at ln s = x lies below its peak at 0, over ν; {@code expm1} keeps the digits near the
     * peak.
     */
    private static double fall(double x) {
        return Math.expm1(2 * x) / 2 - x;
    }

    /** Bisection between the peak and a point that is surely outside. */
    private static double edge(double df, double outside) {
        double inside = 0;
        for (int k = 0; k < HALVINGS; k++) {
            double middle = (inside + outside) / 2;
            if (df * fall(middle) > DEPTH) {
                outside = middle;
            } else {
                inside = middle;
            }
        }
        return outside;
    }
}
