package org.grenu.library;

import java.sql.SQLException;
import java.util.function.Supplier;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteConfig.TransactionMode;
import org.sqlite.SQLiteConnection;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/**
 * Runs work in one transaction and turns the database's complaints into the library's. Who writes takes the file's
 * one
 * place for writers at once and waits for it, so that two processes on one library never fail each other half way.
 */
final class Transactions {

    private final Handle handle;
    private boolean writing;
    private Runnable writtenElsewhere = () -> {};
    private int seen;

    Transactions(Handle handle) {
        this.handle = handle;
        this.seen = dataVersion();
    }

    /** Lets that be done at the begin of a transaction before which another connection has written. */
    void whenWrittenElsewhere(Runnable forgetting) {
        writtenElsewhere = forgetting;
    }

    /** {@return whether one is under way} */
    boolean underWay() {
        return handle.isInTransaction();
    }

    /** {@return whether the transaction under way writes} */
    boolean writes() {
        return writing;
    }

    /** Counts up when another connection has written to the file. */
    int dataVersion() {
        return handle.createQuery("PRAGMA data_version").mapTo(Integer.class).one();
    }

    /** {@return what the file is read by} */
    Handle reading() {
        if (!handle.isInTransaction()) {
            throw new IllegalStateException("outside read and write nothing is read");
        }
        return handle;
    }

    /** {@return what the file is written by} */
    Handle writing() {
        if (!writing) {
            throw new IllegalStateException("outside write nothing is written");
        }
        return handle;
    }

    /** {@return what the work reads, all of it from one state of the file} */
    <T> T read(Supplier<T> work) {
        return run("be read", TransactionMode.DEFERRED, work);
    }

    /** {@return what the work gives; all that it writes is stored, or nothing} */
    <T> T write(Supplier<T> work) {
        if (writing) {
            return work.get();
        }
        if (handle.isInTransaction()) {
            throw new IllegalStateException("what is being read cannot be written meanwhile");
        }
        writing = true;
        try {
            return run("be written", TransactionMode.IMMEDIATE, work);
        } finally {
            writing = false;
        }
    }

    private <T> T run(String what, TransactionMode mode, Supplier<T> work) {
        if (handle.isInTransaction()) {
            return work.get();
        }
        try {
            handle.getConnection().unwrap(SQLiteConnection.class).getConnectionConfig().setTransactionMode(mode);
            return handle.inTransaction(transaction -> {
                look();
                return work.get();
            });
        } catch (JdbiException | SQLException failed) {
            throw new LibraryException(
                    "The library could not " + what + ". " + reason(failed) + " Nothing was changed.", failed);
        }
    }

    private void look() {
        int version = dataVersion();
        if (version != seen) {
            seen = version;
            writtenElsewhere.run();
        }
    }

    /** {@return what stands in the way and what to do about it, a sentence or two} */
    static String reason(Throwable failed) {
        Throwable root = failed;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        SQLiteErrorCode code = root instanceof SQLiteException sqlite ? sqlite.getResultCode()
                : SQLiteErrorCode.UNKNOWN_ERROR;
        if (code == SQLiteErrorCode.SQLITE_IOERR_SHMSIZE || code == SQLiteErrorCode.SQLITE_IOERR_WRITE) {
            return "The disk is full or cannot be written (" + root.getMessage()
                    + "): free some space or check it, then try again.";
        }
        return reason(code, root);
    }

    private static String reason(SQLiteErrorCode code, Throwable root) {
        return switch (primary(code)) {
            case 5, 6 ->
                    "Another window or program was writing to it for a minute and has not finished: try again when "
                            + "it has.";
            case 13 -> "The disk is full: free some space, then try again.";
            case 8 -> "It is open for reading only: copy it to a place that can be written, and open it there.";
            case 10 -> "The disk could not be read or written (" + root.getMessage() + "): check it, then try again.";
            case 11 -> "The file is damaged (" + root.getMessage() + "): restore it from a copy.";
            case 26 -> "The file is no Grenu library, or damaged from its beginning.";
            default -> "The database says: " + root.getMessage() + ".";
        };
    }

    /** The extended codes tell more than is needed here. */
    private static int primary(SQLiteErrorCode code) {
        return code.code & 0xff;
    }
}
