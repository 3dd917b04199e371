package org.grenu.core.shelf;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Row;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;

/**
 * The curves of the recipe that a shot was pulled by, to hold the shot against.
 *
 * @param recipe as the shot calls it
 * @param curves pressure in bar, cup flow in g/s, on the shot's own clock: the recipe's begin where the shot's does
 */
public record RecipeReference(String recipe, Map<Channel, UniformCurve> curves) {

    private static final Pattern VERSION = Pattern.compile("(.*) v(\\d+)");

    public RecipeReference {
        curves = Map.copyOf(curves);
    }

    /** {@return the reference of that shot; empty without a recipe that has curves, or a begin to line them up by} */
    public static Optional<RecipeReference> of(Shelf shelf, ShotRecord record, CurveMeasures measures) {
        Optional<String> name = record.text(RecordField.RECIPE);
        if (name.isEmpty() || measures.running().isEmpty()) {
            return Optional.empty();
        }
        return named(shelf, name.get()).flatMap(card -> {
            Map<Channel, UniformCurve> curves = new EnumMap<>(Channel.class);
            double from = measures.running().get().from();
            put(curves, Channel.PRESSURE, card.rows(ShelfField.PRESSURE_CORRIDOR), from);
            put(curves, Channel.CUP_FLOW, card.rows(ShelfField.FLOW_CORRIDOR), from);
            return curves.isEmpty() ? Optional.empty() : Optional.of(new RecipeReference(name.get(), curves));
        });
    }

    /** A name alone is the recipe as it is now; “v2” behind it one of its versions. */
    private static Optional<Entries> named(Shelf shelf, String name) {
        Optional<ShelfItem> whole = shelf.find(ShelfKind.RECIPE, name);
        if (whole.isPresent()) {
            return whole.map(ShelfItem::entries);
        }
        Matcher version = VERSION.matcher(name);
        return version.matches() ? shelf.find(ShelfKind.RECIPE, version.group(1))
                .flatMap(item -> item.versions()
                        .stream()
                        .filter(one -> Integer.toString(one.number()).equals(version.group(2)))
                        .findFirst())
                .map(ShelfVersion::entries) : Optional.empty();
    }

    /** Points at even steps, as a card has them. */
    private static void put(Map<Channel, UniformCurve> curves, Channel channel, List<Row> points, double from) {
        if (points.size() < 2) {
            return;
        }
        double first = points.get(0).needed(0);
        double step = (points.get(points.size() - 1).needed(0) - first) / (points.size() - 1);
        if (step > 0) {
            curves.put(channel, new UniformCurve(from + first, step,
                    Samples.of(points.stream().mapToDouble(point -> point.needed(1)).toArray())));
        }
    }
}
