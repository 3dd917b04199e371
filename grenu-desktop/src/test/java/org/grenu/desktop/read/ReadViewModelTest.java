package org.grenu.desktop.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.grenu.library.Stored;
import java.util.List;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotTimes;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.figures.read.AxisRange;
import org.grenu.figures.read.ReadOptions;
import org.grenu.figures.read.Strip;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Reading a shot without a window: axis, hairline, borders, notes and ghost. */
class ReadViewModelTest extends DeskFixture {

    private ReadViewModel read;

    @Override
    protected int shots() {
        return 5;
    }

    @BeforeEach
    void readShotFive() {
        read = new ReadViewModel(desk);
        open(5);
    }

    private OpenShot shot() {
        return desk.openProperty().get();
    }

    private ShotTimes times() {
        return shot().measures().curve().times();
    }

    private Strip strip(Channel channel) {
        return read.figureProperty()
                .get()
                .strips()
                .stream()
                .filter(s -> s.channel() == channel)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void zoomAndHairlineStayWithinTheLogAndSurviveAnEdit() {
        AxisRange whole = read.figureProperty().get().whole();
        read.moveCursor(1e6);
        assertThat(read.cursorProperty().get()).isEqualTo(whole.to());
        read.zoomAtCursor(4);
        assertThat(read.viewProperty().get().to()).isCloseTo(whole.to(), within(1e-9));
        read.pan(50);
        assertThat(read.viewProperty().get().to()).isCloseTo(whole.to(), within(1e-9));
        read.moveCursor(-12);
        AxisRange zoomed = read.viewProperty().get();
        assertThat(read.cursorProperty().get()).as("the view goes along with the hairline")
                .isBetween(zoomed.from(), zoomed.to());
        desk.enter(RecordField.DOSE, "17");
        until(() -> open().record().number(RecordField.DOSE).orElse(0) == 17);
        assertThat(read.viewProperty().get()).as("an edit does not move the view").isEqualTo(zoomed);
        open(1);
        assertThat(read.viewProperty().get()).as("another shot starts whole")
                .isEqualTo(read.figureProperty().get().whole());
        assertThat(read.title()).isEqualTo("Shot 1");
        assertThat(read.recipe()).isEqualTo("Lot Heron 14 · Straight nine · grind 2.4 · 93 °C · 09:04 · simulated");
        read.cursorProperty().set(Double.NaN);
        assertThat(read.reading(read.figureProperty().get().strips().get(0))).isEmpty();
    }

    /** Whatever the strips run along, the hairline stands at the same moment of the shot. */
    @ParameterizedTest
    @EnumSource(AxisKind.class)
    void theHairlineKeepsItsMoment(AxisKind kind) {
        double moment = times().firstDrip().orElseThrow().seconds() + 9.4;
        read.showAt(moment);
        double pressure = strip(Channel.PRESSURE).curve().at(read.cursorProperty().get());
        read.chooseAxis(kind);
        double at = read.cursorProperty().get();
        assertThat(read.figureProperty().get().axis().seconds(at)).isCloseTo(moment, within(0.1));
        assertThat(strip(Channel.PRESSURE).curve().at(at)).isCloseTo(pressure, within(0.05));
        assertThat(read.place()).endsWith(kind == AxisKind.CUP_MASS ? " g" : " s");
    }

    @Test
    void theHairlineLeavesWhereTheAxisDoesNotReach() {
        read.showAt(times().firstDrip().orElseThrow().seconds() - 3);
        read.chooseAxis(AxisKind.CUP_MASS);
        assertThat(read.cursorProperty().get()).as("there was nothing in the cup yet").isNaN();
    }

    @Test
    void stripsComeInTheChosenOrderAndNeverGoAltogether() {
        read.chooseStrips(List.of(Channel.RESISTANCE, Channel.CUP_MASS, Channel.PRESSURE));
        assertThat(read.figureProperty().get().strips()).extracting(Strip::channel)
                .containsExactly(Channel.RESISTANCE, Channel.CUP_MASS, Channel.PRESSURE);
        read.chooseStrips(List.of());
        assertThat(read.figureProperty().get().strips()).hasSize(3);
        until(() -> Stored.settings(desk.library()).containsKey("read_strips"));
        restart();
        ReadOptions chosen = read.options();
        until(() -> desk.settingsProperty().get().options().equals(chosen));
    }

    @Test
    void readingsCarryTheirDoubtWhereItIsKnown() {
        read.showAt(times().firstDrip().orElseThrow().seconds() + 12);
        assertThat(read.reading(strip(Channel.CUP_MASS))).matches("\\d+\\.\\d");
        assertThat(read.readingDoubt(strip(Channel.CUP_FLOW))).matches("±0\\.\\d\\d");
        read.cursorProperty().set(1e9);
        assertThat(read.reading(strip(Channel.CUP_MASS))).isEmpty();
    }

    @Test
    void theGhostIsHeldBehindOthersButNotBehindItself() {
        read.switchGhost();
        assertThat(read.ghostTitle()).isEqualTo("Ghost: shot 5");
        assertThat(strip(Channel.PRESSURE).ghost()).as("its own curve is no ghost").isEmpty();
        open(3);
        assertThat(strip(Channel.PRESSURE).ghost()).isPresent();
        read.switchGhost();
        assertThat(read.ghostTitle()).as("now this one is held").isEqualTo("Ghost: shot 3");
        read.switchGhost();
        assertThat(read.ghostTitle()).isEmpty();
        open(1);
        assertThat(strip(Channel.PRESSURE).ghost()).isEmpty();
    }

    @Test
    void bordersStayInTheirOrderAndComeBack() {
        List<Double> found = read.borders();
        int middle = 2;
        read.moveBorder(middle, found.get(middle + 1) + 50);
        until(() -> read.phasesEdited());
        assertThat(read.borders().get(middle)).as("not past its neighbour")
                .isCloseTo(found.get(middle + 1) - 0.1, within(0.011));
        assertThat(read.processing()).isEqualTo("phases: set by hand");
        read.moveBorder(middle, found.get(middle - 1) - 50);
        until(() -> Math.abs(read.borders().get(middle) - found.get(middle - 1) - 0.1) < 0.011);
        desk.undo();
        until(() -> read.borders().get(middle) > found.get(middle));
        read.findPhases();
        until(() -> !read.phasesEdited());
        assertThat(read.borders()).isEqualTo(found);
        assertThat(read.borderNear(found.get(middle) + 0.2, 0.5)).contains(middle);
        assertThat(read.borderNear(found.get(0), 0.05)).as("pump on is not a border to drag").isEmpty();
    }

    @Test
    void aPhaseTellsWhatHappenedDuringIt() {
        double main = shot().phases().get(shot().phases().size() - 2).seconds();
        read.showAt(main);
        String words = read.phaseAt(read.cursorProperty().get() + 1);
        assertThat(words).containsPattern("^(Main|Taper), \\d+\\.\\d s")
                .contains("Pressure: mean ", " bar, slope ")
                .doesNotContain("NaN");
        assertThat(read.phaseAt(-30)).isEmpty();
    }

    @Test
    void notesAreKeptInOrderAndSemicolonsDoNotTearThem() {
        read.showAt(20);
        read.addNote("streak; left");
        read.showAt(24.04);
        read.addNote("  paler ");
        read.addNote("   ");
        until(() -> open().record().momentNotes().size() == 2);
        assertThat(open().record().momentNotes()).extracting(note -> note.seconds() + " " + note.words())
                .containsExactly("20.0 streak, left", "24.0 paler");
        read.cursorProperty().set(Double.NaN);
        read.addNote("nowhere");
        assertThat(desk.latestRecord().momentNotes()).hasSize(2);
    }
}
