package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A shot is a shot from the moment it is planned or written down; its log may come later, and every step can be
 * undone.
 */
class ShotLifeTest {

    private static final ShotRecord NOTEBOOK = ShotRecord.EMPTY.with(RecordField.DOSE, "18")
            .with(RecordField.BEVERAGE, "40")
            .with(RecordField.READINGS, "9.5")
            .with(RecordField.PUMP_ON, "0")
            .with(RecordField.PUMP_OFF, "27");
    private static final Shot LOGGED = DemoStudy.shots().get(0).shot();

    @TempDir
    private Path folder;
    private Library library;

    @BeforeEach
    void open() {
        library = Library.open(folder.resolve("library.sqlite"));
    }

    @AfterEach
    void close() {
        library.close();
    }

    private ShotSummary only() {
        assertThat(Stored.shots(library)).hasSize(1);
        return Stored.shots(library).get(0);
    }

    private ShotSummary written() {
        return library.write(tx -> tx.shots().write(NOTEBOOK, ShotState.RECORDED, 0)).shot();
    }

    @Test
    void aNotebookShotIsAShot() {
        ShotSummary shot = written();
        assertThat(shot).isEqualTo(only());
        assertThat(shot.logged()).isFalse();
        assertThat(shot.state()).isEqualTo(ShotState.RECORDED);
        assertThat(shot.masses().brew()).isPresent();
        assertThat(shot.digest().times().pumpOff().orElseThrow().seconds()).isEqualTo(27);
        assertThat(Stored.log(library, shot.id())).isEqualTo(ShotLog.NONE);
        assertThat(Stored.file(library, shot.id())).isEmpty();
        library.write(tx -> tx.journal().make(shot.id(), RecordEdit.of(shot.written(), RecordField.PUMP_OFF, "29")));
        assertThat(only().digest().times().pumpOff().orElseThrow().seconds()).as("the digest follows the record")
                .isEqualTo(29);
    }

    @Test
    void writingIsAStepLikeAnyOther() {
        written();
        assertThat(Stored.undo(library).orElseThrow().words()).isEqualTo("New shot 1");
        assertThat(Stored.shots(library)).isEmpty();
        assertThat(Stored.redo(library)).isPresent();
        assertThat(only().written()).isEqualTo(NOTEBOOK);
    }

    @Test
    void aLogMayComeLaterAndBeTakenBack() {
        ShotSummary shot = written();
        StoredStep step = library
                .write(tx -> tx.shots().giveLog(shot, "late.csv", new byte[] {1, 2}, LOGGED.log(), List.of()));
        assertThat(step.shot().logged()).isTrue();
        assertThat(step.shot().digest().peakPressure()).isPresent();
        assertThat(Stored.log(library, shot.id())).isEqualTo(LOGGED.log());
        assertThat(Stored.file(library, shot.id()).orElseThrow().bytes()).containsExactly(1, 2);
        Stored.undo(library);
        assertThat(only().logged()).isFalse();
        assertThat(Stored.log(library, shot.id())).isEqualTo(ShotLog.NONE);
        Stored.redo(library);
        assertThat(Stored.log(library, shot.id())).isEqualTo(LOGGED.log());
        Stored.undo(library);
        Shot other = DemoStudy.shots().get(1).shot();
        library.write(tx -> tx.shots()
                .giveLog(only(), "other.csv", new byte[] {3}, other.log(), List.of()));
        assertThat(Stored.log(library, shot.id())).as("another log in its place")
                .isEqualTo(other.log());
    }

    @Test
    void aLogIsOfOneShotAndAShotHasOneLog() {
        ShotSummary shot = written();
        Stored.add(library, "first.csv", new byte[] {1}, LOGGED);
        assertThatThrownBy(() -> library
                .write(tx -> tx.shots().giveLog(shot, "again.csv", new byte[] {1}, LOGGED.log(), List.of())))
                .hasMessageStartingWith("That log belongs to shot 2.");
        library.write(tx -> tx.shots()
                .giveLog(shot, "late.csv", new byte[] {2}, DemoStudy.shots().get(1).shot().log(), List.of()));
        assertThatThrownBy(
                () -> library.write(tx -> tx.shots()
                        .giveLog(shot, "more.csv", new byte[] {2}, DemoStudy.shots().get(2).shot().log(),
                                List.of())))
                .hasMessageStartingWith("Shot 1 has a log.");
        assertThat(Stored.add(library, "late.csv", new byte[] {2}, DemoStudy.shots().get(1).shot()))
                .as("imported again")
                .isEqualTo(new AddOutcome.Duplicate(1));
    }

    @Test
    void aPlanBecomesAShot() {
        ShotSummary planned = library.write(tx -> tx.shots().write(NOTEBOOK, ShotState.PLANNED, 7)).shot();
        assertThat(planned.number()).isEqualTo(7);
        assertThat(planned.state()).isEqualTo(ShotState.PLANNED);
        StoredStep pulled = library.write(tx -> tx.journal()
                .make("Pulled",
                        List.of(new Change(Target.SHOT, planned.id(), Change.STATE, "planned", "recorded")), ""));
        assertThat(pulled.shot().state()).isEqualTo(ShotState.RECORDED);
        Stored.undo(library);
        assertThat(only().state()).isEqualTo(ShotState.PLANNED);
    }

    /**
     * What is written in a file of ours without a log is taken in once, and is another shot when it says something
     * else.
     */
    @Test
    void unloggedShotsAreKnownByWhatIsWritten() {
        assertThat(Stored.add(library, "note.csv", new byte[] {1}, new Shot(NOTEBOOK, ShotLog.NONE)))
                .isInstanceOf(AddOutcome.Added.class);
        assertThat(Stored.add(library, "copy.csv", new byte[] {1}, new Shot(NOTEBOOK, ShotLog.NONE)))
                .isEqualTo(new AddOutcome.Duplicate(1));
        assertThat(
                Stored.add(library, "b.csv", new byte[] {2},
                        new Shot(NOTEBOOK.with(RecordField.NOTE, "another"), ShotLog.NONE)))
                .isInstanceOf(AddOutcome.Added.class);
        assertThat(Stored.shots(library)).hasSize(2);
    }

    @Test
    void aCopyHoldsThemToo() {
        written();
        Path copy = folder.resolve("copy.sqlite");
        library.backUp(copy);
        try (Library other = Library.open(copy)) {
            assertThat(Stored.shots(other)).isEqualTo(Stored.shots(library));
        }
    }
}
