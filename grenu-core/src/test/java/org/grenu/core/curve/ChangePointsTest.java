package org.grenu.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.grenu.core.curve.ChangePoints.Piece;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.hipparchus.random.Well19937c;
import org.hipparchus.stat.regression.SimpleRegression;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class ChangePointsTest {

    private static double cost(double[] values, List<Piece> pieces, double noise, double penalty) {
        double sum = -penalty;
        for (Piece piece : pieces) {
            sum += penalty;
            for (int i = piece.first(); i <= piece.last(); i++) {
                sum += Math.pow((values[i] - piece.at(i)) / noise, 2);
            }
        }
        return sum;
    }

    /**
     * Pruning must not change the optimum: checked against every one-change split, which the optimum cannot exceed.
     */
    @ParameterizedTest
    @Seeds(60)
    void noSplitInTwoIsCheaper(Draws any) {
        long seed = any.anyLong();
        Well19937c random = new Well19937c(seed);
        double[] values = new double[40];
        int bend = 8 + random.nextInt(24);
        for (int i = 0; i < values.length; i++) {
            values[i] = 0.3 * Math.max(0, i - bend) + 0.2 * random.nextGaussian();
        }
        double best = cost(values, ChangePoints.straight(values, 0.2, 4, 12), 0.2, 12);
        for (int at = 4; at <= 36; at++) {
            double[] left = Arrays.copyOf(values, at);
            double[] right = Arrays.copyOfRange(values, at, 40);
            double split = cost(left, ChangePoints.straight(left, 0.2, 40, 12), 0.2, 12)
                    + cost(right, ChangePoints.straight(right, 0.2, 40, 12), 0.2, 12) + 24 - 12;
            assertThat(best).isLessThanOrEqualTo(split + 1e-6);
        }
    }

    /** The same optimum as when every beginning is tried for every end, each with a fit of its own. */
    @ParameterizedTest
    @Seeds(40)
    void nothingThatWasLeftOutWouldHaveWon(Draws any) {
        Well19937c random = new Well19937c(any.anyLong());
        double[] values = new double[60];
        double height = 0;
        double slope = 0;
        for (int i = 0; i < values.length; i++) {
            slope = random.nextInt(12) == 0 ? random.nextGaussian() : slope;
            height += slope;
            values[i] = height + 0.3 * random.nextGaussian();
        }
        double[] best = new double[61];
        Arrays.fill(best, Double.POSITIVE_INFINITY);
        best[0] = -20;
        for (int end = 5; end <= 60; end++) {
            for (int from = 0; from <= end - 5; from++) {
                best[end] = Math.min(best[end], best[from] + 20 + squares(values, from, end) / 0.09);
            }
        }
        assertThat(cost(values, ChangePoints.straight(values, 0.3, 5, 20), 0.3, 20)).isCloseTo(best[60], within(1e-6));
    }

    private static double squares(double[] values, int from, int end) {
        SimpleRegression line = new SimpleRegression();
        for (int i = from; i < end; i++) {
            line.addData(i, values[i]);
        }
        return line.getSumSquaredErrors();
    }

    @Test
    void straightNoiseIsOnePieceAndABendIsFound() {
        Well19937c random = new Well19937c(2);
        int falsely = 0;
        for (int k = 0; k < 200; k++) {
            double[] straight = new double[200];
            for (int i = 0; i < 200; i++) {
                straight[i] = 3 + 0.01 * i + 0.05 * random.nextGaussian();
            }
            falsely += ChangePoints.straight(straight, 0.05, 5, 30).size() > 1 ? 1 : 0;
        }
        assertThat(falsely).as("false bends in 200 straight lines").isLessThanOrEqualTo(4);
        double[] bent = new double[200];
        for (int i = 0; i < 200; i++) {
            bent[i] = (i < 120 ? 2 : 2 + 0.2 * (i - 120)) + 0.05 * random.nextGaussian();
        }
        List<Piece> pieces = ChangePoints.straight(bent, 0.05, 5, 30);
        assertThat(pieces).hasSize(2);
        assertThat(pieces.get(1).first()).isBetween(117, 123);
        assertThat(pieces.get(1).slope()).isCloseTo(0.2, within(0.005));
    }
}
