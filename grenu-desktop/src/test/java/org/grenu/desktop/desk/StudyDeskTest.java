package org.grenu.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.grenu.app.study.ShotOrder;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.study.SheetField;
import org.grenu.library.ShotSummary;
import org.jdbi.v3.core.Jdbi;
import org.grenu.app.OpenLibrary;
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.study.SheetEdit;
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
        desk.enter(SheetField.READINGS, "9.1");
        assertThat(desk.latestSheet().numbers(SheetField.READINGS)).as("the next edit starts from here")
                .containsExactly(9.1);
        assertThat(open().sheet().numbers(SheetField.READINGS)).as("but it is not shown before it is stored")
                .hasSize(3);
        desk.enter(SheetField.READINGS, "9.1; 9.2");
        desk.enter(SheetField.DOSE, "17.5");
        until(() -> desk.editDepthProperty().get().undoable() == 3);
        assertThat(open().sheet().numbers(SheetField.READINGS)).containsExactly(9.1, 9.2);
        assertThat(open().sheet().number(SheetField.DOSE)).hasValue(17.5);
        assertThat(desk.noticeProperty().get()).isNull();
        assertThat(desk.storedProperty().get()).startsWith("Stored ");
    }

    /**
     * A change of the shelf tells something new of every shot, but takes nothing back that was just entered or
     * binned.
     */
    @Test
    void aChangeOfTheShelfKeepsWhatWasJustEntered() {
        desk.enter(SheetField.DOSE, "17.5");
        desk.bin(List.of(desk.shots().get(0)));
        desk.onShelf().add(ShelfKind.SITE, "Basalt Room", Entries.NONE.with(ShelfField.ALTITUDE, "320"), item -> {});
        until(() -> desk.editDepthProperty().get().undoable() == 3);
        assertThat(open().sheet().number(SheetField.DOSE)).hasValue(17.5);
        assertThat(desk.shots()).hasSize(2)
                .allSatisfy(shot -> assertThat(shot.sheet().number(SheetField.ALTITUDE)).hasValue(320));
        assertThat(desk.shots().get(1).sheet()).isEqualTo(open().sheet());
    }

    /** What is only read meanwhile does not keep an edit expected that is long shown. */
    @Test
    void theNextEditStartsFromWhatIsShownWhileOthersAreRead() {
        StepsUnderWay steps = new StepsUnderWay();
        steps.begin(StepsUnderWay.Kind.EDIT);
        steps.expect(open().recorded());
        steps.begin(StepsUnderWay.Kind.LOOK);
        steps.made(List.of(open()));
        assertThat(steps.latest()).isPresent();
        steps.end(StepsUnderWay.Kind.EDIT);
        assertThat(steps.latest()).as("shown or failed, it is over").isEmpty();
        assertThat(steps.now(desk.shots().get(2))).as("but what was read before it may still come in").isSameAs(open());
        steps.end(StepsUnderWay.Kind.LOOK);
    }

    /** Shots whose import began before the shelf was filled know it all the same. */
    @Test
    void shotsThatComeInWhileTheShelfChangesKnowIt() {
        List<ShotSummary> known = List.copyOf(desk.shots());
        desk.onShelf().add(ShelfKind.SITE, "Basalt Room", Entries.NONE.with(ShelfField.ALTITUDE, "320"), item -> {});
        until(() -> desk.editDepthProperty().get().undoable() == 1);
        desk.shots().clear();
        desk.added(known);
        until(() -> desk.shots().stream().allMatch(shot -> shot.sheet().has(SheetField.ALTITUDE)));
        assertThat(desk.shots()).hasSize(3);
    }

    @Test
    void refusedAndUnchangedEntriesStoreNothing() {
        assertThatThrownBy(() -> desk.enter(SheetField.DOSE, "heavy")).isInstanceOf(RefusedEntry.class);
        assertThat(desk.enter(SheetField.DOSE, " 18,1 ")).as("it is 18.1 already").isFalse();
        assertThat(desk.editDepthProperty().get().undoable()).isZero();
    }

    @Test
    void whatCannotBeStoredIsSaidAndNotShown() {
        Jdbi.create("jdbc:sqlite:" + folder.resolve("library.sqlite"))
                .useHandle(h -> h.execute(
                        "CREATE TRIGGER full BEFORE INSERT ON history BEGIN SELECT RAISE(ABORT, 'disk full'); END"));
        desk.enter(SheetField.DOSE, "17.5");
        until(() -> desk.noticeProperty().get() != null);
        assertThat(desk.noticeProperty().get().kind()).isEqualTo(Notice.Kind.FAILED);
        assertThat(desk.noticeProperty().get().text()).contains("could not store an edit").contains("disk full");
        assertThat(open().sheet().number(SheetField.DOSE)).hasValue(18.1);
        assertThat(desk.latestSheet()).as("the lost edit is forgotten").isEqualTo(open().sheet());
    }

    @Test
    void undoAndRedoLeadToTheShotTheyChange() {
        desk.enter(SheetField.NOTE, "choked a little");
        until(() -> desk.editDepthProperty().get().undoable() == 1);
        desk.select(desk.shots().get(0).id());
        until(() -> open().number() == 1);
        desk.undo();
        until(() -> open().number() == 3);
        assertThat(open().sheet().text(SheetField.NOTE)).isEmpty();
        assertThat(desk.shots().get(2).sheet()).as("the list follows").isEqualTo(open().sheet());
        desk.select(desk.shots().get(1).id());
        until(() -> open().number() == 2);
        desk.redo();
        until(() -> open().number() == 3);
        assertThat(open().sheet().text(SheetField.NOTE)).hasValue("choked a little");
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

    /** Two windows on one library: what the other does is taken in, and what this one did is still its to undo. */
    @Test
    void whatAnotherWindowDoesIsTakenIn() {
        desk.enter(SheetField.NOTE, "mine");
        until(() -> open().sheet().text(SheetField.NOTE).isPresent());
        try (OpenLibrary other = OpenLibrary.open(desk.path())) {
            ShotSummary same = other.library().summaries().get(open().number() - 1);
            other.library().apply(same.id(), SheetEdit.of(same.recorded(), SheetField.DOSE, "17.25"));
            other.library().add("fourth", new byte[] {4}, DemoStudy.shots().get(3).shot());
        }
        desk.lookElsewhere();
        until(() -> desk.shots().size() == 4 && open().sheet().number(SheetField.DOSE).orElse(0) == 17.25);
        assertThat(desk.noticeProperty().get().text()).contains("Another window");
        desk.undo();
        until(() -> open().sheet().text(SheetField.NOTE).isEmpty());
        assertThat(open().sheet().number(SheetField.DOSE)).as("the other's step stays").hasValue(17.25);
    }
}
