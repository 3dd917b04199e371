package org.grenu.core.curve;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.grenu.core.numbers.Samples;

/**
 * Subtracts the pressure that the sensor shows at rest, by the log or, where the log never comes to rest, by what is
 * written down of the machine. Rest is the log's last second, when it lies still, the
 * pressure
 * has fallen to it from a height, no pump flows, and nothing in the log lies below it.
 */
final class PressureOffsetRepair implements CurveRepair {

    private static final double REST_SECONDS = 1.0;
    private static final double SMALLEST_BAR = 0.15;
    /** One that somebody measured; less than that no curve tells (common practice, no source). */
    private static final double SMALLEST_STATED_BAR = 0.05;
    /** After the shot, when the group may still be under a little pressure. */
    private static final double SMALLEST_AT_END_BAR = 0.25;
    private static final double LARGEST_BAR = 1.5;
    private static final double STILL_WITHIN_BAR = 0.25;
    private static final double LOWER_BAR = 0.1;
    private static final double WORKING_BAR = 2;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        Samples pressure = log.find(Channel.PRESSURE).orElse(null);
        if (pressure == null || !(pressure.max() > WORKING_BAR)) {
            return new RepairedLog(log, List.of());
        }
        OptionalDouble before = atStart(log, pressure);
        OptionalDouble shown = before.isPresent() ? before : atEnd(log, pressure);
        if (shown.isPresent()) {
            return Math.abs(shown.getAsDouble()) < SMALLEST_BAR ? new RepairedLog(log, List.of())
                    : shifted(log, pressure, shown.getAsDouble(), "the sensor showed %.2f bar at rest", settings);
        }
        OptionalDouble stated = settings.pressureAtRest();
        return stated.isPresent() && Math.abs(stated.getAsDouble()) >= SMALLEST_STATED_BAR
                && fits(stated.getAsDouble(), pressure)
                        ? shifted(log, pressure, stated.getAsDouble(),
                                "the sensor shows %.2f bar at rest, as the machine's entry says", settings)
                        : new RepairedLog(log, List.of());
    }

    /** A log that goes below a sensor's rest was zeroed already. */
    private static boolean fits(double stated, Samples pressure) {
        return Math.abs(stated) <= LARGEST_BAR && lowestMean(pressure) >= stated - LOWER_BAR;
    }

    /** What the sensor shows before the pump's flow begins, if the log begins early enough; within an offset's size. */
    private static OptionalDouble atStart(ShotLog log, Samples pressure) {
        Samples flow = log.find(Channel.PUMP_FLOW).orElse(null);
        if (flow == null) {
            return OptionalDouble.empty();
        }
        int first = 0;
        while (first < flow.size() && !(flow.get(first) > 0.05)) {
            first++;
        }
        double[] rest = Arrays.stream(pressure.toArray()).limit(first).filter(Double::isFinite).sorted().toArray();
        boolean still = rest.length >= 4 && log.time().get(Math.min(first, log.size() - 1)) - log.time().get(0) > 0.3
                && rest[rest.length - 1] - rest[0] < 2 * STILL_WITHIN_BAR
                && Math.abs(rest[rest.length / 2]) <= LARGEST_BAR;
        return still ? OptionalDouble.of(rest[rest.length / 2]) : OptionalDouble.empty();
    }

    private static OptionalDouble atEnd(ShotLog log, Samples pressure) {
        double end = log.time().get(log.size() - 1);
        double[] rest = tail(log, pressure, end - REST_SECONDS);
        double[] before = tail(log, pressure, end - 2 * REST_SECONDS);
        boolean pumping = log.find(Channel.PUMP_FLOW)
                .map(flow -> Arrays.stream(tail(log, flow, end - REST_SECONDS)).anyMatch(q -> q > 0.3))
                .orElse(false);
        if (rest.length < 4 || pumping || rest[rest.length - 1] - rest[0] > STILL_WITHIN_BAR) {
            return OptionalDouble.empty();
        }
        double offset = rest[rest.length / 2];
        boolean settled = Math.abs(before[before.length / 2] - offset) < SMALLEST_BAR / 2;
        // Shut-in air goes on pressing long after the stop: a sensor that showed less before shows no offset now.
        double lowest = lowestMean(pressure);
        boolean rests = settled && Math.abs(offset) >= SMALLEST_AT_END_BAR && Math.abs(offset) <= LARGEST_BAR
                && lowest >= offset - LOWER_BAR;
        return rests ? OptionalDouble.of(offset) : OptionalDouble.empty();
    }

    private static RepairedLog shifted(ShotLog log, Samples pressure, double offset, String words,
            CurveSettings settings) {
        double end = log.time().get(log.size() - 1);
        boolean applied = settings.applies(RepairKind.PRESSURE_OFFSET);
        Repair repair = new Repair(RepairKind.PRESSURE_OFFSET, end - REST_SECONDS, end,
                String.format(Locale.ROOT, words, offset).replace('-', '\u2212'),
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

    /** {@return the lowest mean of four samples} */
    private static double lowestMean(Samples samples) {
        double[] known = Arrays.stream(samples.toArray()).filter(Double::isFinite).toArray();
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 3; i < known.length; i++) {
            lowest = Math.min(lowest, (known[i] + known[i - 1] + known[i - 2] + known[i - 3]) / 4);
        }
        return lowest;
    }
}
