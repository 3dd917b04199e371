package org.grenu.formats.exchange;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.grenu.core.curve.Channel;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.RowColumn;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordField;

/** The tables of a package: their columns, and how the descriptor tells of them. */
final class PackageTables {

    static final String SHOTS = "shots";
    static final String CURVES = "curves";
    static final String READINGS = "readings";
    static final String HISTORY = "history";
    static final String ATTACHMENTS = "attachments";
    static final String RAW_FILE = "raw_file";
    static final String STATE = "state";
    static final String RAW_NAME = "raw_file_name";
    static final String CHANNELS = "channels";
    static final String EXTRAS = "own_entries";

    private PackageTables() {
    }

    /** A column: its name, the type and description that the descriptor gives. */
    record Column(String name, String type, String title, String description) {
    }

    static List<Column> shots() {
        List<Column> columns = new ArrayList<>();
        columns.add(new Column("shot", "integer", "Shot", "number as people call it"));
        columns.add(new Column(STATE, "string", "State", "planned, running or recorded"));
        for (RecordField field : RecordField.values()) {
            if (field != RecordField.READINGS) {
                columns.add(column(field));
            }
        }
        addLogAndFile(columns);
        return columns;
    }

    private static void addLogAndFile(List<Column> columns) {
        columns.add(new Column(EXTRAS, "object", "Own entries", "what the users made up, by name"));
        columns.add(new Column(CHANNELS, "string", "Channels",
                "channels that the log has, with spaces between; empty for a shot without a log"));
        columns.add(new Column(RAW_NAME, "string", "Raw file's name", "name of the file the shot was imported from"));
        columns.add(new Column(RAW_FILE, "string", "Raw file",
                "path of that file in this package, byte for byte as imported"));
    }

    static List<Column> curves() {
        List<Column> columns = new ArrayList<>();
        columns.add(new Column("shot", "integer", "Shot", "number in the table of shots"));
        columns.add(new Column("time_s", "number", "Time", "time of the log, unit: s"));
        for (Channel channel : Channel.ofLogs()) {
            String unit = channel.unit().symbol();
            columns.add(new Column(channel.key(), "number", channel.title(),
                    unit.isEmpty() ? "a number" : "unit: " + unit));
        }
        return columns;
    }

    static List<Column> readings() {
        return List.of(new Column("shot", "integer", "Shot", "number in the table of shots"),
                new Column("reading", "integer", "Reading", "counted from 1"),
                new Column("value", "number", "Value",
                        "as the instrument showed it, unit: % m/m, or degrees Brix where refractometer_reads says so"),
                new Column("time_s", "number", "Time", "since the series began, unit: s"),
                new Column("sample_c", "number", "Sample", "temperature of the sample, unit: °C"),
                new Column("prism_c", "number", "Prism", "temperature of the prism, unit: °C"),
                new Column("filtered", "boolean", "Filtered", "whether the sample was filtered"));
    }

    static List<Column> history() {
        return List.of(
                new Column("shot", "integer", "Shot", "number in the table of shots; empty for a thing on the shelf"),
                new Column("kind", "string", "Kind", "sort of thing on the shelf"),
                new Column("name", "string", "Name", "of that thing"),
                new Column("version", "integer", "Version", "of that thing"),
                new Column("field", "string", "Entry", "which entry was corrected"),
                new Column("before", "string", "Before", "its text before; empty: unknown"),
                new Column("after", "string", "After", "its text after; empty: unknown"),
                new Column("reason", "string", "Reason", "why"),
                new Column("made_at", "string", "When", "UTC, ISO 8601 with milliseconds"));
    }

    static List<Column> attachments() {
        return List.of(new Column("shot", "integer", "Shot", "number in the table of shots"),
                new Column("name", "string", "Name", "of the file"),
                new Column("file", "string", "File", "path in this package"));
    }

    static List<Column> shelf(ShelfKind kind) {
        List<Column> columns = new ArrayList<>(List.of(new Column("item", "string", "Name", "by which shots call it"),
                new Column("version", "integer", "Version", "counted from 1"),
                new Column("since", "date", "Since", "first day of the version; empty for the first"),
                new Column("changed", "string", "Changed", "which parts were changed")));
        kind.fields().forEach(field -> columns.add(column(field)));
        return columns;
    }

    private static Column column(Field field) {
        String unit = field.unit().isEmpty() ? "" : "unit: " + field.unit();
        return switch (field.kind()) {
            case NUMBER -> new Column(field.key(), "number", field.title(), unit);
            case FLAG -> new Column(field.key(), "boolean", field.title(), "");
            case DAY -> new Column(field.key(), "date", field.title(), "");
            case MOMENT -> new Column(field.key(), "string", field.title(), "local date and time, ISO 8601");
            case ROWS -> new Column(field.key(), "string", field.title(),
                    "rows between semicolons, cells between spaces, ? for unknown: "
                            + field.columns().stream().map(PackageTables::described).collect(Collectors.joining(", ")));
            default -> new Column(field.key(), "string", field.title(),
                    field.kind().free() ? "" : "text as described in docs/formats.md");
        };
    }

    private static String described(RowColumn column) {
        return column.title() + (column.unit().isEmpty() ? "" : " in " + column.unit());
    }

    /** A table's place among the descriptor's resources. */
    static void describe(ArrayNode resources, String name, String title, List<Column> columns, List<String> key) {
        ObjectNode resource = resources.addObject()
                .put("name", name)
                .put("profile", "tabular-data-resource")
                .put("path", path(name))
                .put("title", title)
                .put("format", "csv")
                .put("mediatype", "text/csv")
                .put("encoding", "utf-8");
        ObjectNode schema = resource.putObject("schema");
        ArrayNode fields = schema.putArray("fields");
        for (Column column : columns) {
            ObjectNode field = fields.addObject()
                    .put("name", column.name)
                    .put("type", column.type)
                    .put("title", column.title);
            if (!column.description.isEmpty()) {
                field.put("description", column.description);
            }
            if (column.type.equals("boolean")) {
                field.putArray("trueValues").add("yes");
                field.putArray("falseValues").add("no");
            }
        }
        schema.putArray("missingValues").add("");
        if (!key.isEmpty()) {
            key.forEach(schema.withArrayProperty("primaryKey")::add);
        }
        if (columns.get(0).name.equals("shot") && !name.equals(SHOTS)) {
            ObjectNode foreign = schema.putArray("foreignKeys").addObject().put("fields", "shot");
            foreign.putObject("reference").put("resource", SHOTS).put("fields", "shot");
        }
    }

    static String path(String name) {
        return "data/" + name + ".csv";
    }

    static List<String> names(List<Column> columns) {
        return columns.stream().map(Column::name).toList();
    }

    static List<ShelfKind> kinds() {
        return Arrays.asList(ShelfKind.values());
    }

    /** {@return such as {@code coffees}; the name of the table of that kind} */
    static String table(ShelfKind kind) {
        return kind == ShelfKind.COFFEE ? "coffees"
                : kind == ShelfKind.STUDY ? "studies" : kind == ShelfKind.WATER ? "waters" : kind.key() + "s";
    }
}
