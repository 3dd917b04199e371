package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.response.MeasuredShot;

/**
 * How far the curves of each shot run from those of a reference, lined up as they are: the root of the mean squared
 * difference
 * where both are known.
 *
 * @param reference the shot they are held against
 * @param shots     nearest first, by the first channel
 */
public record ReferenceDistance(MeasuredShot reference, List<OfShot> shots) {

    private static final int NAMED = 3;

    /** One shot's distance, by channel, in the channel's unit. */
    public record OfShot(MeasuredShot shot, Map<Channel, Double> distances) {

        public OfShot {
            distances = new LinkedHashMap<>(distances);
        }
    }

    public ReferenceDistance {
        shots = List.copyOf(shots);
    }

    /** {@return the distances; empty when the reference has no curve along the overlay's axis, or stands alone} */
    public static Optional<ReferenceDistance> of(CurveOverlay overlay, MeasuredShot reference) {
        Map<MeasuredShot, Map<Channel, Double>> byShot = new LinkedHashMap<>();
        overlay.groups().forEach((channel, groups) -> add(channel, groups, reference, byShot));
        List<OfShot> shots = new ArrayList<>();
        byShot.forEach((shot, distances) -> shots.add(new OfShot(shot, distances)));
        shots.sort(Comparator.comparingDouble(one -> one.distances().values().iterator().next()));
        return shots.isEmpty() ? Optional.empty() : Optional.of(new ReferenceDistance(reference, shots));
    }

    private static void add(Channel channel, List<CurveGroup> groups, MeasuredShot reference,
            Map<MeasuredShot, Map<Channel, Double>> byShot) {
        List<AlignedCurve> curves = groups.stream().flatMap(group -> group.members().stream()).toList();
        curves.stream()
                .filter(one -> one.shot() == reference)
                .findFirst()
                .ifPresent(own -> curves.stream().filter(one -> one.shot() != reference).forEach(other -> {
                    double distance = rms(own.curve(), other.curve());
                    if (Double.isFinite(distance)) {
                        byShot.computeIfAbsent(other.shot(), key -> new LinkedHashMap<>()).put(channel, distance);
                    }
                }));
    }

    private static double rms(UniformCurve own, UniformCurve other) {
        double squares = 0;
        int count = 0;
        for (int i = 0; i < own.size(); i++) {
            double difference = own.value(i) - CurveOverlay.at(other, CurveOverlay.index(own.time(i)));
            if (Double.isFinite(difference)) {
                squares += difference * difference;
                count++;
            }
        }
        return count == 0 ? Double.NaN : Math.sqrt(squares / count);
    }

    /** {@return the nearest and the farthest, in words and those units} */
    public String words(DisplayUnits units) {
        String nearest = shots.stream().limit(NAMED).map(shot -> words(shot, units)).collect(Collectors.joining("; "));
        String farthest = shots.size() > NAMED ? " Farthest: " + words(shots.get(shots.size() - 1), units) + "." : "";
        return "Nearest to shot " + reference.name() + " (root mean square): " + nearest + "." + farthest;
    }

    private static String words(OfShot one, DisplayUnits units) {
        return "shot " + one.shot().name() + " "
                + one.distances()
                        .entrySet()
                        .stream()
                        .map(entry -> entry.getKey().title().toLowerCase(Locale.ROOT) + " "
                                + units.textOfDifference(entry.getValue(), entry.getKey().unit().symbol(), 2))
                        .collect(Collectors.joining(", "));
    }
}
