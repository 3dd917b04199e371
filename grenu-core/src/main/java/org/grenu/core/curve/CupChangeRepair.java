package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.grenu.core.numbers.Samples;

/**
 * Follows the cup mass across jumps that no flow can make: a cup that is lifted and comes back to its course, a cup
 * that comes late, a cup that takes over from another, one that is taken away. Excursions shorter than {@value
 * #KNOCK_SECONDS} s are knocks and left to {@link KnockRepair}.
 */
final class CupChangeRepair implements CurveRepair {

    private static final double LEAST_JUMP = 4;
    private static final double FASTEST_FLOW = 15;
    private static final double SETTLING_SECONDS = 0.35;
    private static final double RINGING_SECONDS = 0.28;
    private static final double KNOCK_SECONDS = 0.8;
    private static final double LONGEST_LIFT_SECONDS = 8;
    private static final double STILL = 0.3;
    private static final double STILL_GRAMS = 1;
    private static final double SLOPE_SECONDS = 1.2;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        Samples mass = log.find(Channel.CUP_MASS).orElse(null);
        if (mass == null || mass.size() < 8) {
            return new RepairedLog(log, List.of());
        }
        Course course = new Course(log.time().toArray(), mass.toArray(), settings);
        course.follow();
        boolean changed = course.repairs.stream().anyMatch(Repair::applied);
        return new RepairedLog(changed ? log.with(Channel.CUP_MASS, Samples.of(course.mass)) : log, course.repairs);
    }

    /** A stretch without jumps: first and last index. */
    private record Stretch(int first, int last) {
    }

    private static final class Course {
        private final double[] time;
        private final double[] mass;
        private final CurveSettings settings;
        private final List<Repair> repairs = new ArrayList<>();

        Course(double[] time, double[] mass, CurveSettings settings) {
            this.time = time;
            this.mass = mass;
            this.settings = settings;
        }

        void follow() {
            List<Stretch> stretches = stretches();
            int at = 0;
            while (at + 1 < stretches.size()) {
                Stretch now = stretches.get(at);
                int back = backOnCourse(stretches, at);
                if (back > at) {
                    lifted(now, stretches.get(back));
                    at = back;
                } else {
                    moved(now, stretches.get(at + 1));
                    at++;
                }
            }
        }

        /** Stretches that last no longer than a hand needs to let go are part of the jump. */
        private List<Stretch> stretches() {
            List<Stretch> stretches = new ArrayList<>();
            int first = next(0);
            int last = first;
            for (int i = next(first + 1); i < mass.length; i = next(i + 1)) {
                double step = time[i] - time[last];
                if (Math.abs(mass[i] - mass[last]) > Math.max(LEAST_JUMP, FASTEST_FLOW * step)) {
                    addIfLasting(stretches, first, last);
                    first = i;
                }
                last = i;
            }
            addIfLasting(stretches, first, last);
            return stretches;
        }

        private int next(int from) {
            int i = from;
            while (i < mass.length && !Double.isFinite(mass[i])) {
                i++;
            }
            return i;
        }

        private void addIfLasting(List<Stretch> stretches, int first, int last) {
            if (first < mass.length && last < mass.length && last > first + 1
                    && time[last] - time[first] >= SETTLING_SECONDS) {
                stretches.add(new Stretch(first, last));
            }
        }

        private int backOnCourse(List<Stretch> stretches, int at) {
            Stretch now = stretches.get(at);
            double slope = Math.max(0, slopeBefore(now));
            for (int k = at + 1; k < stretches.size(); k++) {
                Stretch later = stretches.get(k);
                int settled = settled(later);
                double seconds = time[settled] - time[now.last];
                if (time[later.first] - time[now.last] > LONGEST_LIFT_SECONDS) {
                    return -1;
                }
                double off = mass[settled] - mass[now.last];
                double expected = slope * seconds;
                if (off > -1 - 0.3 * expected && off < 2 + 2.5 * expected + 0.8 * seconds) {
                    return k;
                }
            }
            return -1;
        }

        private void lifted(Stretch now, Stretch later) {
            double seconds = time[later.first] - time[now.last];
            if (seconds <= KNOCK_SECONDS) {
                return;
            }
            double furthest = furthestOffCourse(now, later, seconds);
            // A cup that is lifted takes its weight along; what presses on it adds some.
            RepairKind kind = furthest > 0 ? RepairKind.SCALE_KNOCK : RepairKind.CUP_LIFTED;
            boolean applied = settings.applies(kind);
            repairs.add(new Repair(kind, time[now.last], time[later.first], String.format(Locale.ROOT,
                    "%+.1f g for %.1f s, then back on course", furthest, seconds).replace('-', '\u2212'), applied));
            for (int i = now.last + 1; i < later.first && applied; i++) {
                mass[i] = course(now, later, i, seconds);
            }
        }

        private double course(Stretch now, Stretch later, int i, double seconds) {
            return mass[now.last] + (mass[later.first] - mass[now.last]) * (time[i] - time[now.last]) / seconds;
        }

        private double furthestOffCourse(Stretch now, Stretch later, double seconds) {
            double furthest = 0;
            for (int i = now.last + 1; i < later.first; i++) {
                double off = mass[i] - course(now, later, i, seconds);
                furthest = Math.abs(off) > Math.abs(furthest) ? off : furthest;
            }
            return furthest;
        }

        /** Whether less than nothing stands on the scale after that, to the end of the log. */
        private boolean takenAway(Stretch later) {
            return next(later.last + 1) >= mass.length && mass[settled(later)] < -STILL_GRAMS
                    && Math.abs(mass[later.last] - mass[settled(later)]) < STILL_GRAMS;
        }

        private void moved(Stretch now, Stretch later) {
            boolean before = Math.abs(slopeBefore(now)) < STILL && mass[now.last] - mass[now.first] < 1;
            RepairKind kind = before ? RepairKind.CUP_PLACED
                    : takenAway(later) ? RepairKind.CUP_TAKEN : RepairKind.VESSEL_SWAP;
            double seconds = time[later.first] - time[now.last];
            int settled = settled(later);
            double by = mass[settled] - mass[now.last]
                    - (before ? 0 : Math.max(0, slopeBefore(now)) * (time[settled] - time[now.last]));
            boolean applied = settings.applies(kind);
            repairs.add(new Repair(kind, time[now.last], time[later.first], String.format(Locale.ROOT,
                    "%+.1f g within %.1f s", by, seconds).replace('-', '\u2212'), applied));
            if (!applied) {
                return;
            }
            for (int i = 0; i < mass.length; i++) {
                if (before && i <= now.last) {
                    mass[i] += by;
                } else if (!before && i >= later.first) {
                    mass[i] -= by;
                }
            }
            for (int i = now.last + 1; i < settled; i++) {
                mass[i] = mass[now.last] + (mass[settled] - mass[now.last]) * (time[i] - time[now.last])
                        / (time[settled] - time[now.last]);
            }
        }

        /** The first sample of a stretch at which the jump no longer rings. */
        private int settled(Stretch stretch) {
            int i = stretch.first;
            while (i < stretch.last && time[i] - time[stretch.first] < RINGING_SECONDS) {
                i++;
            }
            return i;
        }

        /** Slope of the last second or so of that stretch, g/s. */
        private double slopeBefore(Stretch stretch) {
            int from = stretch.last;
            while (from > stretch.first && time[stretch.last] - time[from] < SLOPE_SECONDS) {
                from--;
            }
            return from == stretch.last ? 0 : (mass[stretch.last] - mass[from]) / (time[stretch.last] - time[from]);
        }
    }
}
