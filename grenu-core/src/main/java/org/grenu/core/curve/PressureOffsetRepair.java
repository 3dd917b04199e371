package org.grenu.core.curve;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.grenu.core.numbers.Samples;

/**
 * Subtracts the pressure that the sensor shows at rest. Rest is the log's last second, when it lies still, the
 * pressure
 * has fallen to it from a height, no pump flows, and nothing in the log lies below it.
 */
final class PressureOffsetRepair implements CurveRepair {

    private static final double REST_SECONDS = 1.0;
    private static final double SMALLEST_BAR = 0.15;
    private static final double LARGEST_BAR = 1.5;
    private static final double STILL_WITHIN_BAR = 0.25;
    private static final double WORKING_BAR = 2;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        Samples pressure = log.find(Channel.PRESSURE).orElse(null);
        if (pressure == null || !(pressure.max() > WORKING_BAR)) {
            return new RepairedLog(log, List.of());
        }
        double end = log.time().get(log.size() - 1);
        double[] rest = tail(log, pressure, end - REST_SECONDS);
        double[] before = tail(log, pressure, end - 2 * REST_SECONDS);
        boolean pumping = log.find(Channel.PUMP_FLOW)
                .map(flow -> Arrays.stream(tail(log, flow, end - REST_SECONDS)).anyMatch(q -> q > 0.3))
                .orElse(false);
        if (rest.length < 4 || pumping || rest[rest.length - 1] - rest[0] > STILL_WITHIN_BAR) {
            return new RepairedLog(log, List.of());
        }
        double offset = rest[rest.length / 2];
        boolean settled = Math.abs(before[before.length / 2] - offset) < SMALLEST_BAR / 2;
        double lowest = quantile(pressure, 0.02);
        if (!settled || Math.abs(offset) < SMALLEST_BAR || offset > LARGEST_BAR || offset < -LARGEST_BAR
                || lowest < offset - SMALLEST_BAR) {
            return new RepairedLog(log, List.of());
        }
        boolean applied = settings.applies(RepairKind.PRESSURE_OFFSET);
        Repair repair = new Repair(RepairKind.PRESSURE_OFFSET, end - REST_SECONDS, end,
                String.format(Locale.ROOT, "the sensor showed %.2f bar at rest", offset).replace('-', '\u2212'),
                applied);
        double[] shifted = Arrays.stream(pressure.toArray()).map(p -> p - offset).toArray();
        return new RepairedLog(applied ? log.with(Channel.PRESSURE, Samples.of(shifted)) : log, List.of(repair));
    }

    /** {@return the finite values since that time, sorted} */
    private static double[] tail(ShotLog log, Samples samples, double from) {
        double[] found = new double[samples.size()];
        int n = 0;
        for (int i = samples.size() - 1; i >= 0 && log.time().get(i) >= from; i--) {
            if (Double.isFinite(samples.get(i))) {
                found[n++] = samples.get(i);
            }
        }
        double[] sorted = Arrays.copyOf(found, n);
        Arrays.sort(sorted);
        return sorted;
    }

    private static double quantile(Samples samples, double share) {
        double[] sorted = Arrays.stream(samples.toArray()).filter(Double::isFinite).sorted().toArray();
        return sorted[(int) (share * (sorted.length - 1))];
    }
}
