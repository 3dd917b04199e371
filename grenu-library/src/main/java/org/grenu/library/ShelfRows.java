package org.grenu.library;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;
import org.jdbi.v3.core.Handle;

/** How the shelf lies in its tables. */
final class ShelfRows {

    static final String NAME = "name";
    static final String SINCE = "since";
    static final String CHANGED = "changed";

    private static final ObjectMapper JSON = new ObjectMapper();

    private final Handle handle;
    private final ShelfNames names;

    ShelfRows(Tables tables) {
        this.handle = tables.handle();
        this.names = tables.names();
    }

    Shelf read() {
        Map<Long, List<ShelfVersion>> versions = new LinkedHashMap<>();
        Map<Long, ShelfKind> kinds = new LinkedHashMap<>();
        Map<Long, String> names = new LinkedHashMap<>();
        handle.createQuery(
                "SELECT i.id, i.kind, i.name, v.id AS version, v.number, v.since, v.changed, v.entries FROM "
                        + "shelf_item i "
                        + "JOIN shelf_version v ON v.item_id = i.id WHERE i.binned_at = '' AND v.binned_at = '' "
                        + "ORDER BY i.id, v.number")
                .map((row, context) -> {
                    ShelfKind.find(row.getString("kind")).ifPresent(kind -> {
                        try {
                            long id = row.getLong("id");
                            kinds.put(id, kind);
                            names.put(id, row.getString("name"));
                            versions.computeIfAbsent(id, key -> new ArrayList<>())
                                    .add(new ShelfVersion(row.getLong("version"), row.getInt("number"),
                                            day(row.getString("since")), row.getString("changed"),
                                            entries(kind, row.getString("entries"))));
                        } catch (java.sql.SQLException failed) {
                            throw new LibraryException("The shelf cannot be read (" + failed.getMessage() + ").",
                                    failed);
                        }
                    });
                    return 0;
                })
                .list();
        return new Shelf(kinds.keySet()
                .stream()
                .map(id -> new ShelfItem(id, kinds.get(id), names.get(id), versions.get(id)))
                .toList());
    }

    private static Optional<LocalDate> day(String text) {
        return text.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(text));
    }

    /** Entries of a newer program that this one does not know stay in the file and are not shown. */
    private Entries entries(ShelfKind kind, String json) {
        Entries entries = Entries.NONE;
        for (Map.Entry<String, String> entry : texts(json).entrySet()) {
            Optional<Field> field = kind.field(entry.getKey());
            if (field.isPresent()) {
                entries = entries.with(field.get(), names.shown(field.get(), entry.getValue()));
            }
        }
        return entries;
    }

    static Map<String, String> texts(String json) {
        try {
            return JSON.readValue(json, new TypeReference<TreeMap<String, String>>() {});
        } catch (JsonProcessingException damaged) {
            throw new LibraryException("A thing on the shelf is damaged. Restore the library from a copy.", damaged);
        }
    }

    /** {@return the key of a new thing, which is not there until a change takes it out of nothing} */
    long addItem(ShelfKind kind, String name, String now) {
        return handle
                .createUpdate(
                        "INSERT INTO shelf_item (kind, name, made_at, binned_at) VALUES (:kind, :name, :now, 'never')")
                .bind("kind", kind.key())
                .bind("name", name)
                .bind("now", now)
                .executeAndReturnGeneratedKeys("id")
                .mapTo(Long.class)
                .one();
    }

    long addVersion(long item, int number, String since, String changed, Map<Field, String> entries, String binned) {
        Map<String, String> byKey = new TreeMap<>();
        entries.forEach((field, text) -> byKey.put(field.key(), names.stored(field, text)));
        return handle
                .createUpdate("INSERT INTO shelf_version (item_id, number, since, changed, entries, binned_at) VALUES "
                        + "(:item, :number, :since, :changed, :entries, :binned)")
                .bind("item", item)
                .bind("number", number)
                .bind("since", since)
                .bind("changed", changed)
                .bind("entries", json(byKey))
                .bind("binned", binned)
                .executeAndReturnGeneratedKeys("id")
                .mapTo(Long.class)
                .one();
    }

    static String json(Map<String, String> texts) {
        try {
            return JSON.writeValueAsString(texts);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    int nextVersion(long item) {
        return handle.createQuery(
                "SELECT coalesce(max(number), 0) + 1 FROM shelf_version WHERE item_id = :item AND binned_at = ''")
                .bind("item", item)
                .mapTo(Integer.class)
                .one();
    }

    String itemName(long id) {
        return handle.createQuery("SELECT name FROM shelf_item WHERE id = :id")
                .bind("id", id)
                .mapTo(String.class)
                .one();
    }

    void renameItem(long id, String name) {
        handle.createUpdate("UPDATE shelf_item SET name = :name WHERE id = :id")
                .bind("name", name)
                .bind("id", id)
                .execute();
        names.forget();
    }

    /** {@return an entry of a version, or since when it is and what was changed; empty for unknown} */
    String versionEntry(long id, String key) {
        if (key.equals(SINCE) || key.equals(CHANGED)) {
            return handle.createQuery("SELECT " + key + " FROM shelf_version WHERE id = :id")
                    .bind("id", id)
                    .mapTo(String.class)
                    .one();
        }
        String text = texts(versionJson(id)).getOrDefault(key, "");
        return field(key).map(field -> names.shown(field, text)).orElse(text);
    }

    private static Optional<Field> field(String key) {
        return Target.VERSION.aggregate().field(key);
    }

    private String versionJson(long id) {
        return handle.createQuery("SELECT entries FROM shelf_version WHERE id = :id")
                .bind("id", id)
                .mapTo(String.class)
                .one();
    }

    void enterVersion(long id, String key, String text) {
        if (key.equals(SINCE) || key.equals(CHANGED)) {
            handle.createUpdate("UPDATE shelf_version SET " + key + " = :text WHERE id = :id")
                    .bind("text", text)
                    .bind("id", id)
                    .execute();
            return;
        }
        Map<String, String> texts = entered(id, key, text);
        handle.createUpdate("UPDATE shelf_version SET entries = :json WHERE id = :id")
                .bind("json", json(texts))
                .bind("id", id)
                .execute();
    }

    private Map<String, String> entered(long id, String key, String text) {
        Map<String, String> texts = texts(versionJson(id));
        if (text.isEmpty()) {
            texts.remove(key);
        } else {
            texts.put(key, field(key).map(field -> names.stored(field, text)).orElse(text));
        }
        return texts;
    }
}
