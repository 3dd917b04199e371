package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.grenu.core.numbers.Samples;

/**
 * Finds a scale that sends one and the same value while coffee flows. When it catches up, the cup mass between
 * follows
 * the pump, or a straight line where no pump flow is logged; when it does not, the cup mass from there on is unknown.
 */
final class ScaleFreezeRepair implements CurveRepair {

    private static final double LEAST_SECONDS = 1.5;
    private static final int LEAST_SAMPLES = 6;
    private static final double SLOPE_SECONDS = 1.5;
    private static final double FLOWING = 0.5;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        Samples mass = log.find(Channel.CUP_MASS).orElse(null);
        if (mass == null || mass.size() < 3 * LEAST_SAMPLES) {
            return new RepairedLog(log, List.of());
        }
        double[] time = log.time().toArray();
        double[] values = mass.toArray();
        List<Repair> found = new ArrayList<>();
        for (int i = 1; i < values.length; i++) {
            int end = i;
            while (end + 1 < values.length && values[end + 1] == values[i]) {
                end++;
            }
            if (end - i + 1 >= LEAST_SAMPLES && time[end] - time[i] >= LEAST_SECONDS) {
                frozen(log, values, i, end, settings, found);
            }
            i = end;
        }
        return new RepairedLog(found.isEmpty() ? log : log.with(Channel.CUP_MASS, Samples.of(values)), found);
    }

    private static void frozen(ShotLog log, double[] values, int from, int to, CurveSettings settings,
            List<Repair> found) {
        double[] time = log.time().toArray();
        double before = slope(time, values, from - 1, -1);
        if (!(before > FLOWING)) {
            return;
        }
        double held = time[to] - time[from];
        if (to == values.length - 1) {
            timedOut(log, values, from, settings, found, held);
            return;
        }
        double jump = values[to + 1] - values[to];
        // Caught up: the jump is about what had flowed meanwhile, far more than one sample's flow.
        if (jump > Math.max(1, 0.3 * before * held) && jump < 4 * before * held + 5) {
            boolean applied = settings.applies(RepairKind.SCALE_FROZEN);
            found.add(new Repair(RepairKind.SCALE_FROZEN, time[from], time[to + 1], String.format(Locale.ROOT,
                    "%.1f g for %.1f s, then %+.1f g at once", values[from], held, jump), applied));
            if (applied) {
                follow(log, values, from, to + 1);
            }
        }
    }

    /** Until the end: either zeros, or the pump still ran while nothing seemed to arrive. */
    private static void timedOut(ShotLog log, double[] values, int from, CurveSettings settings, List<Repair> found,
            double held) {
        double[] time = log.time().toArray();
        boolean zeros = values[from] == 0 && values[from - 1] > 2;
        boolean pumping = PumpShare.after(log, time[from]) > 1.5;
        if (!zeros && !pumping) {
            return;
        }
        boolean applied = settings.applies(RepairKind.SCALE_TIMED_OUT);
        found.add(new Repair(RepairKind.SCALE_TIMED_OUT, time[from], time[time.length - 1], String.format(Locale.ROOT,
                "%.1f g for the last %.1f s while coffee flowed", values[from], held), applied));
        if (applied) {
            Arrays.fill(values, from, values.length, Double.NaN);
        }
    }

    private static void follow(ShotLog log, double[] values, int from, int to) {
        double[] share = PumpShare.between(log, from, to);
        double start = values[from];
        double end = values[to];
        for (int i = from; i < to; i++) {
            values[i] = start + (end - start) * share[i - from];
        }
    }

    /** Slope over a second and a half before that sample, g/s. */
    private static double slope(double[] time, double[] values, int at, int direction) {
        int other = at;
        while (other + direction >= 0 && other + direction < values.length
                && Math.abs(time[other] - time[at]) < SLOPE_SECONDS) {
            other += direction;
        }
        return other == at ? 0 : (values[at] - values[other]) / (time[at] - time[other]);
    }
}
