package org.grenu.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.grenu.core.compare.ComparedShot;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotMeasures;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ShotReader;
import org.grenu.library.Library;
import org.grenu.library.LibraryException;

/** Shots from wherever they lie: a library, a folder or data package, or single files. What cannot be read is said, the rest is kept. */
final class ShotSources {

    private static final byte[] LIBRARY_MARK = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
    /** Files of a package that are no shots. */
    private static final List<String> BESIDE = List.of("datapackage.json", "shots.csv", "effects.csv");

    private final List<ComparedShot> shots = new ArrayList<>();
    private final List<String> failures = new ArrayList<>();

    static ShotSources read(List<Path> paths) {
        ShotSources sources = new ShotSources();
        paths.forEach(sources::read);
        return sources;
    }

    List<ComparedShot> shots() {
        return shots;
    }

    List<String> failures() {
        return failures;
    }

    private void read(Path path) {
        try {
            Path given = path.endsWith("datapackage.json") && path.toAbsolutePath().getParent() != null ? path.toAbsolutePath().getParent() : path;
            if (Files.isDirectory(given)) {
                try (Stream<Path> files = Files.walk(given)) {
                    files.filter(ShotSources::maybeAShot).sorted().forEach(this::file);
                }
            } else if (isLibrary(given)) {
                library(given);
            } else {
                file(given);
            }
        } catch (IOException unreadable) {
            failures.add(reason(path, unreadable));
        } catch (LibraryException refused) {
            failures.add(refused.getMessage());
        }
    }

    private static boolean maybeAShot(Path file) {
        String name = file.getFileName().toString().toLowerCase(java.util.Locale.ROOT);
        return Files.isRegularFile(file) && !BESIDE.contains(name) && (name.endsWith(".csv") || name.endsWith(".json") || name.endsWith(".tsv"));
    }

    private static boolean isLibrary(Path file) throws IOException {
        try (var in = Files.newInputStream(file)) {
            return Arrays.equals(in.readNBytes(LIBRARY_MARK.length), LIBRARY_MARK);
        }
    }

    private void library(Path file) {
        try (Library library = Library.open(file)) {
            library.summaries().forEach(summary -> add(Integer.toString(summary.number()), new Shot(summary.sheet(), library.log(summary.id()))));
        }
    }

    private void file(Path file) {
        try {
            Shot shot = ShotReader.read(file.toString(), Files.readAllBytes(file)).shot();
            String fileName = file.getFileName().toString().replaceFirst("\\.[a-z]+$", "");
            add(shot.sheet().text(SheetField.NAME).orElse(fileName), shot);
        } catch (ImportFailure failure) {
            failures.add(failure.getMessage());
        } catch (IOException unreadable) {
            failures.add(reason(file, unreadable));
        }
    }

    private void add(String name, Shot shot) {
        shots.add(new ComparedShot(name, shot.sheet(), ShotMeasures.of(shot)));
    }

    private static String reason(Path file, IOException unreadable) {
        return file + ": " + (unreadable instanceof NoSuchFileException ? "There is no such file. Check the path."
                : "The file cannot be read (" + unreadable.getMessage() + "). Check its permissions.");
    }
}
