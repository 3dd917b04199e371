package org.grenu.core.phase;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.ChangePoints;
import org.grenu.core.curve.ChangePoints.Piece;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.OrderStatistic;
import org.grenu.core.numbers.StraightLine;

/**
 * Looks for where the pressure is brought down while the pump runs. When the machine does it, pressure and flow turn
 * down together, each against its own course before; a puck that gives way does so smoothly, or lets the flow rise. The
 * limits are relative to the shot's own height (common practice, no source).
 */
final class TaperSearch {

    private static final double NOISE_BAR = 0.06;
    private static final double PENALTY = 30;
    private static final double SHORTEST_SECONDS = 0.5;
    private static final double BEND_SECONDS = 1.2;
    private static final double SLOPE_PER_PEAK = 0.011;
    private static final double LEAST_DROP = 0.08;
    /** How far the flow turns at least for what the pressure turns, both in logarithms. */
    private static final double FOLLOWS = 0.35;
    private static final double LEAST_TURN = 0.03;
    private static final double FLOW_COURSE_SECONDS = 5;
    /** By so many standard deviations the flow must have turned. */
    private static final double CLEARLY = 2.5;
    /** A flow that rose and now merely rises no longer was not brought down: by so many it must fall. */
    private static final double FALLS_BY = 1.5;
    private static final double HELD_SECONDS = 6;
    private static final double HELD_SHARE = 0.01;
    private static final double ROSE_PER_SECOND = 0.016;
    private static final double COURSE_SECONDS = 3;
    private static final double SHORTEST_COURSE_SECONDS = 1.2;
    private static final double CUP_DELAY_SECONDS = 0.4;
    private static final double AVERAGED_SECONDS = 1;
    private static final double LEAST_MAIN_SECONDS = 0.5;

    private final UniformCurve pressure;
    private final Optional<UniformCurve> flow;
    private final double delay;
    private final double flowNoise;
    private final double main;
    private final double off;
    private final double peak;
    private final List<Piece> pieces;

    TaperSearch(CurveMeasures measures, UniformCurve pressure, double main, double off) {
        this.pressure = pressure;
        Optional<UniformCurve> pump = measures.find(Channel.PUMP_FLOW);
        this.flow = pump.or(() -> measures.find(Channel.CUP_FLOW));
        this.delay = pump.isPresent() ? 0 : CUP_DELAY_SECONDS;
        double u = measures.uncertainty(pump.isPresent() ? Channel.PUMP_FLOW : Channel.CUP_FLOW, (main + off) / 2);
        this.flowNoise = Double.isFinite(u) ? u : 0;
        this.main = main;
        this.off = off;
        this.peak = OrderStatistic.of(pressure.values().toArray(), (int) (0.97 * (pressure.size() - 1)));
        int shortest = Math.max(3, (int) Math.round(SHORTEST_SECONDS / pressure.step()));
        this.pieces = ChangePoints.straight(pressure.values().toArray(), NOISE_BAR, shortest, PENALTY);
    }

    /** {@return where the greatest such fall begins, s; empty when there is none} */
    OptionalDouble begin() {
        OptionalDouble found = OptionalDouble.empty();
        double greatest = LEAST_DROP * peak;
        for (int i = 0; i < pieces.size(); i++) {
            int end = i;
            while (end < pieces.size() && (end == i ? begins(pieces.get(end)) : falls(pieces.get(end)))) {
                end++;
            }
            if (end > i) {
                Piece first = pieces.get(i);
                Piece last = pieces.get(end - 1);
                double drop = first.at(first.first()) - last.at(last.last());
                double from = Math.max(main, i == 0 ? time(first.first()) : bend(i - 1));
                if (drop > greatest && from > main + LEAST_MAIN_SECONDS
                        && staysDown(last, first.at(first.first()) - 0.6 * drop)) {
                    greatest = drop;
                    found = OptionalDouble.of(from);
                }
                i = end - 1;
            }
        }
        return found;
    }

    private double time(int index) {
        return pressure.time(index);
    }

