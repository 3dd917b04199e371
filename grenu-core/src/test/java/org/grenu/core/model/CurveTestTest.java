package org.grenu.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.grenu.core.numbers.Samples;
import org.junit.jupiter.api.Test;

/** Checks by simulation, seeds fixed: wrong alarms stay at their rate, true differences are found where they are. */
class CurveTestTest {

    private static final int POINTS = 60;

    /** Curves that wander: neighbouring points go together, as those of shots do. */
    private static double[] wandering(Random random, double bumpFrom, double bump) {
        double[] curve = new double[POINTS];
        double level = random.nextGaussian();
        for (int t = 0; t < POINTS; t++) {
            level = 0.9 * level + 0.44 * random.nextGaussian();
            curve[t] = level + (t >= bumpFrom ? bump : 0);
        }
        return curve;
    }

    private static CurveTest test(Random random, int each, double bump, int blocks) {
        double[][] curves = new double[2 * each][];
        boolean[] first = new boolean[2 * each];
        for (int i = 0; i < curves.length; i++) {
            first[i] = i % 2 == 0;
            curves[i] = wandering(random, 40, first[i] ? bump : 0);
        }
        List<int[]> groups = IntStream.range(0, blocks)
                .mapToObj(b -> IntStream.range(0, 2 * each).filter(i -> i * blocks / (2 * each) == b).toArray())
                .toList();
        double[] floors = new double[POINTS];
        Arrays.fill(floors, 0.01);
        return CurveTest.of(curves, first, groups, floors, 199, random.nextLong());
    }

    @Test
    void falseAlarmsAnywhereStayAtTheirRate() {
        Random random = new Random(5);
        for (int blocks : new int[] {1, 2}) {
            long alarms = IntStream.range(0, 600)
                    .filter(k -> !test(random, 6, 0, blocks).differing(0.05).isEmpty())
                    .count();
            // 5 % of 600, three standard errors either way
            assertThat(alarms / 600.0).as("%s blocks", blocks).isCloseTo(0.05, within(0.027));
        }
    }

    @Test
    void aDifferenceIsFoundWhereItIsAndNowhereElse() {
        List<CurveTest.Stretch> found = test(new Random(9), 20, 2.5, 2).differing(0.05);
        assertThat(found).isNotEmpty().allSatisfy(stretch -> assertThat(stretch.from()).isGreaterThanOrEqualTo(38));
        assertThat(found.stream().mapToInt(s -> s.to() - s.from() + 1).sum()).isGreaterThan(12);
    }

    @Test
    void threeAgainstThreeCanNeverSayFivePercent() {
        assertThat(test(new Random(2), 3, 50, 1).differing(0.05)).isEmpty();
    }

    /** On normal errors the check by ranks is about as often below 5 % as it says; one wild row does not sway it. */
    @Test
    void ranksAgreeUnlessARowIsWild() {
        Random random = new Random(3);
        int below = 0;
        for (int k = 0; k < 600; k++) {
            below += rank(random, 0, 0) < 0.05 ? 1 : 0;
        }
        assertThat(below / 600.0).isCloseTo(0.05, within(0.027));
        assertThat(rank(random, 2, 30)).isLessThan(0.05);
    }

    private static double rank(Random random, double effect, double wild) {
        int n = 16;
        double[] y = new double[n];
        double[] x = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = i % 2;
            y[i] = effect * x[i] + random.nextGaussian();
        }
        y[0] += wild;
        Term.Numeric term = new Term.Numeric("x", Samples.of(x));
        Design full = new Design(n, List.of(term));
        return RankPermutationTest.p(full, new Design(n, List.of()), full.slope(term), Samples.of(y),
                List.of(IntStream.range(0, 8).toArray(), IntStream.range(8, 16).toArray()), 199, random.nextLong());
    }
}
