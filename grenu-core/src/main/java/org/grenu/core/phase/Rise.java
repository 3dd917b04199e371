package org.grenu.core.phase;

import org.grenu.core.curve.SavitzkyGolay;
import org.grenu.core.curve.UniformCurve;

/**
 * The last rise of the pressure to its height.
 *
 * @param begin   where it leaves the low pressure before it, s
 * @param reached where it has come within a twentieth of the height at which it comes to its end, s
 */
record Rise(double begin, double reached) {

    private static final double SMOOTH_SECONDS = 0.5;
    private static final double SLOPE_SECONDS = 0.2;
    private static final double LOOK_AHEAD_SECONDS = 0.5;
    private static final double HIGH = 0.7;
    private static final double LOW = 0.45;
    /** A height that lasts shorter, with another one to come, is the group filling before a pause. */
    private static final double SHORTEST_HEIGHT_SECONDS = 4;
    private static final double STILL_RISING = 0.2;
    private static final double STILL_RISING_SHARE = 0.1;
    private static final double SLOWER_SHARE = 0.3;
    private static final double REACHED = 0.95;
    private static final double BEGIN_SHARE = 0.12;
    private static final double BEGIN_SECONDS = 0.4;
    private static final double FOOT_SECONDS = 0.5;

    /**
     * {@return the rise, which begins no earlier than {@code onset}; it ends at the curve's end when it never slows}
     */
    static Rise of(UniformCurve pressure, double onset, double peak) {
        return new Search(pressure, onset, peak).rise();
    }

    /** The search on one curve. */
    private static final class Search {
        private final UniformCurve smooth;
        private final double[] slopes;
        private final double peak;
        private final int first;

        Search(UniformCurve pressure, double onset, double peak) {
            this.smooth = SavitzkyGolay.spanning(SMOOTH_SECONDS, pressure.step(), 2).smooth(pressure);
            this.peak = peak;
            this.first = Math.max(0, Math.min(pressure.size() - 1,
                    (int) Math.round((onset - pressure.start()) / pressure.step())));
            int half = Math.max(1, (int) Math.round(SLOPE_SECONDS / pressure.step()));
            slopes = new double[pressure.size()];
            for (int i = 0; i < slopes.length; i++) {
                int from = Math.max(0, i - half);
                int to = Math.min(slopes.length - 1, i + half);
                slopes[i] = to > from ? (smooth.value(to) - smooth.value(from)) / ((to - from) * pressure.step()) : 0;
            }
        }

        Rise rise() {
            int crossing = crossing();
            double steepest = steepest(crossing);
            int begin = begin(crossing, steepest);
            int end = end(crossing, Math.max(STILL_RISING, STILL_RISING_SHARE * steepest));
            if (end < 0) {
                end = end(crossing, SLOWER_SHARE * steepest);
            }
            double level = end < 0 ? peak : smooth.value(end);
            int reached = begin;
            while (reached < smooth.size() - 1 && !(smooth.value(reached) >= REACHED * level)) {
                reached++;
            }
            return new Rise(begin <= first ? smooth.time(first) : foot(begin), smooth.time(reached));
        }

        /** Where the rise, followed back along its first half second, meets what was before it. */
        private double foot(int begin) {
            int half = (int) Math.max(1, Math.round(FOOT_SECONDS / smooth.step()));
            int up = Math.min(smooth.size() - 1, begin + half);
            double before = smooth.value(Math.max(first, begin - half));
            double slope = (smooth.value(up) - smooth.value(begin)) / (up - begin);
            double back = slope > 0 ? (smooth.value(begin) - before) / slope : 0;
            return smooth.time(begin) - Math.max(-half, Math.min(half, back)) * smooth.step();
        }

        /** The first step above the height's half that lasts, or the last one. */
        private int crossing() {
            int last = first;
            int i = first;
            while (i < smooth.size()) {
                while (i < smooth.size() && !(smooth.value(i) > HIGH * peak)) {
                    i++;
                }
                if (i == smooth.size()) {
                    return last;
                }
                last = i;
                while (i < smooth.size() && !(smooth.value(i) < LOW * peak)) {
                    i++;
                }
                if ((i - last) * smooth.step() >= SHORTEST_HEIGHT_SECONDS) {
                    return last;
                }
            }
            return last;
        }

        /** From where the pressure last lay low to a second after it is high. */
        private double steepest(int crossing) {
            int i = crossing;
            double steepest = 0;
            while (i >= first && (smooth.value(i) > 0.2 * peak || i == crossing)) {
                steepest = Math.max(steepest, slopes[i]);
                i--;
            }
            int ahead = Math.min(slopes.length, crossing + (int) Math.round(1 / smooth.step()));
            for (i = crossing; i < ahead; i++) {
                steepest = Math.max(steepest, slopes[i]);
            }
            return steepest;
        }

        /** Back down the rise to where the pressure stood still or still fell. */
        private int begin(int crossing, double steepest) {
            int calm = Math.max(1, (int) Math.round(BEGIN_SECONDS / smooth.step()));
            int begin = crossing;
            int still = 0;
            for (int i = crossing; i >= first && still < calm; i--) {
                boolean rising = slopes[i] > BEGIN_SHARE * steepest;
                begin = rising ? i : begin;
                still = rising ? 0 : still + 1;
            }
            return begin;
        }

        private int end(int crossing, double slow) {
            int ahead = Math.max(1, (int) Math.round(LOOK_AHEAD_SECONDS / smooth.step()));
            for (int i = crossing; i + ahead < smooth.size(); i++) {
                if (slopes[i] < slow && (smooth.value(i + ahead) - smooth.value(i)) / (ahead * smooth.step()) < slow) {
                    return i;
                }
            }
            return -1;
        }
    }
}
