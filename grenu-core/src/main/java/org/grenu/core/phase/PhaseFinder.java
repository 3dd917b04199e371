package org.grenu.core.phase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.ChangePoints.Piece;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveMeasures.Running;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.OrderStatistic;
import org.grenu.core.numbers.Samples;

/**
 * Finds the phases in the pressure: it is split into straight pieces, and what they say of level and slope tells
 * soak,
 * ramp, main phase and taper apart. The limits are relative to the shot's own height (common practice, no source).
 */
final class PhaseFinder {

    private static final double NOISE_BAR = 0.06;
    private static final double PENALTY = 30;
    private static final double SHORTEST_SECONDS = 0.5;
    private static final int MOST_VALUES = 1500;
    private static final double LEAST_PEAK = 1;
    private static final double SHORTEST_SOAK = 0.8;
    private static final double BEND_SECONDS = 1.2;
    private static final double FLOW_HELD_SECONDS = 2;
    private static final double FLOW_SETTLES_SECONDS = 0.6;
    private static final double TAPER_SLOPE = -0.10;

    private final UniformCurve pressure;
    private final CurveMeasures measures;
    private final double on;
    private final double off;
    private final double[] values;
    private double peak;

    private PhaseFinder(CurveMeasures measures, UniformCurve pressure, double on, double off) {
        this.measures = measures;
        this.on = on;
        this.off = off;
        double step = Math.max(pressure.step(), (off - on) / MOST_VALUES);
        int count = (int) Math.floor((off - on) / step) + 1;
        double[] even = new double[count];
        double last = 0;
        for (int i = 0; i < count; i++) {
            double value = pressure.at(on + i * step);
            last = Double.isFinite(value) ? value : last;
            even[i] = last;
        }
        this.values = even;
        this.pressure = new UniformCurve(on, step, Samples.of(even));
    }

    /**
     * {@return where the phases begin; only the main phase and the drip-out when no pressure was logged; none
     * without a pump}
     */
    static List<PhaseBorder> find(CurveMeasures measures) {
        Optional<Running> running = measures.running();
        Optional<TimedEvent> off = measures.times().pumpOff();
        Optional<UniformCurve> pressure = measures.find(Channel.PRESSURE);
        if (running.isEmpty() || !(running.get().until() > running.get().from() + 1)) {
            return List.of();
        }
        List<PhaseBorder> borders = pressure.isPresent() && measures.peakPressure().orElse(0) > LEAST_PEAK
                ? new PhaseFinder(measures, pressure.get(), running.get().from(), running.get().until()).whilePumping()
                : withoutPressure(measures, running.get().from());
        double end = measures.find(Channel.CUP_MASS)
                .or(() -> pressure)
                .map(UniformCurve::end)
                .orElse(running.get().until());
        if (off.isPresent() && end > off.get().seconds() + 0.5) {
            borders.add(new PhaseBorder(PhaseKind.DRIP_OUT, off.get().seconds()));
        }
        return borders;
    }

    private static List<PhaseBorder> withoutPressure(CurveMeasures measures, double on) {
        List<PhaseBorder> borders = new ArrayList<>();
        Optional<TimedEvent> drip = measures.times().firstDrip();
        if (drip.isPresent() && drip.get().seconds() > on + 0.5) {
            borders.add(new PhaseBorder(PhaseKind.WETTING, on));
        }
        borders.add(new PhaseBorder(PhaseKind.MAIN, borders.isEmpty() ? on : drip.orElseThrow().seconds()));
        return borders;
    }

    private List<PhaseBorder> whilePumping() {
        peak = OrderStatistic.of(values.clone(), (int) (0.97 * (values.length - 1)));
        List<PhaseBorder> borders = new ArrayList<>();
        double onset = measures.times().pressureOnset().map(TimedEvent::seconds).orElse(on);
        if (onset > on + 0.3) {
            borders.add(new PhaseBorder(PhaseKind.WETTING, on));
        }
        double begin = borders.isEmpty() ? on : onset;
        Rise rise = Rise.of(pressure, begin, peak);
        Optional<Pause> pause = Pause.before(measures.find(Channel.PUMP_FLOW), on, rise.reached());
        double soak = pause.map(Pause::from).orElse(begin);
        double ramp = pause.map(Pause::to).orElse(rise.begin());
        if (ramp > soak + SHORTEST_SOAK) {
            borders.removeIf(border -> border.seconds() > soak);
            borders.add(new PhaseBorder(PhaseKind.SOAK, soak));
        } else {
            ramp = begin;
        }
        double main = flowHeld(ramp, rise.reached()) ? ramp : rise.reached();
        if (main > ramp + 0.3) {
            borders.add(new PhaseBorder(PhaseKind.RAMP, ramp));
        }
        borders.add(new PhaseBorder(PhaseKind.MAIN, main));
        new TaperSearch(measures, pressure, main, off).begin()
                .ifPresent(taper -> borders.add(new PhaseBorder(PhaseKind.TAPER, taper)));
        return borders;
    }

    /**
     * A pump that gives an even flow, well below what it can, holds the flow: the pressure that follows is no ramp.
     */
    private boolean flowHeld(double from, double to) {
        Optional<UniformCurve> flow = measures.find(Channel.PUMP_FLOW);
        if (flow.isEmpty() || to - from < FLOW_HELD_SECONDS) {
            return false;
        }
        double[] held = flow.get().between(from + FLOW_SETTLES_SECONDS, to);
        double most = flow.get().values().max();
        double mean = Arrays.stream(held).average().orElse(0);
        double spread = Math.sqrt(Arrays.stream(held).map(q -> (q - mean) * (q - mean)).average().orElse(0));
        int third = held.length / 3;
        double early = Arrays.stream(held).limit(third).average().orElse(0);
        double late = Arrays.stream(held).skip(held.length - third).average().orElse(0);
        return third > 3 && mean > 0.3 && mean < 0.6 * most && spread < 0.06 * mean
                && Math.abs(late - early) < Math.max(0.02 * mean,
                        3 * measures.uncertainty(Channel.PUMP_FLOW, from) * Math.sqrt(2.0 / third))
                && slowsDown(from, to);
    }

    /** Under an even flow the pressure nears its height ever more slowly; a ramp that is held rises evenly. */
    private boolean slowsDown(double from, double to) {
        double middle = (from + to) / 2;
        double first = pressure.at(middle) - pressure.at(from);
        double second = pressure.at(to) - pressure.at(middle);
        return second < 0.97 * first;
    }

    private double time(int index) {
        return pressure.time(index);
    }

    private double perSecond(Piece piece) {
        return piece.slope() / pressure.step();
    }

}
