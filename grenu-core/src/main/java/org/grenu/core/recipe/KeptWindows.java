package org.grenu.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.entry.Entries;
import org.grenu.core.learn.AimRange;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.ShelfField;

/**
 * Windows that the user keeps in an earlier recipe. They are those of a style: of coffees roasted as dark and served in
 * the same way.
 *
 * @param recipe its name
 * @param roast  how dark its coffee is; empty where nobody has said
 * @param card   the recipe
 */
public record KeptWindows(String recipe, Optional<String> roast, Entries card) {

    /** {@return whether they are those of that coffee, or else of its style} */
    boolean fits(ShotRecord setUp) {
        return windowed() && (sameCoffee(setUp) || sameStyle(setUp));
    }

    boolean sameCoffee(ShotRecord setUp) {
        return setUp.has(RecordField.COFFEE)
                && setUp.text(RecordField.COFFEE).equals(card.text(RecordField.COFFEE))
                && (!setUp.has(RecordField.SERVED) || same(setUp.text(RecordField.SERVED), served()));
    }

    private boolean sameStyle(ShotRecord setUp) {
        Optional<String> darkness = setUp.text(RecordField.ROAST_LEVEL);
        Optional<String> service = setUp.text(RecordField.SERVED);
        return (darkness.isPresent() || service.isPresent()) && same(darkness, roast) && same(service, served());
    }

    private boolean windowed() {
        return time().isPresent() || this.yield().isPresent();
    }

    /** {@return s} */
    Optional<AimRange> time() {
        return range(ShelfField.AIM_TIME_FROM, ShelfField.AIM_TIME_TO);
    }

    /** {@return %, as dosed} */
    Optional<AimRange> yield() {
        return range(ShelfField.AIM_YIELD_FROM, ShelfField.AIM_YIELD_TO);
    }

    /** {@return %} */
    Optional<AimRange> strength() {
        return range(ShelfField.AIM_STRENGTH_FROM, ShelfField.AIM_STRENGTH_TO);
    }

    /** What does not run from the smaller to the larger is no window. */
    private Optional<AimRange> range(ShelfField from, ShelfField to) {
        OptionalDouble low = card.number(from);
        OptionalDouble high = card.number(to);
        return low.isPresent() && high.isPresent() && low.getAsDouble() > 0
                && high.getAsDouble() > low.getAsDouble()
                        ? Optional.of(new AimRange(low.getAsDouble(), high.getAsDouble())) : Optional.empty();
    }

    private Optional<String> served() {
        return card.text(RecordField.SERVED);
    }

    private static boolean same(Optional<String> one, Optional<String> other) {
        return one.map(text -> text.toLowerCase(Locale.ROOT)).equals(other.map(text -> text.toLowerCase(Locale.ROOT)));
    }

    /** {@return whose windows they are, in words} */
    String words(ShotRecord setUp) {
        if (sameCoffee(setUp)) {
            return "your windows for this coffee (recipe “" + recipe + "”)";
        }
        List<String> style = new ArrayList<>();
        served().ifPresent(style::add);
        roast.ifPresent(level -> style.add(level + " roast"));
        return "your windows for the style " + String.join(", ", style) + " (recipe “" + recipe + "”)";
    }
}
