package org.grenu.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;

/** Things on the shelf as JSON, described in docs/formats.md. Keys of the library are not written. */
public final class ShelfJson {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int MOST_ITEMS = 100_000;

    private ShelfJson() {
    }

    /** {@return those things as text} */
    public static String write(List<ShelfItem> items) {
        ObjectNode root = JSON.createObjectNode().put("format", "grenu-shelf").put("version", 1);
        ArrayNode all = root.putArray("items");
        for (ShelfItem item : items) {
            ObjectNode node = all.addObject().put("kind", item.kind().key()).put("name", item.name());
            ArrayNode versions = node.putArray("versions");
            for (ShelfVersion version : item.versions()) {
                ObjectNode written = versions.addObject();
                version.since().ifPresent(since -> written.put("since", since.toString()));
                if (!version.changed().isEmpty()) {
                    written.put("changed", version.changed());
                }
                ObjectNode entries = written.putObject("entries");
                item.kind()
                        .fields()
                        .forEach(field -> version.entries()
                                .entry(field)
                                .ifPresent(text -> entries.put(field.key(), text)));
            }
        }
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /**
     * {@return the things in that text, numbered from 1}
     *
     * @param name of the file, for messages
     * @throws ImportFailure if the text is not such a file, or an entry is not possible; names what and where
     */
    public static List<ShelfItem> read(String name, String text) throws ImportFailure {
        JsonNode root = tree(name, text);
        if (!root.path("format").asText().equals("grenu-shelf") || !root.path("items").isArray()
                || root.path("items").size() > MOST_ITEMS) {
            throw new ImportFailure(name, 1, "This is not a shelf that Grenu wrote.",
                    "A shelf has “format”: “grenu-shelf” and a list of items.");
        }
        List<ShelfItem> items = new ArrayList<>();
        for (JsonNode node : root.path("items")) {
            items.add(item(name, node, items.size() + 1L));
        }
        return items;
    }

    private static JsonNode tree(String name, String text) throws ImportFailure {
        try {
            return JSON.readTree(text);
        } catch (JsonProcessingException broken) {
            throw new ImportFailure(name, Math.max(1, broken.getLocation().getLineNr()),
                    "This is not JSON (" + broken.getOriginalMessage() + ").", "Export the shelf again.");
        }
    }

    private static ShelfItem item(String file, JsonNode node, long id) throws ImportFailure {
        String called = node.path("name").asText();
        Optional<ShelfKind> kind = ShelfKind.find(node.path("kind").asText());
        if (kind.isEmpty() || called.isBlank() || node.path("versions").isEmpty()) {
            throw new ImportFailure(file, 1, "Item " + id + " lacks a kind that Grenu knows, a name or a version.",
                    "Mend it, or leave it out.");
        }
        List<ShelfVersion> versions = new ArrayList<>();
        for (JsonNode version : node.path("versions")) {
            try {
                Optional<LocalDate> since = version.path("since").isTextual()
                        ? Optional.of(LocalDate.parse(version.path("since").asText())) : Optional.empty();
                versions.add(new ShelfVersion(0, versions.size() + 1, since, version.path("changed").asText(),
                        entries(kind.get(), version.path("entries"))));
            } catch (RefusedEntry | DateTimeParseException refused) {
                throw new ImportFailure(file, 1, called + ": " + refused.getMessage(),
                        "Mend the entry, or leave it out.");
            }
        }
        return new ShelfItem(id, kind.get(), called, versions);
    }

    private static Entries entries(ShelfKind kind, JsonNode node) {
        Entries entries = Entries.NONE;
        for (Map.Entry<String, JsonNode> entry : node.properties()) {
            Field field = kind.field(entry.getKey())
                    .orElseThrow(() -> new RefusedEntry(
                            "There is no entry “" + entry.getKey() + "” of a " + kind.one() + "."));
            entries = entries.with(field, entry.getValue().asText());
        }
        return entries;
    }
}
