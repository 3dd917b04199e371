package org.grenu.formats.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.demo.DemoStudy.DemoShot;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.record.Factor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.rig.LogFlaw;
import org.junit.jupiter.api.Test;

/** The analysis sees in the demo study's logs what the simulator put there. */
class DemoStudyTest {

    private static final List<DemoShot> SHOTS = DemoStudy.shots();

    @Test
    void holdsTheDesignItPromises() {
        assertThat(SHOTS).hasSize(49).allMatch(shot -> shot.shot().record().flag(RecordField.SIMULATED));
        assertThat(levels(RecordFactor.PROFILE)).hasSize(4);
        assertThat(levels(RecordFactor.GRIND)).hasSizeGreaterThanOrEqualTo(3);
        assertThat(levels(RecordFactor.TEMPERATURE)).hasSize(3);
        assertThat(levels(RecordFactor.COFFEE)).containsExactlyInAnyOrder("Lot Heron 14", "Lot Siskin 3");
        assertThat(SHOTS).filteredOn(shot -> shot.name().startsWith("siskin"))
                .extracting(shot -> shot.shot().record().ageDays().orElseThrow())
                .containsOnly(6.0, 13.0, 20.0, 34.0, 8.0, 15.0, 22.0);
        assertThat(SHOTS.stream().flatMap(shot -> shot.truth().flaws().stream())).as("every kind of flaw")
                .contains(LogFlaw.values());
    }

    private static Set<String> levels(Factor factor) {
        Set<String> levels = new HashSet<>();
        SHOTS.forEach(shot -> factor.level(shot.shot().record()).ifPresent(levels::add));
        return levels;
    }

    @Test
    void truthIsRecoveredFromTheLogs() {
        for (DemoShot shot : SHOTS) {
            ShotMeasures found = ShotMeasures.of(shot.shot());
            boolean open = shot.truth().flaws().contains(LogFlaw.SCALE_TIMED_OUT);
            assertThat(found.curve().beverage()).as(shot.name())
                    .matches(mass -> open ? mass.isEmpty()
                            : Math.abs(mass.orElseThrow().value() - shot.truth().beverageGrams()) < 0.2);
            assertThat(found.curve().times().pumpOff().orElseThrow().seconds()).as(shot.name())
                    .isCloseTo(shot.truth().pumpOffSeconds(), within(0.4));
            found.masses()
                    .strength()
                    .ifPresent(c -> assertThat(c.value()).isCloseTo(shot.truth().strengthPercent(),
                            within(c.expanded() + 0.02)));
            if (!Double.isNaN(shot.truth().firstDripSeconds())) {
                assertThat(found.curve().times().firstDrip().orElseThrow().seconds()).as(shot.name())
                        .isCloseTo(shot.truth().firstDripSeconds(), within(0.6));
            }
        }
    }

    /** Each flaw is found in the shots that have it, by the repair that is made for it, and in no others. */
    @Test
    void flawsAreFoundWhereTheyArePlantedAndNowhereElse() {
        for (DemoShot shot : SHOTS) {
            List<RepairKind> planted = shot.truth().flaws().stream().map(LogFlaw::repairedBy).toList();
            assertThat(ShotMeasures.of(shot.shot()).curve().repaired().repairs()).as(shot.name())
                    .extracting(Repair::kind)
                    .containsExactlyElementsOf(planted);
        }
        assertThat(saying("no_drip")).containsExactly("heron-06");
        assertThat(saying("fast_flow")).contains("heron-13");
        assertThat(saying("beverage_disagrees")).isEmpty();
        assertThat(saying("log_cut_off")).isEmpty();
    }

    private static List<String> saying(String rule) {
        return SHOTS.stream()
                .filter(shot -> ShippedPacks.findings(shot.shot().record(), ShotMeasures.of(shot.shot()))
                        .stream()
                        .anyMatch(finding -> finding.rule().equals(rule)))
                .map(DemoShot::name)
                .toList();
    }

    @Test
    void theReadingsSpeakForThemselves() {
        DemoShot clean = SHOTS.get(0);
        ShotRecord record = clean.shot().record();
        assertThat(rules(clean, record.with(RecordField.ZERO, ""))).contains("zero_check_missing");
        assertThat(rules(clean, record.with(RecordField.ZERO, "-0.08"))).contains("zero_check_large");
        assertThat(rules(clean, record.with(RecordField.ZERO, "0.05"))).doesNotContain("zero_check_large");
        assertThat(rules(clean, record.with(RecordField.READINGS, "8.8"))).contains("few_readings");
        assertThat(rules(clean, record.with(RecordField.READINGS, "8.80 8.81 8.79 8.80 9.30")))
                .contains("reading_outlier");
        assertThat(rules(clean, record.with(RecordField.READINGS, "8.80 8.88 8.95 9.04"))).contains("reading_drift");
        assertThat(rules(clean, record.with(RecordField.BEVERAGE, "42"))).contains("beverage_disagrees");
        assertThat(rules(clean, record.with(RecordField.READINGS, "").with(RecordField.BEVERAGE_TARGET, ""))).isEmpty();
    }

    private static List<String> rules(DemoShot shot, ShotRecord record) {
        return ShippedPacks.findings(record, ShotMeasures.of(shot.shot().with(record)))
                .stream()
                .map(Finding::rule)
                .toList();
    }
}
