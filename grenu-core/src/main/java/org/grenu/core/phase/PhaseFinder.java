package org.grenu.core.phase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.ChangePoints;
import org.grenu.core.curve.ChangePoints.Piece;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveMeasures.Running;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;
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
    private static final double ONSET_BAR = 0.35;
    private static final double FLAT = 0.35;
    private static final double STILL_RISING = 0.2;
    private static final double REACHED = 0.95;
    private static final double BEND_SECONDS = 1.2;
    private static final double FLOW_HELD_SECONDS = 2;
    private static final double TAPER_SLOPE = -0.10;

    private final UniformCurve pressure;
    private final CurveMeasures measures;
    private final double on;
    private final double off;
    private final double[] values;
    private double peak;
    private List<Piece> pieces;

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
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        peak = sorted[(int) (0.97 * (sorted.length - 1))];
        int shortest = Math.max(3, (int) Math.round(SHORTEST_SECONDS / pressure.step()));
        pieces = ChangePoints.straight(values, NOISE_BAR, shortest, PENALTY);
        List<PhaseBorder> borders = new ArrayList<>();
        double onset = measures.times().pressureOnset().map(TimedEvent::seconds).orElse(on);
        if (onset > on + 0.3) {
            borders.add(new PhaseBorder(PhaseKind.WETTING, on));
        }
        double begin = borders.isEmpty() ? on : onset;
        Optional<Piece> plateau = plateau();
        double main = plateau.map(p -> reached(begin, p)).orElse(off);
        double ramp = rampAfterSoak(begin, main);
        if (ramp > begin) {
            borders.add(new PhaseBorder(PhaseKind.SOAK, begin));
        }
        if (flowHeld(ramp, main)) {
            main = ramp;
        }
        if (main > ramp + 0.3) {
            borders.add(new PhaseBorder(PhaseKind.RAMP, ramp));
        }
        if (plateau.isPresent() || main < off) {
            borders.add(new PhaseBorder(PhaseKind.MAIN, main));
            double taper = taper(main);
            if (taper > main + 0.5) {
                borders.add(new PhaseBorder(PhaseKind.TAPER, taper));
            }
        }
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
        double[] held = flow.get().between(from + 0.3, to);
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
        return second < 0.9 * first;
    }

    private double time(int index) {
        return pressure.time(index);
    }

    private double perSecond(Piece piece) {
        return piece.slope() / pressure.step();
    }

    private double seconds(Piece piece) {
        return (piece.last() - piece.first()) * pressure.step();
    }

    private double median(int from, int to) {
        double[] sorted = Arrays.copyOfRange(values, from, Math.max(from + 1, to));
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    /** The first piece near the height at which the pressure no longer rises. */
    private Optional<Piece> plateau() {
        return pieces.stream()
                .filter(p -> perSecond(p) < STILL_RISING && seconds(p) >= 0.6
                        && (p.at(p.first()) + p.at(p.last())) / 2 > 0.6 * peak)
                .findFirst();
    }

    /** Where the pressure came within a twentieth of the plateau's level. */
    private double reached(double from, Piece plateau) {
        double level = plateau.at(plateau.first());
        int settle = Math.min(plateau.last(), plateau.first() + (int) Math.round(0.6 / pressure.step()));
        level = Math.min(level, median(plateau.first(), settle + 1));
        int i = plateau.first();
        int first = (int) Math.round((from - on) / pressure.step());
        while (i > first && values[i - 1] >= REACHED * level) {
            i--;
        }
        while (i < values.length - 1 && values[i] < REACHED * level) {
            i++;
        }
        return time(i);
    }

    /** Where the ramp begins: at the end of the last low and level piece before the main phase, or at once. */
    private double rampAfterSoak(double begin, double main) {
        double ramp = begin;
        for (Piece piece : pieces) {
            double middle = (piece.at(piece.first()) + piece.at(piece.last())) / 2;
            boolean low = middle < 0.6 * peak && middle > 0.5 * ONSET_BAR;
            if (low && Math.abs(perSecond(piece)) < FLAT && seconds(piece) >= 1 && time(piece.last()) <= main + 1e-9
                    && time(piece.last()) > begin + 0.8) {
                ramp = bend(piece);
            }
        }
        return ramp;
    }

    /**
     * Where the line of a piece and the line of the one after it meet, no farther from their border than a second
     * or so.
     */
    private double bend(Piece piece) {
        int next = pieces.indexOf(piece) + 1;
        if (next >= pieces.size() || pieces.get(next).slope() == piece.slope()) {
            return time(piece.last());
        }
        Piece after = pieces.get(next);
        double meet = after.first() + (piece.at(after.first()) - after.start()) / (after.slope() - piece.slope());
        double reach = BEND_SECONDS / pressure.step();
        return time(0) + Math.max(piece.last() - reach, Math.min(after.first() + reach, meet)) * pressure.step();
    }

    /** Where the greatest steady fall begins, if the flow falls with the pressure: otherwise the puck gave way. */
    private double taper(double main) {
        double begin = main;
        double greatest = 0.1 * peak;
        for (int i = 0; i < pieces.size(); i++) {
            int last = i;
            while (last < pieces.size() && time(pieces.get(last).first()) >= main - 0.3 && falls(pieces.get(last))) {
                last++;
            }
            if (last > i) {
                Piece first = pieces.get(i);
                Piece end = pieces.get(last - 1);
                double drop = first.at(first.first()) - end.at(end.last());
                double from = Math.max(main, i == 0 ? time(first.first()) : bend(pieces.get(i - 1)));
                if (drop > greatest && time(end.last()) - from > 1.5) {
                    greatest = drop;
                    begin = from;
                }
                i = last - 1;
            }
        }
        return begin > main && flowFalls(begin) ? begin : main;
    }

    private boolean falls(Piece piece) {
        return perSecond(piece) < TAPER_SLOPE * peak / 9;
    }

    private boolean flowFalls(double from) {
        Optional<UniformCurve> flow = measures.find(Channel.PUMP_FLOW).or(() -> measures.find(Channel.CUP_FLOW));
        if (flow.isEmpty()) {
            return true;
        }
        double before = Arrays.stream(flow.get().between(from - 1.5, from)).average().orElse(Double.NaN);
        double after = Arrays.stream(flow.get().between(off - 1.5, off - 0.3)).average().orElse(Double.NaN);
        double pressureShare = pressure.at(off - 0.5) / pressure.at(from);
        return !(after / before > 1 - 0.4 * (1 - pressureShare));
    }
}
