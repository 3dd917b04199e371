package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.SheetField;
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
        DemoStudy.shots().stream().limit(2).forEach(shot -> library.add(shot.name(), new byte[] {1, 2}, shot.shot()));
        library.addItem(ShelfKind.WATER, "Tap", Map.of());
    }

    @AfterEach
    void close() {
        library.close();
    }

    @Test
    void aBackupHoldsAllAndIsTakenBackTo() {
        Path copy = folder.resolve("a copy, it’s here.sqlite");
        List<ShotSummary> before = library.summaries();
        library.backUp(copy);
        library.apply(before.get(0).id(), SheetEdit.of(before.get(0).recorded(), SheetField.NOTE, "changed since"));
        library.bin(Target.SHOT, List.of(before.get(1).id()), "gone");
        Path aside = library.restoreFrom(copy);
        assertThat(library.summaries()).isEqualTo(before);
        assertThat(library.changedElsewhere()).as("restoring is no other window's doing").isFalse();
        assertThat(library.editDepth().undoable()).as("its steps are its own").isPositive();
        assertThat(library.shelf().find(ShelfKind.WATER, "Tap")).isPresent();
        try (Library was = Library.open(aside)) {
            assertThat(was.summaries()).singleElement()
                    .satisfies(shot -> assertThat(shot.sheet().text(SheetField.NOTE)).hasValue("changed since"));
        }
    }

    @Test
    void whatIsNoBackupIsRefusedAndNothingChanges() throws IOException {
        List<ShotSummary> before = library.summaries();
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
        assertThat(library.summaries()).isEqualTo(before);
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
        long shot = library.summaries().get(0).id();
        library.keepHistory(List.of(new HistoryEntry(0, new Change(Target.SHOT, shot, "dose_g", "17", "18"),
                "weighed again", Instant.parse("2026-01-02T03:04:05Z"), false)));
        library.keepAttachment(shot, "puck.jpg", new byte[] {5});
        assertThat(library.history(Target.SHOT, shot)).singleElement().satisfies(entry -> {
            assertThat(entry.undone()).isFalse();
            assertThat(entry.reason()).isEqualTo("weighed again");
        });
        assertThat(library.attachments(shot)).extracting(Attachment::name).containsExactly("puck.jpg");
        assertThat(library.editDepth()).as("only the water on the shelf").isEqualTo(new EditDepth(1, 0));
        library.giveReason(library.history(Target.SHOT, shot).get(0).id(), " tared late ");
        assertThat(library.history()).filteredOn(entry -> entry.change().key().equals("dose_g"))
                .extracting(HistoryEntry::reason)
                .containsExactly("tared late");
    }

    @Test
    void aShotKeepsItsNumberWhereItIsFree() {
        AddOutcome free = library.add("x", new byte[] {1}, DemoStudy.shots().get(4).shot(), 17);
        AddOutcome taken = library.add("x", new byte[] {1}, DemoStudy.shots().get(5).shot(), 2);
        assertThat(((AddOutcome.Added) free).shot().number()).isEqualTo(17);
        assertThat(((AddOutcome.Added) taken).shot().number()).isEqualTo(18);
        assertThat(library.newest(2)).extracting(ShotSummary::number).containsExactly(17, 18);
    }
}
