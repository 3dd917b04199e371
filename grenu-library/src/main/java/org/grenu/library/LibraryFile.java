package org.grenu.library;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.List;
import java.util.OptionalInt;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConfig.JournalMode;
import org.sqlite.SQLiteConfig.SynchronousMode;
import org.sqlite.SQLiteDataSource;

/**
 * Opens the file: checks that it is a whole library of a version this program knows, copies it before bringing an older
 * one up to date, and gives the connection. Every commit is flushed to the disk before it counts as stored.
 */
final class LibraryFile {

    /** Number of the newest migration. */
    static final int CURRENT_VERSION = 7;
    private static final long CHECKED_AT_ONCE = 32L << 20;
    private static final String MIGRATIONS = "classpath:org/grenu/library/migration";

    private final Path path;
    private final DataSource source;

    LibraryFile(Path path) {
        this.path = path.toAbsolutePath();
        this.source = source(this.path);
    }

    private static DataSource source(Path path) {
        SQLiteConfig config = new SQLiteConfig();
        config.setJournalMode(JournalMode.WAL);
        config.setSynchronous(SynchronousMode.FULL);
        config.enforceForeignKeys(true);
        config.setBusyTimeout(5_000);
        SQLiteDataSource source = new SQLiteDataSource(config);
        source.setUrl("jdbc:sqlite:" + path);
        return source;
    }

    Handle open() {
        try {
            Files.createDirectories(path.getParent());
        } catch (IOException unwritable) {
            throw new LibraryException("The folder " + path.getParent() + " cannot be made (" + unwritable.getMessage()
                    + "). Choose another with --library.", unwritable);
        }
        boolean existed = Files.exists(path);
        Handle handle = null;
        try {
            handle = Jdbi.create(source).open();
            if (existed && !large()) {
                checkIntegrity(handle);
            }
            int version = version(handle).orElse(0);
            if (version > CURRENT_VERSION) {
                throw new LibraryException("The library " + path + " was written by a newer Grenu (version " + version
                        + ", this program knows " + CURRENT_VERSION + "). Update Grenu, or choose another library with --library.");
            }
            if (version < CURRENT_VERSION) {
                bringUpToDate(handle, version);
            }
            return handle;
        } catch (JdbiException | FlywayException broken) {
            closeQuietly(handle, broken);
            throw unopened(broken);
        } catch (LibraryException refused) {
            closeQuietly(handle, refused);
            throw refused;
        }
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
        Throwable root = broken;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        String reason = root instanceof SQLException ? root.getMessage() : broken.getMessage();
        return new LibraryException("The library " + path + " cannot be opened (" + reason
                + "). Check that it is a Grenu library and can be written, restore a copy, or choose another with --library.", broken);
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
        List<String> tables = handle.createQuery("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
                .mapTo(String.class).list();
        if (tables.isEmpty()) {
            return OptionalInt.empty();
        }
        if (!tables.contains("flyway_schema_history") || !tables.contains("shot")) {
            throw new LibraryException("The file " + path + " is a database, but not a Grenu library. Choose another with --library.");
        }
        return OptionalInt.of(handle.createQuery("SELECT max(CAST(version AS INTEGER)) FROM flyway_schema_history WHERE success = 1")
                .mapTo(Integer.class).one());
    }

    private void bringUpToDate(Handle handle, int from) {
        if (from > 0) {
            Path copy = path.resolveSibling(path.getFileName() + ".before-v" + CURRENT_VERSION);
            for (int i = 2; Files.exists(copy); i++) {
                copy = path.resolveSibling(path.getFileName() + ".before-v" + CURRENT_VERSION + "." + i);
            }
            handle.execute("VACUUM INTO ?", copy.toString());
        }
        Flyway.configure(LibraryFile.class.getClassLoader()).dataSource(source).locations(MIGRATIONS).load().migrate();
    }
}
