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
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
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
                work.add(() -> library.add("shot.csv", new byte[] {1}, shot));
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
            assertThat(one.summaries()).hasSize(numbers.size());
            assertThat(two.summaries()).isEqualTo(one.summaries());
        }
    }

    @Test
    void everyCorrectionKeepsTheOldValueAndWhen() {
        Clock clock = Clock.fixed(Instant.parse("2026-05-14T10:31:00Z"), ZoneOffset.UTC);
        try (Library library = Library.open(file(), clock, LogDigests.MEASURED_ANEW)) {
            library.add("a.csv", new byte[] {1}, SHOTS.get(0));
            ShotSummary shot = library.summaries().get(0);
            StoredStep stored = library.apply(shot.id(), SheetEdit.of(shot.sheet(), SheetField.DOSE, "17,5"));
            library.apply(shot.id(), SheetEdit.of(stored.shot().sheet(), SheetField.NOTE, "weighed again"));
            library.undo();
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
            SHOTS.subList(0, 3).forEach(shot -> library.add("x.csv", new byte[] {1}, shot));
            List<ShotSummary> shots = library.summaries();
            for (int i : new int[] {2, 0, 1}) {
                library.apply(shots.get(i).id(), SheetEdit.of(shots.get(i).sheet(), SheetField.NOTE, "note " + i));
            }
            assertThat(library.undo().orElseThrow().shot().number()).isEqualTo(2);
            assertThat(library.undo().orElseThrow().shot().number()).isEqualTo(1);
            assertThat(library.redo().orElseThrow().shot().number()).isEqualTo(1);
            assertThat(library.editDepth()).isEqualTo(new EditDepth(2, 1));
        }
    }

    @Test
    void aShotThatCannotBeStoredLeavesNothingBehind() {
        try (Library library = Library.open(file())) {
            Jdbi.create("jdbc:sqlite:" + file())
                    .useHandle(h -> h.execute(
                            "CREATE TRIGGER full BEFORE INSERT ON samples WHEN NEW.channel = 'cup_mass' BEGIN SELECT "
                                    + "RAISE(ABORT, 'disk full'); END"));
            assertThatThrownBy(() -> library.add("a.csv", new byte[] {1}, SHOTS.get(0)))
                    .isInstanceOf(LibraryException.class)
                    .hasMessageContaining("could not store a shot")
                    .hasMessageContaining("disk full");
            assertThat(library.summaries()).isEmpty();
            Jdbi.create("jdbc:sqlite:" + file()).useHandle(h -> {
                assertThat(h.createQuery("SELECT count(*) FROM raw_file").mapTo(Integer.class).one()).isZero();
                h.execute("DROP TRIGGER full");
            });
            assertThat(library.add("a.csv", new byte[] {1}, SHOTS.get(0))).isInstanceOf(AddOutcome.Added.class);
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
            ShotSummary first = ((AddOutcome.Added) mine.add("a", new byte[] {1}, DemoStudy.shots().get(0).shot()))
                    .shot();
            mine.addedTogether(List.of(first.id()), "Import of shot 1");
            mine.apply(first.id(), SheetEdit.of(first.recorded(), SheetField.NOTE, "mine"));
            theirs.apply(first.id(), SheetEdit.of(theirs.summaries().get(0).recorded(), SheetField.TASTE, "theirs"));
            assertThat(mine.editDepth()).isEqualTo(new EditDepth(2, 0));
            assertThat(mine.undo().orElseThrow().words()).isEqualTo("Note");
            ShotSummary now = mine.summaries().get(0);
            assertThat(now.recorded().text(SheetField.NOTE)).isEmpty();
            assertThat(now.recorded().text(SheetField.TASTE)).hasValue("theirs");
            assertThat(theirs.undo().orElseThrow().words()).isEqualTo("Taste");
            assertThat(mine.changedElsewhere()).isTrue();
            assertThat(mine.changedElsewhere()).isFalse();
            mine.apply(first.id(), SheetEdit.of(mine.summaries().get(0).recorded(), SheetField.NOTE, "again"));
            assertThat(mine.changedElsewhere()).as("its own writing is not another's").isFalse();
        }
        try (Library next = Library.open(file())) {
            assertThat(next.editDepth().undoable()).as("what stood when it was opened can be undone, whoever made it")
                    .isEqualTo(2);
        }
    }
}
