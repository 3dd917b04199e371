package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.List;

/**
 * Splits a curve into straight pieces, as few as explain it: the pieces minimise the squared residuals over the
 * noise's
 * variance plus a penalty for each piece, by dynamic programming with pruning (PELT).
 *
 * <p>Reference: R. Killick, P. Fearnhead, I. A. Eckley, Optimal detection of changepoints with a linear computational
 * cost, Journal of the American Statistical Association 107 (2012) 1590–1598.
 */
public final class ChangePoints {

    private ChangePoints() {
    }

    /**
     * A straight piece.
     *
     * @param first index of its first value
     * @param last  index of its last value
     * @param start fitted value at the first index
     * @param slope per index
     */
    public record Piece(int first, int last, double start, double slope) {

        /** {@return the fitted value at that index} */
        public double at(int index) {
            return start + slope * (index - first);
        }
    }

    /**
     * {@return the pieces, in order, covering every value}
     *
     * @param values   finite
     * @param noise    standard deviation of the noise, same unit, positive
     * @param shortest fewest values in a piece, at least 3
     * @param penalty  cost of one more piece, in units of squared standardised residuals
     */
    public static List<Piece> straight(double[] values, double noise, int shortest, double penalty) {
        int n = values.length;
        if (n < 2 * shortest) {
            return n == 0 ? List.of() : List.of(new Sums(values).piece(0, n - 1));
        }
        int[] before = new Search(values, noise, shortest, penalty).before();
        Sums sums = new Sums(values);
        List<Piece> pieces = new ArrayList<>();
        for (int end = n; end > 0; end = before[end]) {
            pieces.add(0, sums.piece(before[end], end - 1));
        }
        return pieces;
    }

    /**
     * The dynamic programming. A longer piece never fits better, so what a beginning cost at an earlier end is a bound
     * for all later ones: only a beginning whose bound could still win is fitted anew, and of those that could not for
     * long only the lowest bound is looked at. ChangePointsTest holds the result against a search that fits them all.
     */
    private static final class Search {
        private final int n;
        private final int shortest;
        private final double penalty;
        private final double scale;
        private final Sums sums;
        private final double[] best;
        private final int[] before;
        /** Where the last piece may begin, with the least that it costs to get there; the near ones first. */
        private final int[] open;
        private final double[] bound;
        private int count = 1;
        private int near = 1;
        private double lowestOfFar = Double.POSITIVE_INFINITY;

        Search(double[] values, double noise, int shortest, double penalty) {
            this.n = values.length;
            this.shortest = shortest;
            this.penalty = penalty;
            this.scale = 1 / (noise * noise);
            this.sums = new Sums(values);
            this.best = new double[n + 1];
            this.before = new int[n + 1];
            this.open = new int[n + 1];
            this.bound = new double[n + 1];
            best[0] = -penalty;
            bound[0] = -penalty;
        }

        /** {@return by the end of a piece, exclusive, where it begins} */
        int[] before() {
            int winner = 0;
            for (int end = shortest; end <= n; end++) {
                // What won last is likely to win again, so its cost rules out most others.
                fit(winner, end);
                winner = cheapest(end, winner, 0, near);
                if (lowestOfFar <= bound[winner]) {
                    winner = cheapest(end, winner, near, count);
                    winner = regroup(bound[winner], winner);
                }
                best[end] = bound[winner] + penalty;
                before[end] = open[winner];
                int opened = end - shortest + 1;
                if (opened >= shortest && opened <= n - shortest) {
                    open(opened);
                }
            }
            return before;
        }

        private void open(int at) {
            bound[count] = best[at];
            lowestOfFar = Math.min(lowestOfFar, best[at]);
            open[count++] = at;
        }

        /** {@return which of these or the winner so far costs least; of equals the one that begins first} */
        private int cheapest(int end, int soFar, int from, int to) {
            int winner = soFar;
            double least = bound[soFar];
            for (int k = from; k < to; k++) {
                if (bound[k] <= least && k != soFar) {
                    fit(k, end);
                    if (bound[k] < least || bound[k] == least && open[k] < open[winner]) {
                        least = bound[k];
                        winner = k;
                    }
                }
            }
            return winner;
        }

        private void fit(int k, int end) {
            bound[k] = best[open[k]] + scale * sums.residuals(open[k], end - 1);
        }

        /** Leaves out what can never win again. {@return where the winner stands now: first} */
        private int regroup(double least, int winner) {
            swap(0, winner);
            int kept = 1;
            near = 1;
            lowestOfFar = Double.POSITIVE_INFINITY;
            for (int k = 1; k < count; k++) {
                if (bound[k] <= least + penalty) {
                    swap(kept, k);
                    if (bound[kept] <= least + penalty / 4) {
                        swap(near++, kept);
                    } else {
                        lowestOfFar = Math.min(lowestOfFar, bound[kept]);
                    }
                    kept++;
                }
            }
            count = kept;
            return 0;
        }

        private void swap(int a, int b) {
            double heldBound = bound[a];
            int heldOpen = open[a];
            bound[a] = bound[b];
            open[a] = open[b];
            bound[b] = heldBound;
            open[b] = heldOpen;
        }
    }

    /** Running sums, which give any stretch's line and residuals at once. */
    private static final class Sums {
        private final double centre;
        private final double[] y;
        private final double[] yy;
        private final double[] xy;
        /** By the number of values: its reciprocal, and that of the spread of their places. */
        private final double[] perValue;
        private final double[] perSpread;

        Sums(double[] values) {
            int n = values.length;
            perValue = new double[n + 1];
            perSpread = new double[n + 1];
            for (int k = 1; k <= n; k++) {
                perValue[k] = 1.0 / k;
                perSpread[k] = k == 1 ? 0 : 12 / (k * ((double) k * k - 1));
            }
            double mean = 0;
            for (double value : values) {
                mean += value / n;
            }
            centre = mean;
            y = new double[n + 1];
            yy = new double[n + 1];
            xy = new double[n + 1];
            for (int i = 0; i < n; i++) {
                double v = values[i] - centre;
                y[i + 1] = y[i] + v;
                yy[i + 1] = yy[i] + v * v;
                xy[i + 1] = xy[i] + i * v;
            }
        }

        /**
         * The innermost of the search: products with kept reciprocals in place of the divisions of {@link #piece}.
         * ChangePointsTest holds the pieces against fits of its own.
         */
        double residuals(int first, int last) {
            int n = last - first + 1;
            double sy = y[last + 1] - y[first];
            double sxy = xy[last + 1] - xy[first] - (first + last) * 0.5 * sy;
            double total = yy[last + 1] - yy[first] - sy * sy * perValue[n];
            return Math.max(0, total - sxy * sxy * perSpread[n]);
        }

        Piece piece(int first, int last) {
            int n = last - first + 1;
            double sy = y[last + 1] - y[first];
            double sxy = xy[last + 1] - xy[first] - (first + last) / 2.0 * sy;
            double sxx = n * ((double) n * n - 1) / 12;
            double slope = sxx > 0 ? sxy / sxx : 0;
            return new Piece(first, last, centre + sy / n - slope * (last - first) / 2.0, slope);
        }
    }
}
