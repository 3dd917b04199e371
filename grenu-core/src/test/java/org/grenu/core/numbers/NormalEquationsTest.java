package org.grenu.core.numbers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class NormalEquationsTest {

    @ParameterizedTest
    @Seeds(30)
    void coefficientsAndSquaresAreThoseOfALibrarysRegression(Draws any) {
        int n = any.integer(8, 60);
        NormalEquations gathered = new NormalEquations(4);
        double[] y = new double[n];
        double[][] x = new double[n][];
        double[] products = new double[4];
        for (int i = 0; i < n; i++) {
            double t = any.number(-5, 5);
            x[i] = new double[] {1, t, t * t, Math.max(0, Math.min(1, t))};
            y[i] = any.number(-2, 2) + t;
            gathered.add(any.number(-1, 1), x[i]);
            for (int k = 0; k < 4; k++) {
                products[k] += y[i] * x[i][k];
            }
        }
        OLSMultipleLinearRegression regression = new OLSMultipleLinearRegression();
        regression.setNoIntercept(true);
        regression.newSampleData(y, x);
        assertThat(gathered.solve(products).orElseThrow()).containsExactly(regression.estimateRegressionParameters(),
                within(1e-8));
    }

    @Test
    void termsThatAreNotToldApartHaveNoCoefficients() {
        NormalEquations alike = new NormalEquations(3);
        for (int i = 0; i < 9; i++) {
            alike.add(i, 1, i, 3 * i - 7);
        }
        assertThat(alike.solve()).isEmpty();
        assertThat(alike.ofFirst(2).solve().orElseThrow()).containsExactly(new double[] {0, 1}, within(1e-12));
    }
}
