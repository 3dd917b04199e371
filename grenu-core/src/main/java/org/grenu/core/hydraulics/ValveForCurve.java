package org.grenu.core.hydraulics;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.hydraulics.ValveCalibration.Opening;
import org.grenu.core.quantity.Measured;

/**
 * How a valve must stand for a flow through a puck: the valve's flow goes with the root of the pressure across it, so
 * that it must let through more in the open than a puck under pressure does.
 *
 * @param linePressure before the valve, bar
 * @param entries      in the order of time
 */
public record ValveForCurve(double linePressure, List<Entry> entries) {

    private static final double APART_SECONDS = 3;
    private static final double CHANGED = 0.15;
    private static final double LEAST_FLOW = 0.1;
    /** The pressure across the valve is never taken as less than this share of the line's. */
    private static final double LEAST_SHARE = 0.02;

    /**
     * A moment at which the valve is set.
     *
     * @param seconds  from pump on
     * @param freeFlow what the valve must let through in the open, g/s
     * @param opening  where it must stand; empty where no position gives that
     * @param instead  what it gives where it cannot; empty where it can
     */
    public record Entry(double seconds, double freeFlow, Optional<Opening> opening, Optional<Instead> instead) {
    }

    /**
     * What comes of the widest position.
     *
     * @param bar at the group
     * @param flow through the puck, g/s
     */
    public record Instead(double bar, double flow) {
    }

    public ValveForCurve {
        entries = List.copyOf(entries);
    }

    /**
     * {@return the settings for that course}
     *
     * @param seconds increasing
     * @param bar     at the group, at each of them
     * @param flow    through the puck, g/s, at each of them
     * @param line    pressure before the valve, bar, in (0, ∞)
     */
    public static ValveForCurve of(double[] seconds, double[] bar, double[] flow, ValveCalibration valve, double line) {
        List<Entry> entries = new ArrayList<>();
        double lastAt = Double.NEGATIVE_INFINITY;
        double last = 0;
        for (int i = 0; i < seconds.length; i++) {
            double free = flow[i] / Math.sqrt(Math.max(LEAST_SHARE, 1 - bar[i] / line));
            boolean changed = entries.isEmpty() || Math.abs(free - last) > CHANGED * Math.max(last, 1);
            if (flow[i] > LEAST_FLOW && changed && seconds[i] - lastAt >= APART_SECONDS) {
                entries.add(entry(seconds[i], bar[i], flow[i], free, valve, line));
                last = free;
                lastAt = seconds[i];
            }
        }
        return new ValveForCurve(line, entries);
    }

    private static Entry entry(double seconds, double bar, double flow, double free, ValveCalibration valve,
            double line) {
        Optional<Opening> opening = valve.openingFor(Measured.exact(free));
        return new Entry(seconds, free, opening, opening.isPresent() || free < valve.largest() ? Optional.empty()
                : Optional.of(instead(bar / flow, valve.largest(), line)));
    }

    /** Of q² = F²·(1 − r·q/p) the positive root: the puck's resistance r stays, the valve gives F in the open. */
    private static Instead instead(double resistance, double widest, double line) {
        double half = widest * widest * resistance / line / 2;
        double flow = -half + Math.sqrt(half * half + widest * widest);
        return new Instead(resistance * flow, flow);
    }
}
