package org.grenu.core.curve;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.grenu.core.numbers.Samples;

/**
 * Removes what the scale showed before anything dripped: a forgotten tare. The offset is the median of the first 1.5
 * s
 * of cup mass (at least three samples), taken only when those samples lie still.
 */
final class TareRepair implements CurveRepair {

    private static final double BASELINE_SECONDS = 1.5;
    /**
     * Below this an offset cannot be told from the display step and drift of a kitchen scale (common practice, no
     * source).
     */
    private static final double SMALLEST_OFFSET_GRAMS = 0.3;
    private static final double STILL_WITHIN_GRAMS = 0.5;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        boolean apply = settings.applies(RepairKind.TARE_OFFSET);
        Samples mass = log.find(Channel.CUP_MASS).orElse(null);
        if (mass == null) {
            return new RepairedLog(log, List.of());
        }
        double start = log.time().get(0);
        double[] baseline = baseline(log.time(), mass, start);
        if (baseline.length < 3 || baseline[baseline.length - 1] - baseline[0] > STILL_WITHIN_GRAMS) {
            return new RepairedLog(log, List.of());
        }
        double offset = baseline[baseline.length / 2];
        if (Math.abs(offset) < SMALLEST_OFFSET_GRAMS) {
            return new RepairedLog(log, List.of());
        }
        String evidence = String.format(Locale.ROOT, "the scale showed %.1f g before the first drip", offset);
        Repair repair = new Repair(RepairKind.TARE_OFFSET, start, start + BASELINE_SECONDS, evidence, apply);
        return new RepairedLog(apply ? shifted(log, mass, offset) : log, List.of(repair));
    }

    private static double[] baseline(Samples time, Samples mass, double start) {
        double[] found = new double[mass.size()];
        int n = 0;
        for (int i = 0; i < mass.size() && time.get(i) <= start + BASELINE_SECONDS; i++) {
            if (Double.isFinite(mass.get(i))) {
                found[n++] = mass.get(i);
            }
        }
        double[] sorted = Arrays.copyOf(found, n);
        Arrays.sort(sorted);
        return sorted;
    }

    private static ShotLog shifted(ShotLog log, Samples mass, double offset) {
        double[] values = mass.toArray();
        for (int i = 0; i < values.length; i++) {
            values[i] -= offset;
        }
        return log.with(Channel.CUP_MASS, Samples.of(values));
    }
}
