package org.grenu.library;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordField;
import org.jdbi.v3.core.Handle;

/**
 * Turns names of things into references where something is stored, and back where it is read. In the file an entry
 * that
 * names a thing on the shelf holds {@code #} and the thing's key, so that the thing may be called otherwise at any
 * time;
 * a name that nothing on the shelf has stands there as it is, with another {@code #} before it if it begins with one.
 */
final class ShelfNames {

    private static final Pattern KEY = Pattern.compile("#\\d{1,18}");
    private static final String ARM_OF = ": ";
    private static final Set<Field> NAMED = Stream
            .concat(Stream.of(RecordField.ARM),
                    Stream.concat(Arrays.stream(RecordField.values()), Arrays.stream(ShelfField.values()))
                            .filter(field -> ShelfKind.of(field).isPresent()))
            .collect(Collectors.toUnmodifiableSet());

    private final Handle handle;
    private Map<Long, String> names;
    /** What was read before, by field and text: few things are named by many shots. */
    private final Map<Field, Map<String, String>> shown = new HashMap<>();
    private Map<ShelfKind, Map<String, Long>> keys;

    ShelfNames(Handle handle) {
        this.handle = handle;
    }

    /** {@return whether that entry names things on the shelf} */
    private static boolean named(Field field) {
        return NAMED.contains(field);
    }

    /** {@return the entry as it is stored} */
    String stored(Field field, String text) {
        if (text.isEmpty() || !named(field)) {
            return text;
        }
        read();
        ShelfKind kind = ShelfKind.of(field).orElse(ShelfKind.STUDY);
        return each(field, text, name -> {
            Long key = keys.getOrDefault(kind, Map.of()).get(lower(name));
            return key != null ? "#" + key : name.startsWith("#") ? "#" + name : name;
        });
    }

    /** {@return the entry that is stored, by the names that things have now} */
    String shown(Field field, String text) {
        if (text.indexOf('#') < 0 || !named(field)) {
            return text;
        }
        read();
        return shown.computeIfAbsent(field, any -> new HashMap<>())
                .computeIfAbsent(text, any -> each(field, text, this::name));
    }

    private String name(String stored) {
        return !stored.startsWith("#") ? stored
                : KEY.matcher(stored).matches() ? names.getOrDefault(Long.valueOf(stored.substring(1)), stored)
                        : stored.substring(1);
    }

    private static String each(Field field, String text, UnaryOperator<String> change) {
        if (field.kind() == FieldKind.NAME_LIST) {
            return parts(text).stream().map(change).collect(Collectors.joining("; "));
        }
        if (field.kind() == FieldKind.ARM_LIST) {
            return parts(text).stream().map(part -> {
                int colon = part.indexOf(ARM_OF);
                return colon < 1 ? part : change.apply(part.substring(0, colon)) + part.substring(colon);
            }).collect(Collectors.joining("; "));
        }
        return change.apply(text);
    }

    private static List<String> parts(String text) {
        return Arrays.stream(text.split(";")).map(String::strip).filter(part -> !part.isEmpty()).toList();
    }

    private void read() {
        if (names != null) {
            return;
        }
        shown.clear();
        names = new HashMap<>();
        keys = new HashMap<>();
        handle.createQuery("SELECT id, kind, name, binned_at = '' FROM shelf_item ORDER BY id DESC")
                .map((row, context) -> keep(row))
                .list();
    }

    private long keep(ResultSet row) throws SQLException {
        long id = row.getLong(1);
        String name = row.getString(3);
        names.put(id, name);
        if (row.getBoolean(4)) {
            ShelfKind.find(row.getString(2))
                    .ifPresent(kind -> keys.computeIfAbsent(kind, key -> new HashMap<>())
                            .put(lower(name), id));
        }
        return id;
    }

    /** The shelf was changed, here or by another process: names are read again when the next is asked for. */
    void forget() {
        names = null;
    }

    /** {@return the thing of that kind and name that stands on the shelf} */
    Optional<Long> key(ShelfKind kind, String name) {
        read();
        return Optional.ofNullable(keys.getOrDefault(kind, Map.of()).get(lower(name)));
    }

    private static String lower(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }
}
