package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.numbers.OrderStatistic;

/**
 * Finds the first drip: the moment the cup mass leaves its baseline and keeps rising.
 *
 * <p>The rise is placed roughly where the mass last lay below a tenth of its height. About it a hinge is fitted by
 * least
 * squares: level up to the first drip, from there a rise that starts with some flow and gathers speed,
 * m(t) = b + v·(t − t₀) + a·(t − t₀)², v and a not negative. The t₀ with the smallest sum of squares is the first
 * drip;
 * its uncertainty is where the sum grows by one variance of the residuals. A scale's response is taken off. Levels
 * are relative to the baseline, so a tare offset
 * does not move the result.
 */
final class FirstDrip {

    private static final double LEAST_NOISE = 0.03;
    private static final double LEAST_RISE = 0.15;
    private static final double LEAST_BEVERAGE = 0.7;
    /** A rise by this between two samples has no slope to follow back. */
    private static final double AT_ONCE_GRAMS = 2;
    private static final double BEFORE_SECONDS = 5;
    private static final double AFTER_SECONDS = 1.6;
    private static final double SEARCH_SECONDS = 4;
    private static final double FINEST_SECONDS = 0.05;
    /** A scale needs about this long to show a drop; scales differ in it (common practice, no source). */
    private static final double SCALE_RESPONSE_SECONDS = 0.26;
    private static final double SCALE_RESPONSE_U = 0.12;

    private FirstDrip() {
    }

    /** {@return the first drip, or nothing when no more than {@value #LEAST_BEVERAGE} g came} */
    static Optional<TimedEvent> find(UniformCurve mass) {
        double[] finite = Arrays.stream(mass.values().toArray()).filter(Double::isFinite).toArray();
        if (finite.length < 8) {
            return Optional.empty();
        }
        double roughBaseline = quantile(
                Arrays.copyOf(finite, Math.min(finite.length, (int) Math.ceil(1 / mass.step()))), 0.5);
        double top = quantile(finite, 0.95);
        if (top - roughBaseline < LEAST_BEVERAGE) {
            return Optional.empty();
        }
        int risen = lastBelow(mass, roughBaseline + Math.max(2 * LEAST_RISE, 0.1 * (top - roughBaseline)),
                mass.size() - 1);
        if (risen < 0) {
            return Optional.empty();
        }
        Baseline baseline = Baseline.of(mass, (int) Math.ceil(1 / mass.step()));
        int below = lastBelow(mass, baseline.threshold(), risen);
        // Once the rise is roughly placed, everything before it tells more of the baseline than the first second.
        Baseline refined = Baseline.of(mass, below - (int) Math.ceil(0.3 / mass.step()));
        below = lastBelow(mass, refined.threshold(), risen);
        if (below < 0) {
            return Optional.empty();
        }
        boolean atOnce = below + 1 < mass.size() && mass.value(below + 1) - refined.level() > AT_ONCE_GRAMS;
        return Optional.of(atOnce ? new TimedEvent(mass.time(below) + mass.step() / 2, mass.step(), "cup mass")
                : hinge(mass, mass.time(below), refined));
    }

    /** The last sample at or below that level; a sensor's gap on the way is passed over. */
    private static int lastBelow(UniformCurve mass, double level, int from) {
        for (int i = from; i >= 0; i--) {
            if (mass.value(i) <= level) {
                return i;
            }
        }
        return -1;
    }