    private boolean falls(Piece piece) {
        double perSecond = piece.slope() / pressure.step();
        return time(piece.first()) >= main - 0.3 && perSecond < -SLOPE_PER_PEAK * peak;
    }

    /** Pressure and flow both turn down where the piece begins. Without any flow nothing speaks against it. */
    private boolean begins(Piece piece) {
        if (!falls(piece)) {
            return false;
        }
        if (flow.isEmpty()) {
            return true;
        }
        double at = time(piece.first());
        double span = Math.min(COURSE_SECONDS, Math.min(off - 0.3, time(piece.last())) - at);
        Turn ofPressure = Turn.of(pressure, at, Math.min(COURSE_SECONDS, at - main), span, NOISE_BAR);
        Turn ofFlow = Turn.of(flow.get(), at + delay, Math.min(FLOW_COURSE_SECONDS, at - main), span, flowNoise);
        Turn fall = Turn.of(flow.get(), at + delay, Math.min(AVERAGED_SECONDS, at - main), span, flowNoise);
        return ofPressure.by < -LEAST_TURN
                && (ofFlow.slope < ROSE_PER_SECOND || fall.by < -FALLS_BY * fall.noise || !held(at))
                && !(ofFlow.by > Math.min(-CLEARLY * ofFlow.noise, FOLLOWS * ofPressure.by));
    }

    /** A pump that was held back by its pressure limit and then gives its even flow was not brought down either. */
    private boolean held(double at) {
        double to = Math.min(off - 0.5, at + HELD_SECONDS);
        if (delay > 0 || to - at < HELD_SECONDS / 2) {
            return false;
        }
        double middle = (at + 0.5 + to) / 2;
        double first = Arrays.stream(flow.orElseThrow().between(at + 0.5, middle)).average().orElse(Double.NaN);
        double second = Arrays.stream(flow.orElseThrow().between(middle, to)).average().orElse(Double.NaN);
        double samples = (to - middle) / pressure.step();
        return Math.abs(second - first) < HELD_SHARE * first + 2 * flowNoise * Math.sqrt(2 / samples);
    }

    /**
     * How far a curve comes to lie off its course before, in logarithms.
     *
     * @param noise its standard deviation
     * @param slope of its course before, per second
     */
    private record Turn(double by, double noise, double slope) {

        static Turn of(UniformCurve curve, double at, double before, double span, double noise) {
            StraightLine line = new StraightLine();
            for (int i = 0; i < curve.size(); i++) {
                double x = curve.time(i) - at;
                if (x >= -before && x <= 0) {
                    line.add(x, Math.log(curve.value(i)));
                }
            }
            boolean tooShort = before < SHORTEST_COURSE_SECONDS;
            double slope = tooShort ? 0 : line.slope();
            double[] after = curve.between(at + Math.max(span / 2, span - AVERAGED_SECONDS), at + span);
            double reached = Arrays.stream(after).map(v -> Math.log(Math.max(0.02, v))).average().orElse(Double.NaN);
            double ahead = span - Math.min(span, AVERAGED_SECONDS) / 2 - line.meanX();
            double course = line.meanY() + slope * ahead;
            double one = noise / Math.exp(line.meanY());
            double variance = 1.0 / after.length + 1 / line.count()
                    + (tooShort ? 0 : ahead * ahead / line.spread());
            return new Turn(reached - course, one * Math.sqrt(variance), slope);
        }
    }

    /** A dip that is made up for is no taper. */
    private boolean staysDown(Piece fall, double level) {
        return pressure.at(off - 0.5) < level || time(fall.last()) > off - 1;
    }

    /** Where the line of a piece and the line of the next meet, no farther from their border than a second or so. */
    private double bend(int index) {
        Piece piece = pieces.get(index);
        Piece after = pieces.get(index + 1);
        if (after.slope() == piece.slope()) {
            return time(piece.last());
        }
        double meet = after.first() + (piece.at(after.first()) - after.start()) / (after.slope() - piece.slope());
        double reach = BEND_SECONDS / pressure.step();
        return time(0) + Math.max(piece.last() - reach, Math.min(after.first() + reach, meet)) * pressure.step();
    }
}
