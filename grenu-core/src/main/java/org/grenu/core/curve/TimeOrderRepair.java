package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.grenu.core.numbers.OrderStatistic;
import org.grenu.core.numbers.Samples;

/**
 * Makes times increase strictly, which everything after it relies on. A step backward that the clock makes good
 * within
 * a few samples is disorder; one that it does not make good is a clock that started again.
 */
final class TimeOrderRepair implements CurveRepair {

    private static final int DISORDER_SAMPLES = 5;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        double[] time = log.time().toArray();
        double step = medianStep(time);
        List<Repair> repairs = new ArrayList<>();
        int repeated = 0;
        int backward = 0;
        double first = Double.NaN;
        double last = Double.NaN;
        for (int i = 1; i < time.length; i++) {
            if (time[i] > time[i - 1]) {
                continue;
            }
            int back = time[i] == time[i - 1] ? i : caughtUp(time, i);
            if (back < 0) {
                Repair reset = reset(time, i, settings.applies(RepairKind.CLOCK_RESET));
                repairs.add(reset);
                if (!reset.applied()) {
                    log = cut(log, i);
                    time = Arrays.copyOf(time, i);
                } else {
                    shift(time, i, time[i - 1] + step - time[i]);
                }
                continue;
            }
            repeated += time[i] == time[i - 1] ? 1 : 0;
            backward += time[i] < time[i - 1] ? 1 : 0;
            first = Double.isNaN(first) ? time[i - 1] : first;
            last = time[i - 1];
            if (time[i] < time[i - 1] && settings.applies(RepairKind.TIME_ORDER)) {
                between(time, i, back);
            }
        }
        if (repeated + backward > 0) {
            repairs.add(0, new Repair(RepairKind.TIME_ORDER, first, Math.max(first, last), String.format(Locale.ROOT,
                    "%d repeated and %d backward timestamps", repeated, backward),
                    settings.applies(RepairKind.TIME_ORDER)));
        }
        return repairs.isEmpty() ? new RepairedLog(log, List.of())
                : new RepairedLog(keepIncreasing(log, time), repairs);
    }

    /**
     * {@return the next sample later than the one before the step, or −1 when the clock does not make the step
     * good}
     */
    private static int caughtUp(double[] time, int at) {
        for (int j = at + 1; j <= Math.min(time.length - 1, at + DISORDER_SAMPLES); j++) {
            if (time[j] > time[at - 1]) {
                return j;
            }
        }
        return -1;
    }

    private static Repair reset(double[] time, int at, boolean applied) {
        return new Repair(RepairKind.CLOCK_RESET, time[at - 1], time[at - 1], String.format(Locale.ROOT,
                "the clock fell from %.1f s to %.1f s and went on from there", time[at - 1], time[at]), applied);
    }

    private static void between(double[] time, int from, int to) {
        double start = time[from - 1];
        double width = time[to] - start;
        int count = to - from + 1;
        for (int i = from; i < to; i++) {
            time[i] = start + width * (i - from + 1) / count;
        }
    }

    private static void shift(double[] time, int from, double by) {
        for (int i = from; i < time.length; i++) {
            time[i] += by;
        }
    }

    static double medianStep(double[] time) {
        double[] steps = new double[Math.max(0, time.length - 1)];
        int n = 0;
        for (int i = 1; i < time.length; i++) {
            if (time[i] > time[i - 1]) {
                steps[n++] = time[i] - time[i - 1];
            }
        }
        return n == 0 ? 0.1 : OrderStatistic.of(Arrays.copyOf(steps, n), n / 2);
    }

    private static ShotLog cut(ShotLog log, int size) {
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        log.channels()
                .forEach((channel, samples) -> channels.put(channel,
                        Samples.of(Arrays.copyOf(samples.toArray(), size))));
        return new ShotLog(Samples.of(Arrays.copyOf(log.time().toArray(), size)), channels);
    }

    /** Of samples with one time the last is kept; samples that would run backward are left out. */
    private static ShotLog keepIncreasing(ShotLog log, double[] time) {
        List<Integer> kept = new ArrayList<>();
        for (int i = 0; i < time.length; i++) {
            int lastKept = kept.isEmpty() ? -1 : kept.get(kept.size() - 1);
            if (lastKept < 0 || time[i] > time[lastKept]) {
                kept.add(i);
            } else if (time[i] == time[lastKept]) {
                kept.set(kept.size() - 1, i);
            }
        }
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        log.channels().forEach((channel, samples) -> channels.put(channel, pick(samples.toArray(), kept)));
        return new ShotLog(pick(time, kept), channels);
    }

    private static Samples pick(double[] values, List<Integer> indices) {
        return Samples.of(indices.stream().mapToDouble(i -> values[i]).toArray());
    }
}
