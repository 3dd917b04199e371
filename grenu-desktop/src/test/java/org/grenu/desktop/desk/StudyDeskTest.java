package org.grenu.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.study.RefusedEntry;
import org.grenu.core.study.SheetField;
import org.grenu.desktop.read.ReadViewModel;
import org.grenu.figures.read.AxisRange;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;
import org.jdbi.v3.core.Jdbi;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The desk and the reading of a shot without any window: this test's thread stands in for the interface thread. */
class StudyDeskTest {

    @TempDir
    private Path folder;
    private final LinkedBlockingQueue<Runnable> onInterface = new LinkedBlockingQueue<>();
    private StudyDesk desk;

    @BeforeEach
    void fill() throws InterruptedException {
        Library library = Library.open(folder.resolve("library.sqlite"));
        DemoStudy.shots().stream().limit(3).forEach(demo -> library.add(demo.name(), new byte[] {1}, demo.shot()));
        desk = new StudyDesk(library, onInterface::add);
        desk.load(library.summaries());
        until(() -> desk.openProperty().get() != null);
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private void until(BooleanSupplier condition) throws InterruptedException {
        while (!condition.getAsBoolean()) {
            Runnable next = onInterface.poll(30, TimeUnit.SECONDS);
            assertThat(next).as("something more happens").isNotNull();
            next.run();
        }
    }

    private ShotSummary open() {
        return desk.openProperty().get().summary();
    }

    @Test
    void theNewestShotIsOpenAtFirst() {
        assertThat(open().number()).isEqualTo(3);
        assertThat(desk.loadedProperty().get()).isTrue();
        assertThat(ShotOrder.newestFirst(desk.shots())).extracting(ShotSummary::number).containsExactly(3, 2, 1);
    }

    @Test
    void editsInQuickSuccessionAllTakeEffectInTheirOrder() throws InterruptedException {
        desk.enter(SheetField.READINGS, "9.1");
        assertThat(desk.latestSheet().numbers(SheetField.READINGS)).as("the next edit starts from here").containsExactly(9.1);
        assertThat(open().sheet().numbers(SheetField.READINGS)).as("but it is not shown before it is stored").hasSize(3);
        desk.enter(SheetField.READINGS, "9.1; 9.2");
        desk.enter(SheetField.DOSE, "17.5");
        until(() -> desk.editDepthProperty().get().undoable() == 3);
        assertThat(open().sheet().numbers(SheetField.READINGS)).containsExactly(9.1, 9.2);
        assertThat(open().sheet().number(SheetField.DOSE)).hasValue(17.5);
        assertThat(desk.noticeProperty().get()).isNull();
        assertThat(desk.storedProperty().get()).startsWith("Stored ");
    }

    @Test
    void refusedAndUnchangedEntriesStoreNothing() {
        assertThatThrownBy(() -> desk.enter(SheetField.DOSE, "heavy")).isInstanceOf(RefusedEntry.class);
        assertThat(desk.enter(SheetField.DOSE, " 18,1 ")).as("it is 18.1 already").isFalse();
        assertThat(desk.editDepthProperty().get().undoable()).isZero();
    }

    @Test
    void whatCannotBeStoredIsSaidAndNotShown() throws InterruptedException {
        Jdbi.create("jdbc:sqlite:" + folder.resolve("library.sqlite")).useHandle(h -> h.execute(
                "CREATE TRIGGER full BEFORE INSERT ON edit BEGIN SELECT RAISE(ABORT, 'disk full'); END"));
        desk.enter(SheetField.DOSE, "17.5");
        until(() -> desk.noticeProperty().get() != null);
        assertThat(desk.noticeProperty().get().kind()).isEqualTo(Notice.Kind.FAILED);
        assertThat(desk.noticeProperty().get().text()).contains("could not store an edit").contains("disk full");
        assertThat(open().sheet().number(SheetField.DOSE)).hasValue(18.1);
        assertThat(desk.latestSheet()).as("the lost edit is forgotten").isEqualTo(open().sheet());
    }

    @Test
    void undoAndRedoLeadToTheShotTheyChange() throws InterruptedException {
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
    void theLastShotAskedForIsTheOneThatOpens() throws InterruptedException {
        List<ShotSummary> shots = List.copyOf(desk.shots());
        desk.select(shots.get(0).id());
        desk.select(shots.get(1).id());
        until(() -> open().number() != 3);
        assertThat(open().number()).isEqualTo(2);
    }

    @Test
    void zoomAndHairlineStayWithinTheLogAndSurviveAnEdit() throws InterruptedException {
        ReadViewModel read = new ReadViewModel(desk);
        AxisRange whole = read.figureProperty().get().whole();
        read.moveCursor(1e6);
        assertThat(read.cursorProperty().get()).isEqualTo(whole.to());
        read.zoomAtCursor(4);
        assertThat(read.viewProperty().get().to()).isCloseTo(whole.to(), within(1e-9));
        read.pan(50);
        assertThat(read.viewProperty().get().to()).isCloseTo(whole.to(), within(1e-9));
        read.moveCursor(-12);
        AxisRange zoomed = read.viewProperty().get();
        assertThat(read.cursorProperty().get()).as("the view goes along with the hairline").isBetween(zoomed.from(), zoomed.to());
        desk.enter(SheetField.DOSE, "17");
        until(() -> open().sheet().number(SheetField.DOSE).orElse(0) == 17);
        assertThat(read.viewProperty().get()).as("an edit does not move the view").isEqualTo(zoomed);
        desk.select(desk.shots().get(0).id());
        until(() -> open().number() == 1);
        assertThat(read.viewProperty().get()).as("another shot starts whole").isEqualTo(read.figureProperty().get().whole());
        assertThat(read.title()).isEqualTo("Shot 1");
        assertThat(read.recipe()).isEqualTo("Lot Heron 14 · Straight nine · grind 2.4 · 93 °C · 09:04 · simulated");
        read.cursorProperty().set(Double.NaN);
        assertThat(read.reading(read.figureProperty().get().strips().get(0))).isEmpty();
    }
}
