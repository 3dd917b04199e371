package org.grenu.core.hydraulics;

import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.SavitzkyGolay;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;

/**
 * The puck's resistance over time, from pressure and cup-side flow. Defined only where flow is established: from
 * {@value #SETTLE_SECONDS} s after the first drip to pump off, above {@value #LEAST_FLOW} g/s and {@value #LEAST_BAR}
 * bar;
 * NaN elsewhere.
 *
 * @param linear  p/q, bar·s/g
 * @param squared p/q², bar·s²/g²
 * @param pressure smoothed as the flow is, bar
 * @param from    where it begins to be defined, s
 * @param to      where it ceases to be, s
 */
public record Resistance(UniformCurve linear, UniformCurve squared, UniformCurve pressure, double from, double to) {

    /** Below this flow the quotient says nothing, g/s (common practice, no source). */
    public static final double LEAST_FLOW = 0.3;
    private static final double LEAST_BAR = 0.5;
    private static final double SETTLE_SECONDS = 1;
    /** Spouts and scale together (common practice, no source). */
    static final double CUP_DELAY_SECONDS = 0.5;
    private static final double LEAST_SECONDS = 2;
    private static final double MOVED_BEFORE_SECONDS = 2;
    private static final double MOVED_AFTER_SECONDS = 0.5;
    private static final double MOVED_OVER_SECONDS = 0.5;

    /** {@return the resistance; empty when pressure, cup mass or first drip are unknown, or flow never lasted} */
    public static Optional<Resistance> of(CurveMeasures measures) {
        Optional<UniformCurve> pressure = measures.find(Channel.PRESSURE);
        Optional<UniformCurve> flow = measures.find(Channel.CUP_FLOW);
        Optional<TimedEvent> drip = measures.times().firstDrip();
        Optional<CurveMeasures.Running> running = measures.running();
        if (pressure.isEmpty() || flow.isEmpty() || drip.isEmpty() || running.isEmpty() || measures.sparse()) {
            return Optional.empty();
        }
        double from = drip.get().seconds() + SETTLE_SECONDS;
        // The smoothed flow hears of the stop half a window before it.
        double to = Math.min(running.get().until() - CurveMeasures.FLOW_WINDOW_SECONDS / 2, flow.get().end());
        if (!(to - from >= LEAST_SECONDS)) {
            return Optional.empty();
        }
        UniformCurve q = flow.get();
        // Smoothed alike and read as much earlier as the cup hears of it later: else every ramp would show as a fall
        // of r.
        UniformCurve smooth = SavitzkyGolay.spanning(CurveMeasures.FLOW_WINDOW_SECONDS, pressure.get().step(), 2)
                .smooth(pressure.get());
        double[] linear = new double[q.size()];
        double[] squared = new double[q.size()];
        boolean any = false;
        for (int i = 0; i < q.size(); i++) {
            double t = q.time(i);
            double p = smooth.at(t - CUP_DELAY_SECONDS);
            boolean established = t >= from && t <= to && q.value(i) > LEAST_FLOW && p > LEAST_BAR;
            linear[i] = established ? p / q.value(i) : Double.NaN;
            squared[i] = established ? p / (q.value(i) * q.value(i)) : Double.NaN;
            any |= established;
        }
        if (!any) {
            return Optional.empty();
        }
        double established = StreamBuilding.end(measures, q.withValues(linear), from, to, CUP_DELAY_SECONDS);
        for (int i = 0; i < q.size() && q.time(i) < established - 1e-9; i++) {
            linear[i] = Double.NaN;
            squared[i] = Double.NaN;
        }
        return Optional.of(new Resistance(q.withValues(linear), q.withValues(squared), smooth, established, to));
    }

    /**
     * {@return how fast the pressure moved about that time, share per second: where it moves, a delay of the cup
     * that is not known exactly makes a false resistance}
     */
    double moving(double seconds) {
        double[] p = pressure.between(seconds - MOVED_BEFORE_SECONDS, seconds + MOVED_AFTER_SECONDS);
        int apart = (int) Math.max(1, Math.round(MOVED_OVER_SECONDS / pressure.step()));
        double most = p.length > apart ? 0 : Double.POSITIVE_INFINITY;
        for (int i = apart; i < p.length; i++) {
            most = Math.max(most, Math.abs(Math.log(Math.max(0.1, p[i]) / Math.max(0.1, p[i - apart])))
                    / (apart * pressure.step()));
        }
        return most;
    }
}
