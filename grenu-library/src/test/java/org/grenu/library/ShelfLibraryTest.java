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
import org.grenu.core.shelf.ShotDerivation;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.entry.Entries;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
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
                Clock.fixed(Instant.parse("2026-06-01T08:00:00Z"), ZoneOffset.UTC), ShotDerivation.ANEW);
        SHOTS.forEach(shot -> Stored.add(library, "a.csv", new byte[] {1}, shot));
    }

    @AfterEach
    void close() {
        library.close();
    }

    private ShelfItem add(ShelfKind kind, String name, Entries entries) {
        return library.write(tx -> tx.shelf().add(kind, name, entries.texts()))
                .shelf()
                .orElseThrow()
                .find(kind, name)
                .orElseThrow();
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
        assertThat(Stored.shelf(library).find(ShelfKind.SCALE, "s-1 Ü").orElseThrow().entries())
                .isEqualTo(scale);
    }

    @Test
    void theShelfTellsWhatARecordLeavesOpenAndTheCurveFollows() {
        add(ShelfKind.SCALE, "S-9", Entries.NONE.with(ShelfField.SCALE_LAG, "0.5"));
        long id = Stored.shots(library).get(0).id();
        double before = Stored.shots(library)
                .get(0)
                .digest()
                .times()
                .firstDrip()
                .orElseThrow()
                .seconds();
        StoredStep step = library.write(tx -> tx.journal()
                .make(id,
                        RecordEdit.of(Stored.shots(library).get(0).written(), RecordField.SCALE, "S-9")));
        assertThat(step.shot().written().has(RecordField.SCALE_LAG)).isFalse();
        assertThat(step.shot().record().number(RecordField.SCALE_LAG)).hasValue(0.5);
        assertThat(step.shot().digest().times().firstDrip().orElseThrow().seconds()).isNotEqualTo(before);
        List<ShotSummary> stale = Stored.shots(library);
        ShelfItem item = Stored.shelf(library).find(ShelfKind.SCALE, "S-9").orElseThrow();
        library.write(
                tx -> tx.journal().make("Lag", List.of(enter(item, ShelfField.SCALE_LAG, "")), "measured wrongly"));
        assertThat(library.write(tx -> tx.shots().refresh(stale))
                .get(0)
                .digest()
                .times()
                .firstDrip()
                .orElseThrow()
                .seconds())
                .isEqualTo(before);
        assertThat(library.write(tx -> tx.shots().refresh(stale)).get(1)).isEqualTo(stale.get(1));
    }

    @Test
    void changedPartsMakeAVersionAndOldShotsKeepTheirs() {
        ShelfItem rig = add(ShelfKind.MACHINE, "Rig 1", Entries.NONE.with(ShelfField.PUMP, "gear"));
        library.write(
                tx -> tx.shelf().addVersion(rig.id(), LocalDate.of(2026, 5, 14), "new screen", rig.entries().texts()));
        Shot late = DemoStudy.shots().get(12).shot();
        Stored.add(library, "b.csv", new byte[] {2}, late);
        assertThat(Stored.shots(library))
                .extracting(shot -> shot.record().text(RecordField.MACHINE_VERSION).orElse(""))
                .containsExactly("v1", "v1", "v1", "v2: new screen");
        Stored.undo(library);
        assertThat(Stored.shelf(library).find(ShelfKind.MACHINE, "Rig 1").orElseThrow().versions())
                .hasSize(1);
        Stored.redo(library);
        assertThat(Stored.shelf(library)
                .find(ShelfKind.MACHINE, "Rig 1")
                .orElseThrow()
                .entries()
                .text(ShelfField.PUMP))
                .hasValue("gear");
    }

    /** One line of steps through shots, shelf, bin and attachments, taken back to the beginning and made again. */
    @Test
    void undoAndRedoSpanEverything() {
        List<ShotSummary> before = Stored.shots(library);
        long first = before.get(0).id();
        ShelfItem item = add(ShelfKind.COFFEE, "Lot Heron 14", Entries.NONE);
        library.write(tx -> tx.journal().make("Moisture", List.of(enter(item, ShelfField.MOISTURE, "2.1")), ""));
        library.write(tx -> tx.journal()
                .make("Renamed", List.of(new Change(Target.ITEM, item.id(), "name", "Lot Heron 14", "Heron")), ""));
        library.write(tx -> tx.journal()
                .make("Arm of 3 shots",
                        before.stream()
                                .map(shot -> Change.of(shot.id(),
                                        RecordEdit.of(shot.written(), RecordField.ARM, "control")))
                                .toList(),
                        ""));
        library.write(tx -> tx.attachments().attach(first, "puck.jpg", new byte[] {9, 8}));
        library.write(tx -> tx.bin().put(Target.SHOT, List.of(first), "Shot 1 into the bin"));
        assertThat(Stored.shots(library)).hasSize(2);
        reopen();
        assertThat(Stored.depth(library)).isEqualTo(new EditDepth(6, 0));
        for (int i = 0; i < 6; i++) {
            Stored.undo(library);
        }
        assertThat(Stored.shots(library)).isEqualTo(before);
        assertThat(Stored.shelf(library).items()).isEmpty();
        assertThat(Stored.attachments(library, first)).isEmpty();
        assertThat(Stored.bin(library)).as("what was undone is not in the bin").isEmpty();
        for (int i = 0; i < 6; i++) {
            Stored.redo(library);
        }
        assertThat(Stored.shots(library)).hasSize(2)
                .allSatisfy(shot -> assertThat(shot.record().text(RecordField.ARM)).hasValue("control"));
        assertThat(Stored.shelf(library)
                .find(ShelfKind.COFFEE, "Heron")
                .orElseThrow()
                .entries()
                .number(ShelfField.MOISTURE))
                .hasValue(2.1);
        assertThat(Stored.attachments(library, first)).extracting(Attachment::name)
                .containsExactly("puck.jpg");
        byte[] bytes = library.read(tx -> tx.attachments().bytes(tx.attachments().of(first).get(0).id()));
        assertThat(bytes)
                .containsExactly(9, 8);
    }

    @Test
    void whatIsInTheBinIsTakenOutAgain() {
        long first = Stored.shots(library).get(0).id();
        ShelfItem item = add(ShelfKind.WATER, "Tap", Entries.NONE);
        library.write(tx -> tx.bin().put(Target.SHOT, List.of(first), "Shot 1"));
        library.write(tx -> tx.bin().put(Target.ITEM, List.of(item.id()), "Tap"));
        assertThat(Stored.bin(library)).extracting(Binned::words)
                .containsExactlyInAnyOrder("Tap", "Shot 1 · Lot Heron 14");
        library.write(tx -> tx.bin()
                .restore(
                        Stored.bin(library)
                                .stream()
                                .filter(binned -> binned.target() == Target.SHOT)
                                .findFirst()
                                .orElseThrow()));
        assertThat(Stored.shots(library)).hasSize(3);
        library.write(tx -> tx.bin().put(Target.SHOT, List.of(first), "Shot 1"));
        assertThat(Stored.add(library, "again.csv", new byte[] {1}, SHOTS.get(0)))
                .as("imported once more")
                .isInstanceOf(AddOutcome.Added.class);
        assertThat(Stored.shots(library)).hasSize(3);
    }

    @Test
    void whatWasAddedTogetherIsTakenBackTogether() {
        library.store(tx -> tx.journal()
                .addedTogether(Stored.shots(library).stream().map(ShotSummary::id).toList(),
                        "Import of 3 shots"));
        StoredStep back = Stored.undo(library).orElseThrow();
        assertThat(back.gone()).hasSize(3);
        assertThat(Stored.shots(library)).isEmpty();
        assertThat(Stored.redo(library).orElseThrow().shots()).hasSize(3);
    }

    @Test
    void theHistoryKeepsOldValueTimeAndReason() {
        ShotSummary shot = Stored.shots(library).get(0);
        library.write(tx -> tx.journal()
                .make("Dose", List.of(Change.of(shot.id(), RecordEdit.of(shot.written(), RecordField.DOSE, "17.2"))),
                        "misread the scale"));
        library.write(tx -> tx.journal()
                .make(shot.id(),
                        RecordEdit.of(Stored.shots(library).get(0).written(), RecordField.GRIND, "2.5")));
        Stored.undo(library);
        List<HistoryEntry> history = Stored.history(library, Target.SHOT, shot.id());
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
        List<ShotSummary> shots = Stored.shots(library);
        Change good = Change.of(shots.get(0).id(), RecordEdit.of(shots.get(0).written(), RecordField.ARM, "a"));
        Change stale = new Change(Target.SHOT, shots.get(1).id(), "arm", "someone else's", "a");
        assertThatThrownBy(() -> library.write(tx -> tx.journal().make("Arm", List.of(good, stale), "")))
                .hasMessageContaining("changed by another window");
        assertThat(Stored.shots(library)).isEqualTo(shots);
        assertThat(Stored.depth(library)).isEqualTo(new EditDepth(0, 0));
    }

    @Test
    void anotherWindowSeesTheShelfChange() {
        try (Library other = Library.open(folder.resolve("library.sqlite"))) {
            assertThat(Stored.shelf(other).items()).isEmpty();
            add(ShelfKind.SITE, "Hill", Entries.NONE.with(ShelfField.ALTITUDE, "800"));
            assertThat(Stored.shelf(other).find(ShelfKind.SITE, "Hill")).isPresent();
        }
    }

    @Test
    void findingsAreKeptByTheirBasis() {
        long id = Stored.shots(library).get(0).id();
        library.store(tx -> tx.findings().keep("schools v1", Map.of(id, "channel")));
        Map<Long, String> first = library.read(tx -> tx.findings().on("schools v1"));
        Map<Long, String> second = library.read(tx -> tx.findings().on("schools v2"));
        assertThat(first).containsExactly(Map.entry(id, "channel"));
        assertThat(second).isEmpty();
    }
}
