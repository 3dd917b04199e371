package org.grenu.core.numbers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.grenu.core.numbers.RunningPowers.Stretch;
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

    @ParameterizedTest
    @Seeds(20)
    void sumsOfAnyStretchAboutAnyCentreAreThoseOfItsSamples(Draws any) {
        int n = any.integer(10, 80);
        double[] x = new double[n];
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = 0.3 * i;
            y[i] = i % 7 == 3 ? Double.NaN : any.number(-3, 3);
        }
        int from = any.integer(0, n / 2);
        int until = any.integer(n / 2, n);
        double centre = any.number(0, 0.3 * n);
        double[] plain = new double[9];
        for (int i = from; i < until; i++) {
            double[] factors = {1, y[i]};
            for (int k = 0; k < 8 && Double.isFinite(y[i]); k++) {
                plain[k] += factors[k / 5] * Math.pow(x[i] - centre, k % 5);
            }
            plain[8] += Double.isFinite(y[i]) ? y[i] * y[i] : 0;
        }
        Stretch sums = new RunningPowers(x, y).about(centre, from, until);
        assertThat(
                new double[] {sums.n(), sums.x(), sums.xx(), sums.xxx(), sums.xxxx(), sums.y(), sums.xy(), sums.xxy(),
                        sums.yy()})
                .containsExactly(plain, within(1e-7));
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
