package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.grenu.core.shelf.ShotDerivation;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.jdbi.v3.core.Jdbi;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A library under several threads and windows, and what it writes down of every edit. */
class SharedLibraryTest {

    private static final List<Shot> SHOTS = DemoStudy.shots().stream().map(DemoStudy.DemoShot::shot).toList();

    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve("library.sqlite");
    }

    @Test
    void twoThreadsAndTwoWindowsNumberShotsWithoutGapsOrDoubles() throws Exception {
        try (Library one = Library.open(file()); Library two = Library.open(file())) {
            ExecutorService threads = Executors.newFixedThreadPool(4);
            List<Callable<AddOutcome>> work = new ArrayList<>();
            for (int i = 0; i < SHOTS.size(); i++) {
                Shot shot = SHOTS.get(i);
                Library library = i % 2 == 0 ? one : two;
                work.add(() -> Stored.add(library, "shot.csv", new byte[] {1}, shot));
            }
            Set<Integer> numbers = new HashSet<>();
            int refused = 0;
            for (Future<AddOutcome> done : threads.invokeAll(work)) {
                try {
                    numbers.add(((AddOutcome.Added) done.get()).shot().number());
                } catch (ExecutionException busy) {
                    assertThat(busy.getCause()).isInstanceOf(LibraryException.class)
                            .hasMessageContaining("Nothing was changed");
                    refused++;
                }
            }
            threads.shutdown();
            assertThat(numbers).hasSize(SHOTS.size() - refused);
            assertThat(Stored.shots(one)).hasSize(numbers.size());
            assertThat(Stored.shots(two)).isEqualTo(Stored.shots(one));
        }
    }

    @Test
    void everyCorrectionKeepsTheOldValueAndWhen() {
        Clock clock = Clock.fixed(Instant.parse("2026-05-14T10:31:00Z"), ZoneOffset.UTC);
        try (Library library = Library.open(file(), clock, ShotDerivation.ANEW)) {
            Stored.add(library, "a.csv", new byte[] {1}, SHOTS.get(0));
            ShotSummary shot = Stored.shots(library).get(0);
            StoredStep stored = library
                    .write(tx -> tx.journal().make(shot.id(), RecordEdit.of(shot.record(), RecordField.DOSE, "17,5")));
            library.write(tx -> tx.journal()
                    .make(shot.id(), RecordEdit.of(stored.shot().record(), RecordField.NOTE, "weighed again")));
            Stored.undo(library);
        }
        List<Map<String, Object>> history = Jdbi.create("jdbc:sqlite:" + file())
                .withHandle(h -> h
                        .createQuery("SELECT field, before_text, after_text, made_at, state FROM history ORDER BY id")
                        .mapToMap()
                        .list());
        assertThat(history).hasSize(2);
        assertThat(history.get(0)).containsEntry("field", "dose_g")
                .containsEntry("before_text", "18")
                .containsEntry("after_text", "17.5")
                .containsEntry("made_at", "2026-05-14T10:31:00Z")
                .containsEntry("state", "applied");
        assertThat(history.get(1)).containsEntry("field", "note")
                .containsEntry("before_text", "")
                .containsEntry("state", "undone");
    }

    @Test
    void undoGoesThroughTheShotsInTheOrderOfTheEdits() {
        try (Library library = Library.open(file())) {
            SHOTS.subList(0, 3).forEach(shot -> Stored.add(library, "x.csv", new byte[] {1}, shot));
            List<ShotSummary> shots = Stored.shots(library);
            for (int i : new int[] {2, 0, 1}) {
                library.write(tx -> tx.journal()
                        .make(shots.get(i).id(), RecordEdit.of(shots.get(i).record(), RecordField.NOTE, "note " + i)));
            }
            assertThat(Stored.undo(library).orElseThrow().shot().number()).isEqualTo(2);
            assertThat(Stored.undo(library).orElseThrow().shot().number()).isEqualTo(1);
            assertThat(Stored.redo(library).orElseThrow().shot().number()).isEqualTo(1);
            assertThat(Stored.depth(library)).isEqualTo(new EditDepth(2, 1));
        }
    }

    @Test
    void aShotThatCannotBeStoredLeavesNothingBehind() {
        try (Library library = Library.open(file())) {
            Jdbi.create("jdbc:sqlite:" + file())
                    .useHandle(h -> h.execute(
                            "CREATE TRIGGER full BEFORE INSERT ON samples WHEN NEW.channel = 'cup_mass' BEGIN SELECT "
                                    + "RAISE(ABORT, 'disk full'); END"));
            assertThatThrownBy(() -> Stored.add(library, "a.csv", new byte[] {1}, SHOTS.get(0)))
                    .isInstanceOf(LibraryException.class)
                    .hasMessageContaining("could not be written")
                    .hasMessageContaining("disk full");
            assertThat(Stored.shots(library)).isEmpty();
            Jdbi.create("jdbc:sqlite:" + file()).useHandle(h -> {
                assertThat(h.createQuery("SELECT count(*) FROM raw_file").mapTo(Integer.class).one()).isZero();
                h.execute("DROP TRIGGER full");
            });
            assertThat(Stored.add(library, "a.csv", new byte[] {1}, SHOTS.get(0)))
                    .isInstanceOf(AddOutcome.Added.class);
        }
    }

    @Test
    void theFolderIsMadeAndAnImpossibleOneExplained() throws Exception {
        Path deep = folder.resolve("a").resolve("b").resolve("library.sqlite");
        Library.open(deep).close();
        assertThat(deep).exists();
        Path blocked = Files.writeString(folder.resolve("file"), "x").resolve("library.sqlite");
        assertThatThrownBy(() -> Library.open(blocked)).isInstanceOf(LibraryException.class)
                .hasMessageContaining("cannot be made");
    }

    /** What another window does in the meantime is its own: undo takes this one's step back, also from below it. */
    @Test
    void undoNeverTakesBackAnothersStep() {
        try (Library mine = Library.open(file()); Library theirs = Library.open(file())) {
            ShotSummary first = ((AddOutcome.Added) Stored.add(mine, "a", new byte[] {1},
                    DemoStudy.shots().get(0).shot()))
                    .shot();
            mine.store(tx -> tx.journal().addedTogether(List.of(first.id()), "Import of shot 1"));
            mine.write(tx -> tx.journal().make(first.id(), RecordEdit.of(first.written(), RecordField.NOTE, "mine")));
            theirs.write(tx -> tx.journal()
                    .make(first.id(), RecordEdit.of(Stored.shots(theirs).get(0).written(),
                            RecordField.TASTE, "theirs")));
            assertThat(Stored.depth(mine)).isEqualTo(new EditDepth(2, 0));
            assertThat(Stored.undo(mine).orElseThrow().words()).isEqualTo("Note");
            ShotSummary now = Stored.shots(mine).get(0);
            assertThat(now.written().text(RecordField.NOTE)).isEmpty();
            assertThat(now.written().text(RecordField.TASTE)).hasValue("theirs");
            assertThat(Stored.undo(theirs).orElseThrow().words()).isEqualTo("Taste");
            assertThat(mine.changedElsewhere()).isTrue();
            assertThat(mine.changedElsewhere()).isFalse();
            mine.write(tx -> tx.journal()
                    .make(first.id(), RecordEdit.of(Stored.shots(mine).get(0).written(), RecordField.NOTE,
                            "again")));
            assertThat(mine.changedElsewhere()).as("its own writing is not another's").isFalse();
        }
        try (Library next = Library.open(file())) {
            assertThat(Stored.depth(next).undoable()).as("what stood when it was opened can be undone, whoever made it")
                    .isEqualTo(2);
        }
    }
}
