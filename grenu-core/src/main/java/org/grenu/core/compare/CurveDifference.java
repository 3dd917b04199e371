package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.model.CurveTest;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.Reported;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.record.Factor;

/**
 * Where the curves of two groups differ, all channels and all places taken as one family: a false alarm anywhere
 * comes in 5 %
 * of studies at most.
 *
 * @param first    level of the group from which the other is taken
 * @param second   the other level
 * @param unit     of the axis
 * @param channels the difference of each
 * @param possible whether so few shots could show a difference at all
 */
public record CurveDifference(String first, String second, String unit, List<OfChannel> channels, boolean possible) {

    /** Differences of means below that are the instrument's, in the channel's unit (common practice, no source). */
    private static final Map<Channel,
            Double> FLOORS = Map.of(Channel.PRESSURE, 0.05, Channel.PUMP_FLOW, 0.05, Channel.CUP_FLOW, 0.05,
                    Channel.CUP_MASS, 0.1, Channel.TEMPERATURE, 0.1, Channel.RESISTANCE, 0.05);
    private static final long SEED = 20_261_123;

    /**
     * The difference of one channel.
     *
     * @param difference mean of the first less mean of the second, where all their curves are known
     * @param stretches  from and to, in the axis's unit, where the groups differ
     */
    public record OfChannel(Channel channel, UniformCurve difference, List<double[]> stretches) {

        public OfChannel {
            stretches = List.copyOf(stretches);
        }
    }

    public CurveDifference {
        channels = List.copyOf(channels);
    }

    /**
     * {@return the difference; empty when one of the groups has fewer than two curves, or they have no place in
     * common}
     *
     * @param within factors: only shots alike in them change places, and what they change is taken out; the last ones
     *               are let
     *               go until enough ways are left to share the shots out
     */
    public static Optional<CurveDifference> of(CurveOverlay overlay, String first, String second, List<Factor> within,
            int shuffles) {
        Map<Channel, List<AlignedCurve>> curves = curves(overlay, first, second);
        List<MeasuredShot> shots = inEvery(curves);
        boolean[] labels = labels(overlay, first, shots);
        long many = IntStream.range(0, labels.length).filter(i -> labels[i]).count();
        List<Stretching> stretches = curves.entrySet()
                .stream()
                .filter(entry -> FLOORS.containsKey(entry.getKey()) && !entry.getValue().isEmpty())
                .map(entry -> Stretching.of(entry.getKey(), entry.getValue(), shots))
                .flatMap(Optional::stream)
                .toList();
        if (many < 2 || labels.length - many < 2 || stretches.isEmpty()) {
            return Optional.empty();
        }
        List<int[]> blocks = blocks(shots, within);
        for (int kept = within.size() - 1; kept >= 0 && !enough(labels, blocks); kept--) {
            blocks = blocks(shots, within.subList(0, kept));
        }
        CurveTest test = CurveTest.of(joined(stretches, shots.size()), labels, blocks, floors(stretches), shuffles,
                SEED);
        List<OfChannel> channels = new ArrayList<>();
        int from = 0;
        for (Stretching one : stretches) {
            channels.add(one.judged(new CurveTest(test.p().subList(from, from + one.values[0].length)), labels));
            from += one.values[0].length;
        }
        return Optional.of(new CurveDifference(first, second, overlay.unit(), channels, enough(labels, blocks)));
    }

    private static Map<Channel, List<AlignedCurve>> curves(CurveOverlay overlay, String first, String second) {
        Map<Channel, List<AlignedCurve>> curves = new LinkedHashMap<>();
        overlay.groups()
                .forEach((channel, groups) -> curves.put(channel, groups.stream()
                        .filter(group -> group.level().equals(first) || group.level().equals(second))
                        .flatMap(group -> group.members().stream())
                        .toList()));
        return curves;
    }

    /** The shots that have a curve in every channel that any of them has one in. */
    private static List<MeasuredShot> inEvery(Map<Channel, List<AlignedCurve>> curves) {
        return curves.values()
                .stream()
                .flatMap(List::stream)
                .map(AlignedCurve::shot)
                .distinct()
                .filter(shot -> curves.values()
                        .stream()
                        .allMatch(of -> of.isEmpty() || of.stream().anyMatch(one -> one.shot() == shot)))
                .toList();
    }

    /** All channels side by side, a row a shot: one test for all of them. */
    private static double[][] joined(List<Stretching> stretches, int shots) {
        return IntStream.range(0, shots)
                .mapToObj(row -> stretches.stream().flatMapToDouble(one -> DoubleStream.of(one.values[row])).toArray())
                .toArray(double[][]::new);
    }

    private static double[] floors(List<Stretching> stretches) {
        return stretches.stream()
                .flatMapToDouble(
                        one -> IntStream.range(0, one.values[0].length).mapToDouble(k -> FLOORS.get(one.channel)))
                .toArray();
    }

