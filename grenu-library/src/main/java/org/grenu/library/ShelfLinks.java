package org.grenu.library;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import org.grenu.core.entry.Field;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordField;
import org.jdbi.v3.core.Handle;

/** Everything in the file that refers to things on the shelf: shots, other things, and the history of both. */
final class ShelfLinks {

    private final Handle handle;
    private final ShelfNames names;

    ShelfLinks(Tables tables) {
        this.handle = tables.handle();
        this.names = tables.names();
    }

    /**
     * Refers anew to things of that kind: what is only named and stands on the shelf is referred to from now on, and
     * of
     * what is not on the shelf the name is written.
     */
    void renew(ShelfKind kind) {
        refer(kind, (field, text) -> names.stored(field, names.shown(field, text)));
    }

    /** Refers to things of that kind where all are named only. */
    void begin(ShelfKind kind) {
        refer(kind, names::stored);
    }

    private void refer(ShelfKind kind, BiFunction<Field, String, String> again) {
        names.forget();
        for (RecordField field : inShots(kind)) {
            column(new Column("shot", field.key(), ""), field, again);
            history(field, "shot", again);
        }
        for (Field field : onShelf(kind)) {
            versions(field, again);
            history(field, "version", again);
        }
    }

    private void history(Field field, String target, BiFunction<Field, String, String> again) {
        for (String text : List.of("before_text", "after_text")) {
            column(new Column("history", text, " AND field = '" + field.key() + "' AND target = '" + target + "'"),
                    field,
                    again);
        }
    }

    private static List<RecordField> inShots(ShelfKind kind) {
        return kind == ShelfKind.STUDY ? List.of(kind.named(), RecordField.ARM) : List.of(kind.named());
    }

    private static List<Field> onShelf(ShelfKind kind) {
        return Arrays.stream(ShelfKind.values())
                .flatMap(any -> any.fields().stream())
                .filter(field -> ShelfKind.of(field).filter(kind::equals).isPresent())
                .distinct()
                .toList();
    }

    private record Column(String table, String name, String which) {
    }

    private void column(Column column, Field field, BiFunction<Field, String, String> again) {
        Map<String, String> renewed = new HashMap<>();
        handle.createQuery("SELECT DISTINCT " + column.name + " FROM " + column.table + " WHERE " + column.name
                + " <> ''" + column.which)
                .mapTo(String.class)
                .forEach(text -> renewed.put(text, again.apply(field, text)));
        renewed.forEach((before, after) -> {
            if (!before.equals(after)) {
                handle.execute("UPDATE " + column.table + " SET " + column.name + " = ? WHERE " + column.name + " = ?"
                        + column.which, after, before);
            }
        });
    }

    private void versions(Field field, BiFunction<Field, String, String> again) {
        Map<Long, String> renewed = new HashMap<>();
        handle.createQuery("SELECT id, entries FROM shelf_version WHERE entries LIKE :key")
                .bind("key", "%\"" + field.key() + "\"%")
                .map((row, context) -> {
                    Map<String, String> texts = ShelfRows.texts(row.getString(2));
                    texts.computeIfPresent(field.key(), (key, text) -> again.apply(field, text));
                    return renewed.put(row.getLong(1), ShelfRows.json(texts));
                })
                .list();
        renewed.forEach((id, json) -> handle.execute("UPDATE shelf_version SET entries = ? WHERE id = ?", json, id));
    }

    /** {@return the shots that refer to that thing} */
    List<Long> shotsOf(long item) {
        List<Long> shots = new ArrayList<>();
        for (ShelfKind kind : ShelfKind.values()) {
            String column = kind.named().key();
            shots.addAll(handle
                    .createQuery("SELECT id FROM shot WHERE ';' || replace(" + column + ", ' ', '') || ';' LIKE :one")
                    .bind("one", "%;#" + item + ";%")
                    .mapTo(Long.class)
                    .list());
        }
        return shots;
    }
}
