package org.grenu.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * Where two groups of curves differ: Student's t at every point, held against the largest of all points when the
 * groups'
 * labels are shuffled, so that a false alarm anywhere stays at its rate (max-T, P. H. Westfall, S. S. Young,
 * Resampling-Based Multiple Testing, 1993).
 *
 * @param p point by point, corrected for looking at all points, in (0, 1]
 */
public record CurveTest(List<Double> p) {

    /** Shuffles that a thread takes at a time. */
    private static final int BATCH = 256;

    /** A stretch of points, both ends in it. */
    public record Stretch(int from, int to) {
    }

    public CurveTest {
        p = List.copyOf(p);
    }

    /** {@return the stretches where the groups differ at that family-wise level} */
    public List<Stretch> differing(double alpha) {
        List<Stretch> stretches = new ArrayList<>();
        int from = -1;
        for (int t = 0; t <= p.size(); t++) {
            boolean differs = t < p.size() && p.get(t) <= alpha;
            if (differs && from < 0) {
                from = t;
            } else if (!differs && from >= 0) {
                stretches.add(new Stretch(from, t - 1));
                from = -1;
            }
        }
        return stretches;
    }

    /**
     * {@return the test}
     *
     * @param curves   curves × points, no NaN
     * @param first    whether the curve belongs to the first group; both groups have a member
     * @param blocks   curves whose labels may change places, e.g. days; their means are taken out first
     * @param floors   by point: a spread below which the instrument does not tell, same unit, in (0, ∞)
     * @param shuffles number of shuffles
     * @param seed     of the shuffling
     */
    public static CurveTest of(double[][] curves, boolean[] first, List<int[]> blocks, double[] floors, int shuffles,
            long seed) {
        double[][] z = centred(curves, blocks);
        int n = z.length;
        int points = floors.length;
        double[] squares = new double[points];
        for (double[] curve : z) {
            for (int t = 0; t < points; t++) {
                squares[t] += curve[t] * curve[t];
            }
        }
        for (int t = 0; t < points; t++) {
            squares[t] += floors[t] * floors[t] * (n - 1 - blocks.size());
        }
        double[] inverse = Arrays.stream(squares).map(square -> 1 / square).toArray();
        double[] seen = new double[points];
        ratios(z, members(first), inverse, seen);
        int[][] members = shuffled(first, blocks, shuffles, seed);
        double[] largest = new double[shuffles];
        IntStream.range(0, (shuffles + BATCH - 1) / BATCH).parallel().forEach(batch -> {
            double[] ratios = new double[points];
            for (int k = batch * BATCH; k < Math.min(shuffles, (batch + 1) * BATCH); k++) {
                ratios(z, members[k], inverse, ratios);
                largest[k] = largest(ratios);
            }
        });
        Arrays.sort(largest);
        return new CurveTest(Arrays.stream(seen)
                .mapToObj(ratio -> (1.0 + countFrom(largest, ratio - 1e-12)) / (shuffles + 1))
                .toList());
    }

    /** The first group of each shuffle, in the order in which one after the other draws them. */
    private static int[][] shuffled(boolean[] first, List<int[]> blocks, int shuffles, long seed) {
        Random random = new UnlockedRandom(seed);
        boolean[] labels = first.clone();
        int[][] members = new int[shuffles][];
        for (int k = 0; k < shuffles; k++) {
            blocks.forEach(rows -> shuffle(labels, rows, random));
            members[k] = members(labels);
        }
        return members;
    }

    private static int[] members(boolean[] labels) {
        int[] members = new int[labels.length];
        int count = 0;
        for (int i = 0; i < labels.length; i++) {
            members[count] = i;
            count += labels[i] ? 1 : 0;
        }
        return Arrays.copyOf(members, count);
    }

    /**
     * Share of each point's squares that lies between the groups: rises with t². Four curves at once, so that the sums
     * are
     * fetched and put back a quarter as often.
     */
    private static void ratios(double[][] z, int[] members, double[] inverse, double[] ratios) {
        Arrays.fill(ratios, 0);
        int i = 0;
        for (; i + 4 <= members.length; i += 4) {
            double[] a = z[members[i]];
            double[] b = z[members[i + 1]];
            double[] c = z[members[i + 2]];
            double[] d = z[members[i + 3]];
            for (int t = 0; t < ratios.length; t++) {
                ratios[t] += a[t] + b[t] + (c[t] + d[t]);
            }
        }
        for (; i < members.length; i++) {
            double[] a = z[members[i]];
            for (int t = 0; t < ratios.length; t++) {
                ratios[t] += a[t];
            }
        }
        double factor = 1.0 / members.length + 1.0 / (z.length - members.length);
        for (int t = 0; t < ratios.length; t++) {
            ratios[t] = ratios[t] * ratios[t] * factor * inverse[t];
        }
    }

    private static double largest(double[] ratios) {
        double most = 0;
        for (double ratio : ratios) {
            if (ratio > most) {
                most = ratio;
            }
        }
        return most;
    }

    private static double[][] centred(double[][] curves, List<int[]> blocks) {
        double[][] z = new double[curves.length][];
        for (int[] rows : blocks) {
            double[] mean = mean(curves, rows);
            for (int i : rows) {
                z[i] = Design.difference(curves[i], mean);
            }
        }
        return z;
    }

    private static double[] mean(double[][] curves, int[] rows) {
        double[] mean = new double[curves[0].length];
        for (int i : rows) {
            for (int t = 0; t < mean.length; t++) {
                mean[t] += curves[i][t] / rows.length;
            }
        }
        return mean;
    }

    private static int countFrom(double[] sorted, double value) {
        int low = 0;
        int high = sorted.length;
        while (low < high) {
            int middle = (low + high) / 2;
            if (sorted[middle] >= value) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return sorted.length - low;
    }

    private static void shuffle(boolean[] labels, int[] rows, Random random) {
        for (int i = rows.length - 1; i > 0; i--) {
            int j = random.nextInt(i + 1);
            boolean kept = labels[rows[i]];
            labels[rows[i]] = labels[rows[j]];
            labels[rows[j]] = kept;
        }
    }
}
