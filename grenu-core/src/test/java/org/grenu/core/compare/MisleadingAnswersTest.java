package org.grenu.core.compare;

import org.grenu.core.quantity.DisplayUnits;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Studies whose plain answer would mislead: the doubt stands in the answer itself. */
class MisleadingAnswersTest {

    private static final StandardResponse EY = StandardResponse.EY_AS_DOSED;

    private static Effect effect(Comparison comparison) {
        return comparison.answers().get(0).effects().get(0);
    }

    @Nested
    class MovedAlong {

        @Test
        void aTemperatureThatMovedWithTheDayCannotBeToldFromIt() {
            Comparison comparison = MisleadingStudies.confoundedDay().compare(EY);
            assertThat(comparison.sentence().headline()).matches(
                    "Temperature \\+3 °C cannot be told from day and run order: they moved together\\. EY as dosed "
                            + "came out "
                            + "\\+1\\.\\d+ ±0\\.\\d+ points apart at equal setting, whichever of them did it\\.");
            assertThat(effect(comparison).verdict()).isEqualTo(new Verdict.Confounded("day and run order"));
            assertThat(effect(comparison).verdict().words()).isEqualTo("cannot be told from day and run order");
            assertThat(effect(comparison).evidence()).isEqualTo("confounded");
            assertThat(comparison.sentence().text()).contains("cannot be told")
                    .doesNotContain("raises")
                    .doesNotContain("likely to settle");
        }

        @Test
        void anOrderDrawnByLotIsNoConfounderAndADayStillIs() {
            List<MeasuredShot> drawn = MisleadingStudies.confoundedDay()
                    .compared()
                    .stream()
                    .map(shot -> new MeasuredShot(shot.name(), shot.record().with(RecordField.ORDER_DRAWN, "yes"),
                            shot.measures()))
                    .toList();
            Comparison comparison = Comparison
                    .of(Question.of(List.of(Variable.of(RecordFactor.TEMPERATURE)), List.of(EY)), drawn);
            assertThat(effect(comparison).verdict()).isEqualTo(new Verdict.Confounded("day"));
            List<MeasuredShot> oneDay = drawn.stream()
                    .map(shot -> new MeasuredShot(shot.name(), shot.record()
                            .with(RecordField.PULLED_AT,
                                    "2026-05-11T"
                                            + (shot.record().pulledAt().orElseThrow().getDayOfMonth() == 11 ? "09"
                                                    : "10")
                                            + shot.record().pulledAt().orElseThrow().toString().substring(13)),
                            shot.measures()))
                    .toList();
            assertThat(effect(
                    Comparison.of(Question.of(List.of(Variable.of(RecordFactor.TEMPERATURE)), List.of(EY)), oneDay))
                    .verdict()).isEqualTo(new Verdict.Differs());
        }

        @Test
        void eightFieldsThatMovedAlongAreAllNamedAndTheNumberInTheFileIsNone() {
            Comparison comparison = MisleadingStudies.eightFields().compare(EY);
            assertThat(comparison.answers().get(0).confounders()).extracting(confounder -> confounder.what().key())
                    .containsExactlyInAnyOrderElementsOf(MisleadingStudies.EIGHT.keySet()
                            .stream()
                            .map(field -> RecordFactor.find(field.key())
                                    .or(() -> RecordFactor.find(field.name().toLowerCase(Locale.ROOT)))
                                    .orElseThrow()
                                    .key())
                            .toList());
            assertThat(comparison.sentence().headline()).contains("cannot be told from").contains(" and 5 more");
            for (RecordField field : MisleadingStudies.EIGHT.keySet()) {
                assertThat(comparison.balance()).anySatisfy(note -> {
                    assertThat(note.title()).isEqualTo(field.title());
                    assertThat(note.kind()).isEqualTo(BalanceNote.Kind.CONFOUNDED);
                });
            }
            assertThat(comparison.balance())
                    .noneMatch(note -> note.title().toLowerCase(Locale.ROOT).contains("shot in file"));
        }

        @Test
        void whatIsUnknownOnOneSideIsNotTakenForEqual() {
            List<MeasuredShot> shots = MisleadingStudies.straySetting()
                    .compared()
                    .stream()
                    .map(shot -> new MeasuredShot(shot.name(),
                            shot.record().number(RecordField.GRIND).orElseThrow() == 3 ? shot.record()
                                    : shot.record().with(RecordField.BASKET, "18 g ridgeless"),
                            shot.measures()))
                    .toList();
            Comparison comparison = Comparison
                    .of(Question.of(List.of(new Variable.Treatment(RecordFactor.GRIND, true)), List.of(EY)), shots);
            assertThat(comparison.balance()).anySatisfy(note -> {
                assertThat(note.title()).isEqualTo("Basket");
                assertThat(note.words())
                        .isEqualTo("unknown in every shot at grind 3: whether it moved along cannot be told");
            });
            assertThat(comparison.sentence().text())
                    .contains("Whether basket moved along is unknown: on one side nobody wrote it down.");
        }

