package org.grenu.library;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteConnection;

/** Copies of the library's file, checked against what they were made of. */
final class LibraryCopy {

    private static final List<String> TABLES = List.of("shot", "samples", "raw_file", "attachment", "shelf_item",
            "shelf_version", "history", "setting");

    private final Handle handle;
    private final Path path;

    LibraryCopy(Handle handle, Path path) {
        this.handle = handle;
        this.path = path;
    }

    /** Writes the copy beside its place, looks whether it holds the same, and only then gives it its name. */
    void write(Path copy) {
        if (Files.exists(copy)) {
            throw new LibraryException(copy + " exists already. A backup never replaces a file: choose another name.");
        }
        Path part = null;
        try {
            part = AtomicFile.part(copy);
            into(handle, part);
            if (!contents(part).equals(contents(handle))) {
                throw new LibraryException("The backup " + copy
                        + " was not equal to the library and is not kept. Check the disk and try again.");
            }
            AtomicFile.place(part, copy, false);
        } catch (JdbiException | IOException failed) {
            throw new LibraryException("The backup " + copy + " could not be written. " + Transactions.reason(failed)
                    + " Choose another place.", failed);
        } finally {
            delete(part);
        }
    }

    private static void into(Handle from, Path part) throws IOException {
        PrivateFiles.file(part);
        from.execute("VACUUM INTO ?", part.toString());
        try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    private static void delete(Path part) {
        if (part != null) {
            for (String beside : List.of("", "-wal", "-shm", "-journal")) {
                try {
                    Files.deleteIfExists(part.resolveSibling(part.getFileName() + beside));
                } catch (IOException stays) {
                    // The next copy to that name clears it away.
                }
            }
        }
    }

    /**
     * Where libraries that may only be read are copied to, to be brought up to date: beside this one, and its
     * user's alone.
     */
    static Path scratch(Path beside, Path of) {
        Path part = null;
        try (Handle other = new LibraryFile(of).openForReading()) {
            part = AtomicFile.part(beside);
            into(other, part);
            return part;
        } catch (JdbiException | IOException failed) {
            delete(part);
            throw new LibraryException(of + " could not be copied. " + Transactions.reason(failed), failed);
        }
    }

    /** Deletes such a copy with all that lies beside it. */
    static void discard(Path scratch) {
        delete(scratch);
    }

    Path restore(Path backup) {
        if (!Files.isRegularFile(backup)) {
            throw new LibraryException("There is no backup " + backup + ". Check the path.");
        }
        Path scratch = scratch(path, backup);
        try {
            try (Handle copied = new LibraryFile(scratch).openScratch()) {
                copied.execute("PRAGMA journal_mode = DELETE");
            } catch (LibraryException refused) {
                throw new LibraryException(refused.getMessage().replace(scratch.toString(), backup.toString()),
                        refused);
            }
            Map<String, String> wanted = contents(scratch);
            Path before = path.resolveSibling(path.getFileName() + ".before-restore");
            for (int i = 2; Files.exists(before); i++) {
                before = path.resolveSibling(path.getFileName() + ".before-restore." + i);
            }
            write(before);
            restore(scratch, before);
            check(wanted, scratch, before);
            return before;
        } finally {
            delete(scratch);
        }
    }

    /** The driver says of a copy that found no space that it was made: what is there now decides. */
    private void check(Map<String, String> wanted, Path scratch, Path before) {
        Map<String, String> found = contents(handle);
        if (found.equals(wanted)) {
            return;
        }
        boolean asBefore = found.equals(contents(before));
        String why = space(path) < 2 * size(scratch) ? " The disk is full: free some space, then try again."
                : " Check the disk, then try again.";
        if (asBefore) {
            delete(before);
        }
        throw new LibraryException("The backup could not be restored." + why
                + (asBefore ? " Nothing was changed." : " The library as it was is in " + before + "."));
    }

    private static long space(Path beside) {
        try {
            return Files.getFileStore(beside.getParent()).getUsableSpace();
        } catch (IOException unknown) {
            return Long.MAX_VALUE;
        }
    }

    private static long size(Path file) {
        try {
            return Files.size(file);
        } catch (IOException unknown) {
            return 0;
        }
    }

    private void restore(Path scratch, Path before) {
        try {
            restoreFrom(scratch);
            handle.execute("PRAGMA journal_mode = WAL");
        } catch (SQLException | JdbiException failed) {
            throw new LibraryException("The backup could not be restored. " + Transactions.reason(failed)
                    + " The library as it was is in " + before + ".", failed);
        }
    }

    private void restoreFrom(Path scratch) throws SQLException {
        int code = handle.getConnection()
                .unwrap(SQLiteConnection.class)
                .getDatabase()
                .restore("main", scratch.toString(), null);
        if (code != 0) {
            throw new SQLException("code " + code);
        }
    }

    /** A sum over what each table holds, from a file that is opened only to read. */
    private static Map<String, String> contents(Path file) {
        try (Handle other = new LibraryFile(file).openForReading()) {
            List<String> problems = other.createQuery("PRAGMA integrity_check(5)").mapTo(String.class).list();
            if (!problems.equals(List.of("ok"))) {
                throw new LibraryException(
                        file + " is damaged (" + String.join("; ", problems) + "). Choose another copy.");
            }
            return contents(other);
        } catch (JdbiException failed) {
            throw new LibraryException(file + " is no Grenu library, or cannot be read. " + Transactions.reason(failed),
                    failed);
        }
    }

    private static Map<String, String> contents(Handle handle) {
        Map<String, String> contents = new TreeMap<>();
        for (String table : TABLES) {
            List<String> columns = handle.createQuery("SELECT name FROM pragma_table_info('" + table + "')")
                    .mapTo(String.class)
                    .list();
            if (columns.isEmpty()) {
                // An older library, whose copy is made before it is brought up to date, lacks some.
                continue;
            }
            StringBuilder row = new StringBuilder();
            columns.forEach(column -> row.append(row.isEmpty() ? "" : " || '|' || ")
                    .append("quote(")
                    .append(column)
                    .append(")"));
            long[] sum = {0, 1};
            handle.createQuery("SELECT " + row + " FROM " + table + " ORDER BY rowid")
                    .mapTo(String.class)
                    .forEach(text -> {
                        sum[0]++;
                        sum[1] = 31 * sum[1] + text.hashCode();
                    });
            contents.put(table, sum[0] + " rows, " + Long.toHexString(sum[1]));
        }
        return contents;
    }
}
