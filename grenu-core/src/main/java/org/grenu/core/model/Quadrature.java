package org.grenu.core.model;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;

/** Gauss–Legendre quadrature of smooth functions over panels of equal width. */
final class Quadrature {

    private static final GaussIntegrator NODES = new GaussIntegratorFactory().legendre(16, -1, 1);

    private Quadrature() {
    }

    static double over(double from, double to, int panels, DoubleUnaryOperator f) {
        double half = (to - from) / panels / 2;
        double sum = 0;
        for (int k = 0; k < panels; k++) {
            double middle = from + (2 * k + 1) * half;
            for (int i = 0; i < NODES.getNumberOfPoints(); i++) {
                sum += NODES.getWeight(i) * f.applyAsDouble(middle + half * NODES.getPoint(i));
            }
        }
        return sum * half;
    }
}
