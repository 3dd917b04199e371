package org.grenu.core.model;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.grenu.core.numbers.Samples;
import org.hipparchus.stat.ranking.NaturalRanking;

/**
 * A second opinion on a contrast that neither far-out rows nor odd shapes of error sway: what the model without the
 * term leaves over is turned into ranks, and the contrast's t held against those of the ranks shuffled within groups
 * (D. Freedman, D. Lane, J. Bus. Econ. Stat. 1, 1983, 292–298).
 */
public final class RankPermutationTest {

    private RankPermutationTest() {
    }

    /**
     * {@return two-sided p-value, at least 1/(shuffles + 1)}
     *
     * @param full     the model's terms
     * @param reduced  those without what is asked about
     * @param contrast over the full model's columns; estimable
     * @param groups   rows that may change places, e.g. days
     * @param shuffles number of shuffles
     * @param seed     of the shuffling
     */
    public static double p(Design full, Design reduced, double[] contrast, Samples y, List<int[]> groups, int shuffles,
            long seed) {
        Samples ones = KnownErrors.ones(y.size());
        double[] ranks = new NaturalRanking().rank(FixedFit.of(reduced, y, ones).residuals());
        double[][] x = full.matrix();
        LeastSquares.Solution solution = LeastSquares.solve(x, ranks);
        double[][] axes = Arrays.stream(x).map(solution::root).toArray(double[][]::new);
        double[] direction = solution.root(contrast);
        double seen = statistic(axes, direction, ranks);
        Random random = new UnlockedRandom(seed);
        int asLarge = 0;
        for (int k = 0; k < shuffles; k++) {
            groups.forEach(rows -> shuffle(ranks, rows, random));
            asLarge += statistic(axes, direction, ranks) >= seen - 1e-9 ? 1 : 0;
        }
        return (asLarge + 1.0) / (shuffles + 1);
    }

    /** The contrast's squared t, but for a factor, of a response whose sum of squares never changes. */
    private static double statistic(double[][] axes, double[] direction, double[] y) {
        double[] along = new double[direction.length];
        double squares = 0;
        for (int i = 0; i < y.length; i++) {
            squares += y[i] * y[i];
            for (int k = 0; k < along.length; k++) {
                along[k] += axes[i][k] * y[i];
            }
        }
        double value = 0;
        for (int k = 0; k < along.length; k++) {
            value += direction[k] * along[k];
            squares -= along[k] * along[k];
        }
        return value * value / Math.max(squares, 1e-300);
    }

    private static void shuffle(double[] values, int[] rows, Random random) {
        for (int i = rows.length - 1; i > 0; i--) {
            int j = random.nextInt(i + 1);
            double kept = values[rows[i]];
            values[rows[i]] = values[rows[j]];
            values[rows[j]] = kept;
        }
    }
}
