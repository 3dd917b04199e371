package org.grenu.bench.campaign;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.grenu.app.exchange.LibraryArchive;
import org.grenu.app.exchange.LibraryExchange;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.exchange.DataPackageWriter;
import org.grenu.library.AtomicFile;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;

/**
 * Does one operation after another on a library until it is killed. Before each it says what the library holds now
 * and will
 * hold then; after each, that it is done.
 */
public final class LibraryWorker {

    static final int RAW_BYTES = 5000;
    static final String OTHER = "other.sqlite";
    static final int OTHER_SHOTS = 3;
    static final String OLD = "old.sqlite";

    private final Library library;
    private final Path folder;
    private final Random random;
    private int files;

    private LibraryWorker(Library library, Path folder, Random random) {
        this.library = library;
        this.folder = folder;
        this.random = random;
    }

    /** Works in that folder: {@code LibraryWorker FOLDER SEED}. */
    public static void main(String[] arguments) throws IOException, ImportFailure {
        Path folder = Path.of(arguments[0]);
        Random random = new Random(Long.parseLong(arguments[1]));
        if (Files.exists(folder.resolve(OLD)) && random.nextInt(3) == 0) {
            System.out.println("start migrate - -");
            Library.open(folder.resolve(OLD)).close();
            System.out.println("done");
        }
        try (Library library = Library.open(folder.resolve("library.sqlite"))) {
            LibraryWorker worker = new LibraryWorker(library, folder, random);
            while (true) {
                worker.step();
            }
        }
    }

    private interface Work {
        void run() throws IOException, ImportFailure;
    }

    private void step() throws IOException, ImportFailure {
        LibraryState now = LibraryState.of(library);
        if (now.shots() < 2) {
            add(now);
            return;
        }
        switch (random.nextInt(8)) {
            case 0, 1 -> add(now);
            case 2 -> edit(now);
            case 3 -> attach(now);
            case 4 -> merge(now);
            case 5 -> restore(now);
            case 6 -> backUp(now);
            default -> export(now);
        }
    }

    private void saying(String operation, LibraryState now, LibraryState then, Work work)
            throws IOException, ImportFailure {
        System.out.println("start " + operation + " " + now.text() + " " + then.text());
        work.run();
        System.out.println("done");
    }

    private void add(LibraryState now) throws IOException, ImportFailure {
        int number = random.nextInt(LibraryState.OTHERS);
        saying("import", now, now.plusShot(),
                () -> library.write(tx -> tx.shots().add("shot.csv", new byte[RAW_BYTES], CampaignShots.shot(number))));
    }

    private ShotSummary first() {
        return library.read(tx -> tx.shots().all()).get(0);
    }

    private void edit(LibraryState now) throws IOException, ImportFailure {
        double dose = 15 + random.nextInt(1000) / 200.0;
        saying("edit", now, now.withDose(dose), () -> library.write(tx -> tx.journal()
                .make(first().id(),
                        RecordEdit.of(first().written(), RecordField.DOSE, Double.toString(dose)))));
    }

    private void attach(LibraryState now) throws IOException, ImportFailure {
        saying("attach", now, now.plusAttachment(),
                () -> library.write(
                        tx -> tx.attachments().attach(first().id(), "photo-" + random.nextInt(), new byte[20_000])));
    }

    /** Taken in, then taken back, so that it can be taken in again. */
    private void merge(LibraryState now) throws IOException, ImportFailure {
        if (now.merged() == 0) {
            saying("merge", now, now.withMerged(OTHER_SHOTS),
                    () -> new LibraryExchange(library).merge(folder.resolve(OTHER)));
            LibraryState merged = LibraryState.of(library);
            saying("undo", merged, merged.withMerged(0), () -> library.write(tx -> tx.journal().undo()));
        } else {
            saying("merge", now, now.withMerged(OTHER_SHOTS),
                    () -> new LibraryExchange(library).merge(folder.resolve(OTHER)));
        }
    }

    private Path fresh(String ending) {
        Path file;
        do {
            file = folder.resolve("out-" + files++ + ending);
        } while (Files.exists(file));
        return file;
    }

    private void backUp(LibraryState now) throws IOException, ImportFailure {
        Path copy = fresh(".backup");
        saying("backup:" + copy.getFileName(), now, now, () -> library.backUp(copy));
    }

    private void export(LibraryState now) throws IOException, ImportFailure {
        Path target = fresh(".zip");
        saying("export:" + target.getFileName(), now, now,
                () -> AtomicFile.create(target, out -> DataPackageWriter.write(
                        new LibraryArchive(library, library.read(tx -> tx.shots().all()), number -> {}), out)));
    }

    private void restore(LibraryState now) throws IOException, ImportFailure {
        Path copy = fresh(".backup");
        library.backUp(copy);
        saying("edit", now, now.withDose(12),
                () -> library.write(tx -> tx.journal()
                        .make(first().id(), RecordEdit.of(first().written(), RecordField.DOSE, "12"))));
        saying("restore", now.withDose(12), now, () -> library.restoreFrom(copy));
        for (String left : new String[] {".before-restore"}) {
            Files.deleteIfExists(folder.resolve("library.sqlite" + left));
        }
    }
}
