package org.grenu.core.phase;

import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveMeasures.Running;
import org.grenu.core.curve.UniformCurve;

/**
 * What makes a profile what it is, read off a shot's curves and phases (definitions ours, no source). What its channels
 * do not show is empty.
 *
 * @param soakSeconds      length of the soak, s; 0 without one
 * @param soakBar          mean pressure in it, bar; empty without one
 * @param riseBarPerSecond from a tenth to nine tenths of the way up to the peak, bar/s
 * @param peakSeconds      how long the pressure stayed above nine tenths of its peak, s
 * @param declinePerSecond how fast it fell from there to pump off, bar/s; 0 where it did not
 * @param waterBeforeDrip  what the pump had let in at the first drip, mL
 */
public record ProfileFeatures(OptionalDouble soakSeconds, OptionalDouble soakBar, OptionalDouble riseBarPerSecond,
        OptionalDouble peakSeconds, OptionalDouble declinePerSecond, OptionalDouble waterBeforeDrip) {

    private static final ProfileFeatures NONE = new ProfileFeatures(OptionalDouble.empty(), OptionalDouble.empty(),
            OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
    private static final double NEAR_PEAK = 0.9;
    private static final double LEAST_DECLINE_SECONDS = 1;
    private static final double GRID = 0.1;

    /** {@return the features of that shot} */
    public static ProfileFeatures of(Phases phases, CurveMeasures measures) {
        if (measures.running().isEmpty() || measures.sparse()) {
            return NONE;
        }
        Running running = measures.running().get();
        OptionalDouble soak = phases.phases().isEmpty() ? OptionalDouble.empty()
                : OptionalDouble.of(phases.phases()
                        .stream()
                        .filter(phase -> phase.kind() == PhaseKind.SOAK)
                        .mapToDouble(Phase::seconds)
                        .sum());
        OptionalDouble soakBar = phases.phases()
                .stream()
                .filter(phase -> phase.kind() == PhaseKind.SOAK && phase.courses().containsKey(Channel.PRESSURE))
                .mapToDouble(phase -> phase.courses().get(Channel.PRESSURE).mean())
                .average();
        Climb climb = measures.find(Channel.PRESSURE)
                .map(pressure -> Climb.of(pressure, running, soakBar.orElse(0)))
                .orElse(Climb.NONE);
        return new ProfileFeatures(soak, soakBar, climb.rise, climb.near, climb.decline, water(measures, running));
    }

    private static OptionalDouble water(CurveMeasures measures, Running running) {
        if (measures.find(Channel.PUMP_FLOW).isEmpty() || measures.times().firstDrip().isEmpty()) {
            return OptionalDouble.empty();
        }
        UniformCurve flow = measures.find(Channel.PUMP_FLOW).get();
        double millilitres = 0;
        for (double at = running.from(); at < measures.times().firstDrip().get().seconds(); at += GRID) {
            double now = flow.at(at);
            millilitres += Double.isFinite(now) ? Math.max(0, now) * GRID : 0;
        }
        return OptionalDouble.of(millilitres);
    }

    private record Climb(OptionalDouble rise, OptionalDouble near, OptionalDouble decline) {

        static final Climb NONE = new Climb(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

        static Climb of(UniformCurve pressure, Running running, double base) {
            double peak = 0;
            for (double at = running.from(); at <= running.until(); at += GRID) {
                peak = Math.max(peak, known(pressure, at));
            }
            double first = Double.NaN;
            double last = Double.NaN;
            double near = 0;
            for (double at = running.from(); at <= running.until(); at += GRID) {
                if (known(pressure, at) >= NEAR_PEAK * peak) {
                    first = Double.isNaN(first) ? at : first;
                    last = at;
                    near += GRID;
                }
            }
            return Double.isNaN(first) ? NONE
                    : new Climb(rise(pressure, running, base, peak, first), OptionalDouble.of(near),
                            decline(pressure, running, last));
        }

        private static OptionalDouble rise(UniformCurve pressure, Running running, double base, double peak,
                double first) {
            double low = Math.min(base, peak) + (1 - NEAR_PEAK) * (peak - Math.min(base, peak));
            double at = first;
            while (at > running.from() && known(pressure, at) > low) {
                at -= GRID;
            }
            double climbed = known(pressure, first) - known(pressure, at);
            return first - at < GRID / 2 ? OptionalDouble.empty() : OptionalDouble.of(climbed / (first - at));
        }

        private static OptionalDouble decline(UniformCurve pressure, Running running, double last) {
            double seconds = running.until() - last;
            return OptionalDouble.of(seconds < LEAST_DECLINE_SECONDS ? 0
                    : Math.max(0, known(pressure, last) - known(pressure, running.until() - GRID)) / seconds);
        }

        private static double known(UniformCurve pressure, double at) {
            double bar = pressure.at(at);
            return Double.isFinite(bar) ? bar : 0;
        }
    }
}