        /**
         * Half the shots by each operator in each arm, drawn again and again: what moves along by chance is seldom
         * said to.
         */
        @Test
        void whatMovedAlongByChanceIsSeldomCalledAConfounder() {
            Random random = new Random(7);
            int studies = 200;
            int called = 0;
            for (int s = 0; s < studies; s++) {
                List<MeasuredShot> shots = new ArrayList<>();
                for (int i = 0; i < 12; i++) {
                    ShotRecord record = Bench
                            .record(18 + 0.1 * random.nextGaussian(), 40 + 0.3 * random.nextGaussian(),
                                    9 + 0.05 * random.nextGaussian())
                            .with(RecordField.ARM, i % 2 == 0 ? "a" : "b")
                            .with(RecordField.OPERATOR, "Operator " + random.nextInt(2))
                            .with(RecordField.BASKET, "basket " + random.nextInt(3))
                            .with(RecordField.MINUTES_ON, 20 + random.nextInt(80))
                            .with(RecordField.GRIND_TO_BREW, 5 + random.nextInt(90))
                            .with(RecordField.FLUSH, random.nextInt(9))
                            .with(RecordField.PULLED_AT, String.format("2026-05-1%dT%02d:%02d", random.nextInt(3),
                                    9 + random.nextInt(8), random.nextInt(60)));
                    shots.add(Bench.shot(Integer.toString(i), record));
                }
                called += effect(Comparison.of(
                        Question.of(List.of(Variable.of(RecordFactor.ARM)), List.of(StandardResponse.STRENGTH)), shots))
                        .verdict() instanceof Verdict.Confounded ? 1 : 0;
            }
            assertThat(called / (double) studies).isLessThan(0.05);
        }

        /**
         * Each age was tasted on one day: what the days did cannot be told from what age did, until days count as a
         * sample of days.
         */
        @Test
        void anAgeThatMovedWithTheDayCannotBeToldFromIt() {
            double[] off = {0.1, -0.1, 0.05};
            List<MeasuredShot> shots = new ArrayList<>();
            for (int i = 0; i < 15; i++) {
                shots.add(Bench.shot("s" + i,
                        Bench.record(18, 40, 9 - 0.02 * (i / 3) + off[i % 3] / 5)
                                .with(RecordField.ROASTED_ON, "2026-05-01")
                                .with(RecordField.PULLED_AT,
                                        String.format("2026-05-%02dT09:%02d", 10 + 3 * (i / 3), 10 * (i % 3)))));
            }
            Question question = Question.of(List.of(Variable.of(RecordFactor.AGE)), List.of(StandardResponse.STRENGTH));
            assertThat(effect(Comparison.of(question, shots)).verdict()).isEqualTo(new Verdict.Confounded("day"));
            assertThat(
                    effect(Comparison.of(question.inBlocks(Optional.of(RecordFactor.DAY)), shots)).verdict())
                    .isNotInstanceOf(Verdict.Confounded.class);
        }

