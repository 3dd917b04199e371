package org.grenu.formats.mapping;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.formats.ImportFailure;

/** Reads a table out of JSON: an array of records, or an object of arrays, at a path. */
final class JsonTable {

    /** Heading of the column that numbers the elements of a {@code [*]}. */
    static final String ELEMENT = "(element)";

    private static final ObjectMapper JSON = new ObjectMapper(JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder().maxNestingDepth(50).build())
            .build());
    private static final Pattern PART = Pattern.compile("([^.\\[\\]]+)|\\[(\\d{1,6}|\\*)]");

    private JsonTable() {
    }

    static JsonNode parse(String file, String text) throws ImportFailure {
        try {
            JsonNode root = JSON.readTree(text);
            if (root != null && !root.isMissingNode()) {
                return root;
            }
            throw new ImportFailure(file, 0, "The JSON is empty.", "Choose another file.");
        } catch (JsonProcessingException broken) {
            int line = broken.getLocation() == null ? 0 : broken.getLocation().getLineNr();
            throw new ImportFailure(file, Math.max(0, line),
                    "The JSON is broken: " + broken.getOriginalMessage().strip() + ".",
                    "Export the log again, or mend the file at this line.");
        }
    }

    static RawTable read(String file, JsonNode root, TableShape.Json shape) throws ImportFailure {
        List<JsonNode> found = new ArrayList<>();
        collect(root, parts(shape.path()), 0, found);
        if (found.isEmpty()) {
            throw new ImportFailure(file, 0, "There is nothing at “" + shape.path() + "” in the JSON.",
                    "Choose another path.");
        }
        Rows rows = new Rows();
        boolean several = shape.path().contains("[*]");
        for (int i = 0; i < found.size(); i++) {
            rows.add(file, found.get(i), several ? Integer.toString(i + 1) : "");
        }
        return rows.table();
    }

    private static List<String> parts(String path) {
        List<String> parts = new ArrayList<>();
        Matcher matcher = PART.matcher(path);
        while (matcher.find()) {
            parts.add(matcher.group(1) != null ? matcher.group(1) : "[" + matcher.group(2) + "]");
        }
        return parts;
    }

    private static void collect(JsonNode node, List<String> parts, int at, List<JsonNode> found) {
        if (at == parts.size()) {
            found.add(node);
            return;
        }
        String part = parts.get(at);
        if (part.equals("[*]")) {
            node.forEach(element -> collect(element, parts, at + 1, found));
        } else {
            JsonNode next = part.startsWith("[") ? node.path(Integer.parseInt(part.substring(1, part.length() - 1)))
                    : node.path(part);
            if (!next.isMissingNode()) {
                collect(next, parts, at + 1, found);
            }
        }
    }

    /** {@return the path of the largest table in the JSON; empty text for the root itself} */
    static String largest(JsonNode root) {
        Map<String, Integer> sizes = new LinkedHashMap<>();
        search(root, "", 0, sizes);
        return sizes.entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey).orElse("");
    }

    private static void search(JsonNode node, String path, int depth, Map<String, Integer> sizes) {
        if (depth > 8) {
            return;
        }
        if (node.isArray() && node.size() > 2 && node.get(0).isObject() && fields(node.get(0)) > 1) {
            sizes.merge(path, node.size() * 2, Integer::max);
        }
        if (node.isObject()) {
            long arrays = node.properties()
                    .stream()
                    .filter(e -> e.getValue().isArray() && e.getValue().size() > 2
                            && (e.getValue().get(0).isNumber() || e.getValue().get(0).isNull()
                                    || e.getValue().get(0).isTextual()))
                    .count();
            int longest = node.properties()
                    .stream()
                    .filter(e -> e.getValue().isArray())
                    .mapToInt(e -> e.getValue().size())
                    .max()
                    .orElse(0);
            if (arrays > 1) {
                sizes.merge(path, longest * 2, Integer::max);
            }
            node.properties()
                    .forEach(e -> search(e.getValue(), path.isEmpty() ? e.getKey() : path + "." + e.getKey(), depth + 1,
                            sizes));
        } else if (node.isArray() && node.size() > 0 && (node.get(0).isObject() || node.get(0).isArray())) {
            for (int i = 0; i < Math.min(3, node.size()); i++) {
                search(node.get(i), path + "[*]", depth + 1, sizes);
            }
        }
    }

    private static long fields(JsonNode record) {
        return record.properties().stream().filter(e -> e.getValue().isValueNode()).count();
    }

    /** Rows gathered from one or several tables. */
    private static final class Rows {
        private final Set<String> headings = new LinkedHashSet<>();
        private final List<Map<String, String>> rows = new ArrayList<>();

        void add(String file, JsonNode table, String element) throws ImportFailure {
            if (table.isArray()) {
                for (JsonNode record : table) {
                    Map<String, String> row = begin(element);
                    record.properties()
                            .stream()
                            .filter(e -> e.getValue().isValueNode())
                            .forEach(e -> row.put(e.getKey(), text(e.getValue())));
                    keep(file, row);
                }
            } else if (table.isObject()) {
                int longest = table.properties()
                        .stream()
                        .filter(e -> e.getValue().isArray())
                        .mapToInt(e -> e.getValue().size())
                        .max()
                        .orElse(0);
                for (int i = 0; i < longest; i++) {
                    Map<String, String> row = begin(element);
                    for (Map.Entry<String, JsonNode> field : table.properties()) {
                        JsonNode value = field.getValue().isArray() ? field.getValue().path(i) : field.getValue();
                        if (value.isValueNode()) {
                            row.put(field.getKey(), text(value));
                        }
                    }
                    keep(file, row);
                }
            } else {
                throw new ImportFailure(file, 0, "The JSON holds neither records nor arrays there.",
                        "Choose another path.");
            }
        }

        private static Map<String, String> begin(String element) {
            Map<String, String> row = new LinkedHashMap<>();
            if (!element.isEmpty()) {
                row.put(ELEMENT, element);
            }
            return row;
        }

        private void keep(String file, Map<String, String> row) throws ImportFailure {
            headings.addAll(row.keySet());
            rows.add(row);
            if (rows.size() > LineTable.MOST_ROWS || headings.size() > LineTable.MOST_COLUMNS) {
                throw new ImportFailure(file, 0,
                        "The JSON holds more than " + LineTable.MOST_ROWS + " rows or " + LineTable.MOST_COLUMNS
                                + " columns.",
                        "Cut it to fewer shots.");
            }
        }

        private static String text(JsonNode value) {
            return value.isNull() ? "" : value.asText();
        }

        RawTable table() {
            List<String> columns = List.copyOf(headings);
            List<String[]> cells = rows.stream()
                    .map(row -> columns.stream().map(c -> row.getOrDefault(c, "")).toArray(String[]::new))
                    .toList();
            return new RawTable(columns, cells, new int[cells.size()]);
        }
    }
}
