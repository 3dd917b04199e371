package org.grenu.formats.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.FieldModifier;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import de.siegmar.fastcsv.reader.NamedCsvRecordHandler;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.core.strength.Reading;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
import org.grenu.formats.FormulaGuard;
import org.grenu.formats.GuardedReading;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ShotReader;

/**
 * Reads a package that {@link DataPackageWriter} wrote, shot by shot. A mistake names the table, the line and what
 * to do.
 */
public final class DataPackageReader {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String REMEDY = "Mend it in the package, or write the package again.";
    private static final int MOST_SAMPLES = 500_000;
    private static final int MOST_SHOTS = 200_000;
    private static final int LONGEST_CELL = 1 << 22;
    private static final Supplier<NamedCsvRecordHandler> GUARDED = () -> NamedCsvRecordHandler
            .of(handler -> handler.fieldModifier(FieldModifier.modify(FormulaGuard::plain)));

    private final String file;
    private final SafeZip zip;
    private final ArchiveTarget target;
    private final Map<Integer, StringBuilder> readings = new HashMap<>();
    private final Map<Integer, Record> records = new TreeMap<>();
    private final Map<Integer, List<String[]>> attachments = new HashMap<>();

    private record Record(ShotState state, ShotRecord record, List<Channel> channels, String rawName, String rawPath) {
    }

    private DataPackageReader(String file, SafeZip zip, ArchiveTarget target) {
        this.file = file;
        this.zip = zip;
        this.target = target;
    }

    /**
     * Hands all that is in the package to the target.
     *
     * @throws ImportFailure if it is no such package, damaged, hostile, or an entry is not possible; what the target
     * took
     *                       until then is its own affair
     */
    public static void read(Path path, ArchiveTarget target) throws ImportFailure {
        String name = path.getFileName().toString();
        Telling telling = new Telling(target);
        try {
            GuardedReading.of(name, () -> {
                read(name, path, telling);
                return null;
            });
        } catch (ImportFailure refused) {
            // What the target could not do is no fault of the package.
            if (telling.failure != null) {
                throw telling.failure;
            }
            throw refused;
        }
    }

    /** Hands everything on and keeps what went wrong there. */
    private static final class Telling implements ArchiveTarget {
        private final ArchiveTarget target;
        private RuntimeException failure;

        Telling(ArchiveTarget target) {
            this.target = target;
        }

        @Override
        public void shelf(List<ShelfItem> items) {
            keeping(() -> target.shelf(items));
        }

        @Override
        public void shot(ArchivedShot shot) {
            keeping(() -> target.shot(shot));
        }

        @Override
        public void history(List<ArchivedChange> changes) {
            keeping(() -> target.history(changes));
        }

        private void keeping(Runnable handing) {
            try {
                handing.run();
            } catch (RuntimeException failed) {
                failure = failed;
                throw failed;
            }
        }
    }

    private static void read(String name, Path path, ArchiveTarget target) throws ImportFailure {
        try (SafeZip zip = new SafeZip(path)) {
            new DataPackageReader(name, zip, target).all();
        } catch (IOException | UncheckedIOException broken) {
            Throwable root = broken;
            while (root.getCause() != null) {
                root = root.getCause();
            }
            throw new ImportFailure(name, 0, "The package cannot be read: " + root.getMessage() + ".",
                    "Copy it again, or choose another.");
        }
    }

    private interface Row {
        void take(NamedCsvRecord row) throws ImportFailure;
    }

    private void all() throws ImportFailure, IOException {
        descriptor();
        target.shelf(shelf());
        table(PackageTables.READINGS,
                row -> readings.computeIfAbsent(number(row, "shot"), shot -> new StringBuilder())
                        .append(reading(row).text())
                        .append("; "));
        table(PackageTables.SHOTS, row -> {
            if (records.size() >= MOST_SHOTS) {
                throw new RefusedEntry("The package has more than " + MOST_SHOTS + " shots.");
            }
            records.put(number(row, "shot"), record(row));
        });
        table(PackageTables.ATTACHMENTS,
                row -> attachments.computeIfAbsent(number(row, "shot"), shot -> new ArrayList<>())
                        .add(new String[] {row.getField("name"), row.getField("file")}));
        curves();
        List<ArchivedChange> history = new ArrayList<>();
        table(PackageTables.HISTORY,
                row -> history.add(new ArchivedChange(optionalNumber(row, "shot"),
                        new ArchivedChange.Thing(row.getField("kind"), row.getField("name"),
                                optionalNumber(row, "version")),
                        row.getField("field"), row.getField("before"), row.getField("after"), row.getField("reason"),
                        row.getField("made_at"))));
        target.history(history);
    }

