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
    /** By decay, by how much it falls from sample to sample. */
    private final double[] ratios = new double[DECAYS.length];

    private FallBegin(UniformCurve curve, int first, int last) {
        start = curve.time(first);
        step = curve.step();
        values = new double[last - first + 1];
        Arrays.setAll(values, i -> curve.value(first + i));
        Arrays.setAll(ratios, i -> Math.exp(-step / DECAYS[i]));
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
        Meeting before = new Meeting();
        int fall = before(begin, before);
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < DECAYS.length; i++) {
            least = Math.min(least, decaying(before, fall, begin, i));
        }
        for (double seconds : WINDOWS) {
            least = Math.min(least, evenly(before, fall, begin, seconds));
        }
        return least;
    }

    /** The straight course, of which the fall begins: the same for every way to fall. */
    private int before(double begin, Meeting course) {
        int i = 0;
        while (i < values.length && start + i * step - begin <= 0) {
            course.add(1, start + i * step - begin, values[i]);
            i++;
        }
        return i;
    }

    /** An exponential from sample to sample is a factor: to ask for each anew took a sixth of an analysis. */
    private double decaying(Meeting course, int fall, double begin, int decay) {
        Meeting meeting = new Meeting(course);
        double height = Math.exp(-(start + fall * step - begin) / DECAYS[decay]);
        for (int i = fall; i < values.length; i++) {
            meeting.addFall(height, values[i]);
            height *= ratios[decay];
        }
        return meeting.residuals();
    }

    private double evenly(Meeting course, int fall, double begin, double seconds) {
        Meeting meeting = new Meeting(course);
        for (int i = fall; i < values.length; i++) {
            meeting.addFall(Math.max(0, 1 - (start + i * step - begin) / seconds), values[i]);
        }
        return meeting.residuals();
    }

    /** The best line before and the fall after, which meet: y = h·height + s·before. */
    private static final class Meeting {
        private double hh;
        private double hx;
        private double xx;
        private double hy;
        private double xy;
        private double yy;

        Meeting() {
        }

        Meeting(Meeting other) {
            hh = other.hh;
            hx = other.hx;
            xx = other.xx;
            hy = other.hy;
            xy = other.xy;
            yy = other.yy;
        }

        void add(double height, double before, double y) {
            if (Double.isFinite(y)) {
                hh += height * height;
                hx += height * before;
                xx += before * before;
                hy += height * y;
                xy += before * y;
                yy += y * y;
            }
        }

        /** The same with nothing of the straight course. */
        void addFall(double height, double y) {
            if (Double.isFinite(y)) {
                hh += height * height;
                hy += height * y;
                yy += y * y;
            }
        }

        double residuals() {
            double determinant = hh * xx - hx * hx;
            double h = determinant > 1e-12 ? (hy * xx - xy * hx) / determinant : hh > 0 ? hy / hh : 0;
            double s = determinant > 1e-12 ? (xy * hh - hy * hx) / determinant : 0;
            return yy - 2 * (h * hy + s * xy) + h * h * hh + 2 * h * s * hx + s * s * xx;
        }
    }
}
