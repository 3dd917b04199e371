package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.grenu.core.numbers.Samples;

/**
 * Bridges one or two values of the pressure that stand apart from those on both sides, which agree with each other:
 * no
 * pump and no puck moves the pressure there and back within a fifth of a second.
 */
final class PressureSpikeRepair implements CurveRepair {

    private static final double SMALLEST_BAR = 1.5;
    private static final double SAMPLE_SECONDS = 0.21;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        Samples pressure = log.find(Channel.PRESSURE).orElse(null);
        if (pressure == null || TimeOrderRepair.medianStep(log.time().toArray()) > SAMPLE_SECONDS) {
            return new RepairedLog(log, List.of());
        }
        double[] values = pressure.toArray();
        List<Repair> found = new ArrayList<>();
        boolean applied = settings.applies(RepairKind.PRESSURE_SPIKE);
        for (int i = 1; i < values.length - 1; i++) {
            for (int width = 1; width <= 2 && i + width < values.length; width++) {
                double left = values[i - 1];
                double right = values[i + width];
                double off = values[i] - (left + right) / 2;
                if (Math.abs(off) > Math.max(SMALLEST_BAR, 3 * Math.abs(right - left))
                        && outside(values, i, width, left, right, off)) {
                    found.add(new Repair(RepairKind.PRESSURE_SPIKE, log.time().get(i), log.time().get(i + width - 1),
                            String.format(Locale.ROOT, "%+.1f bar for %d sample%s", off, width, width == 1 ? "" : "s")
                                    .replace('-', '\u2212'),
                            applied));
                    Arrays.fill(values, i, i + width, (left + right) / 2);
                    break;
                }
            }
        }
        return new RepairedLog(applied && !found.isEmpty() ? log.with(Channel.PRESSURE, Samples.of(values)) : log,
                found);
    }

    private static boolean outside(double[] values, int from, int width, double left, double right, double off) {
        for (int j = from; j < from + width; j++) {
            double away = values[j] - (left + right) / 2;
            if (!(away * off > 0) || Math.abs(away) < SMALLEST_BAR / 2) {
                return false;
            }
        }
        return true;
    }
}
