package org.grenu.desktop.plan;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.grenu.app.advice.LadderLine;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.desk.Workspace;
import org.junit.jupiter.api.Test;

/** The demo's dial-in of Lot Siskin 3: a mistake in it, an ageing bag, and what the schools say. */
class PlanTest extends BenchFixture {

    private void plan() {
        openShot(49);
        interact(() -> bench.workspace().set(Workspace.PLAN));
        until("the coffee is dialled in", () -> bench.plan().dialIn().answeredProperty().get() != null
                && lookup("#ladder").tryQuery().isPresent());
    }

    private LadderLine line(int shot) {
        return bench.plan()
                .dialIn()
                .answeredProperty()
                .get()
                .lines()
                .stream()
                .filter(line -> line.rung().shot().name().equals(Integer.toString(shot)))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theLadderNamesTheMistakeAndWhatGrewOlder() {
        plan();
        assertThat(bench.plan().dialIn().coffeeProperty().get()).isEqualTo("Lot Siskin 3");
        assertThat(line(42).rung().step()).isEqualTo(Step.SEVERAL_THINGS);
        assertThat(line(42).changed()).isEqualTo("finer by 2, hotter by 1 and 1 g less in the cup");
        assertThat(line(42).follows()).isEqualTo("cause unclear");
        assertThat(line(41).changed()).isEqualTo("finer by 1");
        assertThat(line(44).verdict()).isEqualTo("repeat");
        assertThat(line(46).changed()).isEqualTo("7 d older");
        assertThat(text("plan-brief")).startsWith("Doubts: cause unclear in ");
        assertThat(text("plan-doubts")).contains("42 (grind, temperature, beverage mass)");
    }

    /**
     * The cup was sour: each school's levers stand with what this log knows of them, and a blind test of both is kept.
     */
    @Test
    void schoolsStandSideBySideAndBecomeATest() {
        plan();
        assertThat(lookup("#schools-answer .heading").queryLabeled().getText()).startsWith("Shot 49 was sour.");
        interact(() -> lookup("#use-temperature-down").queryButton().fire());
        assertThat(field("pulled-temperature-c").getText()).isEqualTo("92");
        interact(() -> lookup("#test-both").queryButton().fire());
        until("the study is kept", () -> bench.desk()
                .shelfProperty()
                .get()
                .of(ShelfKind.STUDY)
                .stream()
                .anyMatch(item -> item.name().equals("Two schools on sourness, Lot Siskin 3")));
        ShelfItem study = bench.desk()
                .shelfProperty()
                .get()
                .find(ShelfKind.STUDY, "Two schools on sourness, Lot Siskin 3")
                .orElseThrow();
        assertThat(study.entries().rows(ShelfField.ARMS)).hasSize(2);
    }

    @Test
    void theTargetIsEditedWhereItStandsAndChangesTheAdvice() {
        plan();
        String before = text("plan-next");
        enter("target-aim-time-from-s", "20");
        enter("target-aim-time-to-s", "18");
        until("it is no window", () -> text("target-source").contains("not used: the window of time, which needs two "
                + "ends, the smaller first"));
        enter("target-aim-time-to-s", "24");
        until("it is aimed at", () -> bench.plan()
                .dialIn()
                .answeredProperty()
                .get()
                .target()
                .aim()
                .time()
                .high() == 24);
        until("another shot is next", () -> !text("plan-next").equals(before));
        enter("target-aim-tastes", "sour 0–3");
        until("a taste is wanted too", () -> bench.plan()
                .dialIn()
                .answeredProperty()
                .get()
                .words()
                .orElseThrow()
                .wanted()
                .contains("sourness 0–3"));
        assertThat(field("target-aim-tastes").getText()).isEqualTo("sourness 0–3");
        interact(() -> lookup("#target-version").queryButton().fire());
        until("there are two versions", () -> bench.plan().target().recipe().orElseThrow().versions().size() == 2);
        assertThat(
                bench.plan().target().recipe().orElseThrow().versions().get(0).entries().number(ShelfField.AIM_TIME_TO))
                .hasValue(24);
    }

    /** A new rung takes the set-up of the one before and what is typed; Ctrl Z takes it back. */
    @Test
    void aRungIsWrittenDownAndTakenBack() {
        plan();
        enter("pulled-beverage-g", "39.5");
        until("it is there", () -> bench.desk().shots().size() == 50);
        assertThat(bench.desk().shots().get(49).written().text(RecordField.BAG)).hasValue("Siskin 3 bag B");
        assertThat(bench.desk().shots().get(49).written().has(RecordField.PUMP_OFF)).isFalse();
        interact(() -> lookup("#ladder").query().requestFocus());
        push(KeyCode.CONTROL, KeyCode.Z);
        until("it is gone", () -> bench.desk().shots().size() == 49);
    }
}
