package org.grenu.app.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.IntConsumer;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.exchange.DataPackageWriter;
import org.grenu.formats.exchange.LibraryWorkbook;
import org.grenu.library.AtomicFile;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;

/** A library, or some of its shots, out in open formats, and others' libraries in. */
public final class LibraryExchange {

    private final Library library;

    /** Exchanges that library. */
    public LibraryExchange(Library library) {
        this.library = library;
    }

    /**
     * {@return those shots and the whole shelf as a data package, to be written}
     *
     * @param progress told the number of each shot as it is written
     */
    public AtomicFile.Content dataPackage(List<ShotSummary> shots, IntConsumer progress) {
        return out -> DataPackageWriter.write(new LibraryArchive(library, shots, progress), out);
    }

    /** {@return those shots and the whole shelf as a workbook, to be written} */
    public AtomicFile.Content workbook(List<ShotSummary> shots) {
        return out -> LibraryWorkbook.write(
                shots.stream()
                        .map(shot -> new LibraryWorkbook.Row(shot.number(), shot.record(), shot.masses()))
                        .toList(),
                library.read(tx -> tx.shelf().all()).items(), out);
    }

    /**
     * {@return what was taken in from that data package or library file}
     *
     * @throws ImportFailure if it is neither, or damaged; nothing of it was taken then
     */
    public LibraryMerge.Report merge(Path file) throws ImportFailure, IOException {
        if (!Files.isRegularFile(file)) {
            throw new ImportFailure(file.toString(), 0, "There is no such file.", "Check the path.");
        }
        if (startsAsZip(file)) {
            return LibraryMerge.ofPackage(library, file);
        }
        if (Files.isSameFile(file, library.path())) {
            throw new ImportFailure(file.toString(), 0, "That is this library itself.", "Choose another.");
        }
        try (Library other = Library.openForReading(file, library.path())) {
            return LibraryMerge.ofLibrary(library, other);
        }
    }

    private static boolean startsAsZip(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return in.read() == 'P' && in.read() == 'K';
        }
    }
}
