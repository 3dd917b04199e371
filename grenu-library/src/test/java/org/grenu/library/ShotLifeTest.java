package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotSheet;
import org.grenu.core.study.ShotState;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A shot is a shot from the moment it is planned or written down; its log may come later, and every step can be
 * undone.
 */
class ShotLifeTest {

    private static final ShotSheet NOTEBOOK = ShotSheet.EMPTY.with(SheetField.DOSE, "18")
            .with(SheetField.BEVERAGE, "40")
            .with(SheetField.READINGS, "9.5")
            .with(SheetField.PUMP_ON, "0")
            .with(SheetField.PUMP_OFF, "27");
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
        assertThat(library.summaries()).hasSize(1);
        return library.summaries().get(0);
    }

    private ShotSummary written() {
        return library.write(NOTEBOOK, ShotState.RECORDED, 0).shot();
    }

    @Test
    void aNotebookShotIsAShot() {
        ShotSummary shot = written();
        assertThat(shot).isEqualTo(only());
        assertThat(shot.logged()).isFalse();
        assertThat(shot.state()).isEqualTo(ShotState.RECORDED);
        assertThat(shot.masses().brew()).isPresent();
        assertThat(shot.digest().times().pumpOff().orElseThrow().seconds()).isEqualTo(27);
        assertThat(library.log(shot.id())).isEqualTo(ShotLog.NONE);
        assertThat(library.rawFile(shot.id())).isEmpty();
        library.apply(shot.id(), SheetEdit.of(shot.recorded(), SheetField.PUMP_OFF, "29"));
        assertThat(only().digest().times().pumpOff().orElseThrow().seconds()).as("the digest follows the record")
                .isEqualTo(29);
    }

    @Test
    void writingIsAStepLikeAnyOther() {
        written();
        assertThat(library.undo().orElseThrow().words()).isEqualTo("New shot 1");
        assertThat(library.summaries()).isEmpty();
        assertThat(library.redo()).isPresent();
        assertThat(only().recorded()).isEqualTo(NOTEBOOK);
    }

    @Test
    void aLogMayComeLaterAndBeTakenBack() {
        ShotSummary shot = written();
        StoredStep step = library.giveLog(shot, "late.csv", new byte[] {1, 2}, LOGGED.log(), List.of());
        assertThat(step.shot().logged()).isTrue();
        assertThat(step.shot().digest().peakPressure()).isPresent();
        assertThat(library.log(shot.id())).isEqualTo(LOGGED.log());
        assertThat(library.rawFile(shot.id()).orElseThrow().bytes()).containsExactly(1, 2);
        library.undo();
        assertThat(only().logged()).isFalse();
        assertThat(library.log(shot.id())).isEqualTo(ShotLog.NONE);
        library.redo();
        assertThat(library.log(shot.id())).isEqualTo(LOGGED.log());
        library.undo();
        Shot other = DemoStudy.shots().get(1).shot();
        library.giveLog(only(), "other.csv", new byte[] {3}, other.log(), List.of());
        assertThat(library.log(shot.id())).as("another log in its place").isEqualTo(other.log());
    }

    @Test
    void aLogIsOfOneShotAndAShotHasOneLog() {
        ShotSummary shot = written();
        library.add("first.csv", new byte[] {1}, LOGGED);
        assertThatThrownBy(() -> library.giveLog(shot, "again.csv", new byte[] {1}, LOGGED.log(), List.of()))
                .hasMessageStartingWith("That log belongs to shot 2.");
        library.giveLog(shot, "late.csv", new byte[] {2}, DemoStudy.shots().get(1).shot().log(), List.of());
        assertThatThrownBy(
                () -> library.giveLog(shot, "more.csv", new byte[] {2}, DemoStudy.shots().get(2).shot().log(),
                        List.of()))
                .hasMessageStartingWith("Shot 1 has a log.");
        assertThat(library.add("late.csv", new byte[] {2}, DemoStudy.shots().get(1).shot())).as("imported again")
                .isEqualTo(new AddOutcome.Duplicate(1));
    }

    @Test
    void aPlanBecomesAShot() {
        ShotSummary planned = library.write(NOTEBOOK, ShotState.PLANNED, 7).shot();
        assertThat(planned.number()).isEqualTo(7);
        assertThat(planned.state()).isEqualTo(ShotState.PLANNED);
        StoredStep pulled = library.apply("Pulled",
                List.of(new Change(Target.SHOT, planned.id(), Change.STATE, "planned", "recorded")), "");
        assertThat(pulled.shot().state()).isEqualTo(ShotState.RECORDED);
        library.undo();
        assertThat(only().state()).isEqualTo(ShotState.PLANNED);
    }

    /**
     * What is written in a file of ours without a log is taken in once, and is another shot when it says something
     * else.
     */
    @Test
    void unloggedShotsAreKnownByWhatIsWritten() {
        assertThat(library.add("note.csv", new byte[] {1}, new Shot(NOTEBOOK, ShotLog.NONE)))
                .isInstanceOf(AddOutcome.Added.class);
        assertThat(library.add("copy.csv", new byte[] {1}, new Shot(NOTEBOOK, ShotLog.NONE)))
                .isEqualTo(new AddOutcome.Duplicate(1));
        assertThat(
                library.add("b.csv", new byte[] {2}, new Shot(NOTEBOOK.with(SheetField.NOTE, "another"), ShotLog.NONE)))
                .isInstanceOf(AddOutcome.Added.class);
        assertThat(library.summaries()).hasSize(2);
    }

    @Test
    void aCopyHoldsThemToo() {
        written();
        Path copy = folder.resolve("copy.sqlite");
        library.backUp(copy);
        try (Library other = Library.open(copy)) {
            assertThat(other.summaries()).isEqualTo(library.summaries());
        }
    }
}
