package org.grenu.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.strength.Refractometer;
import org.grenu.core.strength.StrengthSeries;
import org.hipparchus.random.Well19937c;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeasuredTest {

    /** JCGM 100:2008, 5.1.6: relative variances of a product or quotient add up. */
    @ParameterizedTest
    @Seeds(300)
    void relativeVariancesAddUp(Draws any) {
        double a = any.number(0.5, 90);
        double b = any.number(0.5, 90);
        double ra = any.number(0, 0.1);
        double rb = any.number(0, 0.1);
        Measured x = new Measured(a, a * ra, 0);
        Measured y = new Measured(b, 0, b * rb);
        double expected = ra * ra + rb * rb;
        assertThat(x.times(y).relativeVariance()).isCloseTo(expected, within(1e-9));
        assertThat(x.dividedBy(y).relativeVariance()).isCloseTo(expected, within(1e-9));
        assertThat(x.times(y).dividedBy(y).value()).isCloseTo(a, within(1e-9));
    }

    @Test
    void propagationAgreesWithDrawing() {
        Well19937c random = new Well19937c(2);
        Measured x = Measured.independent(9.41, 0.03);
        Measured y = Measured.independent(18, 0.03);
        DescriptiveStatistics drawn = new DescriptiveStatistics();
        for (int i = 0; i < 100_000; i++) {
            drawn.addValue((x.value() + x.u() * random.nextGaussian()) / (y.value() + y.u() * random.nextGaussian()));
        }
        assertThat(x.dividedBy(y).u()).isCloseTo(drawn.getStandardDeviation(),
                within(0.01 * drawn.getStandardDeviation()));
    }

    /** JCGM 100:2008, table G.2, 95.45 % (from memory). */
    @ParameterizedTest
    @CsvSource({"1, 13.97", "2, 4.53", "3, 3.31", "4, 2.87", "5, 2.65", "10, 2.28"})
    void fewReadingsNeedMoreThanTwo(double df, double k) {
        assertThat(new Measured(9, 0.1, 0, df).coverageFactor()).isCloseTo(k, within(0.005));
        assertThat(new Measured(9, 0.1, 0.4, df).coverageFactor()).as("less where they do not dominate")
                .isBetween(2.0, 1 + k / 2);
        Measured product = new Measured(9, 0.1, 0, df).times(Measured.independent(2, 0.03));
        assertThat(product.df()).as("Welch and Satterthwaite")
                .isCloseTo(df * Math.pow(0.2 * 0.2 + 0.27 * 0.27, 2) / Math.pow(0.2, 4), within(1e-9 * product.df()));
    }

    /** Three readings that scatter far more than the instrument is known for: U holds the truth as often as it says. */
    @Test
    void theirIntervalHolds() {
        Well19937c random = new Well19937c(4);
        int held = 0;
        int heldByTwo = 0;
        int trials = 4000;
        for (int i = 0; i < trials; i++) {
            List<Double> readings = List.of(9 + 0.2 * random.nextGaussian(), 9 + 0.2 * random.nextGaussian(),
                    9 + 0.2 * random.nextGaussian());
            Measured mean = StrengthSeries.of(readings, OptionalDouble.empty(), Refractometer.USUAL)
                    .strength()
                    .orElseThrow();
            held += Math.abs(mean.value() - 9) <= mean.expanded() ? 1 : 0;
            heldByTwo += Math.abs(mean.value() - 9) <= 2 * mean.u() ? 1 : 0;
        }
        assertThat(held / (double) trials).isBetween(0.93, 0.97);
        assertThat(heldByTwo / (double) trials).isLessThan(0.9);
    }

    @Test
    void partsStayApartUnderEveryOperation() {
        Measured mixed = new Measured(10, 0.3, 0.4);
        assertThat(mixed.u()).isCloseTo(0.5, within(1e-12));
        assertThat(mixed.expanded()).isCloseTo(1, within(1e-12));
        assertThat(mixed.times(-2)).isEqualTo(new Measured(-20, 0.6, 0.8));
        Measured squared = mixed.times(Measured.exact(3));
        assertThat(squared.independent()).isCloseTo(0.9, within(1e-12));
        assertThat(squared.shared()).isCloseTo(1.2, within(1e-12));
        assertThat(Measured.exact(0).relativeVariance()).isZero();
        assertThatThrownBy(() -> mixed.dividedBy(Measured.exact(0))).hasMessageContaining("divisor must not be zero");
    }
}