    private static boolean[] labels(CurveOverlay overlay, String first, List<MeasuredShot> shots) {
        boolean[] labels = new boolean[shots.size()];
        for (int i = 0; i < labels.length; i++) {
            MeasuredShot shot = shots.get(i);
            labels[i] = overlay.groups()
                    .values()
                    .stream()
                    .flatMap(List::stream)
                    .anyMatch(group -> group.level().equals(first)
                            && group.members().stream().anyMatch(member -> member.shot() == shot));
        }
        return labels;
    }

    /**
     * Both of two equal groups can be the first: with fewer than forty ways to lay the labels no difference reaches
     * 5 %.
     */
    private static boolean enough(boolean[] labels, List<int[]> blocks) {
        return ways(labels, blocks) >= 2 / Question.ALPHA;
    }

    private static List<int[]> blocks(List<MeasuredShot> shots, List<Factor> within) {
        Map<String, List<Integer>> rows = new LinkedHashMap<>();
        for (int i = 0; i < shots.size(); i++) {
            MeasuredShot shot = shots.get(i);
            rows.computeIfAbsent(within.stream()
                    .map(factor -> factor.level(shot.record()).orElse(""))
                    .collect(Collectors.joining("\n")), key -> new ArrayList<>()).add(i);
        }
        return rows.values().stream().map(list -> list.stream().mapToInt(Integer::intValue).toArray()).toList();
    }

    /** In how many ways the labels can lie. */
    private static double ways(boolean[] labels, List<int[]> blocks) {
        double ways = 1;
        for (int[] rows : blocks) {
            int chosen = (int) IntStream.of(rows).filter(i -> labels[i]).count();
            for (int k = 0; k < chosen; k++) {
                ways *= (rows.length - k) / (k + 1.0);
            }
        }
        return ways;
    }

    /** {@return where they differ, in words} */
    public String words() {
        String both = first + " and " + second;
        if (!possible) {
            return "Too few shots of " + both
                    + " to tell their curves apart: there are fewer than forty ways to share them out.";
        }
        String found = channels.stream()
                .filter(one -> !one.stretches().isEmpty())
                .map(this::inWords)
                .collect(Collectors.joining("; "));
        return found.isEmpty() ? "The curves of " + both + " cannot be told apart anywhere (family-wise 5 %)."
                : "The curves of " + both + " differ: " + found + " (family-wise 5 %).";
    }

    private String inWords(OfChannel one) {
        return one.channel().title().toLowerCase(Locale.ROOT) + " " + one.stretches()
                .stream()
                .limit(3)
                .map(stretch -> Reported.fixed(stretch[0], 1) + " to " + Reported.fixed(stretch[1], 1) + " " + unit)
                .collect(Collectors.joining(", "))
                + (one.stretches().size() > 3 ? " and " + (one.stretches().size() - 3) + " more" : "");
    }

    /** The stretch that all curves of a channel have in common, a row a shot. */
    private record Stretching(Channel channel, int from, double[][] values) {

        static Optional<Stretching> of(Channel channel, List<AlignedCurve> curves, List<MeasuredShot> shots) {
            List<UniformCurve> rows = shots.stream()
                    .map(shot -> curves.stream().filter(one -> one.shot() == shot).findFirst().orElseThrow().curve())
                    .toList();
            int from = rows.stream().mapToInt(curve -> CurveOverlay.index(curve.start())).max().orElse(0);
            int to = rows.stream().mapToInt(curve -> CurveOverlay.index(curve.end())).min().orElse(-1);
            // Curves such as resistance are known on a part only: where all of them are.
            while (from <= to && !allKnown(rows, from)) {
                from++;
            }
            int end = from;
            while (end <= to && allKnown(rows, end)) {
                end++;
            }
            if (end - from < 2) {
                return Optional.empty();
            }
            double[][] values = new double[rows.size()][end - from];
            for (int i = 0; i < values.length; i++) {
                for (int k = 0; k < values[i].length; k++) {
                    values[i][k] = CurveOverlay.at(rows.get(i), from + k);
                }
            }
            return Optional.of(new Stretching(channel, from, values));
        }

        private static boolean allKnown(List<UniformCurve> rows, int index) {
            return rows.stream().allMatch(curve -> Double.isFinite(CurveOverlay.at(curve, index)));
        }

        OfChannel judged(CurveTest test, boolean[] labels) {
            double[] difference = new double[values[0].length];
            long many = IntStream.range(0, labels.length).filter(i -> labels[i]).count();
            for (int i = 0; i < values.length; i++) {
                for (int k = 0; k < difference.length; k++) {
                    difference[k] += labels[i] ? values[i][k] / many : -values[i][k] / (values.length - many);
                }
            }
            Stream<CurveTest.Stretch> found = test.differing(Question.ALPHA).stream();
            return new OfChannel(channel,
                    new UniformCurve(from * CurveOverlay.STEP, CurveOverlay.STEP, Samples.of(difference)),
                    found.map(stretch -> new double[] {(from + stretch.from()) * CurveOverlay.STEP,
                            (from + stretch.to()) * CurveOverlay.STEP}).toList());
        }
    }
}
