package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.StartEntry;
import org.grenu.core.diagnosis.StartRule;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Row;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.SettingRange;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;

/**
 * What is wanted of a coffee's shots: its recipe's windows, or a school's where it has no recipe.
 *
 * @param recipe on the shelf; empty where there is none yet
 * @param aim    what is wanted
 * @param source where that is from, in words
 */
public record TargetRecipe(Optional<ShelfItem> recipe, Aim aim, String source) {

    /** The beverage mass stays within so much of what it is meant to be, unless the recipe says otherwise, g. */
    private static final double CUP_WITHIN = 2;
    private static final AimRange USUAL_TIME = new AimRange(25, 30);
    private static final Map<String, List<ShelfField>> WINDOWS = new LinkedHashMap<>();

    static {
        WINDOWS.put("time", List.of(ShelfField.AIM_TIME_FROM, ShelfField.AIM_TIME_TO));
        WINDOWS.put("extraction", List.of(ShelfField.AIM_YIELD_FROM, ShelfField.AIM_YIELD_TO));
        WINDOWS.put("strength", List.of(ShelfField.AIM_STRENGTH_FROM, ShelfField.AIM_STRENGTH_TO));
    }

    /** {@return what is wanted of that coffee on that grinder} */
    public static TargetRecipe of(Shelf shelf, String coffee, String grinder, List<RulePack> speaking) {
        Optional<ShelfItem> recipe = recipe(shelf, coffee, grinder);
        Entries card = recipe.map(ShelfItem::entries).orElse(Entries.NONE);
        Optional<AimRange> own = range(card, ShelfField.AIM_TIME_FROM, ShelfField.AIM_TIME_TO);
        Optional<RulePack> school = speaking.stream().filter(pack -> time(pack).isPresent()).findFirst();
        AimRange time = own.or(() -> school.flatMap(TargetRecipe::time)).orElse(USUAL_TIME);
        Aim aim = new Aim(time, range(card, ShelfField.AIM_YIELD_FROM, ShelfField.AIM_YIELD_TO),
                range(card, ShelfField.AIM_STRENGTH_FROM, ShelfField.AIM_STRENGTH_TO), tastes(card));
        String source = own.isPresent() ? card.text(ShelfField.AIM_SOURCE).orElse("the recipe")
                : school.map(RulePack::school)
                        .orElse("one school’s 25–30 s: none is chosen, and "
                                + (recipe.isPresent() ? "the recipe has no time window" : "there is no recipe"));
        return new TargetRecipe(recipe, aim, source + unused(card));
    }

    /**
     * {@return what the beverage mass may be, g; empty where nobody says what it is meant to be}
     *
     * @param usual what the coffee's shots are meant to give, where the recipe does not say
     */
    Optional<SettingRange> cup(OptionalDouble usual) {
        Entries card = recipe.map(ShelfItem::entries).orElse(Entries.NONE);
        OptionalDouble meant = card.number(RecordField.BEVERAGE_TARGET);
        OptionalDouble middle = meant.isPresent() ? meant : usual;
        double within = card.number(ShelfField.AIM_BEVERAGE_WITHIN).orElse(CUP_WITHIN);
        return middle.isEmpty() || middle.getAsDouble() <= within ? Optional.empty()
                : Optional.of(new SettingRange(middle.getAsDouble() - within, middle.getAsDouble() + within,
                        KnownSetUp.BEVERAGE_STEP));
    }

    /** {@return the recipe's profile} */
    Optional<String> profile() {
        return recipe.flatMap(item -> item.entries().text(RecordField.PROFILE));
    }

    /** Windows that are written down but cannot be aimed at. */
    private static String unused(Entries card) {
        List<String> unused = new ArrayList<>();
        WINDOWS.forEach((name, ends) -> {
            boolean written = ends.stream().anyMatch(card::has);
            if (written && range(card, ends.get(0), ends.get(1)).isEmpty()) {
                unused.add(name);
            }
        });
        if (tastes(card).size() < card.rows(ShelfField.AIM_TASTES).size()) {
            unused.add("taste");
        }
        return unused.isEmpty() ? ""
                : "; not used: the window of " + String.join(" and ", unused)
                        + ", which needs two ends, the smaller first";
    }

    /** Of the recipes for the coffee the one for that grinder, else one for any; the newest of several. */
    private static Optional<ShelfItem> recipe(Shelf shelf, String coffee, String grinder) {
        List<ShelfItem> ofCoffee = shelf.of(ShelfKind.RECIPE)
                .stream()
                .filter(item -> item.entries().text(RecordField.COFFEE).filter(coffee::equalsIgnoreCase).isPresent())
                .sorted((a, b) -> Long.compare(b.id(), a.id()))
                .toList();
        return ofCoffee.stream()
                .filter(item -> item.entries().text(RecordField.GRINDER).filter(grinder::equalsIgnoreCase).isPresent())
                .findFirst()
                .or(() -> ofCoffee.stream()
                        .filter(item -> grinder.isEmpty() || !item.entries().has(RecordField.GRINDER))
                        .findFirst());
    }

    private static Optional<AimRange> time(RulePack pack) {
        return pack.starts()
                .stream()
                .filter(start -> start.entry() == StartEntry.TIME_S && start.conditions().isEmpty()
                        && start.high() > start.low())
                .findFirst()
                .map(TargetRecipe::range);
    }

    private static AimRange range(StartRule start) {
        return new AimRange(start.low(), start.high());
    }

    private static Optional<AimRange> range(Entries card, ShelfField from, ShelfField to) {
        OptionalDouble low = card.number(from);
        OptionalDouble high = card.number(to);
        return low.isPresent() && high.isPresent() && high.getAsDouble() > low.getAsDouble()
                ? Optional.of(new AimRange(low.getAsDouble(), high.getAsDouble())) : Optional.empty();
    }

    private static Map<String, AimRange> tastes(Entries card) {
        Map<String, AimRange> tastes = new LinkedHashMap<>();
        for (Row row : card.rows(ShelfField.AIM_TASTES)) {
            if (row.needed(2) > row.needed(1)) {
                tastes.put(row.words(0).orElseThrow(), new AimRange(row.needed(1), row.needed(2)));
            }
        }
        return tastes;
    }
}
