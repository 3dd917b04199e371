package org.grenu.desktop.shelf;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.study.SheetEdit;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;
import org.grenu.library.Target;

/** What follows when a thing on the shelf is called otherwise: all that name it. */
final class Renaming {

    private Renaming() {
    }

    /** {@return the changes of the shots that name it} */
    static List<Change> inShots(ShelfItem item, String name, List<ShotSummary> shots) {
        List<Change> changes = new ArrayList<>();
        for (ShotSummary shot : shots) {
            String before = shot.recorded().text(item.kind().named()).orElse("");
            String after = item.kind() != ShelfKind.STUDY ? before.strip().equalsIgnoreCase(item.name()) ? name : before
                    : shot.recorded()
                            .studies()
                            .stream()
                            .map(study -> study.equals(item.name()) ? name : study)
                            .collect(Collectors.joining("; "));
            if (!before.equals(after)
                    && (item.kind() != ShelfKind.STUDY || shot.recorded().studies().contains(item.name()))) {
                changes.add(Change.of(shot.id(), SheetEdit.of(shot.recorded(), item.kind().named(), after)));
            }
        }
        return changes;
    }

    /** {@return the changes of the bags of a coffee} */
    static List<Change> onShelf(ShelfItem item, String name, Shelf shelf) {
        return item.kind() != ShelfKind.COFFEE ? List.of() : shelf.of(ShelfKind.BAG)
                .stream()
                .filter(bag -> bag.entries()
                        .text(ShelfField.BAG_COFFEE)
                        .filter(item.name()::equalsIgnoreCase)
                        .isPresent())
                .map(bag -> new Change(Target.VERSION, bag.newest().id(), ShelfField.BAG_COFFEE.key(),
                        bag.entries().text(ShelfField.BAG_COFFEE).orElse(""), name))
                .toList();
    }
}
