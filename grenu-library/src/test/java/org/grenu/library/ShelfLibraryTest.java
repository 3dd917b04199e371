package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.grenu.core.entry.Entries;
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ShelfLibraryTest {

    private static final List<Shot> SHOTS = DemoStudy.shots().stream().limit(3).map(DemoStudy.DemoShot::shot).toList();

    @TempDir
    private Path folder;
    private Library library;

    @BeforeEach
    void open() {
        library = Library.open(folder.resolve("library.sqlite"),
                Clock.fixed(Instant.parse("2026-06-01T08:00:00Z"), ZoneOffset.UTC), LogDigests.MEASURED_ANEW);
        SHOTS.forEach(shot -> library.add("a.csv", new byte[] {1}, shot));
    }

    @AfterEach
    void close() {
        library.close();
    }

    private ShelfItem add(ShelfKind kind, String name, Entries entries) {
        return library.addItem(kind, name, entries.texts()).shelf().orElseThrow().find(kind, name).orElseThrow();
    }

    private Change enter(ShelfItem item, ShelfField field, String text) {
        return new Change(Target.VERSION, item.newest().id(), field.key(), item.entries().entry(field).orElse(""),
                text);
    }

    private void reopen() {
        library.close();
        library = Library.open(folder.resolve("library.sqlite"));
    }

    @Test
    void whatIsOnTheShelfComesBackAfterReopening() {
        Entries scale = Entries.NONE.with(ShelfField.SCALE_STEP, "0.01")
                .with(ShelfField.CHECK_WEIGHTS, "2026-05-13 100 99.98");
        add(ShelfKind.SCALE, "S-1 ü", scale);
        reopen();
        assertThat(library.shelf().find(ShelfKind.SCALE, "s-1 Ü").orElseThrow().entries()).isEqualTo(scale);
    }

    @Test
    void theShelfTellsWhatARecordLeavesOpenAndTheCurveFollows() {
        add(ShelfKind.SCALE, "S-9", Entries.NONE.with(ShelfField.SCALE_LAG, "0.5"));
        long id = library.summaries().get(0).id();
        double before = library.summaries().get(0).digest().times().firstDrip().orElseThrow().seconds();
        StoredStep step = library.apply(id,
                SheetEdit.of(library.summaries().get(0).recorded(), SheetField.SCALE, "S-9"));
        assertThat(step.shot().recorded().has(SheetField.SCALE_LAG)).isFalse();
        assertThat(step.shot().sheet().number(SheetField.SCALE_LAG)).hasValue(0.5);
        assertThat(step.shot().digest().times().firstDrip().orElseThrow().seconds()).isNotEqualTo(before);
        List<ShotSummary> stale = library.summaries();
        ShelfItem item = library.shelf().find(ShelfKind.SCALE, "S-9").orElseThrow();
        library.apply("Lag", List.of(enter(item, ShelfField.SCALE_LAG, "")), "measured wrongly");
        assertThat(library.refreshed(stale).get(0).digest().times().firstDrip().orElseThrow().seconds())
                .isEqualTo(before);
        assertThat(library.refreshed(stale).get(1)).isEqualTo(stale.get(1));
    }

    @Test
    void changedPartsMakeAVersionAndOldShotsKeepTheirs() {
        ShelfItem rig = add(ShelfKind.MACHINE, "Rig 1", Entries.NONE.with(ShelfField.PUMP, "gear"));
        library.addVersion(rig.id(), LocalDate.of(2026, 5, 14), "new screen", rig.entries().texts());
        Shot late = DemoStudy.shots().get(12).shot();
        library.add("b.csv", new byte[] {2}, late);
        assertThat(library.summaries()).extracting(shot -> shot.sheet().text(SheetField.MACHINE_VERSION).orElse(""))
                .containsExactly("v1", "v1", "v1", "v2: new screen");
        library.undo();
        assertThat(library.shelf().find(ShelfKind.MACHINE, "Rig 1").orElseThrow().versions()).hasSize(1);
        library.redo();
        assertThat(library.shelf().find(ShelfKind.MACHINE, "Rig 1").orElseThrow().entries().text(ShelfField.PUMP))
                .hasValue("gear");
    }

    /** One line of steps through shots, shelf, bin and attachments, taken back to the beginning and made again. */
    @Test
    void undoAndRedoSpanEverything() {
        List<ShotSummary> before = library.summaries();
        long first = before.get(0).id();
        ShelfItem item = add(ShelfKind.COFFEE, "Lot Heron 14", Entries.NONE);
        library.apply("Moisture", List.of(enter(item, ShelfField.MOISTURE, "2.1")), "");
        library.apply("Renamed", List.of(new Change(Target.ITEM, item.id(), "name", "Lot Heron 14", "Heron")), "");
        library.apply("Arm of 3 shots",
                before.stream()
                        .map(shot -> Change.of(shot.id(), SheetEdit.of(shot.recorded(), SheetField.ARM, "control")))
                        .toList(),
                "");
        library.attach(first, "puck.jpg", new byte[] {9, 8});
        library.bin(Target.SHOT, List.of(first), "Shot 1 into the bin");
        assertThat(library.summaries()).hasSize(2);
        reopen();
        assertThat(library.editDepth()).isEqualTo(new EditDepth(6, 0));
        for (int i = 0; i < 6; i++) {
            library.undo();
        }
        assertThat(library.summaries()).isEqualTo(before);
        assertThat(library.shelf().items()).isEmpty();
        assertThat(library.attachments(first)).isEmpty();
        assertThat(library.bin()).as("what was undone is not in the bin").isEmpty();
        for (int i = 0; i < 6; i++) {
            library.redo();
        }
        assertThat(library.summaries()).hasSize(2)
                .allSatisfy(shot -> assertThat(shot.sheet().text(SheetField.ARM)).hasValue("control"));
        assertThat(library.shelf().find(ShelfKind.COFFEE, "Heron").orElseThrow().entries().number(ShelfField.MOISTURE))
                .hasValue(2.1);
        assertThat(library.attachments(first)).extracting(Attachment::name).containsExactly("puck.jpg");
        assertThat(library.attachmentBytes(library.attachments(first).get(0).id())).containsExactly(9, 8);
    }

    @Test
    void whatIsInTheBinIsTakenOutAgain() {
        long first = library.summaries().get(0).id();
        ShelfItem item = add(ShelfKind.WATER, "Tap", Entries.NONE);
        library.bin(Target.SHOT, List.of(first), "Shot 1");
        library.bin(Target.ITEM, List.of(item.id()), "Tap");
        assertThat(library.bin()).extracting(Binned::words).containsExactlyInAnyOrder("Tap", "Shot 1 · Lot Heron 14");
        library.restore(
                library.bin().stream().filter(binned -> binned.target() == Target.SHOT).findFirst().orElseThrow());
        assertThat(library.summaries()).hasSize(3);
        library.bin(Target.SHOT, List.of(first), "Shot 1");
        assertThat(library.add("again.csv", new byte[] {1}, SHOTS.get(0))).as("imported once more")
                .isInstanceOf(AddOutcome.Added.class);
        assertThat(library.summaries()).hasSize(3);
    }

    @Test
    void whatWasAddedTogetherIsTakenBackTogether() {
        library.addedTogether(library.summaries().stream().map(ShotSummary::id).toList(), "Import of 3 shots");
        StoredStep back = library.undo().orElseThrow();
        assertThat(back.gone()).hasSize(3);
        assertThat(library.summaries()).isEmpty();
        assertThat(library.redo().orElseThrow().shots()).hasSize(3);
    }

    @Test
    void theHistoryKeepsOldValueTimeAndReason() {
        ShotSummary shot = library.summaries().get(0);
        library.apply("Dose", List.of(Change.of(shot.id(), SheetEdit.of(shot.recorded(), SheetField.DOSE, "17.2"))),
                "misread the scale");
        library.apply(shot.id(), SheetEdit.of(library.summaries().get(0).recorded(), SheetField.GRIND, "2.5"));
        library.undo();
        List<HistoryEntry> history = library.history(Target.SHOT, shot.id());
        assertThat(history).extracting(entry -> entry.change().key()).containsExactly("grind", "dose_g");
        assertThat(history.get(0).undone()).isTrue();
        assertThat(history.get(1)).satisfies(entry -> {
            assertThat(entry.change().before()).isEqualTo("18");
            assertThat(entry.change().after()).isEqualTo("17.2");
            assertThat(entry.reason()).isEqualTo("misread the scale");
            assertThat(entry.madeAt()).isEqualTo(Instant.parse("2026-06-01T08:00:00Z"));
        });
    }

    @Test
    void aStepThatCannotBeMadeWholeIsNotMadeAtAll() {
        List<ShotSummary> shots = library.summaries();
        Change good = Change.of(shots.get(0).id(), SheetEdit.of(shots.get(0).recorded(), SheetField.ARM, "a"));
        Change stale = new Change(Target.SHOT, shots.get(1).id(), "arm", "someone else's", "a");
        assertThatThrownBy(() -> library.apply("Arm", List.of(good, stale), ""))
                .hasMessageContaining("changed by another window");
        assertThat(library.summaries()).isEqualTo(shots);
        assertThat(library.editDepth()).isEqualTo(new EditDepth(0, 0));
    }

    @Test
    void anotherWindowSeesTheShelfChange() {
        try (Library other = Library.open(folder.resolve("library.sqlite"))) {
            assertThat(other.shelf().items()).isEmpty();
            add(ShelfKind.SITE, "Hill", Entries.NONE.with(ShelfField.ALTITUDE, "800"));
            assertThat(other.shelf().find(ShelfKind.SITE, "Hill")).isPresent();
        }
    }

    @Test
    void findingsAreKeptByTheirBasis() {
        long id = library.summaries().get(0).id();
        library.keepFindings("schools v1", Map.of(id, "channel"));
        assertThat(library.findings("schools v1")).containsExactly(Map.entry(id, "channel"));
        assertThat(library.findings("schools v2")).isEmpty();
    }
}
