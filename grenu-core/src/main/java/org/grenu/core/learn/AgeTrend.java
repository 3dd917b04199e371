package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.Response;

/**
 * A response against a coffee's age at one setting: smoothed, so that it may rise before it falls; with limits that
 * tell drift from noise.
 *
 * <p>Local lines with normal weights (W. S. Cleveland, Journal of the American Statistical Association 74, 1979,
 * 829–836, with another weight function; from memory); the limits are those of a chart for single values: three
 * spreads about the mean of the first age.
 *
 * @param points    by age
 * @param days      of the smooth curve, increasing
 * @param smooth    at each of them
 * @param half      half width of its 95 % band there
 * @param low       lower limit
 * @param high      upper limit
 * @param driftFrom first day on which the smooth curve lies outside the limits; empty while it does not
 */
public record AgeTrend(List<Point> points, double[] days, double[] smooth, double[] half, double low, double high,
        OptionalDouble driftFrom) {

    private static final int FEWEST = 4;
    private static final int STEPS = 40;
    private static final double LEAST_WIDTH = 3;
    private static final double LIMIT = 3;

    /**
     * A shot.
     *
     * @param days age without what was frozen
     */
    public record Point(String shot, double days, double value, ShotRecord record) {
    }

    public AgeTrend {
        points = List.copyOf(points);
    }

    /**
     * {@return the trend of those rungs that were set as that one; empty where fewer than four, or of one age}
     *
     * @param spread of a shot in the response's unit
     */
    public static Optional<AgeTrend> of(Ladder ladder, ShotRecord like, Response response, double spread) {
        List<Point> points = new ArrayList<>();
        for (Rung rung : ladder.rungs()) {
            ShotRecord record = rung.shot().record();
            boolean same = record.number(RecordField.GRIND).equals(like.number(RecordField.GRIND))
                    && record.text(RecordField.PROFILE).equals(like.text(RecordField.PROFILE))
                    && record.number(RecordField.TEMPERATURE).equals(like.number(RecordField.TEMPERATURE));
            if (rung.step() != Step.APART && same && record.ageDays().isPresent()) {
                response.of(rung.shot())
                        .ifPresent(value -> points.add(new Point(rung.shot().name(),
                                record.ageDays().getAsDouble(), value.value(), record)));
            }
        }
        points.sort((a, b) -> Double.compare(a.days, b.days));
        boolean oneAge = points.isEmpty() || points.get(0).days == points.get(points.size() - 1).days;
        return points.size() < FEWEST || oneAge ? Optional.empty()
                : Optional.of(smoothed(points, spread));
    }

    private static AgeTrend smoothed(List<Point> points, double spread) {
        double first = points.get(0).days;
        double last = points.get(points.size() - 1).days;
        double width = Math.max(LEAST_WIDTH, (last - first) / 4);
        double[] days = new double[STEPS + 1];
        double[] smooth = new double[STEPS + 1];
        double[] half = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            days[i] = first + (last - first) * i / STEPS;
            double[] at = local(points, days[i], width);
            smooth[i] = at[0];
            half[i] = 1.96 * spread * at[1];
        }
        double begun = points.stream()
                .filter(point -> point.days < first + 1)
                .mapToDouble(Point::value)
                .average()
                .orElseThrow();
        double low = begun - LIMIT * spread;
        double high = begun + LIMIT * spread;
        OptionalDouble drift = OptionalDouble.empty();
        for (int i = 0; i <= STEPS && drift.isEmpty(); i++) {
            drift = smooth[i] < low || smooth[i] > high ? OptionalDouble.of(days[i]) : drift;
        }
        return new AgeTrend(points, days, smooth, half, low, high, drift);
    }

    /** The line through the points about there, and how far a spread of one comes through to it. */
    private static double[] local(List<Point> points, double at, double width) {
        double[] weights = points.stream().mapToDouble(point -> {
            double off = (point.days - at) / width;
            return Math.exp(-off * off / 2);
        }).toArray();
        double all = Arrays.stream(weights).sum();
        double mean = 0;
        for (int i = 0; i < weights.length; i++) {
            mean += weights[i] * points.get(i).days / all;
        }
        double squares = 0;
        for (int i = 0; i < weights.length; i++) {
            squares += weights[i] * (points.get(i).days - mean) * (points.get(i).days - mean);
        }
        double value = 0;
        double through = 0;
        for (int i = 0; i < weights.length; i++) {
            double share = weights[i] / all
                    + (squares > 1e-9 ? weights[i] * (points.get(i).days - mean) * (at - mean) / squares : 0);
            value += share * points.get(i).value;
            through += share * share;
        }
        return new double[] {value, Math.sqrt(through)};
    }

    /**
     * After how many days a notch finer makes up for the coffee's age.
     *
     * @param days   about
     * @param within ±, 95 %
     * @param sure   whether the age's own effect leaves nought out: else it cannot be said yet
     */
    public record NotchEvery(double days, double within, boolean sure) {

        /** {@return it by what is believed of the time} */
        public static NotchEvery of(ResponseBelief time) {
            StudentT notch = time.slope(Slope.GRIND);
            StudentT day = time.slope(Slope.AGE);
            double days = Math.abs(notch.location() / day.location());
            double share = Math.hypot(notch.scale() / notch.location(), day.scale() / day.location());
            return new NotchEvery(days, 1.96 * days * share, day.excludesNought());
        }
    }
}