    private static TimedEvent hinge(UniformCurve mass, double rough, Baseline baseline) {
        double from = Math.max(mass.start(), rough - BEFORE_SECONDS);
        double to = Math.min(mass.end(), rough + AFTER_SECONDS);
        int first = (int) Math.ceil((from - mass.start()) / mass.step() - 1e-9);
        int last = (int) Math.floor((to - mass.start()) / mass.step() + 1e-9);
        double best = Double.POSITIVE_INFINITY;
        double at = rough;
        double step = Math.max(FINEST_SECONDS, mass.step() / 2);
        int count = (int) Math.round((Math.min(SEARCH_SECONDS, rough - from) + 0.8) / step);
        double[] sums = new double[count + 1];
        for (int k = 0; k <= count; k++) {
            double candidate = rough + 0.8 - k * step;
            sums[k] = residuals(mass, first, last, candidate, baseline.level());
            if (sums[k] < best) {
                best = sums[k];
                at = candidate;
            }
        }
        double variance = Math.max(LEAST_NOISE * LEAST_NOISE, best / Math.max(1, last - first - 3));
        double low = at;
        double high = at;
        for (int k = 0; k <= count; k++) {
            if (sums[k] <= best + variance) {
                low = Math.min(low, rough + 0.8 - k * step);
                high = Math.max(high, rough + 0.8 - k * step);
            }
        }
        double u = Math.hypot(Math.max((high - low) / 2, step / 2), SCALE_RESPONSE_U);
        return new TimedEvent(Math.max(mass.start(), at - SCALE_RESPONSE_SECONDS), Math.min(2, u), "cup mass");
    }

    /** Sum of squares about the best hinge that bends there; the baseline is held. */
    private static double residuals(UniformCurve mass, int first, int last, double bend, double level) {
        double s2 = 0;
        double s3 = 0;
        double s4 = 0;
        double y1 = 0;
        double y2 = 0;
        double yy = 0;
        for (int i = first; i <= last; i++) {
            double y = mass.value(i) - level;
            if (!Double.isFinite(y)) {
                continue;
            }
            double x = Math.max(0, mass.time(i) - bend);
            s2 += x * x;
            s3 += x * x * x;
            s4 += x * x * x * x;
            y1 += x * y;
            y2 += x * x * y;
            yy += y * y;
        }
        double determinant = s2 * s4 - s3 * s3;
        double v = determinant > 0 ? (y1 * s4 - y2 * s3) / determinant : 0;
        double a = determinant > 0 ? (y2 * s2 - y1 * s3) / determinant : 0;
        if (v < 0) {
            v = 0;
            a = s4 > 0 ? y2 / s4 : 0;
        } else if (a < 0) {
            a = 0;
            v = s2 > 0 ? y1 / s2 : 0;
        }
        return yy - 2 * (v * y1 + a * y2) + v * v * s2 + 2 * v * a * s3 + a * a * s4;
    }

    /** Level and noise of the cup mass before the rise, g. */
    private record Baseline(double level, double noise) {

        /** The last six seconds before that index, or the first few values when there is less. */
        static Baseline of(UniformCurve mass, int end) {
            int to = Math.min(mass.size(), Math.max(5, end));
            double[] before = before(mass, to);
            if (before.length == 0) {
                return new Baseline(0, LEAST_NOISE);
            }
            double median = quantile(before, 0.5);
            double spread = quantile(Arrays.stream(before).map(v -> Math.abs(v - median)).toArray(), 0.5);
            double noise = Math.max(LEAST_NOISE, 1.4826 * spread);
            double level = level(before, median, noise);
            return new Baseline(level, noise);
        }

        private static double[] before(UniformCurve mass, int to) {
            int most = (int) Math.ceil(6 / mass.step());
            return Arrays.stream(mass.values().toArray())
                    .limit(to)
                    .skip(Math.max(0, to - most))
                    .filter(Double::isFinite)
                    .toArray();
        }

        private static double level(double[] before, double median, double noise) {
            // A display that moves in steps has the median on a step; the mean of what lies near it is finer.
            return Arrays.stream(before)
                    .filter(v -> Math.abs(v - median) <= 4 * noise)
                    .average()
                    .orElse(median);
        }

        double threshold() {
            return level + Math.max(LEAST_RISE, 4 * noise);
        }
    }

    private static double quantile(double[] values, double share) {
        return OrderStatistic.of(values.clone(), (int) Math.round(share * (values.length - 1)));
    }
}
