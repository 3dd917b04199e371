package org.grenu.core.hydraulics;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.grenu.core.numbers.IsotonicMeans;
import org.grenu.core.numbers.MonotoneCurve;
import org.grenu.core.quantity.Measured;

/**
 * What a valve lets through an open group at each of its positions: water weighed over a time, flow = grams/seconds.
 * Free
 * flow: a puck lets far less through. Repeats at a position are averaged; positions that are out of order are pooled
 * (weighted by 1/u²), since a valve does not turn back; between positions a monotone cubic runs. A position's
 * uncertainty is
 * the larger of the repeats' pooled spread and what weighing and timing leave, over √n; between positions it is
 * interpolated linearly.
 */
public final class ValveCalibration {

    /** Standard uncertainty of timing a run by hand, s (common practice, no source). */
    public static final double TIMING_U = 0.2;
    /** Seconds of a run (common practice, no source). */
    public static final double USUAL_SECONDS = 20;

    private final List<Position> positions;
    private final MonotoneCurve curve;
    private final double[] at;
    private final double[] u;

    /**
     * One run.
     *
     * @param position of the valve, in whatever it is counted in
     * @param seconds  in (0, ∞)
     * @param grams    of water, in [0, ∞)
     */
    public record Run(double position, double seconds, double grams) {
    }

    /**
     * A position with what its runs say.
     *
     * @param at     position of the valve
     * @param flows  of each run, g/s
     * @param mean   of them, g/s
     * @param u      its standard uncertainty, g/s
     * @param fitted flow once neighbours that are out of order are pooled, g/s
     */
    public record Position(double at, List<Double> flows, double mean, double u, double fitted) {

        public Position {
            flows = List.copyOf(flows);
        }
    }

    /**
     * A position for a wanted flow.
     *
     * @param at   the position
     * @param low  lower end of the positions that the uncertainty (k = 2) of calibration and flow leaves open, as far
     *             as they are reached
     * @param high upper end
     */
    public record Opening(double at, double low, double high) {
    }

    private ValveCalibration(List<Position> positions) {
        this.positions = List.copyOf(positions);
        at = positions.stream().mapToDouble(Position::at).toArray();
        u = positions.stream().mapToDouble(Position::u).toArray();
        curve = new MonotoneCurve(at, positions.stream().mapToDouble(Position::fitted).toArray());
    }

    /**
     * {@return the calibration; empty with fewer than two positions}
     *
     * @param weighingU standard uncertainty of a weighing, g, in [0, ∞)
     */
    public static Optional<ValveCalibration> of(List<Run> runs, double weighingU) {
        TreeMap<Double, List<Run>> byPosition = new TreeMap<>();
        runs.forEach(run -> byPosition.computeIfAbsent(run.position, key -> new ArrayList<>()).add(run));
        if (byPosition.size() < 2) {
            return Optional.empty();
        }
        double pooled = pooledSpread(byPosition);
        List<Position> positions = new ArrayList<>();
        byPosition.forEach((at, group) -> positions.add(position(at, group, pooled, weighingU)));
        return Optional.of(new ValveCalibration(inOrder(positions)));
    }

    private static Position position(double at, List<Run> group, double pooled, double weighingU) {
        List<Double> flows = group.stream().map(run -> run.grams / run.seconds).toList();
        double mean = mean(flows);
        double instrument = group.stream()
                .mapToDouble(run -> Math.hypot(weighingU / run.seconds, mean * TIMING_U / run.seconds))
                .max()
                .orElse(0);
        return new Position(at, flows, mean, Math.max(pooled, instrument) / Math.sqrt(flows.size()), mean);
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average().orElse(0);
    }

    private static double pooledSpread(TreeMap<Double, List<Run>> byPosition) {
        double squares = 0;
        int freedom = 0;
        for (List<Run> group : byPosition.values()) {
            List<Double> flows = group.stream().map(run -> run.grams / run.seconds).toList();
            double mean = mean(flows);
            squares += flows.stream().mapToDouble(flow -> (flow - mean) * (flow - mean)).sum();
            freedom += flows.size() - 1;
        }
        return freedom > 0 ? Math.sqrt(squares / freedom) : 0;
    }

    /** Rising or falling, whichever lies nearer to what was weighed. */
    private static List<Position> inOrder(List<Position> positions) {
        double[] flows = positions.stream().mapToDouble(Position::mean).toArray();
        double[] turned = positions.stream().mapToDouble(position -> -position.mean).toArray();
        double[] weights = positions.stream()
                .mapToDouble(position -> 1 / Math.max(1e-18, position.u * position.u))
                .toArray();
        double[] up = IsotonicMeans.rising(flows, weights);
        double[] down = IsotonicMeans.rising(turned, weights);
        boolean rising = misfit(flows, up, weights, 1) <= misfit(flows, down, weights, -1);
        List<Position> fitted = new ArrayList<>();
        for (int i = 0; i < flows.length; i++) {
            Position position = positions.get(i);
            fitted.add(new Position(position.at, position.flows, position.mean, position.u, rising ? up[i] : -down[i]));
        }
        return fitted;
    }

    private static double misfit(double[] flows, double[] fitted, double[] weights, int sign) {
        double sum = 0;
        for (int i = 0; i < flows.length; i++) {
            double off = flows[i] - sign * fitted[i];
            sum += weights[i] * off * off;
        }
        return sum;
    }

    /** {@return the positions in increasing order} */
    public List<Position> positions() {
        return positions;
    }

    /** {@return positions whose runs are out of order with their neighbours by more than their uncertainty, k = 2} */
    public List<Position> outOfOrder() {
        return positions.stream()
                .filter(position -> Math.abs(position.mean - position.fitted) > 2 * position.u)
                .toList();
    }

    /** {@return the free flow at that position, g/s; empty outside the positions that were run} */
    public Optional<Measured> flowAt(double position) {
        double flow = curve.at(position);
        return Double.isNaN(flow) ? Optional.empty() : Optional.of(Measured.independent(flow, uncertaintyAt(position)));
    }

    /** {@return the position that gives that flow, g/s; empty when none does} */
    public OptionalDouble positionFor(double flow) {
        double position = curve.where(flow);
        return Double.isNaN(position) ? OptionalDouble.empty() : OptionalDouble.of(position);
    }

    /** {@return where to set the valve for that flow, g/s; empty when no position gives it} */
    public Optional<Opening> openingFor(Measured flow) {
        OptionalDouble position = positionFor(flow.value());
        if (position.isEmpty()) {
            return Optional.empty();
        }
        double at = position.getAsDouble();
        double u = Math.hypot(flow.expanded(), flowAt(at).orElseThrow().expanded());
        double one = positionFor(Math.max(least(), flow.value() - u)).orElse(at);
        double other = positionFor(Math.min(largest(), flow.value() + u)).orElse(at);
        return Optional.of(new Opening(at, Math.min(one, other), Math.max(one, other)));
    }

    /** {@return the least flow of any position, g/s} */
    public double least() {
        return positions.stream().mapToDouble(Position::fitted).min().orElseThrow();
    }

    /** {@return the largest flow of any position, g/s} */
    public double largest() {
        return positions.stream().mapToDouble(Position::fitted).max().orElseThrow();
    }

    private double uncertaintyAt(double position) {
        int i = 0;
        while (i < at.length - 2 && at[i + 1] < position) {
            i++;
        }
        double share = (position - at[i]) / (at[i + 1] - at[i]);
        return u[i] + share * (u[i + 1] - u[i]);
    }
}
