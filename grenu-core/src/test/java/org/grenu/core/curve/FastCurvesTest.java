package org.grenu.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.grenu.core.numbers.Samples;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.hipparchus.stat.descriptive.rank.Median;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.junit.jupiter.params.ParameterizedTest;

/** What was made faster about curves gives what the plain way gives. */
class FastCurvesTest {

    private static final double[] DECAYS = {0.03, 0.08, 0.15, 0.3, 0.5, 0.8, 1.3, 2.2};
    private static final double[] WINDOWS = {0.15, 0.3, 0.5, 0.8, 1.2};

    /** The sliding window against one gathered anew about every sample; pauses stop the windows. */
    @ParameterizedTest
    @Seeds(20)
    void theRunningMedianIsThatOfEveryWindow(Draws any) {
        int n = any.integer(20, 120);
        double[] time = new double[n];
        double[] values = new double[n];
        for (int i = 1; i < n; i++) {
            time[i] = time[i - 1] + (any.integer(0, 30) == 0 ? 5 : 0.1);
            values[i] = any.integer(0, 9);
        }
        double[] fast = new RunningMedian(time).of(values);
        for (int i = 0; i < n; i++) {
            double centre = time[i];
            double half = Math.min(1.5, room(time, i)) + 1e-9;
            double[] about = IntStream.range(0, n)
                    .filter(j -> Math.abs(time[j] - centre) <= half)
                    .mapToDouble(j -> values[j])
                    .toArray();
            assertThat(fast[i]).isEqualTo(new Median().evaluate(about));
        }
    }

    private static double room(double[] time, int i) {
        int first = i;
        while (first > 0 && time[first] - time[first - 1] < 1) {
            first--;
        }
        int last = i;
        while (last + 1 < time.length && time[last + 1] - time[last] < 1) {
            last++;
        }
        return Math.min(time[i] - time[first], time[last] - time[i]);
    }

    /** Sums from the end on against a library's regression at every place and for every way to fall. */
    @ParameterizedTest
    @Seeds(10)
    void theFallBeginsWhereALibrarysRegressionsLeaveLeast(Draws any) {
        double begin = any.number(3.2, 4.8);
        double decay = any.number(0.1, 1.5);
        double[] values = IntStream.range(0, 80)
                .mapToDouble(i -> 0.1 * i)
                .map(t -> (2 + 0.1 * t) * Math.exp(-Math.max(0, t - begin) / decay) + any.number(-0.05, 0.05))
                .toArray();
        values[any.integer(10, 60)] = Double.NaN;
        UniformCurve curve = new UniformCurve(0, 0.1, Samples.of(values));
        double found = FallBegin.between(curve, 3, 5, 0, 7.9, "flow").orElseThrow().seconds();
        double least = Double.POSITIVE_INFINITY;
        double plain = 0;
        for (int k = 0; k <= 40; k++) {
            double squares = least(values, 3 + k * 0.05);
            if (squares < least) {
                least = squares;
                plain = 3 + k * 0.05;
            }
        }
        assertThat(found).isCloseTo(plain, within(1e-12));
    }

    private static double least(double[] values, double begin) {
        double least = Double.POSITIVE_INFINITY;
        for (double decay : DECAYS) {
            least = Math.min(least, squares(values, begin, after -> Math.exp(-after / decay)));
        }
        for (double window : WINDOWS) {
            least = Math.min(least, squares(values, begin, after -> Math.max(0, 1 - after / window)));
        }
        return least;
    }

    private static double squares(double[] values, double begin, DoubleUnaryOperator fall) {
        int[] known = IntStream.range(0, values.length).filter(i -> Double.isFinite(values[i])).toArray();
        double[][] terms = Arrays.stream(known)
                .mapToDouble(i -> 0.1 * i - begin)
                .mapToObj(x -> x <= 0 ? new double[] {1, x} : new double[] {fall.applyAsDouble(x), 0})
                .toArray(double[][]::new);
        OLSMultipleLinearRegression regression = new OLSMultipleLinearRegression();
        regression.setNoIntercept(true);
        regression.newSampleData(Arrays.stream(known).mapToDouble(i -> values[i]).toArray(), terms);
        return regression.calculateResidualSumOfSquares();
    }
}
