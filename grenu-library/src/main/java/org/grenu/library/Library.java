package org.grenu.library;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import org.grenu.core.shelf.ShotDerivation;
import org.jdbi.v3.core.Handle;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A user's shots and shelf in one SQLite file. What {@link #write} has returned from is on the disk: a process killed
 * after that loses nothing
 * of it, and one killed before leaves nothing half done. All methods throw {@link LibraryException}.
 */
public final class Library implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(Library.class);

    private final Path path;
    private final Handle handle;
    private final boolean readOnly;
    private final Transactions transactions;
    private final Stores stores;
    private final LogKeeper keeper;
    private Path scratch;
    /** As it was when it was last asked whether another process has written. */
    private int seen;

    private Library(Path path, Clock clock, ShotDerivation derivation, Handle handle, boolean readOnly) {
        this.path = path;
        this.readOnly = readOnly;
        this.handle = handle;
        this.transactions = new Transactions(handle);
        this.stores = new Stores(handle, transactions, clock, derivation);
        this.transactions.whenWrittenElsewhere(stores::forget);
        this.seen = transactions.dataVersion();
        this.keeper = readOnly ? LogKeeper.none() : LogKeeper.of(handle, this);
    }

    /** {@return the library in that file, made when it does not exist and brought up to date when it is older} */
    public static Library open(Path path) {
        return open(path, Clock.systemUTC(), ShotDerivation.ANEW);
    }

    /**
     * {@return the library in that file; one that cannot be written is read}
     *
     * @param clock      gives the time of edits
     * @param derivation completes records and measures logs
     */
    public static Library open(Path path, Clock clock, ShotDerivation derivation) {
        LibraryFile file = new LibraryFile(path);
        return file.readOnly() ? read(path, clock, derivation, file)
                : new Library(path.toAbsolutePath(), clock, derivation, file.open(), false);
    }

    /**
     * {@return the library in that file, of which nothing is changed} What another process has written to its log
     * counts. An
     * older one is read from a copy beside that path, which goes when the library is closed.
     *
     * @param copiesBeside a file in a folder that can be written
     */
    public static Library openForReading(Path path, Path copiesBeside) {
        LibraryFile file = new LibraryFile(path);
        Handle handle = file.openForReading();
        if (file.versionOf(handle) == Migrations.NEWEST) {
            return new Library(path.toAbsolutePath(), Clock.systemUTC(), ShotDerivation.ANEW, handle, true);
        }
        handle.close();
        return readCopy(path, copiesBeside);
    }

    private static Library readCopy(Path path, Path copiesBeside) {
        Path scratch = LibraryCopy.scratch(copiesBeside, path);
        try {
            Library copied = new Library(path.toAbsolutePath(), Clock.systemUTC(), ShotDerivation.ANEW,
                    new LibraryFile(scratch).openScratch(), true);
            copied.scratch = scratch;
            return copied;
        } catch (LibraryException refused) {
            LibraryCopy.discard(scratch);
            throw new LibraryException(refused.getMessage().replace(scratch.toString(), path.toString()), refused);
        }
    }

    private static Library read(Path path, Clock clock, ShotDerivation derivation, LibraryFile file) {
        Handle handle = file.openForReading();
        if (file.versionOf(handle) != Migrations.NEWEST) {
            handle.close();
            throw new LibraryException("The library " + path
                    + " cannot be written where it lies, and is of an older version that has to be brought up to date."
                    + " Copy it to a place that can be written, and open it there.");
        }
        return new Library(path.toAbsolutePath(), clock, derivation, handle, true);
    }

    /** {@return whether it can only be read where it lies} */
    public boolean readOnly() {
        return readOnly;
    }

    /** {@return the library's file} */
    public Path path() {
        return path;
    }

    /**
     * Looks a large library through, which opening it leaves out; takes seconds and holds nobody up.
     *
     * @throws LibraryException if it is damaged
     */
    public void check() {
        new LibraryFile(path).checkLarge();
    }

    /** {@return what the work reads, all of it from one state of the file} */
    public synchronized <T> T read(Function<Stores, T> work) {
        T found = transactions.read(() -> work.apply(stores));
        if (!transactions.underWay()) {
            keepMeasured();
        }
        return found;
    }

    /** What had to be measured is stored once it was given: who reads does not wait for who writes. */
    private void keepMeasured() {
        Map<Long, SummaryRows.Measured> measured = stores.summaries().takeMeasured();
        if (!measured.isEmpty() && !readOnly) {
            try {
                store(tx -> tx.summaries().store(measured));
            } catch (LibraryException later) {
                LOG.debug("What was measured is measured again next time", later);
            }
        }
    }

    /**
     * {@return what the work gives; all that it stores is stored, or nothing} Work within work is part of it.
     */
    public synchronized <T> T write(Function<Stores, T> work) {
        try {
            return transactions.write(() -> work.apply(stores));
        } catch (RuntimeException failed) {
            stores.forget();
            throw failed;
        }
    }

    /** As {@link #write}, for work that gives nothing. */
    public void store(Consumer<Stores> work) {
        write(tx -> {
            work.accept(tx);
            return null;
        });
    }

    /** As {@link #store}; all of it is one step, undone together. */
    public void storeInOneStep(String words, Consumer<Stores> work) {
        store(tx -> tx.journal().together(words, () -> work.accept(tx)));
    }

    /** {@return whether another process has written to the file since this was last asked} */
    public synchronized boolean changedElsewhere() {
        int version = transactions.dataVersion();
        boolean changed = version != seen;
        seen = version;
        return changed;
    }

    /**
     * Writes a copy of the whole library, then opens the copy and checks that it holds the same.
     *
     * @throws LibraryException if the file exists, cannot be written, or the copy is not equal
     */
    public synchronized void backUp(Path copy) {
        new LibraryCopy(handle, path).write(copy);
    }

    /**
     * Takes this library back to a backup. What it holds now is first copied beside it, whose path is returned.
     *
     * @throws LibraryException if the backup is damaged, no library, or of another version; nothing is changed then
     */
    public synchronized Path restoreFrom(Path backup) {
        if (readOnly) {
            throw new LibraryException("The library " + path
                    + " is open for reading only: nothing can be restored into it. Choose another with --library.");
        }
        Path before = new LibraryCopy(handle, path).restore(backup);
        stores.begin();
        seen = transactions.dataVersion();
        return before;
    }

    @Override
    public void close() {
        keeper.close();
        synchronized (this) {
            handle.close();
            if (scratch != null) {
                LibraryCopy.discard(scratch);
            }
        }
    }
}
