package org.grenu.core.curve;

import org.grenu.core.numbers.LeastSquaresScan;
import org.grenu.core.numbers.StraightLine;
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
        LeastSquaresScan scan = LeastSquaresScan.of(stop - 0.5, STEP_SECONDS, count,
                end -> residuals(cup, first, last, end),
                least -> Math.max(LEAST_NOISE * LEAST_NOISE, least / (last - first - 3)), 2);
        return Optional.of(new TimedEvent(scan.best(), scan.half(), "cup mass"));
    }

    private static double residuals(UniformCurve cup, int first, int last, double end) {
        double least = Double.POSITIVE_INFINITY;
        for (double thins : THINS) {
            least = Math.min(least, residuals(cup, first, last, end, thins));
        }
        return least;
    }

    private static double residuals(UniformCurve cup, int first, int last, double end, double thins) {
        StraightLine line = new StraightLine();
        double level = cup.value(first);
        for (int i = first; i <= last; i++) {
            double since = cup.time(i) - end;
            line.add(since <= 0 ? since : thins * (1 - Math.exp(-since / thins)), cup.value(i) - level);
        }
        return line.residuals();
    }
}