        @Test
        void anArmIsWhatWasSetForItAndSeveralThingsAtOnceAreSaid() {
            List<MeasuredShot> shots = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                shots.add(Bench.shot("s" + i,
                        Bench.record(18, 40, 9 + 0.3 * (i % 2) + 0.02 * (i / 2))
                                .with(RecordField.ARM, i % 2 == 0 ? "a" : "b")
                                .with(RecordField.GRIND, 2.2 + 0.2 * (i % 2))
                                .with(RecordField.TEMPERATURE, 91 + 2 * (i % 2))));
            }
            Comparison comparison = Comparison.of(Question.of(List.of(Variable.of(RecordFactor.ARM)), List.of(EY)),
                    shots);
            assertThat(effect(comparison).verdict()).isEqualTo(new Verdict.Differs());
            assertThat(comparison.sentence().text()).contains(
                    "The levels of arm differ in grind and temperature: which of them did it cannot be told.");
        }
    }

    @Nested
    class OneThingChanged {

        @ParameterizedTest
        @CsvSource({"18, 40, One thing changed: grind 2.4 → 2.2",
                "19.4, 45.6, '3 things changed: grind 2.4 → 2.2, dose 18 → 19.4 g, beverage mass 40 → 45.6 g'",
                "18.2, 40.3, One thing changed: grind 2.4 → 2.2"})
        void comparesDoseAndBeverageAsTheyWere(double dose, double beverage, String words) {
            MeasuredShot from = Bench.shot("1", Bench.record(18, 40, 9).with(RecordField.GRIND, 2.4));
            MeasuredShot to = Bench.shot("2", Bench.record(dose, beverage, 9).with(RecordField.GRIND, 2.2));
            assertThat(
                    PairBadge.of(Question.of(List.of(Variable.of(RecordFactor.GRIND)), List.of(EY)), List.of(from, to))
                            .orElseThrow()
                            .words())
                    .isEqualTo(words);
        }

        @Test
        void comparesEveryEntryAndSaysWhatOnlyOneHas() {
            MeasuredShot from = Bench.shot("1",
                    Bench.record(18, 40, 9)
                            .with(RecordField.GRIND, 2.4)
                            .with(RecordField.PREPARATION, "stirred")
                            .with(RecordField.WATER, "Brew water 3"));
            MeasuredShot to = Bench.shot("2",
                    Bench.record(18, 40, 9)
                            .with(RecordField.GRIND, 2.4)
                            .with(RecordField.PREPARATION, "tapped")
                            .withExtra("screen", "fine"));
            assertThat(
                    PairBadge.of(Question.of(List.of(Variable.of(RecordFactor.GRIND)), List.of(EY)), List.of(from, to))
                            .orElseThrow()
                            .words())
                    .isEqualTo(
                            "One thing changed: preparation stirred → tapped; written down for only one of them: "
                                    + "water and screen");
        }
    }

    @Test
    void whereAFactorActsTheOtherWayRoundItsEffectIsToldAtEachLevelOfTheOther() {
        Comparison comparison = MisleadingStudies.crossover().compare(EY);
        assertThat(comparison.sentence().headline())
                .matches("What grind does to EY as dosed depends on profile \\(interaction, p below 0\\.001\\)\\. "
                        + "Grind \\+0\\.2 at profile Gentle ramp lowers EY as dosed by 1\\.\\d+ ±0\\.\\d+ points at "
                        + "equal setting\\.");
        assertThat(comparison.sentence().further()).anySatisfy(
                words -> assertThat(words).startsWith("Grind +0.2 at profile Straight nine: EY as dosed differs (+1."));
        assertThat(comparison.answers().get(0).effects()).allSatisfy(effect -> {
            assertThat(effect.at()).isNotEmpty();
            assertThat(effect.verdict()).isEqualTo(new Verdict.Differs());
        });
    }

    @Test
    void oneStraySettingDoesNotMakeTheStepSmall() {
        Comparison comparison = MisleadingStudies.straySetting().compare(EY);
        assertThat(comparison.sentence().headline())
                .matches("Grind \\+1 lowers EY as dosed by 1\\.[567]\\d ±0\\.\\d+ points at equal setting\\.");
        Question named = MisleadingStudies.straySetting().question(EY).stepping(Variable.of(RecordFactor.GRIND), 0.5);
        assertThat(Comparison.of(named, MisleadingStudies.straySetting().compared()).sentence().headline())
                .matches("Grind \\+0\\.5 lowers EY as dosed by 0\\.[78]\\d+ ±0\\.\\d+ points at equal setting\\.");
    }

    @Nested
    class FarOut {

        @Test
        void oneBadShotIsNamedWithTheAnswerWithoutIt() {
            Comparison comparison = MisleadingStudies.outlier().compare(EY);
            assertThat(effect(comparison).verdict()).isInstanceOf(Verdict.CannotSay.class);
            assertThat(comparison.sentence().doubts()).extracting(Doubt::words)
                    .hasSize(1)
                    .first()
                    .asString()
                    .matches(
                            "Shot 9 lies further from the others than chance explains\\. Without shot 9: −0\\.\\d+ "
                                    + "±0\\.\\d+ points, the answer becomes “differs”\\.");
            assertThat(comparison.sentence().text()).contains("Shot 9 lies further");
        }

        /**
         * Of sound studies one in twenty has a shot that is called far out: the level of the test, for small ones
         * too.
         */
        @ParameterizedTest
        @CsvSource({"3, 400", "7, 400"})
        void soundShotsAreSeldomNamed(int each, int studies) {
            Random random = new Random(5);
            int named = 0;
            for (int s = 0; s < studies; s++) {
                List<MeasuredShot> shots = new ArrayList<>();
                for (int i = 0; i < 2 * each; i++) {
                    shots.add(Bench.shot("s" + i, Bench.record(18, 40, 9 + 0.1 * random.nextGaussian())
                            .with(RecordField.ARM, i % 2 == 0 ? "a" : "b")));
                }
                named += Comparison
                        .of(Question.of(List.of(Variable.of(RecordFactor.ARM)), List.of(StandardResponse.STRENGTH)),
                                shots)
                        .answers()
                        .get(0)
                        .farOut()
                        .isEmpty() ? 0 : 1;
            }
            // Bonferroni keeps it at 5 % or below; four standard errors of chance above that.
            assertThat(named / (double) studies).isBetween(0.01, 0.05 + 4 * Math.sqrt(0.05 * 0.95 / studies));
        }
    }

    @Nested
    class Corrected {

        private final Variable three = new Variable.Treatment(RecordFactor.GRIND, true);

        private List<MeasuredShot> shots() {
            Random random = new Random(4);
            List<MeasuredShot> shots = new ArrayList<>();
            for (int i = 0; i < 18; i++) {
                shots.add(Bench.shot("s" + i,
                        Bench.record(18, 40 + 0.4 * random.nextGaussian(),
                                9 + 0.05 * (i % 3) + 0.1 * (i / 3 % 2) + 0.08 * random.nextGaussian())
                                .with(RecordField.GRIND, 2.2 + 0.2 * (i % 3))
                                .with(RecordField.BASKET, "basket " + i / 3 % 2)));
            }
            return shots;
        }

        private Effect basket(Question question) {
            return Comparison.of(question, shots()).answers().get(0).effects(Variable.of(RecordFactor.BASKET)).get(0);
        }

        /**
         * A covariate is no question, and pairs of levels have Tukey's correction already: Holm has one question left
         * here, and the interaction that was looked at with it.
         */
        @Test
        void holmCountsQuestionsOnlyAndNeverComesOnTopOfTukey() {
            Question plain = Question
                    .of(List.of(three, Variable.of(RecordFactor.BASKET)), List.of(StandardResponse.STRENGTH))
                    .on(ComparisonBasis.EQUAL_BEVERAGE_MASS);
            Question holm = new Question(plain.variables(), plain.interactions(), plain.responses(), plain.basis(),
                    plain.block(), new Question.Judging(plain.judging().margins(), plain.judging().steps(), true),
                    DisplayUnits.CANONICAL);
            assertThat(basket(holm).p()).isEqualTo(2 * basket(plain).p());
            assertThat(Comparison.of(holm, shots()).answers().get(0).effects(three)).extracting(Effect::p)
                    .isEqualTo(Comparison.of(plain, shots())
                            .answers()
                            .get(0)
                            .effects(three)
                            .stream()
                            .map(Effect::p)
                            .toList());
        }

        @Test
        void shownPDetectableAndVerdictAgree() {
            for (int seed = 0; seed < 40; seed++) {
                Random random = new Random(seed);
                List<MeasuredShot> shots = new ArrayList<>();
                for (int i = 0; i < 16; i++) {
                    shots.add(Bench.shot("s" + i,
                            Bench.record(18, 40, 9 + 0.07 * (i % 2) + 0.07 * random.nextGaussian())
                                    .with(RecordField.ARM, "arm " + i % 2)
                                    .with(RecordField.OPERATOR, "Operator " + i / 2 % 2)
                                    .with(RecordField.BASKET, "basket " + i / 4 % 2)));
                }
                Question question = Question
                        .of(List.of(Variable.of(RecordFactor.ARM), Variable.of(RecordFactor.OPERATOR),
                                Variable.of(RecordFactor.BASKET)), List.of(StandardResponse.STRENGTH));
                Question holm = new Question(question.variables(), List.of(), question.responses(), question.basis(),
                        question.block(),
                        new Question.Judging(Map.of("strength", seed % 2 * 0.2), Map.of(), true),
                        DisplayUnits.CANONICAL);
                for (Effect effect : Comparison.of(holm, shots).answers().get(0).effects()) {
                    boolean sure = effect.p() <= Question.ALPHA;
                    if (effect.verdict() instanceof Verdict.SameInPractice same) {
                        assertThat(same.detectable()).isEqualTo(sure);
                    } else if (!(effect.verdict() instanceof Verdict.Confounded)) {
                        assertThat(effect.verdict() instanceof Verdict.Differs).isEqualTo(sure);
                    }
                }
            }
        }
    }

    @Nested
    class HeldEqual {

        @Test
        void oneShortShotDoesNotDragAllDownAndIsNamed() {
            StandardResponse time = StandardResponse.time(TimeConvention.PUMP_ON_TO_LAST_DRIP);
            MisleadingStudies.Study study = MisleadingStudies.leastBeverage();
            Comparison comparison = Comparison.of(study.question(time).on(ComparisonBasis.EQUAL_BEVERAGE_MASS),
                    study.compared());
            assertThat(comparison.ground().at()).isGreaterThan(36);
            assertThat(comparison.ground().tooShort()).extracting(MeasuredShot::name).containsExactly("7");
            assertThat(comparison.answers().get(0).leftOut()).extracting(MeasuredShot::name).containsExactly("7");
            assertThat(comparison.sentence().text()).containsPattern(
                    "Shot 7 ends at 1\\d(\\.\\d)? g, before the 3\\d(\\.\\d)? g at which curves are read, and falls "
                            + "out there\\.");
        }

        /**
         * A finer grind makes the time longer; with the time taken out, what the grind does would be taken out too.
         */
        @Test
        void whatAFactorChangesItselfIsNoCovariateOfIt() {
            List<MeasuredShot> shots = SimulatedStudy.grinds(4, 5, 2.2, 2.4, 2.6);
            Comparison comparison = Comparison.of(
                    Question.of(List.of(Variable.of(RecordFactor.GRIND)), List.of(EY)).on(ComparisonBasis.EQUAL_TIME),
                    shots);
            assertThat(effect(comparison).verdict()).isEqualTo(new Verdict.Mediated("time (pump on to pump off)"));
            assertThat(comparison.sentence().headline()).startsWith(
                    "Grind +0.4 changes time (pump on to pump off) itself, so what it does to EY as dosed at equal "
                            + "time cannot be told")
                    .doesNotContain("likely to settle");
        }
    }

    @Test
    void oneShotEachReadsAsADifferenceOfMeasurementsEverywhere() {
        Comparison comparison = MisleadingStudies.oneShotEach().compare(StandardResponse.STRENGTH, EY);
        assertThat(comparison.sentence().headline()).matches(
                "One shot each: control, not treated came with −0\\.10\\d* ±0\\.0\\d+ points of strength at equal "
                        + "setting, a difference of these "
                        + "two measurements only\\. Of what arm does, it says nothing before both are repeated\\.");
        assertThat(comparison.answers()).allSatisfy(answer -> assertThat(answer.effects())
                .allSatisfy(effect -> assertThat(effect.verdict().words()).isEqualTo("one shot each")));
        assertThat(comparison.sentence().text()).doesNotContain("changes")
                .doesNotContain("lowers")
                .doesNotContain("raises");
    }

    @Test
    void anEntryThatWasHardlyMeantIsAskedAboutInTheAnswer() {
        List<MeasuredShot> shots = new ArrayList<>(MisleadingStudies.straySetting().compared());
        ShotRecord slipped = shots.get(2).record().with(RecordField.DOSE, "1.8");
        shots.set(2, new MeasuredShot("3", slipped, ShotMeasures.of(new Shot(slipped, Bench.SILENT))));
        assertThat(Comparison.of(MisleadingStudies.straySetting().question(EY), shots).sentence().text())
                .contains("Shot 3: dose, 1.8 g is no usual dose: meant 18? Without shot 3: ");
    }

    /**
     * Two shots whose instrument nobody wrote down share no bias: the difference is as unsure as two instruments
     * make it.
     */
    @Test
    void unknownInstrumentsShareNoBias() {
        List<MeasuredShot> known = MisleadingStudies.oneShotEach().compared();
        List<MeasuredShot> unknown = new ArrayList<>();
        for (MeasuredShot shot : known) {
            ShotRecord record = shot.record().with(RecordField.REFRACTOMETER, "");
            unknown.add(new MeasuredShot(shot.name(), record, ShotMeasures.of(new Shot(record, Bench.SILENT))));
        }
        Question question = Question.of(List.of(Variable.of(RecordFactor.ARM)), List.of(StandardResponse.STRENGTH));
        assertThat(effect(Comparison.of(question, unknown)).halfWidth())
                .isGreaterThan(1.8 * effect(Comparison.of(question, known)).halfWidth());
        assertThat(effect(Comparison.of(question, unknown)).verdict()).isEqualTo(new Verdict.SeenOnce(true));
    }
}
