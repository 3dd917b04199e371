package org.grenu.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.grenu.core.numbers.Samples;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class SavitzkyGolayTest {

    /** Savitzky & Golay 1964, table I: (−3, 12, 17, 12, −3)/35; and the 7-point row (−2, 3, 6, 7, 6, 3, −2)/21. */
    @Test
    void weightsAreThePublishedOnes() {
        double[] five = new SavitzkyGolay(5, 2).centreWeights();
        assertThat(five).containsExactly(new double[] {-3 / 35., 12 / 35., 17 / 35., 12 / 35., -3 / 35.},
                within(1e-12));
        double[] seven = new SavitzkyGolay(7, 2).centreWeights();
        assertThat(seven).containsExactly(
                new double[] {-2 / 21., 3 / 21., 6 / 21., 7 / 21., 6 / 21., 3 / 21., -2 / 21.}, within(1e-12));
    }

    /** A parabola is its own smoothing, and its slope is exact, at the ends too. */
    @ParameterizedTest
    @Seeds(200)
    void reproducesParabolasToTheEnds(Draws any) {
        double a = any.number(-5, 5);
        double b = any.number(-5, 5);
        double c = any.number(-5, 5);
        int half = any.integer(2, 12);
        double[] values = new double[40];
        for (int i = 0; i < values.length; i++) {
            double t = 0.1 * i;
            values[i] = a + b * t + c * t * t;
        }
        UniformCurve curve = new UniformCurve(0, 0.1, Samples.of(values));
        SavitzkyGolay filter = new SavitzkyGolay(2 * half + 1, 2);
        UniformCurve smooth = filter.smooth(curve);
        UniformCurve slope = filter.derivative(curve);
        for (int i = 0; i < values.length; i++) {
            assertThat(smooth.value(i)).isCloseTo(values[i], within(1e-9));
            assertThat(slope.value(i)).isCloseTo(b + 2 * c * 0.1 * i, within(1e-8));
        }
    }

    @Test
    void aCupThatStandsStillHasNoFlowAndAGapStaysAGap() {
        double[] values = new double[60];
        Arrays.fill(values, 41.2);
        values[30] = Double.NaN;
        UniformCurve flow = CurveMeasures.cupFlow(new UniformCurve(0, 0.1, Samples.of(values)));
        for (int i = 0; i < 60; i++) {
            if (i == 30) {
                assertThat(flow.value(i)).isNaN();
            } else {
                assertThat(flow.value(i)).isCloseTo(0, within(1e-10));
            }
        }
    }

    @Test
    void impossibleWindowsAreRefused() {
        assertThatThrownBy(() -> new SavitzkyGolay(4, 2)).hasMessageContaining("odd");
        assertThatThrownBy(() -> new SavitzkyGolay(3, 3)).hasMessageContaining("larger than the order");
    }
}
