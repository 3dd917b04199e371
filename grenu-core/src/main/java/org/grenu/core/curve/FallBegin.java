package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.numbers.LeastSquaresScan;

/**
 * Finds where a curve begins to fall to nothing, by least squares: a straight course up to there, from there a decay
 * from the same height, exponential (a valve that opens, a smoothed meter, a hose that empties), even (pulses
 * counted in a window) or ever slower (shut-in air that goes on pressing). All of the fall is used, so that neither
 * a meter's tail nor noise on the way decides.
 */
public final class FallBegin {

    private static final double[] DECAYS = {0.03, 0.08, 0.15, 0.3, 0.5, 0.8, 1.3, 2.2};
    private static final double[] WINDOWS = {0.15, 0.3, 0.5, 0.8, 1.2};
    private static final double FINEST_SECONDS = 0.05;

    private final double start;
    private final double step;
    private final double[] values;
    /** By sample, Σ over what comes before it of 1, t, t², y, t·y and y², t being the time since the start. */
    private final double[][] course;
    private final FollowingSums[] decays;
    private final double[] squaresAfter;

    private FallBegin(UniformCurve curve, int first, int last) {
        start = curve.time(first);
        step = curve.step();
        values = new double[last - first + 1];
        Arrays.setAll(values, i -> curve.value(first + i));
        course = course(values, step);
        decays = FollowingSums.each(values, step, DECAYS);
        squaresAfter = FollowingSums.squares(values);
    }

    private static double[][] course(double[] values, double step) {
        double[][] sums = new double[values.length + 1][6];
        for (int i = 0; i < values.length; i++) {
            double t = i * step;
            double y = values[i];
            double[] products = Double.isFinite(y) ? new double[] {1, t, t * t, y, t * y, y * y} : new double[6];
            for (int k = 0; k < 6; k++) {
                sums[i + 1][k] = sums[i][k] + products[k];
            }
        }
        return sums;
    }

    /**
     * {@return where it begins to fall, with its uncertainty}
     *
     * @param earliest s
     * @param latest   s
     * @param from     begin of what is looked at, s
     * @param to       its end, s
     */
    public static Optional<TimedEvent> between(UniformCurve curve, double earliest, double latest, double from,
            double to,
            String how) {
        int first = (int) Math.max(0, Math.ceil((from - curve.start()) / curve.step() - 1e-9));
        int last = (int) Math.min(curve.size() - 1, Math.floor((to - curve.start()) / curve.step() + 1e-9));
        if (last - first < 4) {
            return Optional.empty();
        }
        FallBegin fall = new FallBegin(curve, first, last);
        double step = Math.min(FINEST_SECONDS, curve.step() / 2);
        int count = (int) Math.round((latest - earliest) / step);
        int freedom = Math.max(1, last - first - 3);
        LeastSquaresScan scan = LeastSquaresScan.of(earliest, step, count, fall::residuals,
                least -> least / freedom + 1e-9, 1);
        return Optional.of(new TimedEvent(scan.best(), Math.hypot(scan.half(), curve.step() / Math.sqrt(12)), how));
    }

    private double residuals(double begin) {
        int fall = fall(begin);
        Meeting before = new Meeting(course[fall], begin - start);
        double square = squaresAfter[fall];
        double least = Double.POSITIVE_INFINITY;
        for (FollowingSums decay : decays) {
            double height = decay.height(start + fall * step - begin);
            least = Math.min(least,
                    before.residuals(height * height * decay.squares(fall), height * decay.products(fall), square));
        }
        for (double seconds : WINDOWS) {
            least = Math.min(least, evenly(before, fall, begin, seconds));
        }
        return least;
    }

    /** The first sample after the begin. */
    private int fall(double begin) {
        int i = 0;
        while (i < values.length && start + i * step - begin <= 0) {
            i++;
        }
        return i;
    }

    private double evenly(Meeting before, int fall, double begin, double seconds) {
        double hh = 0;
        double hy = 0;
        for (int i = fall; i < values.length && start + i * step - begin < seconds; i++) {
            if (Double.isFinite(values[i])) {
                double height = 1 - (start + i * step - begin) / seconds;
                hh += height * height;
                hy += height * values[i];
            }
        }
        return before.residuals(hh, hy, squaresAfter[fall]);
    }

    /** The best line before and the fall after, which meet: y = h·height + s·before. Of the line, its products. */
    private static final class Meeting {
        private final double n;
        private final double x;
        private final double xx;
        private final double y;
        private final double xy;
        private final double yy;

        /** Moves the line's times to the begin, seconds after the start. */
        Meeting(double[] course, double begin) {
            n = course[0];
            x = course[1] - begin * n;
            xx = course[2] - 2 * begin * course[1] + begin * begin * n;
            y = course[3];
            xy = course[4] - begin * course[3];
            yy = course[5];
        }

        /** Squares left with a fall of these products. */
        double residuals(double fallSquared, double fallTimesValue, double squares) {
            double hh = n + fallSquared;
            double hy = y + fallTimesValue;
            double determinant = hh * xx - x * x;
            double h = determinant > 1e-12 ? (hy * xx - xy * x) / determinant : hh > 0 ? hy / hh : 0;
            double s = determinant > 1e-12 ? (xy * hh - hy * x) / determinant : 0;
            return yy + squares - 2 * (h * hy + s * xy) + h * h * hh + 2 * h * s * x + s * s * xx;
        }
    }
}
