package org.grenu.formats.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.BufferedWriter;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.core.strength.Reading;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.formats.FormulaGuard;

/**
 * Writes a library as a Frictionless Data Package (specification version 1) in a zip file: tables as CSV, files as
 * they are.
 */
public final class DataPackageWriter {

    static final String DESCRIPTOR = "datapackage.json";
    static final int FORMAT_VERSION = 1;

    private static final ObjectMapper JSON = new ObjectMapper();

    private final ArchiveSource source;
    private final ZipOutputStream zip;

    private DataPackageWriter(ArchiveSource source, ZipOutputStream zip) {
        this.source = source;
        this.zip = zip;
    }

    /** Writes all of that source; the stream is left open. */
    public static void write(ArchiveSource source, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(new FilterOutputStream(out) {
            @Override
            public void write(byte[] bytes, int from, int length) throws IOException {
                out.write(bytes, from, length);
            }

            @Override
            public void close() throws IOException {
                flush();
            }
        }, StandardCharsets.UTF_8);
        new DataPackageWriter(source, zip).all();
        zip.finish();
        out.flush();
    }

    private interface Rows {
        void to(CsvWriter csv) throws IOException;
    }

    private void all() throws IOException {
        text(DESCRIPTOR, descriptor());
        for (ShelfKind kind : PackageTables.kinds()) {
            if (!of(kind).isEmpty()) {
                table(PackageTables.table(kind), PackageTables.shelf(kind), csv -> shelf(csv, kind));
            }
        }
        table(PackageTables.SHOTS, PackageTables.shots(), this::shots);
        table(PackageTables.READINGS, PackageTables.readings(), this::readings);
        table(PackageTables.CURVES, PackageTables.curves(), this::curves);
        table(PackageTables.HISTORY, PackageTables.history(), this::history);
        table(PackageTables.ATTACHMENTS, PackageTables.attachments(), this::attachments);
        files();
    }

    private List<ShelfItem> of(ShelfKind kind) {
        return source.shelf().stream().filter(item -> item.kind() == kind).toList();
    }

