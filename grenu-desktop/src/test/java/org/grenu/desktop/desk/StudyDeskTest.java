package org.grenu.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.grenu.app.OpenLibrary;
import org.grenu.app.study.ShotOrder;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.library.ShotSummary;
import org.grenu.library.Stored;
import org.jdbi.v3.core.Jdbi;
import org.junit.jupiter.api.Test;

/** What the desk shows is what the library holds. */
class StudyDeskTest extends DeskFixture {

    @Test
    void theNewestShotIsOpenAtFirst() {
        assertThat(open().number()).isEqualTo(3);
        assertThat(desk.loadedProperty().get()).isTrue();
        assertThat(ShotOrder.newestFirst(desk.shots())).extracting(ShotSummary::number).containsExactly(3, 2, 1);
    }

    @Test
    void editsInQuickSuccessionAllTakeEffectInTheirOrder() {
        desk.enter(RecordField.READINGS, "9.1");
        assertThat(desk.latestRecord().numbers(RecordField.READINGS)).as("the next edit starts from here")
                .containsExactly(9.1);
        assertThat(open().record().numbers(RecordField.READINGS)).as("but it is not shown before it is stored")
                .hasSize(3);
        desk.enter(RecordField.READINGS, "9.1; 9.2");
        desk.enter(RecordField.DOSE, "17.5");
        until(() -> desk.editDepthProperty().get().undoable() == 3);
        assertThat(open().record().numbers(RecordField.READINGS)).containsExactly(9.1, 9.2);
        assertThat(open().record().number(RecordField.DOSE)).hasValue(17.5);
        assertThat(desk.noticeProperty().get()).isNull();
        assertThat(desk.storedProperty().get()).startsWith("Stored ");
    }

    /**
     * A change of the shelf tells something new of every shot, but takes nothing back that was just entered or
     * binned.
     */
    @Test
    void aChangeOfTheShelfKeepsWhatWasJustEntered() {
        desk.enter(RecordField.DOSE, "17.5");
        desk.inBin().put(List.of(desk.shots().get(0)));
        desk.onShelf().add(ShelfKind.SITE, "Basalt Room", Entries.NONE.with(ShelfField.ALTITUDE, "320"), item -> {});
        until(() -> desk.editDepthProperty().get().undoable() == 3);
        assertThat(open().record().number(RecordField.DOSE)).hasValue(17.5);
        assertThat(desk.shots()).hasSize(2)
                .allSatisfy(shot -> assertThat(shot.record().number(RecordField.ALTITUDE)).hasValue(320));
        assertThat(desk.shots().get(1).record()).isEqualTo(open().record());
    }

    /** What is only read meanwhile does not keep an edit expected that is long shown. */
    @Test
    void theNextEditStartsFromWhatIsShownWhileOthersAreRead() {
        PendingSteps steps = new PendingSteps();
        steps.begin(PendingSteps.Kind.EDIT);
        steps.expect(open().written());
        steps.begin(PendingSteps.Kind.LOOK);
        steps.made(List.of(open()));
        assertThat(steps.latest()).isPresent();
        steps.end(PendingSteps.Kind.EDIT);
        assertThat(steps.latest()).as("shown or failed, it is over").isEmpty();
        assertThat(steps.now(desk.shots().get(2))).as("but what was read before it may still come in").isSameAs(open());
        steps.end(PendingSteps.Kind.LOOK);
    }

    /** Shots whose import began before the shelf was filled know it all the same. */
    @Test
    void shotsThatComeInWhileTheShelfChangesKnowIt() {
        List<ShotSummary> known = List.copyOf(desk.shots());
        desk.onShelf().add(ShelfKind.SITE, "Basalt Room", Entries.NONE.with(ShelfField.ALTITUDE, "320"), item -> {});
        until(() -> desk.editDepthProperty().get().undoable() == 1);
        desk.shots().clear();
        desk.added(known);
        until(() -> desk.shots().stream().allMatch(shot -> shot.record().has(RecordField.ALTITUDE)));
        assertThat(desk.shots()).hasSize(3);
    }

    @Test
    void refusedAndUnchangedEntriesStoreNothing() {
        assertThatThrownBy(() -> desk.enter(RecordField.DOSE, "heavy")).isInstanceOf(RefusedEntry.class);
        assertThat(desk.enter(RecordField.DOSE, " 18,1 ")).as("it is 18.1 already").isFalse();
        assertThat(desk.editDepthProperty().get().undoable()).isZero();
    }

