package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Nothing is lost and nobody let in: other processes, odd paths, rights, media that can only be read, what is left
 * in the log.
 */
class SafeKeepingTest {

    private static final List<Shot> SHOTS = DemoStudy.shots().stream().limit(4).map(DemoStudy.DemoShot::shot).toList();

    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve("library.sqlite");
    }

    private static void fill(Library library, int from, int to) {
        SHOTS.subList(from, to).forEach(shot -> Stored.add(library, "shot.csv", new byte[] {1}, shot));
    }

    @ParameterizedTest
    @ValueSource(strings = {"it's mine.sqlite", "a b?c#d%20e.sqlite", "報告 ☕ “q”.sqlite", "semi;colon&mode=ro.sqlite"})
    void anyPathIsOpenedBackedUpAndRestoredFrom(String name) {
        Path odd = folder.resolve(name);
        Path copy = folder.resolve("copy of " + name);
        try (Library library = Library.open(odd)) {
            fill(library, 0, 1);
            library.backUp(copy);
            fill(library, 1, 2);
            Path before = library.restoreFrom(copy);
            assertThat(Stored.shots(library)).hasSize(1);
            try (Library was = Library.openForReading(before, odd)) {
                assertThat(Stored.shots(was)).hasSize(2);
            }
        }
        assertThat(odd).exists();
    }

    @Nested
    class TheUsersAlone {

        private String rights(Path of) throws IOException {
            return PosixFilePermissions.toString(Files.getPosixFilePermissions(of));
        }

        @Test
        void libraryCopiesAndFolders() throws IOException {
            Path own = folder.resolve("made").resolve("library.sqlite");
            try (Library library = Library.open(own)) {
                fill(library, 0, 1);
                library.backUp(folder.resolve("backup.sqlite"));
                Path before = library.restoreFrom(folder.resolve("backup.sqlite"));
                for (Path one : List.of(own, own.resolveSibling("library.sqlite-wal"), folder.resolve("backup.sqlite"),
                        before)) {
                    assertThat(rights(one)).as(one.toString()).isEqualTo("rw-------");
                }
            }
            assertThat(rights(own.getParent())).isEqualTo("rwx------");
        }

        @Test
        void anOlderLibraryThatOthersCouldRead() throws IOException {
            Library.open(file()).close();
            Files.setPosixFilePermissions(file(), PosixFilePermissions.fromString("rw-r--r--"));
            Library.open(file()).close();
            assertThat(rights(file())).isEqualTo("rw-------");
        }
    }

    @Nested
    class TwoProcesses {

        /** Another process holds the place for writers for a while: the library waits for it, and nothing fails. */
        @Test
        void aWriterWaitsForTheOther() throws SQLException {
            try (Library library = Library.open(file()); Handle other = Jdbi.create("jdbc:sqlite:" + file()).open()) {
                fill(library, 0, 1);
                other.getConnection().createStatement().execute("BEGIN IMMEDIATE");
                CompletableFuture<Void> writing = CompletableFuture.runAsync(() -> fill(library, 1, 2));
                CompletableFuture.runAsync(() -> {}, CompletableFuture.delayedExecutor(6, TimeUnit.SECONDS)).join();
                assertThat(writing).as("five seconds are no reason to give up").isNotDone();
                other.getConnection().createStatement().execute("COMMIT");
                writing.join();
                assertThat(Stored.shots(library)).hasSize(2);
            }
        }

        /** The other does not end before the reading has: who waited would give up after a minute. */
        @Test
        void readingNeverWaitsForAWriter() throws SQLException {
            try (Library library = Library.open(file()); Handle other = Jdbi.create("jdbc:sqlite:" + file()).open()) {
                fill(library, 0, 2);
                other.getConnection().createStatement().execute("BEGIN IMMEDIATE");
                assertThat(Stored.shots(library)).hasSize(2);
                other.getConnection().createStatement().execute("ROLLBACK");
            }
        }

        @Test
        void busyFullAndReadOnlyAreSaidAsWhatTheyAre() {
            assertThat(Transactions.reason(sqlite(5))).startsWith("Another window or program was writing to it")
                    .doesNotContain("disk");
            assertThat(Transactions.reason(sqlite(13))).isEqualTo("The disk is full: free some space, then try again.");
            assertThat(Transactions.reason(sqlite(8))).contains("reading only");
            assertThat(Transactions.reason(new IllegalStateException("odd"))).isEqualTo("The database says: odd.");
        }

        private Throwable sqlite(int code) {
            return new IllegalStateException(
                    new org.sqlite.SQLiteException("message", org.sqlite.SQLiteErrorCode.getErrorCode(code)));
        }
    }

    @Nested
    class ForReadingOnly {

        /**
         * What another process has written and not yet moved into the file counts; nothing is written for reading
         * it.
         */
        @Test
        void theOthersLogCounts() throws IOException {
            try (Library open = Library.open(file())) {
                fill(open, 0, 3);
                assertThat(Files.size(file().resolveSibling("library.sqlite-wal"))).isPositive();
                try (Library read = Library.openForReading(file(), folder.resolve("scratch"))) {
                    assertThat(Stored.shots(read)).hasSize(3);
                    assertThat(read.readOnly()).isTrue();
                    assertThatThrownBy(() -> fill(read, 3, 4)).isInstanceOf(LibraryException.class)
                            .hasMessageContaining("reading only")
                            .hasMessageContaining("Nothing was changed");
                    assertThatThrownBy(() -> read.restoreFrom(file())).hasMessageContaining("reading only");
                }
                assertThat(Stored.shots(open)).hasSize(3);
            }
        }

        @Test
        void aFileByItselfNeedsNothingBesideIt() throws IOException {
            try (Library open = Library.open(file())) {
                fill(open, 0, 2);
            }
            Path media = Files.createDirectory(folder.resolve("media"));
            Path copy = Files.copy(file(), media.resolve("old.sqlite"));
            Files.setPosixFilePermissions(media, PosixFilePermissions.fromString("r-xr-xr-x"));
            try (Library read = Library.openForReading(copy, file())) {
                assertThat(Stored.shots(read)).hasSize(2);
            }
            try (Library own = Library.open(folder.resolve("own.sqlite"))) {
                own.restoreFrom(copy);
                assertThat(Stored.shots(own)).hasSize(2);
            } finally {
                Files.setPosixFilePermissions(media, PosixFilePermissions.fromString("rwxr-xr-x"));
            }
            try (Stream<Path> left = Files.list(media)) {
                assertThat(left.filter(one -> !one.getFileName().toString().matches("old\\.sqlite(-shm|-wal)?")))
                        .isEmpty();
            }
        }
    }

    @Test
    void closingMovesTheLogIntoTheFile() throws IOException {
        try (Library library = Library.open(file())) {
            fill(library, 0, 3);
        }
        Path alone = Files.copy(file(), folder.resolve("alone.sqlite"), StandardCopyOption.REPLACE_EXISTING);
        try (Library copied = Library.open(alone)) {
            assertThat(Stored.shots(copied)).hasSize(3);
        }
    }

    @Test
    void severalThingsStoredAsOneStepAreUndoneTogetherOrNotStoredAtAll() {
        try (Library library = Library.open(file())) {
            fill(library, 0, 1);
            ShotSummary first = Stored.shots(library).get(0);
            library.storeInOneStep("Taken in", tx -> {
                fill(library, 1, 3);
                tx.journal().make(first.id(), RecordEdit.of(first.written(), RecordField.NOTE, "with the others"));
                tx.attachments().keep(first.id(), "photo.jpg", new byte[] {1, 2});
            });
            assertThat(Stored.shots(library)).hasSize(3);
            boolean kept = library.write(tx -> tx.attachments().keep(first.id(), "photo.jpg", new byte[] {1, 2}));
            assertThat(kept)
                    .as("there already")
                    .isFalse();
            Stored.undo(library);
            assertThat(Stored.shots(library)).singleElement()
                    .satisfies(shot -> assertThat(shot.written().has(RecordField.NOTE)).isFalse());
            assertThat(Stored.attachments(library, first.id())).isEmpty();
            Stored.redo(library);
            assertThat(Stored.shots(library)).hasSize(3);
            List<Integer> before = new ArrayList<>(
                    Stored.shots(library).stream().map(ShotSummary::number).toList());
            assertThatThrownBy(() -> library.storeInOneStep("Broken off", tx -> {
                fill(library, 3, 4);
                throw new LibraryException("no");
            })).hasMessage("no");
            assertThat(Stored.shots(library)).extracting(ShotSummary::number).isEqualTo(before);
            library.store(tx -> tx.settings().keep(Map.of("still", "works")));
        }
    }
}
