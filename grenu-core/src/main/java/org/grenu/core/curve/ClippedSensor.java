package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.grenu.core.numbers.Samples;

/** Marks a pressure that stands at its largest value, without noise, for longer than chance would have it. */
final class ClippedSensor implements CurveRepair {

    private static final double LEAST_SECONDS = 0.8;
    private static final int LEAST_SAMPLES = 6;
    private static final double LEAST_NOISE_BAR = 0.01;
    /** A gauge read in coarser steps stands still on any of them. */
    private static final double COARSEST_STEP_BAR = 0.05;
    private static final double LEAST_BAR = 1;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        Samples pressure = log.find(Channel.PRESSURE).orElse(null);
        if (pressure == null || !(pressure.max() > LEAST_BAR)) {
            return new RepairedLog(log, List.of());
        }
        double top = pressure.max();
        List<Repair> found = new ArrayList<>();
        int begin = -1;
        for (int i = 0; i <= pressure.size(); i++) {
            boolean atTop = i < pressure.size() && pressure.get(i) == top;
            if (atTop && begin < 0) {
                begin = i;
            } else if (!atTop && begin >= 0) {
                double seconds = log.time().get(i - 1) - log.time().get(begin);
                if (i - begin >= LEAST_SAMPLES && seconds >= LEAST_SECONDS) {
                    found.add(mark(log, begin, i - 1, top, settings));
                }
                begin = -1;
            }
        }
        return new RepairedLog(log, !found.isEmpty() && fine(pressure) && noisy(pressure) ? found : List.of());
    }

    private static boolean fine(Samples pressure) {
        double[] levels = Arrays.stream(pressure.toArray()).filter(Double::isFinite).sorted().distinct().toArray();
        return IntStream.range(1, levels.length)
                .mapToDouble(i -> levels[i] - levels[i - 1])
                .min()
                .orElse(Double.POSITIVE_INFINITY)
                < COARSEST_STEP_BAR;
    }

    /** Whether the rest of the pressure moves by noise: a curve without noise stands still anywhere. */
    private static boolean noisy(Samples pressure) {
        double top = pressure.max();
        int still = 0;
        int moving = 0;
        for (int i = 2; i < pressure.size(); i++) {
            double second = pressure.get(i) - 2 * pressure.get(i - 1) + pressure.get(i - 2);
            if (pressure.get(i) > LEAST_BAR && pressure.get(i) < top && pressure.get(i - 1) < top
                    && pressure.get(i - 2) < top) {
                still += Math.abs(second) < LEAST_NOISE_BAR ? 1 : 0;
                moving += Math.abs(second) < LEAST_NOISE_BAR ? 0 : 1;
            }
        }
        return moving > still;
    }

    private static Repair mark(ShotLog log, int from, int to, double top, CurveSettings settings) {
        return new Repair(RepairKind.CLIPPED, log.time().get(from), log.time().get(to), String.format(Locale.ROOT,
                "exactly %.2f bar for %.1f s: the true pressure may be higher", top,
                log.time().get(to) - log.time().get(from)),
                settings.applies(RepairKind.CLIPPED));
    }
}
