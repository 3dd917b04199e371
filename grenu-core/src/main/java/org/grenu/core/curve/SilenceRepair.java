package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.grenu.core.numbers.Samples;

/**
 * Bridges what is missing: a sensor without values while the others go on (dropout), or no rows at all (gap). Longer
 * silences than {@value #LONGEST_SECONDS} s are reported and stay open.
 */
final class SilenceRepair implements CurveRepair {

    static final double LONGEST_SECONDS = 5;
    private static final double SHORTEST_SECONDS = 0.3;
    private static final double GAP_STEPS = 6;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        List<Repair> repairs = new ArrayList<>();
        double step = TimeOrderRepair.medianStep(log.time().toArray());
        ShotLog filled = log;
        for (Channel channel : log.channels().keySet()) {
            filled = dropouts(filled, step, channel, settings, repairs);
        }
        return gaps(filled, step, settings, repairs);
    }

    private static ShotLog dropouts(ShotLog log, double step, Channel channel, CurveSettings settings,
            List<Repair> repairs) {
        double[] time = log.time().toArray();
        double[] values = log.find(channel).orElseThrow().toArray();
        int before = repairs.size();
        int known = -1;
        for (int i = 0; i < values.length; i++) {
            if (!Double.isFinite(values[i])) {
                continue;
            }
            // A channel logged at every few rows is slow, not silent.
            if (known >= 0 && i - known > 4 && time[i] - time[known] > Math.max(SHORTEST_SECONDS, 4 * step)) {
                boolean bridged = settings.applies(RepairKind.DROPOUT) && time[i] - time[known] <= LONGEST_SECONDS;
                repairs.add(new Repair(RepairKind.DROPOUT, time[known], time[i], String.format(Locale.ROOT,
                        "no %s for %.1f s%s", channel.title().toLowerCase(Locale.ROOT), time[i] - time[known],
                        time[i] - time[known] > LONGEST_SECONDS ? ": too long to bridge" : ""), bridged));
                for (int j = known + 1; j < i && bridged; j++) {
                    values[j] = values[known]
                            + (values[i] - values[known]) * (time[j] - time[known]) / (time[i] - time[known]);
                }
            }
            known = i;
        }
        return repairs.size() == before ? log : log.with(channel, Samples.of(values));
    }

    private static RepairedLog gaps(ShotLog log, double step, CurveSettings settings, List<Repair> repairs) {
        double[] time = log.time().toArray();
        List<double[]> bridged = new ArrayList<>();
        for (int i = 1; i < time.length; i++) {
            double seconds = time[i] - time[i - 1];
            if (seconds > Math.max(SHORTEST_SECONDS, GAP_STEPS * step)) {
                boolean bridge = settings.applies(RepairKind.GAP) && seconds <= LONGEST_SECONDS;
                repairs.add(new Repair(RepairKind.GAP, time[i - 1], time[i],
                        String.format(Locale.ROOT, "no rows for %.1f s%s", seconds,
                                seconds > LONGEST_SECONDS ? ": too long to bridge" : ""),
                        bridge));
                if (bridge) {
                    bridged.add(new double[] {i - 1, Math.ceil(seconds / step) - 1});
                }
            }
        }
        return new RepairedLog(bridged.isEmpty() ? log : withRows(log, bridged), repairs);
    }

    private static ShotLog withRows(ShotLog log, List<double[]> after) {
        int added = after.stream().mapToInt(a -> (int) a[1]).sum();
        double[] time = spread(log.time().toArray(), after, added);
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        log.channels()
                .forEach((channel, samples) -> channels.put(channel,
                        Samples.of(spread(samples.toArray(), after, added))));
        return new ShotLog(Samples.of(time), channels);
    }

    private static double[] spread(double[] values, List<double[]> after, int added) {
        double[] result = new double[values.length + added];
        int at = 0;
        int next = 0;
        for (int i = 0; i < values.length; i++) {
            result[at++] = values[i];
            if (next < after.size() && (int) after.get(next)[0] == i) {
                int count = (int) after.get(next++)[1];
                for (int k = 1; k <= count; k++) {
                    result[at++] = values[i] + (values[i + 1] - values[i]) * k / (count + 1.0);
                }
            }
        }
        return result;
    }
}
