package org.grenu.desktop.desk;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Consumer;
import org.grenu.core.entry.Entries;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;

/** Puts things on the shelf, each as a step that can be undone. */
public final class ShelfSteps {

    private final StudyDesk desk;

    ShelfSteps(StudyDesk desk) {
        this.desk = desk;
    }

    /** Puts a thing on the shelf, then hands it over. */
    public void add(ShelfKind kind, String name, Entries entries, Consumer<ShelfItem> then) {
        desk.step(() -> desk.library().write(tx -> tx.shelf().add(kind, name, entries.texts())),
                step -> desk.shelfProperty().get().find(step.changes().get(0).id()).ifPresent(then));
    }

    /** Puts things on the shelf, those it has already left out. */
    public void addAll(List<ShelfItem> items, String words) {
        List<ShelfItem> others = items.stream()
                .filter(item -> desk.shelfProperty().get().find(item.kind(), item.name()).isEmpty())
                .toList();
        if (!others.isEmpty()) {
            desk.step(() -> desk.library().write(tx -> tx.shelf().add(others, words)), step -> {});
        }
    }

    /** Begins a new version of a thing whose parts were changed. */
    public void addVersion(ShelfItem item, LocalDate since, String changed) {
        desk.step(
                () -> desk.library()
                        .write(tx -> tx.shelf().addVersion(item.id(), since, changed, item.entries().texts())),
                step -> {});
    }
}
