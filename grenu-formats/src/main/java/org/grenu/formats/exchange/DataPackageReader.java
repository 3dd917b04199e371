package org.grenu.formats.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
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
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.numbers.Samples;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.core.record.Shot;
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
    private static final int MOST_SHOTS = 200_000;
    private static final int LONGEST_CELL = 1 << 22;
    private static final Supplier<NamedCsvRecordHandler> GUARDED = () -> NamedCsvRecordHandler
            .of(handler -> handler.fieldModifier(FieldModifier.modify(FormulaGuard::plain)));

    private final String file;
    private final SafeZip zip;
    private final ArchiveTarget target;
    private final Map<Integer, StringBuilder> readings = new HashMap<>();
    private final Map<Integer, ShotRow> records = new TreeMap<>();
    private final Map<Integer, List<String[]>> attachments = new HashMap<>();

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
        WatchedTarget watched = new WatchedTarget(target);
        try {
            GuardedReading.of(name, () -> {
                read(name, path, watched);
                return null;
            });
        } catch (ImportFailure refused) {
            watched.rethrow();
            throw refused;
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
                row -> readings.computeIfAbsent(PackageRows.number(row, "shot"), shot -> new StringBuilder())
                        .append(PackageRows.reading(row).text())
                        .append("; "));
        table(PackageTables.SHOTS, row -> {
            if (records.size() >= MOST_SHOTS) {
                throw new RefusedEntry("The package has more than " + MOST_SHOTS + " shots.");
            }
            int shot = PackageRows.number(row, "shot");
            records.put(shot,
                    PackageRows.shot(row, readings.getOrDefault(shot, new StringBuilder()).toString()));
        });
        table(PackageTables.ATTACHMENTS,
                row -> attachments.computeIfAbsent(PackageRows.number(row, "shot"), shot -> new ArrayList<>())
                        .add(new String[] {row.getField("name"), row.getField("file")}));
        curves();
        List<ArchivedChange> history = new ArrayList<>();
        table(PackageTables.HISTORY,
                row -> history.add(new ArchivedChange(PackageRows.optionalNumber(row, "shot"),
                        new ArchivedChange.Thing(row.getField("kind"), row.getField("name"),
                                PackageRows.optionalNumber(row, "version")),
                        row.getField("field"), row.getField("before"), row.getField("after"), row.getField("reason"),
                        row.getField("made_at"))));
        target.history(history);
    }

    private void descriptor() throws ImportFailure, IOException {
        if (!zip.has(DataPackageWriter.DESCRIPTOR)) {
            throw new ImportFailure(file, 0, "There is no datapackage.json in it.",
                    "Choose a package that Grenu wrote.");
        }
        JsonNode root = root();
        if (!root.path("grenu").path("format").asText().equals("grenu-library")) {
            throw new ImportFailure(file, 0, "The package is not a library that Grenu wrote.",
                    "Its tables can be mapped one by one as logs.");
        }
        if (root.path("grenu").path("version").asInt() > DataPackageWriter.FORMAT_VERSION) {
            throw new ImportFailure(file, 0, "The package was written by a newer Grenu.", "Update Grenu.");
        }
    }

    private JsonNode root() throws ImportFailure, IOException {
        try {
            return JSON.readTree(zip.bytes(DataPackageWriter.DESCRIPTOR));
        } catch (JsonProcessingException broken) {
            throw new ImportFailure(file, broken.getLocation() == null ? 0 : broken.getLocation().getLineNr(),
                    "datapackage.json is not JSON (" + broken.getOriginalMessage() + ").", REMEDY);
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
                        | NoSuchElementException refused) {
                    throw new ImportFailure(file + ", " + path, (int) row.getStartingLineNumber(), refused.getMessage(),
                            REMEDY);
                }
            }
        } catch (CsvParseException broken) {
            throw new ImportFailure(file + ", " + path, 0, "The table is not CSV (" + broken.getMessage() + ").",
                    REMEDY);
        }
    }

    private List<ShelfItem> shelf() throws ImportFailure, IOException {
        List<ShelfItem> items = new ArrayList<>();
        for (ShelfKind kind : PackageTables.kinds()) {
            Map<String, List<ShelfVersion>> versions = new LinkedHashMap<>();
            table(PackageTables.table(kind), row -> version(kind, row, versions));
            versions.forEach((name, all) -> items.add(new ShelfItem(items.size() + 1L, kind, name, all)));
        }
        return items;
    }

    private static void version(ShelfKind kind, NamedCsvRecord row, Map<String, List<ShelfVersion>> versions) {
        String since = row.getField("since");
        versions.computeIfAbsent(row.getField("item"), name -> new ArrayList<>())
                .add(new ShelfVersion(0, PackageRows.number(row, "version"),
                        since.isBlank() ? Optional.empty() : Optional.of(LocalDate.parse(since)),
                        row.getField("changed"), PackageRows.entries(kind, row)));
    }

    /** Samples come shot by shot; a shot is handed over when the next one's begin. */
    private void curves() throws ImportFailure, IOException {
        SampleColumns[] columns = {null};
        table(PackageTables.CURVES, row -> {
            int shot = PackageRows.number(row, "shot");
            if (columns[0] == null || columns[0].shot() != shot) {
                hand(columns[0]);
                ShotRow known = records.get(shot);
                if (known == null) {
                    throw new RefusedEntry(
                            "There is no shot " + shot + " in the table of shots, or its curve is in two pieces.");
                }
                columns[0] = new SampleColumns(shot, known.channels());
            }
            columns[0].add(row);
        });
        hand(columns[0]);
        for (int shot : List.copyOf(records.keySet())) {
            if (records.get(shot).channels().isEmpty()) {
                hand(shot, ShotLog.NONE);
            }
        }
        if (!records.isEmpty()) {
            throw new ImportFailure(file, 0, "There is no curve of shot "
                    + records.keySet().stream().limit(5).map(String::valueOf).collect(Collectors.joining(", ")) + ".",
                    REMEDY);
        }
    }

    private void hand(SampleColumns columns) throws ImportFailure {
        if (columns != null) {
            ShotLog log = columns.log();
            ShotReader.check(file + ", shot " + columns.shot(), log);
            hand(columns.shot(), log);
        }
    }

    private void hand(int shot, ShotLog log) throws ImportFailure {
        ShotRow row = records.remove(shot);
        try {
            List<ArchivedShot.ArchivedFile> files = new ArrayList<>();
            for (String[] attachment : attachments.getOrDefault(shot, List.of())) {
                files.add(new ArchivedShot.ArchivedFile(attachment[0], zip.bytes(attachment[1])));
            }
            byte[] raw = row.rawPath().isBlank() ? new byte[0] : zip.bytes(row.rawPath());
            target.shot(new ArchivedShot(shot, row.state(), new Shot(row.record(), log), row.rawName(), raw, files));
        } catch (IOException missing) {
            throw new ImportFailure(file, 0, "Shot " + shot + " cannot be read: " + missing.getMessage() + ".", REMEDY);
        }
    }
}
