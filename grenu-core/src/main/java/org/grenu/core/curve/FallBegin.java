package org.grenu.core.curve;

import org.grenu.core.numbers.LeastSquaresScan;
import java.util.Optional;

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

    private final UniformCurve curve;
    private final int first;
    private final int last;

    private FallBegin(UniformCurve curve, double from, double to) {
        this.curve = curve;
        this.first = (int) Math.max(0, Math.ceil((from - curve.start()) / curve.step() - 1e-9));
        this.last = (int) Math.min(curve.size() - 1, Math.floor((to - curve.start()) / curve.step() + 1e-9));
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
        FallBegin fall = new FallBegin(curve, from, to);
        if (fall.last - fall.first < 4) {
            return Optional.empty();
        }
        double step = Math.min(FINEST_SECONDS, curve.step() / 2);
        int count = (int) Math.round((latest - earliest) / step);
        int freedom = Math.max(1, fall.last - fall.first - 3);
        LeastSquaresScan scan = LeastSquaresScan.of(earliest, step, count, fall::residuals,
                least -> least / freedom + 1e-9, 1);
        return Optional.of(new TimedEvent(scan.best(), Math.hypot(scan.half(), curve.step() / Math.sqrt(12)), how));
    }

    private double residuals(double begin) {
        double least = Double.POSITIVE_INFINITY;
        for (double seconds : DECAYS) {
            least = Math.min(least, residuals(begin, seconds, false));
        }
        for (double seconds : WINDOWS) {
            least = Math.min(least, residuals(begin, seconds, true));
        }
        return least;
    }

    /** Sum of squares about the best line before and that decay after, which meet. */
    private double residuals(double begin, double seconds, boolean even) {
        double hh = 0;
        double hx = 0;
        double xx = 0;
        double hy = 0;
        double xy = 0;
        double yy = 0;
        for (int i = first; i <= last; i++) {
            double y = curve.value(i);
            if (!Double.isFinite(y)) {
                continue;
            }
            double x = curve.time(i) - begin;
            double height = x <= 0 ? 1 : even ? Math.max(0, 1 - x / seconds) : Math.exp(-x / seconds);
            double before = Math.min(0, x);
            hh += height * height;
            hx += height * before;
            xx += before * before;
            hy += height * y;
            xy += before * y;
            yy += y * y;
        }
        double determinant = hh * xx - hx * hx;
        double h = determinant > 1e-12 ? (hy * xx - xy * hx) / determinant : hh > 0 ? hy / hh : 0;
        double s = determinant > 1e-12 ? (xy * hh - hy * hx) / determinant : 0;
        return yy - 2 * (h * hy + s * xy) + h * h * hh + 2 * h * s * hx + s * s * xx;
    }
}