    private void descriptor() throws ImportFailure, IOException {
        if (!zip.has(DataPackageWriter.DESCRIPTOR)) {
            throw new ImportFailure(file, 0, "There is no datapackage.json in it.",
                    "Choose a package that Grenu wrote.");
        }
        JsonNode root;
        try {
            root = JSON.readTree(zip.bytes(DataPackageWriter.DESCRIPTOR));
        } catch (JsonProcessingException broken) {
            throw new ImportFailure(file, broken.getLocation() == null ? 0 : broken.getLocation().getLineNr(),
                    "datapackage.json is not JSON (" + broken.getOriginalMessage() + ").", REMEDY);
        }
        if (!root.path("grenu").path("format").asText().equals("grenu-library")) {
            throw new ImportFailure(file, 0, "The package is not a library that Grenu wrote.",
                    "Its tables can be mapped one by one as logs.");
        }
        if (root.path("grenu").path("version").asInt() > DataPackageWriter.FORMAT_VERSION) {
            throw new ImportFailure(file, 0, "The package was written by a newer Grenu.", "Update Grenu.");
        }
    }

    private void table(String name, Row taking) throws ImportFailure, IOException {
        String path = PackageTables.path(name);
        if (!zip.has(path)) {
            return;
        }
        try (CsvReader<NamedCsvRecord> rows = CsvReader.builder()
                .maxBufferSize(LONGEST_CELL)
                .build(GUARDED.get(), new InputStreamReader(zip.open(path), StandardCharsets.UTF_8))) {
            for (NamedCsvRecord row : rows) {
                try {
                    taking.take(row);
                } catch (RefusedEntry | IllegalArgumentException | DateTimeParseException
                        | java.util.NoSuchElementException refused) {
                    throw new ImportFailure(file + ", " + path, (int) row.getStartingLineNumber(), refused.getMessage(),
                            REMEDY);
                }
            }
        } catch (CsvParseException broken) {
            throw new ImportFailure(file + ", " + path, 0, "The table is not CSV (" + broken.getMessage() + ").",
                    REMEDY);
        }
    }

    private static int number(NamedCsvRecord row, String column) {
        int number = Integer.parseInt(row.getField(column).strip());
        if (number < 1) {
            throw new RefusedEntry("“" + column + "” must be 1 or more, is " + number + ".");
        }
        return number;
    }

    private static int optionalNumber(NamedCsvRecord row, String column) {
        return row.getField(column).isBlank() ? 0 : number(row, column);
    }

    private List<ShelfItem> shelf() throws ImportFailure, IOException {
        List<ShelfItem> items = new ArrayList<>();
        for (ShelfKind kind : PackageTables.kinds()) {
            Map<String, List<ShelfVersion>> versions = new LinkedHashMap<>();
            table(PackageTables.table(kind), row -> {
                String since = row.getField("since");
                versions.computeIfAbsent(row.getField("item"), name -> new ArrayList<>())
                        .add(new ShelfVersion(0, number(row, "version"),
                                since.isBlank() ? Optional.empty() : Optional.of(LocalDate.parse(since)),
                                row.getField("changed"), entries(kind, row)));
            });
            versions.forEach((name, all) -> items.add(new ShelfItem(items.size() + 1L, kind, name, all)));
        }
        return items;
    }

    private static Entries entries(ShelfKind kind, NamedCsvRecord row) {
        Entries entries = Entries.NONE;
        for (Field field : kind.fields()) {
            entries = entries.with(field, row.findField(field.key()).orElse(""));
        }
        return entries;
    }

    private static Reading reading(NamedCsvRecord row) {
        String filtered = row.getField("filtered");
        return new Reading(DecimalText.parse(row.getField("value")).orElseThrow(),
                DecimalText.parse(row.getField("time_s")), DecimalText.parse(row.getField("sample_c")),
                DecimalText.parse(row.getField("prism_c")),
                filtered.isBlank() ? Optional.empty() : Optional.of(filtered.equals("yes")));
    }