    @Test
    void whatCannotBeStoredIsSaidAndNotShown() {
        Jdbi.create("jdbc:sqlite:" + folder.resolve("library.sqlite"))
                .useHandle(h -> h.execute(
                        "CREATE TRIGGER full BEFORE INSERT ON history BEGIN SELECT RAISE(ABORT, 'disk full'); END"));
        desk.enter(RecordField.DOSE, "17.5");
        until(() -> desk.noticeProperty().get() != null);
        assertThat(desk.noticeProperty().get().kind()).isEqualTo(Notice.Kind.FAILED);
        assertThat(desk.noticeProperty().get().text()).contains("could not be written").contains("disk full");
        assertThat(open().record().number(RecordField.DOSE)).hasValue(18.1);
        assertThat(desk.latestRecord()).as("the lost edit is forgotten").isEqualTo(open().record());
    }

    @Test
    void undoAndRedoLeadToTheShotTheyChange() {
        desk.enter(RecordField.NOTE, "choked a little");
        until(() -> desk.editDepthProperty().get().undoable() == 1);
        desk.select(desk.shots().get(0).id());
        until(() -> open().number() == 1);
        desk.undo();
        until(() -> open().number() == 3);
        assertThat(open().record().text(RecordField.NOTE)).isEmpty();
        assertThat(desk.shots().get(2).record()).as("the list follows").isEqualTo(open().record());
        desk.select(desk.shots().get(1).id());
        until(() -> open().number() == 2);
        desk.redo();
        until(() -> open().number() == 3);
        assertThat(open().record().text(RecordField.NOTE)).hasValue("choked a little");
        assertThat(desk.editDepthProperty().get().redoable()).isZero();
    }

    @Test
    void theLastShotAskedForIsTheOneThatOpens() {
        List<ShotSummary> shots = List.copyOf(desk.shots());
        desk.select(shots.get(0).id());
        desk.select(shots.get(1).id());
        until(() -> open().number() != 3);
        assertThat(open().number()).isEqualTo(2);
    }

    /** A step that was made while its shot was read, but is shown after another was asked for, calls nobody back. */
    @Test
    void aReaderWhoHasGoneOnIsNotCalledBack() throws InterruptedException {
        desk.enter(RecordField.DOSE, "17.5");
        goOnBeforeItIsShown(1);
        assertThat(desk.shots().get(2).record().number(RecordField.DOSE)).hasValue(17.5);
        desk.undo();
        goOnBeforeItIsShown(2);
        assertThat(desk.shots().get(2).record().number(RecordField.DOSE)).hasValue(18.1);
    }

    /** Asks for that shot when what a step did is about to be shown. */
    private void goOnBeforeItIsShown(int number) throws InterruptedException {
        Runnable showing = onInterface.poll(30, TimeUnit.SECONDS);
        desk.select(desk.shots().get(number - 1).id());
        showing.run();
        until(() -> open().number() == number);
    }

    /** Two windows on one library: what the other does is taken in, and what this one did is still its to undo. */
    @Test
    void whatAnotherWindowDoesIsTakenIn() {
        desk.enter(RecordField.NOTE, "mine");
        until(() -> open().record().text(RecordField.NOTE).isPresent());
        try (OpenLibrary other = OpenLibrary.open(desk.path())) {
            ShotSummary same = Stored.shots(other.library()).get(open().number() - 1);
            other.library()
                    .write(tx -> tx.journal()
                            .make(same.id(), RecordEdit.of(same.written(), RecordField.DOSE, "17.25")));
            other.library().write(tx -> tx.shots().add("fourth", new byte[] {4}, DemoStudy.shots().get(3).shot()));
        }
        desk.lookElsewhere();
        until(() -> desk.shots().size() == 4 && open().record().number(RecordField.DOSE).orElse(0) == 17.25);
        assertThat(desk.noticeProperty().get().text()).contains("Another window");
        desk.undo();
        until(() -> open().record().text(RecordField.NOTE).isEmpty());
        assertThat(open().record().number(RecordField.DOSE)).as("the other's step stays").hasValue(17.25);
    }
}
