package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.numbers.OrderStatistic;

/**
 * Finds when the pump ran. Only its flow shows the start, since a group fills before pressure can build; the stop shows
 * where flow or pressure begin to fall for good. What a log does not show is left unknown: one that begins under
 * pressure has no start, one that merely ends has no stop.
 */
final class PumpTimes {

    private static final double FLOWING = 0.3;
    private static final double PRESSED = 0.3;
    /** Pressure at the first sample tells that the log began under way. */
    private static final double UNDER_WAY_BAR = 1;
    /**
     * A pressure that goes loses this much a second at first, bar and share of the peak (common practice, no source).
     */
    private static final double LEAST_FALL = 0.6;
    private static final double LEAST_FALL_SHARE = 0.08;
    /** Of a pressure that is still falling when the log ends so much is left. */
    private static final double GOING_SHARE = 0.35;
    private static final double CALM_SECONDS = 0.5;
    private static final double ONSET = 0.35;
    private static final double ONSET_SHARE = 0.06;
    private static final double SLOPE_SECONDS = 0.3;
    /** Tapers end above this share of the peak. */
    private static final double LOW_SHARE = 0.1;
    /** A channel that is up this close to the log's end has not shown the stop. */
    private static final double SHOWN_SECONDS = 0.25;
    /** A meter's tail is over by then. */
    private static final double TAIL_SECONDS = 3;
    private static final double COURSE_SECONDS = 1.5;
    private static final double AGREE_SECONDS = 0.6;

    private PumpTimes() {
    }

    /** {@return the start; empty without a meter of the pump's flow, or when the log began under way} */
    static Optional<TimedEvent> on(Optional<UniformCurve> pressure, Optional<UniformCurve> flow) {
        if (flow.isEmpty() || pressure.filter(p -> p.value(0) > UNDER_WAY_BAR).isPresent()) {
            return Optional.empty();
        }
        Optional<TimedEvent> byFlow = firstAbove(flow.get(), FLOWING, "pump flow");
        Optional<TimedEvent> byPressure = pressure.flatMap(p -> firstAbove(p, PRESSED, "pressure"));
        if (byFlow.isPresent() && byPressure.isPresent()) {
            return byFlow.get().seconds() <= byPressure.get().seconds() ? byFlow : byPressure;
        }
        return byFlow;
    }

    /** {@return the stop; empty when neither channel shows it before the log ends} */
    static Optional<TimedEvent> off(Optional<UniformCurve> pressure, Optional<UniformCurve> flow) {
        Optional<TimedEvent> byFlow = flow.flatMap(PumpTimes::lastFlow);
        Optional<TimedEvent> byPressure = pressure.flatMap(PumpTimes::release);
        if (byFlow.isEmpty() || byPressure.isEmpty()) {
            return byFlow.or(() -> byPressure);
        }
        double apart = byFlow.get().seconds() - byPressure.get().seconds();
        if (Math.abs(apart) <= AGREE_SECONDS) {
            return byFlow.get().u() <= byPressure.get().u() ? byFlow : byPressure;
        }
        // A choked shot holds its pressure without flow; without a valve it falls slowly from the stop on.
        UniformCurve p = pressure.orElseThrow();
        boolean held = p.at(byPressure.get().seconds() - 0.2) > 0.9 * p.at(byFlow.get().seconds());
        return apart > 0 || !held ? byFlow : byPressure;
    }

    /**
     * Where the pressure begins to build: from the first clear pressure back along its rise to the level before it.
     */
    static Optional<TimedEvent> pressureOnset(UniformCurve pressure, double on, double off) {
        double[] running = pressure.between(on, off);
        if (running.length < 6 || running[0] > UNDER_WAY_BAR && on <= pressure.start()) {
            return Optional.empty();
        }
        double peak = OrderStatistic.of(running.clone(), (int) (0.97 * (running.length - 1)));
        double level = Math.max(ONSET, ONSET_SHARE * peak);
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

    private static Optional<TimedEvent> lastFlow(UniformCurve flow) {
        int last = flow.size() - 1;
        while (last >= 0 && !(flow.value(last) > FLOWING)) {
            last--;
        }
        if (last < 0 || flow.end() - flow.time(last) < SHOWN_SECONDS) {
            return Optional.empty();
        }
        double at = flow.time(last);
        return FallBegin.between(flow, at - TAIL_SECONDS, at + flow.step(), at - TAIL_SECONDS - COURSE_SECONDS,
                at + COURSE_SECONDS, "pump flow");
    }

    /**
     * Where the pressure begins to go for good. Whatever lets it go, a valve, the puck alone or shut-in air, it falls
     * fastest at first: the search goes back from where it has all but gone to the steepest fall and on to where that
     * began.
     */
    private static Optional<TimedEvent> release(UniformCurve pressure) {
        double peak = pressure.values().max();
        if (!(peak > 1)) {
            return Optional.empty();
        }
        int last = pressure.size() - 1;
        while (last > 0 && !(pressure.value(last) > Math.max(ONSET, LOW_SHARE * peak))) {
            last--;
        }
        int begin = beginOfFall(pressure, last, Math.max(LEAST_FALL, LEAST_FALL_SHARE * peak));
        boolean gone = pressure.end() - pressure.time(last) >= SHOWN_SECONDS
                || pressure.value(last) < GOING_SHARE * pressure.value(Math.max(0, begin));
        if (begin < 0 || !gone) {
            return Optional.empty();
        }
        double at = pressure.time(begin);
        return FallBegin.between(pressure, at - AGREE_SECONDS, at + AGREE_SECONDS, at - AGREE_SECONDS - COURSE_SECONDS,
                at + COURSE_SECONDS, "pressure");
    }

    /** {@return its index; −1 when it nowhere falls that fast} */
    private static int beginOfFall(UniformCurve pressure, int last, double least) {
        int reach = Math.max(1, (int) Math.round(SLOPE_SECONDS / pressure.step()));
        int calm = Math.max(2, (int) Math.round(CALM_SECONDS / pressure.step()));
        double steepest = 0;
        int begin = last;
        int since = 0;
        for (int i = Math.min(last + reach, pressure.size() - 1); i >= reach && since < calm; i--) {
            double fall = (pressure.value(i - reach) - pressure.value(i)) / (reach * pressure.step());
            steepest = Double.isFinite(fall) ? Math.max(steepest, fall) : steepest;
            boolean falling = fall > 0.5 * steepest || steepest < least;
            begin = falling ? i - reach : begin;
            since = falling ? 0 : since + 1;
        }
        return steepest < least ? -1 : begin;
    }
}
