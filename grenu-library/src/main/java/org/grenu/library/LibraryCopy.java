package org.grenu.library;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;

/** Copies of the library's file, checked against what they were made of. */
final class LibraryCopy {

    private static final List<String> TABLES = List.of("shot", "samples", "raw_file", "attachment", "shelf_item", "shelf_version", "history", "setting");

    private final Handle handle;
    private final Path path;

    LibraryCopy(Handle handle, Path path) {
        this.handle = handle;
        this.path = path;
    }

    void write(Path copy) {
        if (Files.exists(copy)) {
            throw new LibraryException(copy + " exists already. A backup never replaces a file: choose another name.");
        }
        try {
            handle.execute("VACUUM INTO ?", copy.toAbsolutePath().toString());
        } catch (JdbiException failed) {
            throw new LibraryException("The backup " + copy + " could not be written (" + root(failed) + "). Choose another place.", failed);
        }
        if (!contents(copy).equals(contents(handle))) {
            throw new LibraryException("The backup " + copy + " is not equal to the library. Delete it, check the disk and try again.");
        }
    }

    Path restore(Path backup) {
        if (!Files.isRegularFile(backup)) {
            throw new LibraryException("There is no backup " + backup + ". Check the path.");
        }
        Map<String, String> wanted = contents(backup);
        Path before = path.resolveSibling(path.getFileName() + ".before-restore");
        for (int i = 2; Files.exists(before); i++) {
            before = path.resolveSibling(path.getFileName() + ".before-restore." + i);
        }
        write(before);
        try (Statement statement = handle.getConnection().createStatement()) {
            // The driver's own command; a prepared statement does not know it.
            statement.executeUpdate("restore from '" + backup.toAbsolutePath().toString().replace("'", "''") + "'");
        } catch (SQLException failed) {
            throw new LibraryException("The backup could not be restored (" + root(failed) + "). The library as it was is in " + before + ".", failed);
        }
        if (!contents(handle).equals(wanted)) {
            throw new LibraryException("What was restored is not equal to the backup. The library as it was is in " + before + ".");
        }
        return before;
    }

    /** A sum over what each table holds, from a file that is opened only to read. */
    private static Map<String, String> contents(Path file) {
        try (Handle other = Jdbi.create("jdbc:sqlite:file:" + file.toAbsolutePath().toUri().getRawPath() + "?mode=ro").open()) {
            List<String> problems = other.createQuery("PRAGMA integrity_check(5)").mapTo(String.class).list();
            if (!problems.equals(List.of("ok"))) {
                throw new LibraryException(file + " is damaged (" + String.join("; ", problems) + "). Choose another copy.");
            }
            int version = other.createQuery("SELECT max(CAST(version AS INTEGER)) FROM flyway_schema_history WHERE success = 1").mapTo(Integer.class).one();
            if (version != LibraryFile.CURRENT_VERSION) {
                throw new LibraryException(file + " is a library of version " + version + ", this program's is " + LibraryFile.CURRENT_VERSION
                        + ". Open it with --library once, which brings it up to date, then restore it.");
            }
            return contents(other);
        } catch (JdbiException failed) {
            throw new LibraryException(file + " is no Grenu library, or cannot be read (" + root(failed) + "). Choose another copy.", failed);
        }
    }

    private static Map<String, String> contents(Handle handle) {
        Map<String, String> contents = new TreeMap<>();
        for (String table : TABLES) {
            List<String> columns = handle.createQuery("SELECT name FROM pragma_table_info('" + table + "')").mapTo(String.class).list();
            StringBuilder row = new StringBuilder();
            columns.forEach(column -> row.append(row.isEmpty() ? "" : " || '|' || ").append("quote(").append(column).append(")"));
            long[] sum = {0, 1};
            handle.createQuery("SELECT " + row + " FROM " + table + " ORDER BY rowid").mapTo(String.class).forEach(text -> {
                sum[0]++;
                sum[1] = 31 * sum[1] + text.hashCode();
            });
            contents.put(table, sum[0] + " rows, " + Long.toHexString(sum[1]));
        }
        return contents;
    }

    private static String root(Throwable failed) {
        Throwable root = failed;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        return root.getMessage();
    }
}
