package org.grenu.figures.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.grenu.core.compare.CurveDifference;
import org.grenu.core.compare.CurveGroup;
import org.grenu.core.compare.CurveOverlay;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Unit;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.record.Factor;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.read.AxisRange;

/**
 * Curves of several shots above each other, strips by channel, fields side by side.
 *
 * @param axis   what they are lined up along
 * @param unit   of the axis
 * @param whole  of the axis
 * @param strips top to bottom, shared by the fields
 * @param facets left to right
 */
public record OverlayFigure(AxisKind axis, String unit, AxisRange whole, List<OverlayStrip> strips,
        List<Facet> facets) {

    /** More fields than that are too narrow to read; how many are not shown stands beside the last. */
    public static final int MOST_FACETS = 4;

    public OverlayFigure {
        strips = List.copyOf(strips);
        facets = List.copyOf(facets);
    }

    /**
     * {@return the figure; empty when no shot has curves along that axis}
     *
     * @param groupBy    factor whose levels are told by colour
     * @param sideBySide factor whose levels stand side by side
     */
    public static Optional<OverlayFigure> of(List<MeasuredShot> shots, Factor groupBy, Optional<Factor> sideBySide,
            AxisKind axis, List<Channel> channels, DisplayUnits units) {
        List<Facet> facets = new ArrayList<>();
        List<String> levels = levels(shots, sideBySide);
        for (String level : levels.subList(0, Math.min(MOST_FACETS, levels.size()))) {
            List<MeasuredShot> own = at(level, shots, sideBySide);
            CurveOverlay overlay = CurveOverlay.of(own, groupBy, axis, channels);
            facets.add(
                    new Facet(level,
                            (own.size() == 1 ? "1 shot" : own.size() + " shots")
                                    + (facets.size() + 1 == MOST_FACETS ? notShown(levels) : ""),
                            overlay.groups(), Map.of()));
        }
        return figure(axis, facets, channels, units, false);
    }

    private static List<MeasuredShot> at(String level, List<MeasuredShot> shots, Optional<Factor> sideBySide) {
        return shots.stream()
                .filter(shot -> sideBySide.isEmpty()
                        || sideBySide.get().level(shot.record()).orElse("unknown").equals(level))
                .toList();
    }

    /** {@return the figure of two groups' difference} */
    public static Optional<OverlayFigure> of(CurveDifference difference, AxisKind axis, DisplayUnits units) {
        Map<Channel, List<CurveGroup>> groups = new LinkedHashMap<>();
        Map<Channel, List<double[]>> shaded = new LinkedHashMap<>();
        for (CurveDifference.OfChannel one : difference.channels()) {
            groups.put(one.channel(),
                    List.of(new CurveGroup("", List.of(), Optional.of(one.difference()), Optional.empty())));
            shaded.put(one.channel(), one.stretches());
        }
        Facet facet = new Facet(difference.first() + " less " + difference.second(), "shaded: differs, family-wise 5 %",
                groups, shaded);
        return figure(axis, List.of(facet), List.copyOf(groups.keySet()), units, true);
    }

    private static List<String> levels(List<MeasuredShot> shots, Optional<Factor> sideBySide) {
        if (sideBySide.isEmpty()) {
            return List.of("");
        }
        return shots.stream()
                .map(shot -> sideBySide.get().level(shot.record()).orElse("unknown"))
                .distinct()
                .sorted()
                .toList();
    }

    private static String notShown(List<String> levels) {
        return levels.size() > MOST_FACETS ? "; " + (levels.size() - MOST_FACETS) + " more not shown" : "";
    }

    private static Optional<OverlayFigure> figure(AxisKind axis, List<Facet> facets, List<Channel> channels,
            DisplayUnits units, boolean about) {
        List<OverlayStrip> strips = channels.stream()
                .flatMap(channel -> strip(channel, facets, units.of(channel.unit()), about).stream())
                .toList();
        List<UniformCurve> all = channels.stream().flatMap(channel -> curves(channel, facets)).toList();
        if (strips.isEmpty()) {
            return Optional.empty();
        }
        double from = all.stream().mapToDouble(OverlayFigure::firstKnown).min().orElse(0);
        double to = all.stream().mapToDouble(OverlayFigure::lastKnown).max().orElse(1);
        return Optional.of(new OverlayFigure(axis, axis == AxisKind.CUP_MASS ? "g" : "s",
                new AxisRange(from, Math.max(from + 1, to)), strips, facets));
    }

    private static double firstKnown(UniformCurve curve) {
        int i = 0;
        while (i < curve.size() - 1 && !Double.isFinite(curve.value(i))) {
            i++;
        }
        return curve.time(i);
    }

    private static double lastKnown(UniformCurve curve) {
        int i = curve.size() - 1;
        while (i > 0 && !Double.isFinite(curve.value(i))) {
            i--;
        }
        return curve.time(i);
    }

    private static Optional<OverlayStrip> strip(Channel channel, List<Facet> facets, Unit unit, boolean about) {
        List<UniformCurve> curves = curves(channel, facets).toList();
        if (curves.isEmpty()) {
            return Optional.empty();
        }
        double least = extreme(curves, curve -> curve.values().min(), false);
        double largest = extreme(curves, curve -> curve.values().max(), true);
        if (about) {
            double most = Math.max(1e-3, Math.max(Math.abs(least), Math.abs(largest))) * 1.15;
            return Optional.of(new OverlayStrip(channel, -most, most, Ticks.apart(most, 3, unit)));
        }
        if (channel == Channel.TEMPERATURE) {
            double middle = (least + largest) / 2;
            double half = Math.max(2, (largest - least) / 2 * 1.1);
            return Optional.of(
                    new OverlayStrip(channel, middle - half, middle + half,
                            Ticks.of(middle - half, middle + half, 3, unit)));
        }
        double high = Math.max(channel == Channel.PRESSURE ? 2 : 1, largest * 1.08);
        boolean inThrees = unit == Unit.BAR && high > 5 && high < 16;
        return Optional.of(new OverlayStrip(channel, 0, high,
                inThrees ? Ticks.every(3, 0, high, unit) : Ticks.of(0, high, 3, unit)));
    }

    private static double extreme(List<UniformCurve> curves, ToDoubleFunction<UniformCurve> of, boolean largest) {
        var values = curves.stream().mapToDouble(of).filter(Double::isFinite);
        return (largest ? values.max() : values.min()).orElse(0);
    }

    private static Stream<UniformCurve> curves(Channel channel, List<Facet> facets) {
        return facets.stream()
                .flatMap(facet -> facet.groups().getOrDefault(channel, List.of()).stream())
                .flatMap(group -> Stream.concat(group.members().stream().map(member -> member.curve()),
                        group.members().isEmpty() ? group.mean().stream() : Stream.empty()));
    }
}
