package org.grenu.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.puck.DemoStudy.DemoShot;
import org.grenu.core.study.Factor;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;
import org.junit.jupiter.api.Test;

/** The analysis sees in the demo study's logs what the simulator put there. */
class DemoStudyTest {

    private static final List<DemoShot> SHOTS = DemoStudy.shots();

    @Test
    void holdsTheDesignItPromises() {
        assertThat(SHOTS).hasSizeGreaterThanOrEqualTo(14).allMatch(shot -> shot.shot().sheet().flag(SheetField.SIMULATED));
        assertThat(levels(Factor.PROFILE)).hasSize(2);
        assertThat(levels(Factor.GRIND)).hasSizeGreaterThanOrEqualTo(3);
        assertThat(levels(Factor.TEMPERATURE)).hasSize(2);
        assertThat(levels(Factor.COFFEE)).containsExactly("Lot Heron 14");
        assertThat(levels(Factor.DAY)).hasSize(2);
    }

    private static Set<String> levels(Factor factor) {
        Set<String> levels = new HashSet<>();
        SHOTS.forEach(shot -> factor.level(shot.shot().sheet()).ifPresent(levels::add));
        return levels;
    }

    @Test
    void truthIsRecoveredFromTheLogs() {
        for (DemoShot shot : SHOTS) {
            ShotMeasures found = ShotMeasures.of(shot.shot());
            assertThat(found.curve().beverage().orElseThrow().value()).as(shot.name()).isCloseTo(shot.truth().beverageGrams(), within(0.2));
            assertThat(found.curve().times().pumpOff().orElseThrow().seconds()).isCloseTo(shot.truth().pumpOffSeconds(), within(0.4));
            found.masses().strength().ifPresent(c -> assertThat(c.value()).isCloseTo(shot.truth().strengthPercent(), within(c.expanded() + 0.02)));
            if (!Double.isNaN(shot.truth().firstDripSeconds())) {
                // The simulated drip starts as a trickle far below what a 0.1 g display can show.
                assertThat(found.curve().times().firstDrip().orElseThrow().seconds() - shot.truth().firstDripSeconds()).isBetween(-0.2, 1.1);
            }
        }
    }

    @Test
    void flawsAreFoundWhereTheyArePlantedAndNowhereElse() {
        assertThat(repaired(RepairKind.SCALE_KNOCK)).containsExactly("heron-05");
        assertThat(repaired(RepairKind.TARE_OFFSET)).containsExactly("heron-16");
        assertThat(repaired(RepairKind.TIME_ORDER)).isEmpty();
        assertThat(saying("no_drip")).containsExactly("heron-06");
        assertThat(saying("fast_flow")).containsExactly("heron-13");
        assertThat(saying("yield_below_window")).containsExactly("heron-13");
        assertThat(saying("beverage_disagrees")).isEmpty();
        assertThat(saying("log_cut_off")).isEmpty();
    }

    private static List<String> repaired(RepairKind kind) {
        return SHOTS.stream().filter(shot -> ShotMeasures.of(shot.shot()).curve().repaired().repairs().stream()
                .anyMatch(repair -> repair.kind() == kind)).map(DemoShot::name).toList();
    }

    private static List<String> saying(String rule) {
        return SHOTS.stream().filter(shot -> Diagnosis.of(shot.shot().sheet(), ShotMeasures.of(shot.shot())).stream()
                .anyMatch(finding -> finding.rule().equals(rule))).map(DemoShot::name).toList();
    }

    @Test
    void theReadingsSpeakForThemselves() {
        DemoShot clean = SHOTS.get(0);
        ShotSheet sheet = clean.shot().sheet();
        assertThat(rules(clean, sheet.with(SheetField.ZERO, ""))).contains("zero_check_missing");
        assertThat(rules(clean, sheet.with(SheetField.ZERO, "-0.08"))).contains("zero_check_large");
        assertThat(rules(clean, sheet.with(SheetField.ZERO, "0.05"))).doesNotContain("zero_check_large");
        assertThat(rules(clean, sheet.with(SheetField.READINGS, "8.8"))).contains("few_readings");
        assertThat(rules(clean, sheet.with(SheetField.READINGS, "8.80 8.81 8.79 8.80 9.30"))).contains("reading_outlier");
        assertThat(rules(clean, sheet.with(SheetField.READINGS, "8.80 8.88 8.95 9.04"))).contains("reading_drift");
        assertThat(rules(clean, sheet.with(SheetField.BEVERAGE, "42"))).contains("beverage_disagrees");
        assertThat(rules(clean, sheet.with(SheetField.READINGS, ""))).isEmpty();
    }

    private static List<String> rules(DemoShot shot, ShotSheet sheet) {
        return Diagnosis.of(sheet, ShotMeasures.of(shot.shot().with(sheet))).stream().map(Finding::rule).toList();
    }
}
