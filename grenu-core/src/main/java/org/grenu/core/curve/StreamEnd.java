package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.numbers.LeastSquaresScan;
import org.grenu.core.numbers.StraightLine;

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

    private final double start;
    private final double step;
    /** Above the first, so that the squares stay small. */
    private final double[] values;
    private final FollowingSums[] thins;
    private final FollowingSums even;
    private final double[] squares;

    private StreamEnd(UniformCurve cup, int first, int last) {
        start = cup.time(first);
        step = cup.step();
        values = new double[last - first + 1];
        Arrays.setAll(values, i -> cup.value(first + i) - cup.value(first));
        thins = FollowingSums.each(values, step, THINS);
        even = new FollowingSums(values, step, Double.POSITIVE_INFINITY);
        squares = FollowingSums.squares(values);
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
                new StreamEnd(cup, first, last)::residuals,
                least -> Math.max(LEAST_NOISE * LEAST_NOISE, least / (last - first - 3)), 2);
        return Optional.of(new TimedEvent(scan.best(), scan.half(), "cup mass"));
    }

    private double residuals(double end) {
        StraightLine along = new StraightLine();
        int thin = 0;
        while (thin < values.length && start + thin * step - end <= 0) {
            along.add(start + thin * step - end, values[thin]);
            thin++;
        }
        double least = Double.POSITIVE_INFINITY;
        for (FollowingSums way : thins) {
            StraightLine line = new StraightLine(along);
            addThinning(line, way, thin, start + thin * step - end);
            least = Math.min(least, line.residuals());
        }
        return least;
    }

    /** Values over τ·(1 − exp(−x/τ)), all from that sample on. */
    private void addThinning(StraightLine line, FollowingSums way, int from, double since) {
        double tau = way.seconds();
        double height = way.height(since);
        double n = even.heights(from);
        double sy = even.products(from);
        double heights = height * way.heights(from);
        line.addSums(n, tau * (n - heights), sy,
                tau * tau * (n - 2 * heights + height * height * way.squares(from)),
                tau * (sy - height * way.products(from)), squares[from]);
    }
}
