package org.grenu.core.hydraulics;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.numbers.NormalEquations;

/**
 * How far ln r truly fell at a moment, and how well a course without a step that merely turns explains it.
 *
 * <p>The size is that of the data: the median of the second and a half before the moment less that of the one after,
 * less
 * what the smooth course of both sides does in between. A bed that swells and then wears turns sharply at its peak;
 * a step
 * beside a parabola imitates that turn, so a broken line is held against it.
 *
 * @param size ln r lost
 * @param u    its standard uncertainty
 */
record ResistanceFall(double size, double u) {

    private static final double NEAR = 0.7;
    private static final double FAR = 2.2;
    private static final double SIDE = 4.5;
    private static final int FEWEST = 4;
    private static final double TO_DEVIATION = 1.4826;
    private static final double NEW_EVERY_SECONDS = 0.8;

    /**
     * {@return the fall at that moment; empty where a side has too few samples}
     *
     * @param seconds of the samples
     * @param log     ln r, NaN where it is not defined
     * @param step    between samples, s
     */
    static Optional<ResistanceFall> at(double[] seconds, double[] log, double step, double t) {
        double[] before = between(seconds, log, t - FAR, t - NEAR);
        double[] after = between(seconds, log, t + NEAR, t + FAR);
        if (before.length < FEWEST || after.length < FEWEST) {
            return Optional.empty();
        }
        double apart = middle(seconds, log, t + NEAR, t + FAR) - middle(seconds, log, t - FAR, t - NEAR);
        double[] slopes = {slope(seconds, log, t - SIDE, t - NEAR), slope(seconds, log, t + NEAR, t + SIDE)};
        // The gentler of both sides: what rose steeply before its peak would have risen no further.
        double drift = Double.isNaN(slopes[0]) ? slopes[1] : Double.isNaN(slopes[1]) ? slopes[0]
                : Math.abs(slopes[0]) < Math.abs(slopes[1]) ? slopes[0] : slopes[1];
        drift = Double.isNaN(drift) ? 0 : Math.min(0, drift);
        double fell = median(before) - median(after);
        double scatter = Math.hypot(scatter(before), scatter(after));
        double effective = Math.max(1, Math.min(before.length, after.length) * step / NEW_EVERY_SECONDS);
        return Optional.of(new ResistanceFall(fell + drift * apart, scatter / Math.sqrt(effective)));
    }

    /** {@return the least sum of squares of a line that turns once, about a moment; ∞ where it cannot be told} */
    static double turning(double[] seconds, double[] log, int from, int until) {
        double least = Double.POSITIVE_INFINITY;
        for (int turn = from + FEWEST; turn < until - FEWEST; turn += 2) {
            if (Double.isFinite(log[turn])) {
                NormalEquations fit = new NormalEquations(4);
                for (int i = from; i < until; i++) {
                    if (Double.isFinite(log[i])) {
                        double x = seconds[i] - seconds[turn];
                        fit.add(log[i], 1, x, Math.max(0, x), x * x);
                    }
                }
                least = Math.min(least, fit.solve().map(fit::residuals).orElse(Double.POSITIVE_INFINITY));
            }
        }
        return least;
    }

    private static double[] between(double[] seconds, double[] log, double from, double to) {
        double[] found = new double[log.length];
        int count = 0;
        for (int i = 0; i < log.length; i++) {
            if (seconds[i] >= from && seconds[i] <= to && Double.isFinite(log[i])) {
                found[count++] = log[i];
            }
        }
        double[] sorted = Arrays.copyOf(found, count);
        Arrays.sort(sorted);
        return sorted;
    }

    private static double middle(double[] seconds, double[] log, double from, double to) {
        double sum = 0;
        int count = 0;
        for (int i = 0; i < log.length; i++) {
            if (seconds[i] >= from && seconds[i] <= to && Double.isFinite(log[i])) {
                sum += seconds[i];
                count++;
            }
        }
        return sum / count;
    }

    private static double slope(double[] seconds, double[] log, double from, double to) {
        NormalEquations line = new NormalEquations(2);
        int count = 0;
        for (int i = 0; i < log.length; i++) {
            if (seconds[i] >= from && seconds[i] <= to && Double.isFinite(log[i])) {
                line.add(log[i], 1, seconds[i] - from);
                count++;
            }
        }
        return count < 2 * FEWEST ? Double.NaN : line.solve().map(found -> found[1]).orElse(Double.NaN);
    }

    private static double median(double[] sorted) {
        int half = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
    }

    private static double scatter(double[] sorted) {
        double middle = median(sorted);
        return TO_DEVIATION * median(Arrays.stream(sorted).map(v -> Math.abs(v - middle)).sorted().toArray());
    }
}
