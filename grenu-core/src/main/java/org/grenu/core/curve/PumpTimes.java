package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Optional;

/**
 * Finds when the pump ran, from pump-side flow and from pressure; where both are logged, the earlier start and the
 * later
 * end count, since a choked shot has pressure without flow and a wetting phase flow without pressure.
 */
final class PumpTimes {

    /** Where a channel is still up when the log ends; a channel that shows the stop goes before it. */
    private static final String END_OF_LOG = "end of log";
    private static final double FLOWING = 0.3;
    private static final double PRESSED = 0.3;
    /**
     * Once the pump has stopped, pressure loses more than this share of itself a second (common practice, no
     * source).
     */
    private static final double RELEASE_SHARE_PER_SECOND = 0.3;
    private static final double LEAST_RELEASE = 0.15;
    private static final double ONSET = 0.35;
    private static final double SLOPE_SECONDS = 0.3;

    private PumpTimes() {
    }

    static Optional<TimedEvent> on(Optional<UniformCurve> pressure, Optional<UniformCurve> flow) {
        Optional<TimedEvent> byFlow = flow.flatMap(f -> firstAbove(f, FLOWING, "pump flow"));
        Optional<TimedEvent> byPressure = pressure.flatMap(p -> firstAbove(p, PRESSED, "pressure"));
        if (byFlow.isPresent() && byPressure.isPresent()) {
            return byFlow.get().seconds() <= byPressure.get().seconds() ? byFlow : byPressure;
        }
        return byFlow.or(() -> byPressure);
    }

    static Optional<TimedEvent> off(Optional<UniformCurve> pressure, Optional<UniformCurve> flow) {
        Optional<TimedEvent> byFlow = flow.flatMap(f -> lastAbove(f, FLOWING, "pump flow"));
        Optional<TimedEvent> byPressure = pressure.flatMap(PumpTimes::release);
        if (byFlow.isPresent() && byPressure.isPresent()) {
            boolean flowStops = !byFlow.get().how().equals(END_OF_LOG);
            boolean pressureStops = !byPressure.get().how().equals(END_OF_LOG);
            if (flowStops != pressureStops) {
                return flowStops ? byFlow : byPressure;
            }
            return byFlow.get().seconds() >= byPressure.get().seconds() ? byFlow : byPressure;
        }
        return byFlow.or(() -> byPressure);
    }

    /**
     * Where the pressure begins to build: from the first clear pressure back along its rise to the level before it.
     */
    static Optional<TimedEvent> pressureOnset(UniformCurve pressure, double on, double off) {
        double[] running = pressure.between(on, off);
        if (running.length < 6) {
            return Optional.empty();
        }
        double[] sorted = running.clone();
        Arrays.sort(sorted);
        double peak = sorted[(int) (0.97 * (sorted.length - 1))];
        double level = Math.max(ONSET, 0.04 * peak);
        int above = 0;
        while (above < running.length && !(running[above] > level)) {
            above++;
        }
        if (above >= running.length - 2) {
            return Optional.empty();
        }
        double[] before = Arrays.copyOf(running, Math.max(1, above));
        Arrays.sort(before);
        int later = Math.min(running.length - 1,
                above + (int) Math.max(1, Math.round(SLOPE_SECONDS / pressure.step())));
        double slope = (running[later] - running[above]) / (later - above);
        double back = slope > 0 ? Math.min(0.5 / pressure.step(), (running[above] - before[before.length / 2]) / slope)
                : 0;
        double at = Math.max(on, on + (above - back) * pressure.step());
        return Optional.of(new TimedEvent(at, Math.max(pressure.step(), back * pressure.step() / 2), "pressure"));
    }

    private static Optional<TimedEvent> firstAbove(UniformCurve curve, double level, String how) {
        int hold = Math.max(1, (int) Math.round(0.3 / curve.step()));
        int run = 0;
        for (int i = 0; i < curve.size(); i++) {
            run = curve.value(i) > level ? run + 1 : 0;
            if (run >= hold) {
                int first = i - run + 1;
                double time = first == 0 ? curve.start()
                        : curve.time(first) - curve.step() * fractionAbove(curve, first, level);
                return Optional.of(new TimedEvent(time, curve.step(), how));
            }
        }
        return Optional.empty();
    }

    private static double fractionAbove(UniformCurve curve, int first, double level) {
        double before = curve.value(first - 1);
        double after = curve.value(first);
        return Double.isFinite(before) && after > before ? (after - level) / (after - before) : 0;
    }

    private static Optional<TimedEvent> lastAbove(UniformCurve curve, double level, String how) {
        for (int i = curve.size() - 1; i >= 0; i--) {
            if (curve.value(i) > level) {
                return Optional
                        .of(new TimedEvent(curve.time(i), curve.step(), i == curve.size() - 1 ? END_OF_LOG : how));
            }
        }
        return Optional.empty();
    }

    /** How fast the pressure fell just before, bar/s; over a few samples, so that noise does not end the walk. */
    private static double fall(UniformCurve pressure, int i) {
        int back = Math.min(i, Math.max(1, (int) Math.round(SLOPE_SECONDS / pressure.step())));
        return (pressure.value(i - back) - pressure.value(i)) / (back * pressure.step());
    }

    /** Walks back from where the pressure has all but gone, up the steep fall, to where it began. */
    private static Optional<TimedEvent> release(UniformCurve pressure) {
        double peak = pressure.values().max();
        if (!(peak > 1)) {
            return Optional.empty();
        }
        int last = lastHigh(pressure, peak);
        if (pressure.end() - pressure.time(last) < 0.25) {
            return Optional.of(new TimedEvent(pressure.end(), pressure.step(), END_OF_LOG));
        }
        int i = beginOfFall(pressure, last);
        return Optional.of(new TimedEvent(pressure.time(i), 2 * pressure.step(), "pressure"));
    }

    private static int lastHigh(UniformCurve pressure, double peak) {
        int last = pressure.size() - 1;
        while (last > 0 && !(pressure.value(last) > 0.25 * peak)) {
            last--;
        }
        return last;
    }

    private static int beginOfFall(UniformCurve pressure, int last) {
        int i = Math.min(last + 1, pressure.size() - 1);
        while (i > 0 && fall(pressure, i) > LEAST_RELEASE + RELEASE_SHARE_PER_SECOND * pressure.value(i)) {
            i--;
        }
        return i;
    }
}
