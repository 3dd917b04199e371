package org.grenu.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.SetUp;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.junit.jupiter.api.Test;

class LadderTest {

    private static final ShotRecord FIRST = ShotRecord.EMPTY.with(RecordField.COFFEE, "Lot Marl 7")
            .with(RecordField.GRINDER, "G-burr A")
            .with(RecordField.DOSE, "18.0")
            .with(RecordField.TEMPERATURE, "93")
            .with(RecordField.GRIND, "2.8");

    private static MeasuredShot shot(int minute, ShotRecord record) {
        Shot shot = new Shot(record.with(RecordField.PULLED_AT, "2026-05-21 10:" + (10 + minute)), ShotLog.NONE);
        return new MeasuredShot(Integer.toString(minute), shot.record(), ShotMeasures.of(shot));
    }

    private static MeasuredShot undated() {
        Shot shot = new Shot(FIRST, ShotLog.NONE);
        return new MeasuredShot("undated", FIRST, ShotMeasures.of(shot));
    }

    private static List<Rung> ladder(MeasuredShot... shots) {
        return Ladder.of(List.of(shots), StandardResponse.time(TimeConvention.PUMP_ON_TO_PUMP_OFF)).rungs();
    }

    @Test
    void eachRungSaysWhatWasChanged() {
        ShotRecord finer = FIRST.with(RecordField.GRIND, "2.7").with(RecordField.PURGE, "2");
        ShotRecord both = finer.with(RecordField.GRIND, "2.6")
                .with(RecordField.TEMPERATURE, "94")
                .with(RecordField.PURGE, "");
        List<Rung> rungs = ladder(shot(3, both), shot(1, FIRST), shot(2, finer),
                shot(4, both.with(RecordField.DOSE, "18.2")), shot(5, both.with(RecordField.DOSE, "19.0")));
        assertThat(rungs).extracting(Rung::step)
                .containsExactly(Step.FIRST, Step.ONE_THING, Step.SEVERAL_THINGS, Step.REPEAT, Step.ONE_THING);
        assertThat(rungs.get(1).changed()).containsExactly(new SetUp.Changed("grind", "Grind", "", "2.8", "2.7"));
        assertThat(rungs.get(2).changed()).extracting(SetUp.Changed::key)
                .containsExactlyInAnyOrder("grind", "temperature_c");
        assertThat(rungs).extracting(Rung::withoutPurge).containsExactly(false, false, true, false, false);
        assertThat(Ladder.of(List.of(shot(1, FIRST), undated()), StandardResponse.FIRST_DRIP).undated()).isEqualTo(1);
        assertThat(rungs.get(4).changed()).extracting(SetUp.Changed::key).containsExactly("dose_g");
    }

    /** A fault tells nothing, and what comes after it is held against what was before. */
    @Test
    void faultsStandApart() {
        ShotRecord fault = FIRST.with(RecordField.GRIND, "2.2").with(RecordField.FAULT_ON_PURPOSE, "yes");
        List<Rung> rungs = ladder(shot(1, FIRST), shot(2, fault), shot(3, FIRST));
        assertThat(rungs).extracting(Rung::step).containsExactly(Step.FIRST, Step.APART, Step.REPEAT);
    }

    @Test
    void theDialCountsFinerUpwards() {
        GrinderDial small = new GrinderDial(0.1, true);
        assertThat(small.finer(2.4) - small.finer(2.5)).isCloseTo(1, within(1e-9));
        assertThat(small.number(small.finer(2.5) + 1)).isEqualTo(2.4);
        GrinderDial large = new GrinderDial(5, false);
        assertThat(large.finer(30) - large.finer(25)).isEqualTo(1);
        assertThat(small.range(1, 4).finest()).isCloseTo(-10, within(1e-9));
    }

    /** The demo's study changed grind, profile and temperature by turns: the notch is told apart all the same. */
    @Test
    void profilesOfOtherNamesDoNotBlurTheNotch() {
        List<MeasuredShot> shots = DemoStudy.shots()
                .stream()
                .map(DemoStudy.DemoShot::shot)
                .map(shot -> new MeasuredShot("demo", shot.record(), ShotMeasures.of(shot)))
                .toList();
        GrinderDial dial = new GrinderDial(0.2, true);
        String coffee = shots.get(0).record().text(RecordField.COFFEE).orElseThrow();
        Advice advice = Advice.of(shots, coffee, new Advice.Asked(dial, Reach.of(dial.range(0, 6)),
                Aim.ofTime(new AimRange(27, 31)), StandardResponse.time(TimeConvention.PUMP_ON_TO_PUMP_OFF),
                List.of())).orElseThrow();
        assertThat(advice.beliefs().time().spread()).isBetween(0.01, 0.06);
        assertThat(advice.beliefs().time().slope(Slope.GRIND).location()).isBetween(0.08, 0.14);
        assertThat(advice.beliefs().time().slope(Slope.GRIND).excludesNought()).isTrue();
        assertThat(advice.shots()).hasSizeGreaterThan(20);
    }
}
