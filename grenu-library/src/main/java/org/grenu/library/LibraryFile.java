package org.grenu.library;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalInt;
import javax.sql.DataSource;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConfig.JournalMode;
import org.sqlite.SQLiteConfig.SynchronousMode;
import org.sqlite.SQLiteDataSource;

/**
 * Opens the file: checks that it is a whole library of a version this program knows, copies it before bringing an
 * older
 * one up to date, and gives the connection. Every commit is flushed to the disk before it counts as stored.
 */
final class LibraryFile {

    private static final long CHECKED_AT_ONCE = 32L << 20;
    private static final int WAIT_MILLIS = 60_000;

    private final Path path;
    private final DataSource source;

    LibraryFile(Path path) {
        SqliteDriver.prepare();
        this.path = path.toAbsolutePath();
        this.source = source(this.path);
    }

    private static DataSource source(Path path) {
        SQLiteConfig config = new SQLiteConfig();
        config.setJournalMode(JournalMode.WAL);
        config.setSynchronous(SynchronousMode.FULL);
        config.enforceForeignKeys(true);
        config.setBusyTimeout(WAIT_MILLIS);
        SQLiteDataSource source = new SQLiteDataSource(config);
        source.setUrl(url(path, ""));
        return source;
    }

    /** As a URI, in which no character of a path can be taken for something else. */
    private static String url(Path path, String options) {
        return "jdbc:sqlite:file:" + path.toAbsolutePath().toUri().getRawPath() + options;
    }

    Handle open() {
        return open(true);
    }

    /**
     * {@return the library, which is a copy of the program's own that needs no copy before it is brought up to
     * date}
     */
    Handle openScratch() {
        return open(false);
    }

    private Handle open(boolean copyBeforeChange) {
        try {
            PrivateFiles.folder(path.getParent());
            PrivateFiles.file(path);
        } catch (IOException unwritable) {
            throw new LibraryException("The library " + path + " cannot be made (" + unwritable.getMessage()
                    + "). Choose another place with --library.", unwritable);
        }
        PrivateFiles.claim(path);
        AtomicFile.clearLeft(path.getParent());
        Handle handle = null;
        try {
            handle = Jdbi.create(source).open();
            if (Files.size(path) > 0 && !large()) {
                checkIntegrity(handle);
            }
            int version = knownVersion(handle);
            if (version < Migrations.NEWEST) {
                bringUpToDate(handle, version, copyBeforeChange);
            }
            return handle;
        } catch (IOException | JdbiException | FlywayException broken) {
            closeQuietly(handle, broken);
            throw unopened(broken);
        } catch (LibraryException refused) {
            closeQuietly(handle, refused);
            throw refused;
        }
    }

    private int knownVersion(Handle handle) {
        int version = version(handle).orElse(0);
        if (version > Migrations.NEWEST) {
            throw new LibraryException("The library " + path + " was written by a newer Grenu (version " + version
                    + ", this program knows " + Migrations.NEWEST
                    + "). Update Grenu, or choose another library with --library.");
        }
        return version;
    }

    /** {@return whether the file can only be read where it lies} */
    boolean readOnly() {
        return Files.exists(path) && (!Files.isWritable(path) || !Files.isWritable(path.getParent()));
    }

    /**
     * {@return the library for reading only, its log of changes included; nothing is written, not even beside it} One
     * of an
     * older version gives its number and has to be copied to be read.
     */
    Handle openForReading() {
        if (!Files.isRegularFile(path)) {
            throw new LibraryException("There is no library " + path + ". Check the path.");
        }
        Handle handle = null;
        try {
            handle = reading("?mode=ro");
            knownVersion(handle);
            return handle;
        } catch (JdbiException broken) {
            closeQuietly(handle, broken);
            return immutable(broken);
        } catch (LibraryException refused) {
            closeQuietly(handle, refused);
            throw refused;
        }
    }

