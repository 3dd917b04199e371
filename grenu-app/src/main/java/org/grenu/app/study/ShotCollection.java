package org.grenu.app.study;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.formats.BoundedFile;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.grenu.formats.mapping.ShotFile;
import org.grenu.formats.exchange.SafeZip;
import org.grenu.library.Library;
import org.grenu.library.LibraryException;

/**
 * Shots from wherever they lie: a library, a folder or data package, or single files. What cannot be read is said,
 * the rest is kept.
 */
public final class ShotCollection {

    private static final byte[] LIBRARY_MARK = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] ZIP_MARK = {'P', 'K', 3, 4};
    /** Files of a package that are no shots. */
    private static final List<String> BESIDE = List.of("datapackage.json", "shots.csv", "effects.csv", "shelf.json");

    private final List<MeasuredShot> shots = new ArrayList<>();
    private final List<String> failures = new ArrayList<>();

    public static ShotCollection read(List<Path> paths) {
        ShotCollection sources = new ShotCollection();
        paths.forEach(sources::read);
        return sources;
    }

    public List<MeasuredShot> shots() {
        return shots;
    }

    public List<String> failures() {
        return failures;
    }

    private void read(Path path) {
        try {
            Path given = path.endsWith("datapackage.json") && path.toAbsolutePath().getParent() != null
                    ? path.toAbsolutePath().getParent() : path;
            if (Files.isDirectory(given)) {
                try (Stream<Path> files = Files.walk(given)) {
                    files.filter(one -> Files.isRegularFile(one) && maybeAShot(one.getFileName().toString()))
                            .sorted()
                            .forEach(this::file);
                }
            } else if (begins(given, LIBRARY_MARK)) {
                library(given);
            } else if (begins(given, ZIP_MARK)) {
                zipped(given);
            } else {
                file(given);
            }
        } catch (IOException unreadable) {
            failures.add(reason(path, unreadable));
        } catch (ImportFailure | LibraryException refused) {
            failures.add(refused.getMessage());
        }
    }

    private static boolean maybeAShot(String path) {
        String name = path.substring(path.lastIndexOf('/') + 1).toLowerCase(Locale.ROOT);
        return !BESIDE.contains(name) && (name.endsWith(".csv") || name.endsWith(".json") || name.endsWith(".tsv"));
    }

    private static boolean begins(Path file, byte[] mark) throws IOException {
        try (var in = Files.newInputStream(file)) {
            return Arrays.equals(in.readNBytes(mark.length), mark);
        }
    }

    private void zipped(Path file) throws IOException, ImportFailure {
        try (SafeZip zip = new SafeZip(file)) {
            for (String entry : zip.names()) {
                if (maybeAShot(entry)) {
                    try {
                        parse(file + ", " + entry, entry, zip.bytes(entry));
                    } catch (IOException refused) {
                        failures.add(file + ": " + refused.getMessage() + ". It was left out.");
                    }
                }
            }
        }
    }

    private void library(Path file) {
        try (Library library = Library.openForReading(file, Path.of(System.getProperty("java.io.tmpdir"), "grenu"))) {
            library.read(tx -> tx.shots().all())
                    .forEach(summary -> add(Integer.toString(summary.number()),
                            new Shot(summary.record(), library.read(tx -> tx.shots().log(summary.id())))));
        }
    }

    private void file(Path file) {
        try {
            parse(file.toString(), file.getFileName().toString(), BoundedFile.bytes(file));
        } catch (IOException unreadable) {
            failures.add(reason(file, unreadable));
        }
    }

    private void parse(String named, String fileName, byte[] bytes) {
        try {
            String own = fileName.substring(fileName.lastIndexOf('/') + 1).replaceFirst("\\.[a-z]+$", "");
            for (ParsedShot parsed : ShotFile.read(named, bytes)) {
                add(parsed.shot().record().text(RecordField.NAME).orElse(own), parsed.shot());
            }
        } catch (ImportFailure failure) {
            failures.add(failure.getMessage());
        }
    }

    private void add(String name, Shot shot) {
        shots.add(new MeasuredShot(name, shot.record(), ShotMeasures.of(shot)));
    }

    private static String reason(Path file, IOException unreadable) {
        return file + ": " + (unreadable instanceof NoSuchFileException ? "There is no such file. Check the path."
                : "The file cannot be read (" + unreadable.getMessage() + "). Check its permissions.");
    }
}
