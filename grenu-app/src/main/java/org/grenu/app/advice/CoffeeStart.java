package org.grenu.app.advice;

import java.util.Comparator;
import java.util.List;
import org.grenu.app.settings.Schools;
import org.grenu.core.recipe.KeptWindows;
import org.grenu.core.recipe.StartRecipe;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;

/**
 * What a library knows when a coffee is begun.
 *
 * @param written records of its shots as they were written down, in the order of their numbers
 * @param shots   those whose history counts, the newest last
 * @param schools those of the library
 */
public record CoffeeStart(List<ShotRecord> written, List<MeasuredShot> shots, Shelf shelf, Schools schools) {

    /** So many of the newest shots are enough history. */
    public static final int MOST_SHOTS = 400;

    public CoffeeStart {
        written = List.copyOf(written);
        shots = List.copyOf(shots);
    }

    /**
     * {@return what to begin the coffee with, on the gear that its next shot will be pulled on}
     *
     * @param served as it is drunk; empty where nobody has said
     */
    public StartRecipe of(String coffee, String served) {
        ShotRecord gear = UsualGear.of(written, shelf, coffee);
        ShotRecord asked = shelf.complete(served.isEmpty() ? gear : gear.with(RecordField.SERVED, served));
        return StartRecipe.of(new StartRecipe.Asked(asked, shots, schools.spoken(), schools.all(), windows()));
    }

    /** The newest first. */
    private List<KeptWindows> windows() {
        return shelf.of(ShelfKind.RECIPE)
                .stream()
                .sorted(Comparator.comparingLong(ShelfItem::id).reversed())
                .map(recipe -> new KeptWindows(recipe.name(), recipe.entries()
                        .text(RecordField.COFFEE)
                        .flatMap(coffee -> shelf.find(ShelfKind.COFFEE, coffee))
                        .flatMap(coffee -> coffee.entries().text(RecordField.ROAST_LEVEL)), recipe.entries()))
                .toList();
    }
}