    /** On media that cannot be written there is no place for the index of a log; a file without a log needs none. */
    private Handle immutable(JdbiException first) {
        Path log = path.resolveSibling(path.getFileName() + "-wal");
        Handle handle = null;
        try {
            if (Files.exists(log) && Files.size(log) > 0) {
                throw unopened(first);
            }
            handle = reading("?mode=ro&immutable=1");
            knownVersion(handle);
            return handle;
        } catch (IOException | JdbiException broken) {
            closeQuietly(handle, broken);
            throw unopened(broken);
        } catch (LibraryException refused) {
            closeQuietly(handle, refused);
            throw refused;
        }
    }

    private Handle reading(String options) {
        SQLiteConfig config = new SQLiteConfig();
        config.setBusyTimeout(WAIT_MILLIS);
        SQLiteDataSource only = new SQLiteDataSource(config);
        only.setUrl(url(path, options));
        return Jdbi.create(only).open();
    }

    /** {@return the newest migration in an open file} */
    int versionOf(Handle handle) {
        return version(handle).orElse(0);
    }

    private static void closeQuietly(Handle handle, Exception first) {
        try {
            if (handle != null) {
                handle.close();
            }
        } catch (JdbiException second) {
            first.addSuppressed(second);
        }
    }

    private LibraryException unopened(Exception broken) {
        return new LibraryException("The library " + path + " cannot be opened. " + Transactions.reason(broken)
                + " Check that it is a Grenu library, restore a copy, or choose another with --library.", broken);
    }

    /** A large file is looked through after it was opened: that takes seconds. */
    boolean large() {
        try {
            return Files.size(path) > CHECKED_AT_ONCE;
        } catch (IOException gone) {
            return false;
        }
    }

    /** Looks a large file through on a connection of its own. */
    void checkLarge() {
        if (large()) {
            try (Handle own = Jdbi.create(source).open()) {
                checkIntegrity(own);
            }
        }
    }

    private void checkIntegrity(Handle handle) {
        List<String> problems = handle.createQuery("PRAGMA integrity_check(5)").mapTo(String.class).list();
        if (!problems.equals(List.of("ok"))) {
            throw new LibraryException("The library " + path + " is damaged (" + String.join("; ", problems)
                    + "). Restore it from a copy; the copies made before updates lie beside it.");
        }
    }

    /** {@return the newest migration in the file; empty for a new file} */
    private OptionalInt version(Handle handle) {
        List<String> tables = tables(handle);
        if (tables.isEmpty()) {
            return OptionalInt.empty();
        }
        if (!tables.contains("flyway_schema_history") || !tables.contains("shot")) {
            throw new LibraryException(
                    "The file " + path + " is a database, but not a Grenu library. Choose another with --library.");
        }
        return OptionalInt.of(
                handle.createQuery("SELECT max(CAST(version AS INTEGER)) FROM flyway_schema_history WHERE success = 1")
                        .mapTo(Integer.class)
                        .one());
    }

    private static List<String> tables(Handle handle) {
        return handle
                .createQuery("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
                .mapTo(String.class)
                .list();
    }

    private void bringUpToDate(Handle handle, int from, boolean copyBeforeChange) {
        if (from > 0 && copyBeforeChange) {
            copyFirst(handle);
        }
        try {
            Migrations.run(source);
        } catch (FlywayException failed) {
            // Another process may have brought it up to date at the same moment.
            if (versionOf(handle) != Migrations.NEWEST) {
                throw failed;
            }
        }
    }

    private void copyFirst(Handle handle) {
        Path copy = path.resolveSibling(path.getFileName() + ".before-v" + Migrations.NEWEST);
        for (int i = 2; Files.exists(copy); i++) {
            copy = path.resolveSibling(path.getFileName() + ".before-v" + Migrations.NEWEST + "." + i);
        }
        new LibraryCopy(handle, path).write(copy);
    }
}
