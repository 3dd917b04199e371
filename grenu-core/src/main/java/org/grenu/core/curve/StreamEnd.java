package org.grenu.core.curve;

import java.util.Optional;

/**
 * Finds until when the cup fills along its line after the pump has stopped, by least squares: a line up to there, from
 * there a stream that thins, m = a + v·τ·(1 − exp(−x/τ)), which begins with the line's slope.
 */
final class StreamEnd {

    private static final double[] THINS = {0.05, 0.15, 0.3, 0.5, 0.8, 1.2, 1.8, 2.6, 4};
    private static final double BEFORE_SECONDS = 2.5;
    private static final double AFTER_SECONDS = 5;
    private static final double STEP_SECONDS = 0.05;
    private static final double LEAST_NOISE = 0.03;

    private StreamEnd() {
    }

    /** {@return until when; empty when too little of it was logged} */
    static Optional<TimedEvent> after(UniformCurve cup, double stop, double longest) {
        double to = Math.min(cup.end(), stop + AFTER_SECONDS);
        int first = (int) Math.max(0, Math.ceil((stop - BEFORE_SECONDS - cup.start()) / cup.step()));
        int last = (int) Math.floor((to - cup.start()) / cup.step() + 1e-9);
        if (last - first < 12) {
            return Optional.empty();
        }
        int count = (int) Math.round((Math.min(longest, to - stop) + 0.5) / STEP_SECONDS);
        double[] sums = new double[count + 1];
        int best = 0;
        for (int k = 0; k <= count; k++) {
            sums[k] = residuals(cup, first, last, stop - 0.5 + k * STEP_SECONDS);
            best = sums[k] < sums[best] ? k : best;
        }
        double variance = Math.max(LEAST_NOISE * LEAST_NOISE, sums[best] / (last - first - 3));
        int low = best;
        int high = best;
        for (int k = 0; k <= count; k++) {
            if (sums[k] <= sums[best] + 2 * variance) {
                low = Math.min(low, k);
                high = Math.max(high, k);
            }
        }
        return Optional.of(new TimedEvent(stop - 0.5 + best * STEP_SECONDS, (high - low) / 2.0 * STEP_SECONDS,
                "cup mass"));
    }

    private static double residuals(UniformCurve cup, int first, int last, double end) {
        double least = Double.POSITIVE_INFINITY;
        for (double thins : THINS) {
            least = Math.min(least, residuals(cup, first, last, end, thins));
        }
        return least;
    }

    private static double residuals(UniformCurve cup, int first, int last, double end, double thins) {
        double n = 0;
        double sx = 0;
        double sxx = 0;
        double sy = 0;
        double sxy = 0;
        double syy = 0;
        double level = cup.value(first);
        for (int i = first; i <= last; i++) {
            double y = cup.value(i) - level;
            if (Double.isFinite(y)) {
                double since = cup.time(i) - end;
                double x = since <= 0 ? since : thins * (1 - Math.exp(-since / thins));
                n++;
                sx += x;
                sxx += x * x;
                sy += y;
                sxy += x * y;
                syy += y * y;
            }
        }
        double slope = (n * sxy - sx * sy) / (n * sxx - sx * sx);
        return syy - sy * sy / n - slope * (sxy - sx * sy / n);
    }
}
