package org.grenu.formats.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.DoubleStream;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.diagnosis.Diagnosis;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.diagnosis.NextStep;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.RulePackError;
import org.grenu.core.diagnosis.SchoolMove;
import org.grenu.core.diagnosis.ShotContext;
import org.grenu.core.diagnosis.Siblings;
import org.grenu.core.diagnosis.StartEntry;
import org.grenu.core.diagnosis.StartRule;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.record.Masses;
import org.grenu.core.record.Plausibility;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RulePackTest {

    private static final Shot SHOT = DemoStudy.shots().get(0).shot();

    private static List<Finding> findings(ShotRecord record, ShotRecord before, RulePack... packs) {
        return Diagnosis.of(new ShotContext(record, ShotMeasures.of(SHOT.with(record)), Optional.ofNullable(before)),
                List.of(packs));
    }

    private static RulePack pack(String id) {
        return ShippedPacks.all().stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void shippedPacksHaveNamesOfTheirOwnAndReadBackFromTheirText() {
        Set<String> ids = new HashSet<>();
        for (RulePack pack : ShippedPacks.all()) {
            assertThat(ids.add(pack.id())).as(pack.id()).isTrue();
            assertThat(RulePack.parse(pack.text())).isEqualTo(pack);
            assertThat(pack.rules().size() + pack.starts().size()).as(pack.id()).isPositive();
        }
        assertThat(ShippedPacks.chosen()).extracting(RulePack::id)
                .containsExactly("common", "yield",
                        "basket_headspace");
    }

    /** One line a rule: what is entered, and which finding must come; without it, it must not. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "common | dose_target_g=17.5 | dose_off", "common | beverage_target_g=36 | beverage_off",
            "common | beverage_target_g=36 | overshoot",
            "common | basket_capacity_g=15 | basket_overfilled", "common | basket_capacity_g=22 | basket_underfilled",
            "common | temperature_c=98;altitude_m=2000 | above_boiling", "common | temperature_c=86 | temperature_off",
            "common | taste=sour and bitter | taste_both",
            "common | taste=sour;strength_readings_pct=9.9 | taste_sour_high",
            "common | taste=bitter;strength_readings_pct=7.4 | taste_bitter_low",
            "common | profile_steps=main: pressure 12 | pressure_not_reached",
            "common | profile_steps=soak: pressure 9 until 60 g or 20 s; main: pressure 9 | steps_ran_out",
            "common | grinder_finest=3;grinder_coarsest=9 | grind_off_scale",
            "common | machine_warm_up_min=30;switched_on_min=12 | not_warm",
            "time_20_25 | pump_off_s=40 | shot_late", "time_25_30 | pump_off_s=12 | shot_early",
            "time_fast | dose_g=18 | shot_late",
            "sour_under | taste=Sour. | sour_under",
            "bitter_dose | taste=ashy finish;coffee_roast_level=dark | bitter_dose",
            "rest_5_14 | roasted_on=2026-05-12 | too_fresh", "rest_5_14 | roasted_on=2026-04-01 | too_old",
            "pressure_4_6 | dose_g=18 | pressure_above_school", "pressure_profiled | dose_g=18 | no_soak",
            "temperature_perception | temperature_c=89 | cool_for_school",
            "temperature_extraction | temperature_c=96 | hot_for_school",
            "dose_strict | dose_target_g=17.8 | dose_off_strict",
            "time_by_roast | coffee_roast_level=light;pump_off_s=12 | light_early",
            "held_beverage | beverage_target_g=30 | beverage_missed",
            "levers_grind | tasting=sour 6 | off_taste_grind_first", "flavour_dose | tasting=thin | thin_wants_body",
    })
    void speaksWhenItShouldAndNamesItsSchool(String pack, String entries, String rule) {
        ShotRecord record = SHOT.record();
        for (String entry : entries.split(";(?=[a-z_]+=)")) {
            record = record.with(RecordField.find(entry.substring(0, entry.indexOf('='))).orElseThrow(),
                    entry.substring(entry.indexOf('=') + 1));
        }
        assertThat(findings(record, null, pack(pack))).filteredOn(f -> f.rule().equals(rule))
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.school()).isEqualTo(pack(pack).school());
                    assertThat(finding.statement() + finding.evidence() + finding.toTry()).doesNotContain("{")
                            .doesNotContain("unknown");
                    assertThat(finding.confidence()).isBetween(0.5, 1.0);
                });
    }

    @Test
    void aCleanShotOnTargetIsLeftInPeaceByCommonPractice() {
        assertThat(findings(
                SHOT.record()
                        .with(RecordField.BEVERAGE_TARGET, SHOT.record().entry(RecordField.BEVERAGE).orElseThrow()),
                null, pack("common")))
                .isEmpty();
    }

    @Test
    void aChangeOfGrindAsksForAPurge() {
        ShotRecord record = SHOT.record().with(RecordField.PURGE, "0");
        assertThat(findings(record, record.with(RecordField.GRIND, 2.6), pack("common"))).extracting(Finding::rule)
                .contains("no_purge");
        assertThat(findings(record, record, pack("common"))).extracting(Finding::rule).doesNotContain("no_purge");
        assertThat(
                findings(record, record.with(RecordField.GRIND, 2.6).with(RecordField.GRINDER, "G-burr B"),
                        pack("common")))
                .extracting(Finding::rule)
                .doesNotContain("no_purge");
    }

    @Test
    void lessThanTheGrinderKeepsIsNoWholePurge() {
        ShotRecord record = SHOT.record().with(RecordField.PURGE, "2").with(RecordField.RETENTION, "3");
        ShotRecord before = record.with(RecordField.GRIND, 2.6);
        assertThat(findings(record, before, pack("common"))).extracting(Finding::rule)
                .contains("purge_under_retention");
        assertThat(findings(record.with(RecordField.RETENTION, "1.5"), before, pack("common")))
                .extracting(Finding::rule)
                .doesNotContain("purge_under_retention", "no_purge");
    }

    /** What cannot be carried out is not advised; the finest may be the smaller or the larger number. */
    @ParameterizedTest
    @CsvSource({"2.4, 0.8, true", "0.8, 0.8, false", "0.8, 5, true", "5, 5, false", "6, 5, false"})
    void adviceEndsWhereTheGrindersScaleDoes(double grind, double finest, boolean possible) {
        ShotRecord record = SHOT.record()
                .with(RecordField.GRIND, grind)
                .with(RecordField.FINEST, finest)
                .with(RecordField.COARSEST, finest < 3 ? 9 : 0);
        NextStep advised = new NextStep("Grind one notch finer", "It was early.", "some school",
                NextStep.Rank.OF_A_SCHOOL).withinReach(record);
        assertThat(advised.change()).isEqualTo(possible ? "Grind one notch finer"
                : "Not by grinding: the grinder stands at its finest");
        if (!possible) {
            assertThat(advised.reason()).startsWith("It was early.").contains("What can still move: dose, ratio");
        }
    }

    /** Words are picked out of a note, not understood: the finding says which, and is not sure. */
    @Test
    void aTasteReadFromANoteIsSaidWithItsDoubt() {
        Finding sour = findings(SHOT.record().with(RecordField.TASTE, "sour, not bitter"), null, pack("sour_under"))
                .get(0);
        assertThat(sour.evidence()).endsWith("words picked out of the note, which may be misread: sour;"
                + " not counted, as negated: bitter");
        assertThat(sour.confidenceWords()).isEqualTo("likely");
    }

    /**
     * P(value > limit) for a normal error: at one and two standard uncertainties 84.13 % and 97.72 % (normal
     * tables).
     */
    @Test
    void confidenceFollowsFromTheNumbersUncertainty() {
        ShotRecord record = SHOT.record();
        double yield = ShotMeasures.of(SHOT).masses().brew().orElseThrow().asDosed().percent().value();
        double u = ShotMeasures.of(SHOT).masses().brew().orElseThrow().asDosed().percent().u();
        for (double[] at : new double[][] {{0, 0.5}, {1, 0.8413}, {2, 0.9772}}) {
            RulePack pack = RulePack.parse("pack own\ntitle Own\nrule high\nseverity note\nwhen yield_pct > "
                    + (yield - at[0] * u) + "\nsay It is {yield_pct} %.");
            assertThat(findings(record, null, pack)).singleElement().satisfies(f -> {
                assertThat(f.confidence()).isCloseTo(at[1], org.assertj.core.api.Assertions.within(2e-4));
                assertThat(f.statement()).matches("It is \\d\\d\\.\\d %\\.");
            });
        }
    }

    @Test
    void theNextStepIsTheGravestFindingsOrARepeat() {
        Masses masses = ShotMeasures.of(SHOT).masses();
        assertThat(NextStep.of(List.of(), masses, List.of(), Siblings.NONE).change()).isEqualTo("Repeat this recipe");
        List<Finding> late = findings(SHOT.record().with(RecordField.PUMP_OFF, "40"), null, pack("time_20_25"));
        assertThat(NextStep.of(late, masses, List.of(), Siblings.NONE)).satisfies(next -> {
            assertThat(next.change()).isEqualTo("Grind one notch coarser");
            assertThat(next.school()).isEqualTo("time window: 20–25 s");
        });
    }

    /** Siblings that agree make another repeat needless; one that falls out of line is worth one. */
    @Test
    void siblingsAreLookedAtBeforeARepeatIsAskedFor() {
        Masses masses = ShotMeasures.of(SHOT).masses();
        double yield = masses.brew().orElseThrow().asDosed().percent().value();
        NextStep keep = NextStep.of(List.of(), masses, List.of(),
                Siblings.of(3, DoubleStream.of(yield - 0.1, yield, yield + 0.1)));
        assertThat(keep.change()).isEqualTo("Keep this recipe");
        assertThat(keep.reason()).contains("4 shots of it agree: their extraction spreads by 0.10 points");
        assertThat(NextStep.of(List.of(), masses, List.of(), Siblings.of(1, DoubleStream.of(yield))).reason())
                .contains("two shots do not show");
        NextStep apart = NextStep.of(List.of(), masses, List.of(),
                Siblings.of(3, DoubleStream.of(yield - 1.1, yield - 1.0, yield - 0.9)));
        assertThat(apart.change()).isEqualTo("Repeat this recipe");
        assertThat(apart.reason())
                .startsWith("This shot extracted 1.0 points more than its 3 siblings, which spread by 0.10");
    }

    @Test
    void nothingIsAdvisedWithDoseOrBeverageUnknownAndTwoSchoolsMayBeNamed() {
        ShotRecord sour = SHOT.record().with(RecordField.TASTE, "sour");
        List<Finding> both = findings(sour, null, pack("sour_under"), pack("sour_bright"));
        Masses masses = ShotMeasures.of(SHOT).masses();
        assertThat(NextStep.of(both, masses, List.of(), Siblings.NONE)).satisfies(next -> {
            assertThat(next.change()).isEqualTo("Grind one notch finer, or one degree cooler");
            assertThat(next.school()).isEqualTo("sour: too little extracted; sour: too bright");
        });
        Masses unknown = new Masses(Optional.empty(), masses.beverage(), masses.beverageSource(), masses.strength(),
                masses.strengthSource(),
                masses.moisture());
        assertThat(NextStep.of(both, unknown, List.of(), Siblings.NONE).change()).isEqualTo("Enter the dose");
        Masses noBeverage = new Masses(masses.dose(), Optional.empty(), masses.beverageSource(), masses.strength(),
                masses.strengthSource(),
                masses.moisture());
        assertThat(NextStep.of(both, noBeverage, List.of(), Siblings.NONE).change())
                .isEqualTo("Enter the beverage mass");
    }

    /** A dose of 1.81 g made an extraction of 200 % and the advice “coarser”. */
    @Test
    void anEntryThatWasHardlyMeantHoldsBackEveryAdvice() {
        List<Finding> found = findings(SHOT.record().with(RecordField.DOSE, "1.81"), null, pack("common"),
                pack("yield"));
        assertThat(found.get(0).statement()).isEqualTo("Dose: 1.81 g where about 18 g is expected: meant 18.1?");
        assertThat(found.subList(1, found.size()))
                .allSatisfy(finding -> assertThat(finding.next() + finding.toTry()).isEmpty());
        Shot slipped = new Shot(SHOT.record().with(RecordField.DOSE, "1.81"), SHOT.log());
        Masses masses = ShotMeasures.of(slipped).masses();
        assertThat(NextStep.of(found, masses, Plausibility.of(slipped.record(), masses), Siblings.NONE).change())
                .isEqualTo("Check the dose");
    }

    @ParameterizedTest
    @CsvSource({"dose_g, 181, 18.1", "dose_g, 1.81, 18.1", "beverage_g, 402, 40.2", "beverage_g, 4.02, 40.2",
            "strength_readings_pct, 36, ", "temperature_c, 9.3, 93"})
    void slippedDecimalMarksAreAskedAbout(String field, String typed, String meant) {
        ShotRecord record = SHOT.record().with(RecordField.find(field).orElseThrow(), typed);
        assertThat(Plausibility.of(record, Masses.of(record, Optional.empty()))).singleElement().satisfies(doubt -> {
            assertThat(doubt.field().key()).isEqualTo(field);
            assertThat(doubt.meant()).isEqualTo(Optional.ofNullable(meant));
        });
    }

    @Test
    void usualShotsRaiseNoQuestion() {
        assertThat(DemoStudy.shots()).allSatisfy(
                demo -> assertThat(Plausibility.of(demo.shot().record(), ShotMeasures.of(demo.shot()).masses()))
                        .isEmpty());
        ShotRecord apart = ShotRecord.EMPTY.with(RecordField.DOSE, "18")
                .with(RecordField.BEVERAGE, "120")
                .with(RecordField.READINGS, "7");
        assertThat(Plausibility.of(apart, Masses.of(apart, Optional.empty()))).singleElement()
                .satisfies(doubt -> assertThat(doubt.question()).contains("An extraction of 47 %"));
    }

    /** Gates are where their numbers say, and what is printed is what was judged. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"dose_g=19.3;dose_target_g=19.0 | dose_off | ",
            "dose_g=18.7;dose_target_g=19 | dose_off | ",
            "dose_g=19.34;dose_target_g=19.0 | dose_off | 19.34 g, 0.34 g off the 19.0 g meant",
            "dose_g=21.7;basket_from_g=18;basket_to_g=22;basket_capacity_g=20 | basket_overfilled | ",
            "dose_g=22.1;basket_from_g=18;basket_to_g=22;basket_capacity_g=20 | basket_overfilled | 22.1 g, 0.1 g "
                    + "above the 22.0 g it holds",
            "dose_g=19.5;basket_capacity_g=18 | basket_overfilled | ",
            "dose_g=17.95;basket_from_g=18;basket_to_g=22 | basket_underfilled | 17.95 g, 0.05 g below the 18.0 g",
            "strength_zero_pct=0.05 | zero_check_large | ", "strength_zero_pct=0.06 | zero_check_large | +0.06 points"})
    void gatesAreExactAndPrintWhatTheyJudge(String entries, String rule, String evidence) {
        ShotRecord record = SHOT.record();
        for (String entry : entries.split(";")) {
            record = record.with(RecordField.find(entry.split("=")[0]).orElseThrow(), entry.split("=")[1]);
        }
        List<Finding> found = findings(record, null, pack("common")).stream()
                .filter(finding -> finding.rule().equals(rule))
                .toList();
        if (evidence == null) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found).singleElement().satisfies(finding -> assertThat(finding.evidence()).startsWith(evidence));
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "pack a~title A~rule r~severity loud | Line 4: a severity is note, check or fault.",
            "pack a~title A~rule r~when shot_time > 3 | Line 4: there is no fact “shot_time”.",
            "pack a~title A~rule r~when shot_time_s is 3 | Line 4: write a condition such as “when shot_time_s > "
                    + "10”, with >, <, known or unknown.",
            "pack a~title A~rule r~severity note~say Too long. | Line 3: rule “r” needs at least the lines severity, "
                    + "when and say.",
            "pack a~title A~rule r~say {shot_tim_s} s | Line 4: there is no fact “shot_tim_s”.",
            "pack a~title A~color red | Line 3: “color” is not known here.",
            "pack a~title | Line 2: “title” stands alone; something must follow it.",
            "title A | Line 1: a pack begins with “pack” and its short name, then “title” and its name.",
            "pack a~title A~start ratios | Line 3: a start says something of dose_g, basket_share, ratio,",
            "pack a~title A~start ratio~take long | Line 3: a start takes a number or a range, such as “take 1.5”",
            "pack a~title A~start time_s~take 30–20 | Line 3: a range goes from the smaller number to the larger one.",
            "pack a~title A~rule r~moves grind finer | Line 4: write a move such as “moves grind 1”",
            "pack a~title A~rule r~sure 2 | Line 4: “sure” is a number above 0 and up to 1, such as 0.95.",
    })
    void mistakesAreNamedWithTheirLine(String text, String message) {
        assertThatThrownBy(() -> RulePack.parse(text.replace('~', '\n'))).isInstanceOf(RulePackError.class)
                .hasMessageStartingWith(message);
    }

    /** A school's levers in its own order, and what it begins with for a coffee of that roast. */
    @Test
    void aPackSaysWhichLeversItPullsAndWhatItBeginsWith() {
        assertThat(pack("sour_under").rules().get(0).moves()).extracting(SchoolMove::words)
                .containsExactly("finer by 1 notch", "hotter by 1 °C", "4 g more in the cup");
        ShotContext dark = new ShotContext(ShotRecord.EMPTY.with(RecordField.ROAST_LEVEL, "dark"),
                ShotMeasures.of(SHOT),
                Optional.empty());
        assertThat(pack("time_by_roast").starts()).filteredOn(start -> start.speaks(dark))
                .extracting(StartRule::entry, StartRule::low, StartRule::high)
                .containsExactly(tuple(StartEntry.TIME_S, 20.0, 25.0), tuple(StartEntry.RATIO, 1.5, 1.5));
    }

    /** Picked words are meant as they stand: nothing was read that could be misread. */
    @Test
    void pickedTasteWordsGoBeforeAFreeNote() {
        ShotRecord picked = SHOT.record()
                .with(RecordField.TASTE, "not sour at all, bitter")
                .with(RecordField.TASTING, "sour 6; sweet 2");
        assertThat(findings(picked, null, pack("sour_under"))).singleElement().satisfies(finding -> {
            assertThat(finding.evidence()).endsWith("tasted: sour, sweet");
            assertThat(finding.confidence()).isEqualTo(1);
        });
        assertThat(findings(picked, null, pack("bitter_over"))).isEmpty();
    }

    @ParameterizedTest
    @Seeds(300)
    void nothingTypedDoesHarm(Draws any) {
        String text = any.text();
        try {
            RulePack.parse(text);
        } catch (RulePackError refused) {
            assertThat(refused.line()).isPositive();
        }
    }
}
