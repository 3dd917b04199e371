package org.grenu.figures.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.learn.Advice;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.Ladder;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.Response;
import org.grenu.figures.plan.LearntCurve.Band;

/**
 * A response against what the next shot moves, else against the grind: the shots, what was learnt from them, what is
 * wanted, and the next shot.
 *
 * @param response on the upright axis
 * @param axis     what is moved
 * @param points   the shots, the oldest first
 * @param grid     settings at which the curves are given, increasing; of the grind notches finer
 * @param fit      the mean at each
 * @param shots    one more shot at each
 * @param tried    from the least to the most that was tried
 * @param target   what is wanted; empty where nothing is
 * @param next     the next shot
 * @param low      value at the figure's foot
 * @param high     value at its head
 */
public record ResponseFigure(Response response, LeverAxis axis, List<Point> points, double[] grid,
        List<Band> fit, List<Band> shots, double[] tried, Optional<AimRange> target, Next next, double low,
        double high) {

    private static final int STEPS = 60;
    private static final double BESIDE = 1.6;
    private static final double HALF_A_NOTCH = 0.5;

    /**
     * A shot.
     *
     * @param name  by which people call it
     * @param at    where it stands on the axis
     * @param value in the response's unit
     * @param other whether it was by another profile than the line is for, or at another grind where that is not the
     *              axis
     */
    public record Point(String name, double at, double value, ShotRecord record, boolean other) {
    }

    /**
     * The next shot.
     *
     * @param at    where it stands on the axis
     * @param band  of one more shot there
     * @param lines what is said of it, the first one large
     */
    public record Next(double at, Band band, List<String> lines) {

        public Next {
            lines = List.copyOf(lines);
        }
    }

    public ResponseFigure {
        points = List.copyOf(points);
        fit = List.copyOf(fit);
        shots = List.copyOf(shots);
    }

    /**
     * {@return the figure of that curve}
     *
     * @param lines what is said of the next shot, the first one large
     */
    public static ResponseFigure of(Advice advice, LeverAxis axis, LearntCurve curve, List<String> lines) {
        List<Point> points = points(advice, axis, curve.response());
        Slope lever = axis.lever();
        double[] tried = tried(points, advice.held().setting(lever));
        ShotInputs next = advice.next().inputs();
        double beside = BESIDE * axis.step();
        double from = Math.min(tried[0], next.setting(lever)) - beside;
        double to = Math.max(tried[1], next.setting(lever)) + beside;
        double[] grid = new double[STEPS + 1];
        List<Band> fit = new ArrayList<>();
        List<Band> shots = new ArrayList<>();
        for (int i = 0; i <= STEPS; i++) {
            grid[i] = from + (to - from) * i / STEPS;
            fit.add(curve.fit(advice.held().with(lever, grid[i])));
            shots.add(curve.shot(advice.held().with(lever, grid[i])));
        }
        Next shown = new Next(next.setting(lever), curve.shot(next), lines);
        double[] ends = ends(points, fit, curve.target(), shown);
        return new ResponseFigure(curve.response(), axis, points, grid, fit, shots, tried, curve.target(), shown,
                ends[0], ends[1]);
    }

    private static List<Point> points(Advice advice, LeverAxis axis, Response response) {
        List<Point> points = new ArrayList<>();
        for (Rung rung : advice.ladder().rungs()) {
            Optional<ShotInputs> set = Ladder.inputs(rung.shot(), axis.dial());
            Optional<Measured> value = response.of(rung.shot());
            if (rung.step() != Step.APART && set.isPresent() && value.isPresent()) {
                points.add(new Point(rung.shot().name(), set.get().setting(axis.lever()), value.get().value(),
                        rung.shot().record(), !profile(rung).equals(advice.held().profile())
                                || axis.lever() != Slope.GRIND
                                        && Math.abs(set.get().finer() - advice.held().finer()) > HALF_A_NOTCH));
            }
        }
        return points;
    }

    private static String profile(Rung rung) {
        return rung.shot().record().text(RecordField.PROFILE).orElse("");
    }

    private static double[] tried(List<Point> points, double otherwise) {
        return new double[] {points.stream().mapToDouble(Point::at).min().orElse(otherwise),
                points.stream().mapToDouble(Point::at).max().orElse(otherwise)};
    }

    /** All shots, what is wanted and the next shot are in sight; of the curves what is near them. */
    private static double[] ends(List<Point> points, List<Band> fit, Optional<AimRange> target, Next next) {
        double low = Math.min(next.band().low(), fit.get(0).middle());
        double high = Math.max(next.band().high(), fit.get(fit.size() - 1).middle());
        low = Math.min(low, fit.get(fit.size() - 1).middle());
        high = Math.max(high, fit.get(0).middle());
        for (Point point : points) {
            low = Math.min(low, point.value());
            high = Math.max(high, point.value());
        }
        low = Math.min(low, target.map(AimRange::low).orElse(low));
        high = Math.max(high, target.map(AimRange::high).orElse(high));
        double margin = 0.08 * Math.max(high - low, 1e-6);
        return new double[] {low >= 0 ? Math.max(0, low - margin) : low - margin, high + margin};
    }
}
