package org.grenu.library;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.entry.Field;
import org.grenu.core.shelf.ShelfKind;

/** Versions of things on the shelf: their entries, since when each holds, and what was changed. */
final class VersionAggregate implements Aggregate {

    @Override
    public String table() {
        return "shelf_version";
    }

    @Override
    public Plural called() {
        return new Plural("version of a thing", "versions of things");
    }

    @Override
    public String name() {
        return "'v' || it.number || ' of ' || (SELECT name FROM shelf_item WHERE id = it.item_id)";
    }

    @Override
    public Optional<Owner> owner() {
        return Optional.of(new Owner(Target.ITEM, "item_id", false));
    }

    @Override
    public Optional<Field> field(String key) {
        return Arrays.stream(ShelfKind.values()).flatMap(kind -> kind.field(key).stream()).findFirst();
    }

    @Override
    public Entry entry(Tables tables, long id, String key) {
        return new Entry("The entry", new ShelfRows(tables).versionEntry(id, key));
    }

    @Override
    public void enter(Tables tables, long id, String key, String text) {
        new ShelfRows(tables).enterVersion(id, key, text);
    }
}