    private String descriptor() throws JsonProcessingException {
        ObjectNode root = JSON.createObjectNode();
        root.put("profile", "tabular-data-package").put("name", "grenu-library").put("title", source.title());
        root.put("description",
                "Espresso shots with their curves, strength readings, coffees, gear and corrections, written by "
                        + "Grenu. Numbers are in the units that "
                        + "the fields' descriptions give. What is empty is unknown.");
        ArrayNode resources = root.putArray("resources");
        describeShelf(resources);
        describeShots(resources);
        root.putObject("grenu").put("format", "grenu-library").put("version", FORMAT_VERSION);
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    private void describeShelf(ArrayNode resources) {
        for (ShelfKind kind : PackageTables.kinds()) {
            if (!of(kind).isEmpty()) {
                PackageTables.describe(resources, PackageTables.table(kind), kind.title(), PackageTables.shelf(kind),
                        List.of("item", "version"));
            }
        }
    }

    private static void describeShots(ArrayNode resources) {
        PackageTables.describe(resources, PackageTables.SHOTS, "Shots", PackageTables.shots(), List.of("shot"));
        PackageTables.describe(resources, PackageTables.READINGS, "Strength readings", PackageTables.readings(),
                List.of("shot", "reading"));
        PackageTables.describe(resources, PackageTables.CURVES, "Curves as logged", PackageTables.curves(), List.of());
        PackageTables.describe(resources, PackageTables.HISTORY, "Corrections", PackageTables.history(), List.of());
        PackageTables.describe(resources, PackageTables.ATTACHMENTS, "Attachments", PackageTables.attachments(),
                List.of());
    }

    private void text(String path, String text) throws IOException {
        zip.putNextEntry(entry(path));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    private void table(String name, List<PackageTables.Column> columns, Rows rows) throws IOException {
        zip.putNextEntry(entry(PackageTables.path(name)));
        BufferedWriter writer = new BufferedWriter(new OutputStreamWriter(zip, StandardCharsets.UTF_8));
        // Closing the table would close the whole package.
        CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(writer);
        csv.writeRecord(PackageTables.names(columns));
        rows.to(csv);
        csv.flush();
        writer.flush();
        zip.closeEntry();
    }

    /** Without a date of its own, so that the same library gives the same file. */
    private static ZipEntry entry(String path) {
        ZipEntry entry = new ZipEntry(path);
        entry.setTimeLocal(LocalDateTime.of(1980, 1, 1, 0, 0));
        return entry;
    }

    private void shelf(CsvWriter csv, ShelfKind kind) {
        for (ShelfItem item : of(kind)) {
            for (ShelfVersion version : item.versions()) {
                List<String> cells = new ArrayList<>(List.of(item.name(), Integer.toString(version.number()),
                        version.since().map(Object::toString).orElse(""), version.changed()));
                kind.fields().forEach(field -> cells.add(version.entries().entry(field).orElse("")));
                csv.writeRecord(guarded(cells));
            }
        }
    }

    private void shots(CsvWriter csv) throws IOException {
        for (int number : source.numbers()) {
            ArchivedShot archived = source.shot(number);
            ShotRecord record = archived.shot().record();
            List<String> cells = new ArrayList<>(List.of(Integer.toString(number), archived.state().key()));
            for (RecordField field : RecordField.values()) {
                if (field != RecordField.READINGS) {
                    cells.add(record.entry(field).orElse(""));
                }
            }
            cells.add(record.extras().isEmpty() ? "" : JSON.writeValueAsString(record.extras()));
            cells.add(channels(archived));
            cells.add(archived.rawName());
            cells.add(archived.rawName().isEmpty() ? "" : rawPath(number));
            csv.writeRecord(guarded(cells));
        }
    }

    private static String channels(ArchivedShot archived) {
        return archived.shot()
                .log()
                .channels()
                .keySet()
                .stream()
                .map(Channel::key)
                .collect(Collectors.joining(" "));
    }

    private static String rawPath(int number) {
        return "raw/shot-" + number;
    }

    private void readings(CsvWriter csv) {
        for (int number : source.numbers()) {
            List<Reading> readings = source.record(number).readings();
            for (int i = 0; i < readings.size(); i++) {
                Reading reading = readings.get(i);
                csv.writeRecord(Integer.toString(number), Integer.toString(i + 1), DecimalText.exact(reading.value()),
                        text(reading.seconds()),
                        text(reading.sampleCelsius()), text(reading.prismCelsius()), text(reading.filtered()));
            }
        }
    }

    private static String text(OptionalDouble number) {
        return number.isPresent() ? DecimalText.exact(number.getAsDouble()) : "";
    }

    private static String text(Optional<Boolean> flag) {
        return flag.map(yes -> yes ? "yes" : "no").orElse("");
    }

    private void curves(CsvWriter csv) {
        for (int number : source.numbers()) {
            ShotLog log = source.shot(number).shot().log();
            for (int i = 0; i < log.time().size(); i++) {
                List<String> cells = new ArrayList<>(List.of(Integer.toString(number), exact(log.time().get(i))));
                for (Channel channel : Channel.ofLogs()) {
                    Samples samples = log.channels().get(channel);
                    cells.add(samples == null ? "" : exact(samples.get(i)));
                }
                csv.writeRecord(guarded(cells));
            }
        }
    }

    /** All digits, so that the same number is read back; a missing sample is empty. */
    private static String exact(double value) {
        return Double.isNaN(value) ? "" : Double.toString(value);
    }

    private static List<String> guarded(List<String> cells) {
        return cells.stream().map(FormulaGuard::guarded).toList();
    }

    private void history(CsvWriter csv) {
        for (ArchivedChange change : source.history()) {
            csv.writeRecord(guarded(
                    List.of(change.shot() > 0 ? Integer.toString(change.shot()) : "", change.kind(), change.name(),
                            change.version() > 0 ? Integer.toString(change.version()) : "", change.field(),
                            change.before(), change.after(), change.reason(), change.madeAt())));
        }
    }

    private void attachments(CsvWriter csv) {
        for (int number : source.numbers()) {
            List<ArchivedShot.ArchivedFile> files = source.shot(number).files();
            for (int i = 0; i < files.size(); i++) {
                csv.writeRecord(guarded(List.of(Integer.toString(number), files.get(i).name(), filePath(number, i))));
            }
        }
    }

    private static String filePath(int number, int index) {
        return "files/shot-" + number + "-" + (index + 1);
    }

    private void files() throws IOException {
        for (int number : source.numbers()) {
            ArchivedShot shot = source.shot(number);
            if (!shot.rawName().isEmpty()) {
                zip.putNextEntry(entry(rawPath(number)));
                zip.write(shot.raw());
                zip.closeEntry();
            }
            attached(number, shot);
        }
    }

    private void attached(int number, ArchivedShot shot) throws IOException {
        for (int i = 0; i < shot.files().size(); i++) {
            zip.putNextEntry(entry(filePath(number, i)));
            zip.write(shot.files().get(i).bytes());
            zip.closeEntry();
        }
    }
}
