package org.grenu.library;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.grenu.core.entry.Field;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;

/** Coffees, gear and whatever else shots are pulled with. */
public final class ShelfStore {

    private final Transactions within;
    private final ShelfRows rows;
    private final ShelfKept kept;
    private final Journal journal;

    ShelfStore(Transactions within, ShelfRows rows, ShelfKept kept, Journal journal) {
        this.within = within;
        this.rows = rows;
        this.kept = kept;
        this.journal = journal;
    }

    /** {@return what stands on the shelf} */
    public Shelf all() {
        return kept.now();
    }

    /** Puts a thing on the shelf. */
    public StoredStep add(ShelfKind kind, String name, Map<Field, String> entries) {
        within.writing();
        long id = rows.addItem(kind, name, journal.now());
        rows.addVersion(id, 1, "", "", entries, "");
        return journal.make("New " + kind.one() + " " + name, List.of(made(Target.ITEM, id)), "");
    }

    /** Puts things with all their versions on the shelf, as one step. */
    public StoredStep add(List<ShelfItem> items, String words) {
        within.writing();
        List<Change> made = new ArrayList<>();
        for (ShelfItem item : items) {
            long id = rows.addItem(item.kind(), item.name(), journal.now());
            item.versions()
                    .forEach(version -> rows.addVersion(id, version.number(),
                            version.since().map(LocalDate::toString).orElse(""), version.changed(),
                            version.entries().texts(), ""));
            made.add(made(Target.ITEM, id));
        }
        return journal.make(words, made, "");
    }

    /** Begins a new version of a thing whose parts were changed; it starts from those entries. */
    public StoredStep addVersion(long item, LocalDate since, String changed, Map<Field, String> entries) {
        within.writing();
        int number = rows.nextVersion(item);
        long id = rows.addVersion(item, number, since.toString(), changed, entries, Change.NEVER);
        return journal.make("Version " + number + " of " + rows.itemName(item), List.of(made(Target.VERSION, id)), "");
    }

    private static Change made(Target target, long id) {
        return new Change(target, id, Change.BINNED, Change.NEVER, "");
    }
}