    private Record record(NamedCsvRecord row) throws ImportFailure {
        ShotRecord record = ShotRecord.EMPTY;
        for (RecordField field : RecordField.values()) {
            String text = field == RecordField.READINGS
                    ? readings.getOrDefault(number(row, "shot"), new StringBuilder()).toString()
                    : row.findField(field.key()).orElse("");
            if (!text.isBlank()) {
                record = record.with(field, text);
            }
        }
        String extras = row.findField(PackageTables.EXTRAS).orElse("");
        try {
            Map<String, String> own = extras.isBlank() ? Map.of()
                    : JSON.readValue(extras, new TypeReference<TreeMap<String, String>>() {});
            for (Map.Entry<String, String> entry : own.entrySet()) {
                record = record.withExtra(entry.getKey(), entry.getValue());
            }
        } catch (JsonProcessingException broken) {
            throw new RefusedEntry("The own entries are not a JSON object (" + broken.getOriginalMessage() + ").");
        }
        List<Channel> channels = new ArrayList<>();
        String named = row.getField(PackageTables.CHANNELS);
        for (String key : named.split(" ")) {
            Channel.find(key).ifPresent(channels::add);
        }
        if (channels.isEmpty() && !named.isBlank()) {
            throw new RefusedEntry("“" + PackageTables.CHANNELS + "” names no channel that is known.");
        }
        return new Record(ShotState.find(row.findField(PackageTables.STATE).orElse("")).orElse(ShotState.RECORDED),
                record,
                channels, row.getField(PackageTables.RAW_NAME), row.getField(PackageTables.RAW_FILE));
    }

    /** Samples come shot by shot; a shot is handed over when the next one's begin. */
    private void curves() throws ImportFailure, IOException {
        Columns[] columns = {null};
        table(PackageTables.CURVES, row -> {
            int shot = number(row, "shot");
            if (columns[0] == null || columns[0].shot != shot) {
                hand(columns[0]);
                Record record = records.get(shot);
                if (record == null) {
                    throw new RefusedEntry(
                            "There is no shot " + shot + " in the table of shots, or its curve is in two pieces.");
                }
                columns[0] = new Columns(shot, record.channels);
            }
            columns[0].add(row);
        });
        hand(columns[0]);
        for (int shot : List.copyOf(records.keySet())) {
            if (records.get(shot).channels.isEmpty()) {
                hand(shot, ShotLog.NONE);
            }
        }
        if (!records.isEmpty()) {
            throw new ImportFailure(file, 0, "There is no curve of shot "
                    + records.keySet().stream().limit(5).map(String::valueOf).collect(Collectors.joining(", ")) + ".",
                    REMEDY);
        }
    }

    private void hand(Columns columns) throws ImportFailure {
        if (columns != null) {
            ShotLog log = columns.log();
            ShotReader.check(file + ", shot " + columns.shot, log);
            hand(columns.shot, log);
        }
    }

    private void hand(int shot, ShotLog log) throws ImportFailure {
        Record record = records.remove(shot);
        try {
            List<ArchivedShot.ArchivedFile> files = new ArrayList<>();
            for (String[] attachment : attachments.getOrDefault(shot, List.of())) {
                files.add(new ArchivedShot.ArchivedFile(attachment[0], zip.bytes(attachment[1])));
            }
            byte[] raw = record.rawPath.isBlank() ? new byte[0] : zip.bytes(record.rawPath);
            target.shot(new ArchivedShot(shot, record.state, new Shot(record.record, log), record.rawName, raw, files));
        } catch (IOException missing) {
            throw new ImportFailure(file, 0, "Shot " + shot + " cannot be read: " + missing.getMessage() + ".", REMEDY);
        }
    }

    /** A shot's samples while they are read. */
    private static final class Columns {
        private final int shot;
        private final List<Channel> channels;
        private final List<double[]> rows = new ArrayList<>();

        Columns(int shot, List<Channel> channels) {
            this.shot = shot;
            this.channels = channels;
        }

        void add(NamedCsvRecord row) {
            if (rows.size() >= MOST_SAMPLES) {
                throw new RefusedEntry("Shot " + shot + " has more than " + MOST_SAMPLES + " samples.");
            }
            double[] values = new double[channels.size() + 1];
            values[0] = value(row, "time_s").orElseThrow(() -> new RefusedEntry("The time of a sample is missing."));
            for (int i = 0; i < channels.size(); i++) {
                values[i + 1] = value(row, channels.get(i).key()).orElse(Double.NaN);
            }
            rows.add(values);
        }

        private static OptionalDouble value(NamedCsvRecord row, String column) {
            String text = row.getField(column);
            if (text.isEmpty()) {
                return OptionalDouble.empty();
            }
            double number = Double.parseDouble(text);
            if (!Double.isFinite(number)) {
                throw new RefusedEntry("“" + column + "” holds " + text + ", which is no measurement.");
            }
            return OptionalDouble.of(number);
        }

        ShotLog log() {
            Map<Channel, Samples> columns = new EnumMap<>(Channel.class);
            for (int i = 0; i < channels.size(); i++) {
                columns.put(channels.get(i), column(i + 1));
            }
            return new ShotLog(column(0), columns);
        }

        private Samples column(int index) {
            double[] values = new double[rows.size()];
            for (int i = 0; i < values.length; i++) {
                values[i] = rows.get(i)[index];
            }
            return Samples.of(values);
        }
    }
}
