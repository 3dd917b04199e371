package org.grenu.app.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.grenu.app.advice.Notebook.card;

import java.util.List;
import java.util.Optional;
import org.grenu.core.entry.Entries;
import org.grenu.core.learn.AimRange;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is wanted is the recipe's, each window with both its ends; what is not used of it is named. */
class TargetRecipeTest {

    private static Entries of(String grinder, String from, String to) {
        return card(RecordField.COFFEE, Notebook.COFFEE, RecordField.GRINDER, grinder, ShelfField.AIM_TIME_FROM, from,
                ShelfField.AIM_TIME_TO, to);
    }

    private static TargetRecipe target(Notebook notebook) {
        return TargetRecipe.of(notebook.shelf(), Notebook.COFFEE, Notebook.GRINDER, List.of());
    }

    /** The recipe for the very grinder, whenever it was made; the newest of several; another grinder's never. */
    @Test
    void theGrindersOwnRecipeGoesFirst() {
        Notebook shelf = new Notebook().onShelf(ShelfKind.RECIPE, "its own", of(Notebook.GRINDER, "26", "30"))
                .onShelf(ShelfKind.RECIPE, "for any", of("", "20", "24"))
                .onShelf(ShelfKind.RECIPE, "another's", of("G-burr X", "40", "44"));
        assertThat(target(shelf).recipe().map(ShelfItem::name)).hasValue("its own");
        assertThat(target(shelf).aim().time()).isEqualTo(new AimRange(26, 30));
        shelf.onShelf(ShelfKind.RECIPE, "its newer", of(Notebook.GRINDER, "27", "31"));
        assertThat(target(shelf).recipe().map(ShelfItem::name)).hasValue("its newer");
        Notebook others = new Notebook().onShelf(ShelfKind.RECIPE, "another's", of("G-burr X", "40", "44"));
        assertThat(target(others).recipe()).isEmpty();
        assertThat(target(others).aim().time()).isEqualTo(new AimRange(25, 30));
        assertThat(target(others).source()).isEqualTo(
                "one school’s 25–30 s: none is chosen, and there is no recipe");
    }

    @ParameterizedTest
    @CsvSource({"30, 26", "28, ''", "'', 28"})
    void aWindowWithoutTwoEndsInOrderIsNotUsedAndSaid(String from, String to) {
        TargetRecipe target = target(new Notebook().onShelf(ShelfKind.RECIPE, "R", of("", from, to)));
        assertThat(target.aim().time()).isEqualTo(new AimRange(25, 30));
        assertThat(target.source())
                .isEqualTo("one school’s 25–30 s: none is chosen, and the recipe has no time window; "
                        + "not used: the window of time, which needs two ends, the smaller first");
    }

    @Test
    void everyWindowOfTheRecipeIsAimedAt() {
        Entries card = of("", "26", "30").with(ShelfField.AIM_YIELD_FROM, "20")
                .with(ShelfField.AIM_YIELD_TO, "22")
                .with(ShelfField.AIM_STRENGTH_FROM, "9")
                .with(ShelfField.AIM_STRENGTH_TO, "8")
                .with(ShelfField.AIM_TASTES, "sourness 0 3; sweetness 6 6")
                .with(ShelfField.AIM_SOURCE, "the room's own");
        TargetRecipe target = target(new Notebook().onShelf(ShelfKind.RECIPE, "R", card));
        assertThat(target.aim().yield()).hasValue(new AimRange(20, 22));
        assertThat(target.aim().strength()).isEqualTo(Optional.empty());
        assertThat(target.aim().tastes()).containsOnlyKeys("sourness").containsValue(new AimRange(0, 3));
        assertThat(target.source()).isEqualTo("the room's own; not used: the window of strength and taste, which needs "
                + "two ends, the smaller first");
    }
}
