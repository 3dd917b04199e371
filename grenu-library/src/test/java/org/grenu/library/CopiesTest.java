package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.Map;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfKind;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CopiesTest {

    @TempDir
    private Path folder;
    private Library library;

    @BeforeEach
    void open() {
        library = Library.open(folder.resolve("library.sqlite"));
        DemoStudy.shots()
                .stream()
                .limit(2)
                .forEach(shot -> Stored.add(library, shot.name(), new byte[] {1, 2}, shot.shot()));
        library.write(tx -> tx.shelf().add(ShelfKind.WATER, "Tap", Map.of()));
    }

    @AfterEach
    void close() {
        library.close();
    }

    @Test
    void aBackupHoldsAllAndIsTakenBackTo() {
        Path copy = folder.resolve("a copy, it’s here.sqlite");
        List<ShotSummary> before = Stored.shots(library);
        library.backUp(copy);
        library.write(tx -> tx.journal()
                .make(before.get(0).id(), RecordEdit.of(before.get(0).written(), RecordField.NOTE, "changed since")));
        library.write(tx -> tx.bin().put(Target.SHOT, List.of(before.get(1).id()), "gone"));
        Path aside = library.restoreFrom(copy);
        assertThat(Stored.shots(library)).isEqualTo(before);
        assertThat(library.changedElsewhere()).as("restoring is no other window's doing").isFalse();
        assertThat(Stored.depth(library).undoable()).as("its steps are its own").isPositive();
        assertThat(Stored.shelf(library).find(ShelfKind.WATER, "Tap")).isPresent();
        try (Library was = Library.open(aside)) {
            assertThat(Stored.shots(was)).singleElement()
                    .satisfies(shot -> assertThat(shot.record().text(RecordField.NOTE)).hasValue("changed since"));
        }
    }

    @Test
    void whatIsNoBackupIsRefusedAndNothingChanges() throws IOException {
        List<ShotSummary> before = Stored.shots(library);
        Path words = Files.writeString(folder.resolve("words.sqlite"),
                "not a library, and long enough to be looked at as one");
        assertThatThrownBy(() -> library.restoreFrom(words)).isInstanceOf(LibraryException.class)
                .hasMessageContaining("is no Grenu library");
        assertThatThrownBy(() -> library.restoreFrom(folder.resolve("none.sqlite")))
                .hasMessageContaining("There is no backup");
        Path copy = folder.resolve("copy.sqlite");
        library.backUp(copy);
        byte[] bytes = Files.readAllBytes(copy);
        for (int i = 20_000; i < 60_000; i++) {
            bytes[i] = 7;
        }
        Path damaged = Files.write(folder.resolve("damaged.sqlite"), bytes);
        assertThatThrownBy(() -> library.restoreFrom(damaged)).isInstanceOf(LibraryException.class);
        assertThat(Stored.shots(library)).isEqualTo(before);
    }

    @Test
    void aBackupNeverReplacesAFile() throws IOException {
        Path there = Files.writeString(folder.resolve("there.sqlite"), "mine");
        assertThatThrownBy(() -> library.backUp(there)).hasMessageContaining("exists already");
        assertThat(there).hasContent("mine");
        assertThatThrownBy(() -> library.backUp(folder.resolve("no").resolve("where.sqlite")))
                .isInstanceOf(LibraryException.class)
                .hasMessageContaining("could not be written");
    }

    @Test
    void whatComesFromElsewhereIsShownAndNotUndone() {
        long shot = Stored.shots(library).get(0).id();
        library.write(tx -> tx.history()
                .keep(List.of(new HistoryEntry(0, new Change(Target.SHOT, shot, "dose_g", "17", "18"),
                        "weighed again", Instant.parse("2026-01-02T03:04:05Z"), false))));
        library.write(tx -> tx.attachments().keep(shot, "puck.jpg", new byte[] {5}));
        assertThat(Stored.history(library, Target.SHOT, shot)).singleElement().satisfies(entry -> {
            assertThat(entry.undone()).isFalse();
            assertThat(entry.reason()).isEqualTo("weighed again");
        });
        assertThat(Stored.attachments(library, shot)).extracting(Attachment::name)
                .containsExactly("puck.jpg");
        assertThat(Stored.depth(library)).as("only the water on the shelf")
                .isEqualTo(new EditDepth(1, 0));
        library.store(tx -> tx.history()
                .giveReason(Stored.history(library, Target.SHOT, shot).get(0).id(), " tared late "));
        List<HistoryEntry> standing = library.read(tx -> tx.history().standing());
        assertThat(standing)
                .filteredOn(entry -> entry.change().key().equals("dose_g"))
                .extracting(HistoryEntry::reason)
                .containsExactly("tared late");
    }

    @Test
    void aShotKeepsItsNumberWhereItIsFree() {
        AddOutcome free = library.write(
                tx -> tx.shots().add("x", new byte[] {1}, DemoStudy.shots().get(4).shot(), 17, Set.of()));
        AddOutcome taken = library.write(
                tx -> tx.shots().add("x", new byte[] {1}, DemoStudy.shots().get(5).shot(), 2, Set.of()));
        assertThat(((AddOutcome.Added) free).shot().number()).isEqualTo(17);
        assertThat(((AddOutcome.Added) taken).shot().number()).isEqualTo(18);
        List<ShotSummary> newest = library.read(tx -> tx.shots().newest(2));
        assertThat(newest).extracting(ShotSummary::number).containsExactly(17, 18);
    }
}
