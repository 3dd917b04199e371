package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.DoubleStream;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveAxis;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.Samples;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.record.Factor;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * The curves of several shots lined up at the same moment, or by the mass in the cup, and gathered by the level of a
 * factor.
 *
 * @param axis   what they are lined up along
 * @param unit   of the axis
 * @param groups by channel, in the order of the levels
 */
public record CurveOverlay(AxisKind axis, String unit, Map<Channel, List<CurveGroup>> groups) {

    /** The common step, in the axis's unit. */
    public static final double STEP = 0.1;
    private static final String UNKNOWN = "unknown";

    public CurveOverlay {
        groups = new LinkedHashMap<>(groups);
    }

    /** {@return the overlay of those shots; those without the axis's moment stay out} */
    public static CurveOverlay of(List<MeasuredShot> shots, Factor factor, AxisKind axis, List<Channel> channels) {
        Map<Channel, List<CurveGroup>> groups = new LinkedHashMap<>();
        for (Channel channel : channels) {
            Map<String, List<AlignedCurve>> byLevel = byLevel(shots, factor, axis, channel);
            if (!byLevel.isEmpty()) {
                groups.put(channel, grouped(byLevel));
            }
        }
        return new CurveOverlay(axis, axis == AxisKind.CUP_MASS ? "g" : "s", groups);
    }

    private static Map<String, List<AlignedCurve>> byLevel(List<MeasuredShot> shots, Factor factor, AxisKind axis,
            Channel channel) {
        Map<String, List<AlignedCurve>> byLevel = new TreeMap<>(Levels.ORDER);
        for (MeasuredShot shot : shots) {
            curve(shot, axis, channel).ifPresent(curve -> byLevel
                    .computeIfAbsent(factor.level(shot.record()).orElse(UNKNOWN), key -> new ArrayList<>())
                    .add(new AlignedCurve(shot, curve)));
        }
        return byLevel;
    }

    private static Optional<UniformCurve> curve(MeasuredShot shot, AxisKind kind, Channel channel) {
        CurveAxis axis = CurveAxis.of(kind, shot.measures().curve());
        boolean lacking = axis instanceof CurveAxis.Clock clock && clock.title().equals(CurveAxis.LOG_CLOCK);
        Optional<UniformCurve> found = switch (channel) {
            case RESISTANCE -> shot.measures().hydraulics().resistance().map(r -> r.linear());
            case RESISTANCE_SQUARED -> shot.measures().hydraulics().resistance().map(r -> r.squared());
            default -> shot.measures().curve().find(channel);
        };
        return lacking ? Optional.empty()
                : found.map(axis::along).map(CurveOverlay::onGrid).filter(curve -> curve.values().hasAny());
    }

    /** At whole multiples of the step, so that curves of different shots have their points in common. */
    private static UniformCurve onGrid(UniformCurve curve) {
        int first = (int) Math.ceil(curve.start() / STEP - 1e-9);
        int last = (int) Math.floor(curve.end() / STEP + 1e-9);
        double[] values = new double[Math.max(1, last - first + 1)];
        for (int i = 0; i < values.length; i++) {
            values[i] = curve.at((first + i) * STEP);
        }
        return new UniformCurve(first * STEP, STEP, Samples.of(values));
    }

    private static List<CurveGroup> grouped(Map<String, List<AlignedCurve>> byLevel) {
        int from = byLevel.values()
                .stream()
                .flatMap(List::stream)
                .mapToInt(one -> index(one.curve().start()))
                .min()
                .orElse(0);
        int to = byLevel.values()
                .stream()
                .flatMap(List::stream)
                .mapToInt(one -> index(one.curve().end()))
                .max()
                .orElse(0);
        double[] squares = new double[to - from + 1];
        int[] freedom = new int[squares.length];
        Map<String, double[]> means = new LinkedHashMap<>();
        byLevel.forEach((level, members) -> means.put(level, mean(members, from, squares, freedom)));
        List<CurveGroup> groups = new ArrayList<>();
        Map<Integer, Double> quantiles = new HashMap<>();
        byLevel.forEach((level, members) -> {
            double[] mean = means.get(level);
            double[] half = new double[mean.length];
            for (int i = 0; i < half.length; i++) {
                half[i] = freedom[i] < 1 ? Double.NaN : quantiles.computeIfAbsent(freedom[i], CurveOverlay::quantile)
                        * Math.sqrt(squares[i] / freedom[i] / members.size());
            }
            boolean several = members.size() > 1 && DoubleStream.of(mean).anyMatch(Double::isFinite);
            UniformCurve along = new UniformCurve(from * STEP, STEP, Samples.of(mean));
            groups.add(new CurveGroup(level, members, several ? Optional.of(along) : Optional.empty(),
                    several && DoubleStream.of(half).anyMatch(Double::isFinite) ? Optional.of(along.withValues(half))
                            : Optional.empty()));
        });
        return groups;
    }

    /** The mean where all members are known, adding their squares about it and degrees of freedom. */
    private static double[] mean(List<AlignedCurve> members, int from, double[] squares, int[] freedom) {
        double[] mean = new double[squares.length];
        for (int i = 0; i < mean.length; i++) {
            double sum = 0;
            for (AlignedCurve member : members) {
                sum += at(member.curve(), from + i);
            }
            mean[i] = sum / members.size();
            if (Double.isFinite(mean[i])) {
                for (AlignedCurve member : members) {
                    squares[i] += Math.pow(at(member.curve(), from + i) - mean[i], 2);
                }
                freedom[i] += members.size() - 1;
            }
        }
        return mean;
    }

    /** {@return the curve's value at that multiple of the step; NaN outside} */
    static double at(UniformCurve curve, int index) {
        int i = index - index(curve.start());
        return i < 0 || i >= curve.size() ? Double.NaN : curve.value(i);
    }

    static int index(double place) {
        return (int) Math.round(place / STEP);
    }

    private static double quantile(int df) {
        return new TDistribution(df).inverseCumulativeProbability(0.975);
    }
}
