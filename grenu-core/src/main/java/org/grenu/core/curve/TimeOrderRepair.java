package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Makes times increase strictly, which everything after it relies on. */
final class TimeOrderRepair implements CurveRepair {

    @Override
    public RepairKind kind() {
        return RepairKind.TIME_ORDER;
    }

    @Override
    public RepairedLog repair(ShotLog log, boolean apply) {
        double[] time = log.time().toArray();
        int repeated = 0;
        int backward = 0;
        double first = Double.NaN;
        double last = Double.NaN;
        for (int i = 1; i < time.length; i++) {
            if (time[i] <= time[i - 1]) {
                repeated += time[i] == time[i - 1] ? 1 : 0;
                backward += time[i] < time[i - 1] ? 1 : 0;
                first = Double.isNaN(first) ? time[i - 1] : first;
                last = time[i - 1];
            }
        }
        if (repeated + backward == 0) {
            return new RepairedLog(log, List.of());
        }
        double[] ordered = apply ? continued(time) : time;
        String evidence = String.format(Locale.ROOT, "%d repeated and %d backward timestamps", repeated, backward);
        Repair repair = new Repair(kind(), first, Math.max(first, last), evidence, apply);
        return new RepairedLog(keepIncreasing(log, ordered), List.of(repair));
    }

    /** After a backward step the clock goes on from where it was, by the log's median step. */
    private static double[] continued(double[] time) {
        double[] steps = new double[time.length - 1];
        for (int i = 1; i < time.length; i++) {
            steps[i - 1] = time[i] - time[i - 1];
        }
        double median = Arrays.stream(steps).filter(s -> s > 0).sorted().skip(countPositive(steps) / 2)
                .findFirst().orElse(0.1);
        double[] ordered = time.clone();
        double shift = 0;
        for (int i = 1; i < time.length; i++) {
            if (time[i] < time[i - 1]) {
                shift += time[i - 1] - time[i] + median;
            }
            ordered[i] = time[i] + shift;
        }
        return ordered;
    }

    private static long countPositive(double[] steps) {
        return Arrays.stream(steps).filter(s -> s > 0).count();
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
