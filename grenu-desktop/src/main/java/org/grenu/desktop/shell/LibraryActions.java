package org.grenu.desktop.shell;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import org.grenu.app.exchange.LibraryExchange;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.AtomicFile;
import org.grenu.library.ShotSummary;

/** Whole libraries out and in, beside the window: it never waits for them. */
public final class LibraryActions implements AutoCloseable {

    private static final int SAID_EVERY = 100;

    private final StudyDesk desk;
    private final LibraryExchange exchange;
    private final Background worker;

    /** Acts on that desk's library. */
    public LibraryActions(StudyDesk desk, Executor interfaceThread) {
        this.desk = desk;
        this.exchange = new LibraryExchange(desk.library());
        this.worker = new Background("grenu-exchange", interfaceThread);
    }

    /** {@return the worker that reads and writes large files} */
    public Background worker() {
        return worker;
    }

    /** Writes those shots and the whole shelf as a data package. */
    void exportPackage(Path file, List<ShotSummary> shots) {
        run(() -> {
            AtomicFile.replace(file, exchange.dataPackage(shots, number -> said(number, shots.size())));
            return "Saved " + shots.size() + " shots and the shelf as " + file;
        });
    }

    private void said(int number, int all) {
        if (number % SAID_EVERY == 0) {
            worker.onInterface(
                    () -> desk.noticeProperty().set(Notice.done("Writing shot " + number + " of " + all + "…")));
        }
    }

    /** Writes those shots and the shelf as a workbook. */
    void exportWorkbook(Path file, List<ShotSummary> shots) {
        run(() -> {
            AtomicFile.replace(file, exchange.workbook(shots));
            return "Saved " + file;
        });
    }

    /** Takes a package or another library in. */
    void merge(Path file) {
        run(() -> {
            String words = exchange.merge(file).words();
            reload();
            return words;
        });
    }

    /** Copies the library and checks the copy. */
    void backUp(Path file) {
        run(() -> {
            desk.library().backUp(file);
            return "Backed up to " + file + ", read back and equal.";
        });
    }

    /** Takes the library back to a backup. */
    void restore(Path file) {
        run(() -> {
            Path before = desk.library().restoreFrom(file);
            reload();
            return "Restored and checked. The library as it was is in " + before + ".";
        });
    }

    private void reload() {
        List<ShotSummary> shots = desk.library().read(tx -> tx.shots().all());
        worker.onInterface(() -> desk.reload(shots));
    }

    private void run(Callable<String> work) {
        desk.noticeProperty().set(Notice.done("Working…"));
        worker.run(work, words -> desk.noticeProperty().set(Notice.done(words)), desk::failed);
    }

    @Override
    public void close() {
        worker.close();
    }
}
