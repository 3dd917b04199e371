package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.grenu.core.numbers.OrderStatistic;
import org.grenu.core.numbers.Samples;

/**
 * Finds short excursions of the cup mass and bridges them.
 *
 * <p>A cup that fills only rises, and the running median of a rising curve is the curve itself, however bent. What
 * stands off the running median (over {@value RunningMedian#WINDOW_SECONDS} s) by more than the noise allows is
 * therefore a knock or a spike, never the shot. The limit is the largest of {@value #SMALLEST_GRAMS} g,
 * {@value #STAIRS} stairs of a slow scale and six robust standard deviations of the residuals (1.4826 · MAD).
 *
 * <p>A long knock pulls the running median along, so that its neighbours seem to stand off too. Hence a second look:
 * the suspects are bridged, and every sample is held against the running median of the bridged curve.
 */
final class KnockRepair implements CurveRepair {

    private static final double SMALLEST_GRAMS = 0.8;
    private static final double STAIRS = 2;
    /** A knock rings on either side of its peak; this much beside it is bridged with it. */
    private static final double SHOULDER_SECONDS = 0.15;
    /** Excursions closer than this are one knock, still ringing. */
    private static final double RINGING_SECONDS = 0.5;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        boolean apply = settings.applies(RepairKind.SCALE_KNOCK);
        Samples mass = log.find(Channel.CUP_MASS).orElse(null);
        if (mass == null || mass.size() < 7) {
            return new RepairedLog(log, List.of());
        }
        double[] time = IntStream.range(0, mass.size())
                .filter(i -> Double.isFinite(mass.get(i)))
                .mapToDouble(log.time()::get)
                .toArray();
        double[] values = Arrays.stream(mass.toArray()).filter(Double::isFinite).toArray();
        if (values.length < 7) {
            return new RepairedLog(log, List.of());
        }
        RunningMedian running = new RunningMedian(time);
        double[] median = running.of(values);
        double[] bridged = values.clone();
        double stairs = STAIRS * usualStep(values);
        for (int[] suspect : stretches(time, offCurve(time, less(values, median), stairs))) {
            bridge(time, bridged, suspect[0], suspect[1]);
        }
        double[] residual = less(values, running.of(bridged));
        bridged = values.clone();
        List<Repair> repairs = new ArrayList<>();
        for (int[] stretch : stretches(time, offCurve(time, residual, stairs))) {
            repairs.add(describe(time, residual, stretch[0], stretch[1], apply));
            bridge(time, bridged, stretch[0], stretch[1]);
        }
        boolean changed = apply && !repairs.isEmpty();
        return new RepairedLog(changed ? log.with(Channel.CUP_MASS, inPlace(mass, bridged)) : log, repairs);
    }

    /** Missing samples stay missing. */
    private static Samples inPlace(Samples mass, double[] known) {
        double[] values = mass.toArray();
        int next = 0;
        for (int i = 0; i < values.length; i++) {
            values[i] = Double.isFinite(values[i]) ? known[next++] : values[i];
        }
        return Samples.of(values);
    }

    /**
     * First and last index of each excursion; those that touch an end of the log cannot be bridged and are left
     * out.
     */
    private static List<int[]> stretches(double[] time, boolean[] off) {
        List<int[]> stretches = new ArrayList<>();
        for (int i = 0; i < off.length; i++) {
            if (off[i]) {
                int end = endOf(time, off, i);
                if (i > 0 && end + 1 < off.length) {
                    stretches.add(new int[] {i, end});
                }
                i = end;
            }
        }
        return stretches;
    }

    private static int endOf(double[] time, boolean[] off, int i) {
        int end = i;
        for (int j = i; j < off.length && time[j] - time[end] <= RINGING_SECONDS; j++) {
            end = off[j] ? j : end;
        }
        return end;
    }

    private Repair describe(double[] time, double[] residual, int from, int to, boolean apply) {
        double largest = 0;
        for (int i = from; i <= to; i++) {
            if (Math.abs(residual[i]) > Math.abs(largest)) {
                largest = residual[i];
            }
        }
        String evidence = String.format(Locale.ROOT, "%+.1f g for %.1f s, then back on course",
                largest, time[to] - time[from]).replace('-', '\u2212');
        return new Repair(RepairKind.SCALE_KNOCK, time[from], time[to], evidence, apply);
    }

    private static void bridge(double[] time, double[] values, int from, int to) {
        double left = values[from - 1];
        double right = values[to + 1];
        double span = time[to + 1] - time[from - 1];
        for (int i = from; i <= to; i++) {
            values[i] = left + (right - left) * (time[i] - time[from - 1]) / span;
        }
    }

    /**
     * {@return the height that nine in ten stairs of the cup mass stay below, g} A scale that is slower than the log
     * rises in stairs: one of them is no knock.
     */
    private static double usualStep(double[] values) {
        double[] steps = IntStream.range(1, values.length)
                .mapToDouble(i -> values[i] - values[i - 1])
                .filter(step -> step > 0)
                .toArray();
        return steps.length == 0 ? 0 : OrderStatistic.of(steps, (int) (0.9 * (steps.length - 1)));
    }

    private static boolean[] offCurve(double[] time, double[] residual, double stairs) {
        double[] sizes = Arrays.stream(residual).filter(Double::isFinite).map(Math::abs).toArray();
        double noise = sizes.length == 0 ? 0 : 1.4826 * OrderStatistic.of(sizes, sizes.length / 2);
        double limit = Math.max(Math.max(SMALLEST_GRAMS, stairs), 6 * noise);
        boolean[] off = new boolean[residual.length];
        for (int i = 0; i < residual.length; i++) {
            if (Math.abs(residual[i]) > limit) {
                markAround(i, time, off);
            }
        }
        return off;
    }

    private static void markAround(int i, double[] time, boolean[] off) {
        for (int j = i; j >= 0 && time[i] - time[j] <= SHOULDER_SECONDS; j--) {
            off[j] = true;
        }
        for (int j = i; j < off.length && time[j] - time[i] <= SHOULDER_SECONDS; j++) {
            off[j] = true;
        }
    }

    private static double[] less(double[] values, double[] medians) {
        double[] residual = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            residual[i] = values[i] - medians[i];
        }
        return residual;
    }
}
