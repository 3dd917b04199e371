package org.grenu.formats.mapping;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;
import org.grenu.formats.ImportFailure;

/** Mappings as files to keep and to share; see docs/formats.md. */
public final class MappingJson {

    private static final String FORMAT = "grenu-mapping";
    private static final ObjectMapper JSON = new ObjectMapper();

    private MappingJson() {
    }

    /** {@return the mapping's text} */
    public static String write(TableMapping mapping) {
        ObjectNode root = JSON.createObjectNode().put("format", FORMAT).put("version", 1).put("name", mapping.name());
        ObjectNode shape = root.putObject("table");
        if (mapping.shape() instanceof TableShape.Lines lines) {
            shape.put("kind", "lines")
                    .put("delimiter", String.valueOf(lines.delimiter()))
                    .put("decimal_mark", String.valueOf(lines.decimalMark()))
                    .put("heading_line", lines.headingLine())
                    .put("first_line", lines.firstLine());
        } else if (mapping.shape() instanceof TableShape.Json json) {
            shape.put("kind", "json").put("path", json.path());
        }
        ArrayNode columns = root.putArray("columns");
        for (ColumnRule rule : mapping.columns()) {
            ObjectNode column = columns.addObject().put("column", rule.column()).put("is", rule.role().key());
            rule.unit().filter(unit -> unit != Unit.NUMBER).ifPresent(unit -> column.put("unit", unit.symbol()));
            if (rule.negated()) {
                column.put("negated", true);
            }
            if (rule.scale() != 1) {
                column.put("scale", rule.scale());
            }
            if (rule.offset() != 0) {
                column.put("offset", rule.offset());
            }
        }
        mapping.rate().ifPresent(rate -> root.put("samples_per_second", rate));
        ObjectNode split = root.putObject("shots").put("by", mapping.split().kind().key());
        if (mapping.split().kind() == ShotSplit.Kind.GAP) {
            split.put("seconds", mapping.split().seconds());
        }
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /**
     * {@return the mapping in that text}
     *
     * @param file its name, for messages
     * @throws ImportFailure if it is not a mapping
     */
    public static TableMapping read(String file, String text) throws ImportFailure {
        JsonNode root;
        try {
            root = JSON.readTree(text);
        } catch (JsonProcessingException broken) {
            throw new ImportFailure(file,
                    Math.max(0, broken.getLocation() == null ? 0 : broken.getLocation().getLineNr()),
                    "The mapping is not JSON: " + broken.getOriginalMessage().strip() + ".",
                    "Save it again from the mapping window.");
        }
        if (root == null || !FORMAT.equals(root.path("format").asText()) || root.path("version").asInt() != 1) {
            throw new ImportFailure(file, 0, "This is not a mapping of version 1.",
                    "Choose a file that the mapping window has saved.");
        }
        try {
            List<ColumnRule> rules = new ArrayList<>();
            for (JsonNode column : root.path("columns")) {
                rules.add(rule(column));
            }
            OptionalDouble rate = root.path("samples_per_second").isNumber()
                    ? OptionalDouble.of(root.path("samples_per_second").doubleValue())
                    : OptionalDouble.empty();
            ShotSplit.Kind kind = ShotSplit.Kind.find(root.at("/shots/by").asText("none"))
                    .orElseThrow(() -> new IllegalArgumentException(
                            "“shots.by” is “" + root.at("/shots/by").asText() + "”: none, id, gap or reset."));
            return new TableMapping(root.path("name").asText(), shape(root.path("table")), rules, rate,
                    new ShotSplit(kind, root.at("/shots/seconds").asDouble(0)));
        } catch (IllegalArgumentException refused) {
            throw new ImportFailure(file, 0, refused.getMessage(),
                    "Correct the mapping, or save it again from the mapping window.");
        }
    }

    private static TableShape shape(JsonNode shape) {
        if (shape.path("kind").asText().equals("json")) {
            return new TableShape.Json(shape.path("path").asText(""));
        }
        String delimiter = shape.path("delimiter").asText(",");
        String mark = shape.path("decimal_mark").asText(".");
        if (delimiter.length() != 1 || mark.length() != 1) {
            throw new IllegalArgumentException("“delimiter” and “decimal_mark” are one character each.");
        }
        return new TableShape.Lines(delimiter.charAt(0), mark.charAt(0), shape.path("heading_line").asInt(1),
                shape.path("first_line").asInt(2));
    }

    private static ColumnRule rule(JsonNode column) {
        String name = column.path("column").asText();
        ColumnRole role = ColumnRole.find(column.path("is").asText())
                .orElseThrow(() -> new IllegalArgumentException(
                        "Column “" + name + "” is “" + column.path("is").asText() + "”, which is not known."));
        Optional<Unit> unit = role.quantity().flatMap(quantity -> unit(column, name, quantity));
        return new ColumnRule(name, role, unit, column.path("negated").asBoolean(false),
                column.path("scale").asDouble(1),
                column.path("offset").asDouble(0));
    }

    private static Optional<Unit> unit(JsonNode column, String name, Quantity quantity) {
        String symbol = column.path("unit").asText("");
        Optional<Unit> found = Unit.find(symbol, quantity);
        if (found.isEmpty() && !symbol.isEmpty()) {
            throw new IllegalArgumentException(
                    "Column “" + name + "” is in “" + symbol + "”, a unit that is not known for it.");
        }
        return found;
    }
}
