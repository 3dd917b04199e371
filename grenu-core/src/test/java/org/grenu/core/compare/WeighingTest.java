package org.grenu.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.BiFunction;
import org.grenu.core.demo.weighing.StudyKind;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.OwnResponse;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * What moved along is weighed by its kind (handbook §23): told, adjusted for, bounded, refused only where it must be.
 */
class WeighingTest {

    private static final StandardResponse EY = StandardResponse.EY_AS_DOSED;
    private static final Variable ARM = Variable.of(RecordFactor.ARM);
    private static final int STUDIES = 25;

    private static double chance(double share, int studies) {
        return 3 * Math.sqrt(share * (1 - share) / studies);
    }

    /** Every kind of study: true points are claimed, nothing is claimed falsely, next to nothing refused. */
    @ParameterizedTest
    @EnumSource(StudyKind.class)
    void claimsAndRefusalsStayAtTheirRates(StudyKind kind) {
        WeighingRates.Rates rates = WeighingRates.of(kind, STUDIES, 11);
        double claims = rates.claims() / (double) STUDIES;
        if (kind == StudyKind.WHOLLY) {
            assertThat(rates.claims()).isZero();
            assertThat(rates.refusals()).isEqualTo(STUDIES);
            return;
        }
        if (kind.truth() > 0) {
            assertThat(claims).isGreaterThanOrEqualTo(0.95 - chance(0.95, STUDIES));
        } else {
            assertThat(claims).isLessThanOrEqualTo(0.05 + chance(0.05, STUDIES));
        }
        // Of sixteen shots all moved along after all in 0.85¹⁶ of the studies, which nothing can tell apart.
        double wholly = kind.name().startsWith("PARTLY") ? Math.pow(0.85, 16) : 0;
        assertThat(rates.refusals() / (double) STUDIES)
                .isLessThanOrEqualTo(0.05 + wholly + chance(0.05 + wholly, STUDIES));
        if (!kind.name().startsWith("PARTLY")) {
            assertThat(rates.covered() / (double) rates.estimated()).isCloseTo(0.95,
                    within(chance(0.95, STUDIES) + 0.02));
        }
    }

    private static List<MeasuredShot> arms(int each, BiFunction<Integer, ShotRecord, ShotRecord> more) {
        double[] off = {0.1, -0.1, 0.05, -0.05, 0.08, -0.08};
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < 2 * each; i++) {
            ShotRecord record = Bench.record(18, 40, (20 + (i % 2 == 0 ? 1 : 0) + off[i / 2 % 6]) * 18 / 40)
                    .with(RecordField.ARM, i % 2 == 0 ? "chilled" : "usual");
            shots.add(Bench.shot("s" + i, more.apply(i, record)));
        }
        return shots;
    }

    @Nested
    class Paths {

        private final double[] grams = {40.6, 39.8, 40.4, 40.1, 40.9, 40.0, 40.5, 39.7, 40.7, 40.3, 40.5, 40.1};
        private final double[] yields = {21.1, 20.1, 21.0, 20.4, 21.5, 20.2, 21.2, 19.9, 21.3, 20.5, 21.1, 20.3};

        private List<MeasuredShot> shots(Optional<double[]> targets) {
            return arms(6, (i, record) -> {
                ShotRecord cup = record.with(RecordField.BEVERAGE, grams[i])
                        .with(RecordField.READINGS, String.valueOf(yields[i] * 18 / grams[i]));
                return targets.isPresent() ? cup.with(RecordField.BEVERAGE_TARGET, targets.get()[i % 2]) : cup;
            });
        }

        private Effect effect(List<MeasuredShot> shots) {
            return Comparison.of(Question.of(List.of(ARM), List.of(EY)), shots).answers().get(0).effects().get(0);
        }

        /** The handbook's twelve shots: 0.9667 points in all; with 6 ± 4 points per ln, 0.12 of it by the cup. */
        @Test
        void aFullerCupThatCameOfTheTreatmentIsToldBesideTheWholeEffect() {
            Effect effect = effect(shots(Optional.of(new double[] {40, 40})));
            assertThat(effect.verdict()).isEqualTo(new Verdict.Differs());
            assertThat(effect.estimate().orElseThrow().value()).isCloseTo(0.9667, within(0.003));
            PathPart path = effect.paths().get(0);
            assertThat(path.set()).isFalse();
            assertThat(path.left().value()).isBetween(0.80, 0.89);
            assertThat(path.through().value() + path.left().value()).isCloseTo(path.total().value(), within(1e-9));
            AnswerSentence sentence = Comparison.of(Question.of(List.of(ARM), List.of(EY)),
                    shots(Optional.of(new double[] {40, 40}))).sentence();
            assertThat(sentence.headline())
                    .matches("chilled, not usual raises EY as dosed by 0\\.97 ±0\\.2\\d points at equal setting\\.");
            assertThat(sentence.further().get(0))
                    .matches(
                            "Of the \\+0\\.97 ±0\\.2\\d points, \\+0\\.\\d+ ±0\\.\\d+ points may go "
                                    + "through beverage mass "
                                    + "\\(\\+0\\.6\\d? "
                                    + "±0\\.2\\d g\\), \\+0\\.\\d+ ±0\\.\\d+ points do not\\.");
        }

        @Test
        void aCupThatWasStoppedLaterOnPurposeIsTakenOut() {
            Effect effect = effect(shots(Optional.of(new double[] {41, 40})));
            assertThat(effect.paths().get(0).set()).isTrue();
            assertThat(effect.estimate().orElseThrow().value()).isCloseTo(effect.paths().get(0).left().value(),
                    within(1e-9));
            assertThat(effect(shots(Optional.empty())).paths().get(0).set()).as("nobody knows a target").isTrue();
        }

        /** What 0.6 g do at equal beverage mass is the same question as what is left of it. */
        @Test
        void whatIsLeftIsTheAnswerAtEqualBeverageMass() {
            Question equal = Question.of(List.of(ARM), List.of(EY)).on(ComparisonBasis.EQUAL_BEVERAGE_MASS);
            Effect asked = Comparison.of(equal, shots(Optional.empty())).answers().get(0).effects(ARM).get(0);
            assertThat(asked.estimate().orElseThrow().value())
                    .isCloseTo(effect(shots(Optional.empty())).estimate().orElseThrow().value(), within(1e-9));
        }
    }

    @Test
    void whatTookThePlaceButCanHaveDoneLittleLeavesABound() {
        // Time by 12 s of 28; the dose rose by 0.6 g along, which makes 2.2 ± 1.1 of ln(time): 5.1 s at most.
        List<MeasuredShot> shots = new ArrayList<>();
        for (MeasuredShot shot : SimulatedStudy.grinds(5, 3, 2.1, 2.6)) {
            double dose = shot.record().number(RecordField.GRIND).orElseThrow() < 2.3 ? 18.6 : 18;
            shots.add(new MeasuredShot(shot.name(), shot.record().with(RecordField.DOSE, dose), shot.measures()));
        }
        Comparison comparison = Comparison.of(Question.of(List.of(Variable.of(RecordFactor.GRIND)),
                List.of(StandardResponse.TIME_FIRST_DRIP_TO_PUMP_OFF)), shots);
        Effect effect = comparison.answers().get(0).effects().get(0);
        assertThat(effect.verdict()).isInstanceOfSatisfying(Verdict.AtLeast.class, least -> {
            assertThat(least.with()).isEqualTo("dose");
            assertThat(least.least()).isNegative()
                    .isGreaterThan(effect.estimate().orElseThrow().value() + effect.halfWidth());
        });
        assertThat(comparison.sentence().headline())
                .containsPattern(
                        "lowers time \\(first drip to pump off\\) by at least \\d+(\\.\\d)? s at equal "
                                + "setting[^.]*\\. It came out −\\d\\.\\d "
                                + "±\\d\\.\\d s apart; dose took the grind's place and can have done the rest "
                                + "at most \\(common "
                                + "practice\\)\\.");
    }

    @Test
    void whatWouldNeedMoreShotsIsNamed() {
        List<MeasuredShot> shots = arms(4,
                (i, record) -> record.with(RecordField.BASKET, i == 1 || i % 2 == 0 ? "one" : "two"));
        Comparison comparison = Comparison.of(Question.of(List.of(ARM), List.of(EY)), shots);
        assertThat(comparison.answers().get(0).notAdjusted()).extracting(one -> one.title()).contains("Basket");
        assertThat(comparison.sentence().text()).contains("Not adjusted for basket");
    }

    /** Of five responses none is moved: that anything "also changes" stays at 5 %. */
    @Test
    void severalResponsesDoNotFindMoreByChance() {
        Random random = new Random(9);
        int studies = 120;
        int claimed = 0;
        for (int k = 0; k < studies; k++) {
            List<MeasuredShot> shots = arms(6, (i, record) -> {
                ShotRecord noted = record;
                for (String name : List.of("a", "b", "c", "d", "e")) {
                    noted = noted.withExtra(name, Double.toString(5 + random.nextGaussian()));
                }
                return noted;
            });
            List<ShotRecord> records = shots.stream().map(MeasuredShot::record).toList();
            List<Response> responses = new ArrayList<>();
            for (String name : List.of("a", "b", "c", "d", "e")) {
                responses.add(new OwnResponse(OwnFactor.of(name, records).orElseThrow(), 0));
            }
            Comparison comparison = Comparison.of(Question.of(List.of(ARM), responses), shots);
            claimed += comparison.sentence().text().contains("also changes") ? 1 : 0;
        }
        assertThat(claimed / (double) studies).isLessThanOrEqualTo(0.05 + chance(0.05, studies));
    }

    /** Two factors that do nothing, with Holm: neither of them nor the two together is claimed too often. */
    @Test
    void anInteractionBelongsToTheFamilyOfItsQuestions() {
        Random random = new Random(10);
        int studies = 120;
        int claimed = 0;
        Variable basket = Variable.of(RecordFactor.BASKET);
        for (int k = 0; k < studies; k++) {
            List<MeasuredShot> shots = new ArrayList<>();
            for (int i = 0; i < 16; i++) {
                shots.add(Bench.shot("s" + i, Bench.record(18, 40, 9 + 0.1 * random.nextGaussian())
                        .with(RecordField.ARM, "arm " + i % 2)
                        .with(RecordField.BASKET, "basket " + i / 2 % 2)));
            }
            Question question = new Question(List.of(ARM, basket), List.of(), List.of(StandardResponse.STRENGTH),
                    ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                    new Question.Judging(Map.of("strength", 0.0), Map.of(), true), DisplayUnits.CANONICAL);
            ResponseAnswer answer = Comparison.of(question, shots).answers().get(0);
            claimed += !answer.together().isEmpty()
                    || answer.effects().stream().anyMatch(effect -> effect.verdict() instanceof Verdict.Differs) ? 1
                            : 0;
        }
        assertThat(claimed / (double) studies).isLessThanOrEqualTo(0.05 + chance(0.05, studies));
    }

    @Test
    void leavingShotsOutAsksForTheSameStep() {
        // The shots at 3.0 stand out: without them grinds span 0.8, and the effect is still that of +1.
        List<MeasuredShot> shots = new ArrayList<>();
        double[] off = {0.1, -0.1, 0.05, -0.05, 0.08, -0.08};
        for (int i = 0; i < 12; i++) {
            double grind = i < 2 ? 3 : 2 + 0.8 * (i % 2);
            shots.add(Bench.shot("s" + i, Bench.record(18, 40, (22 - 1.5 * (grind - 2) + off[i % 6]) * 18 / 40)
                    .with(RecordField.GRIND, grind)
                    .with(RecordField.PURGE, 4)
                    .with(RecordField.SAMPLE_FILTERED, i < 2 ? "no" : i == 11 ? "" : "yes")));
        }
        Sensitivity without = Comparison.of(Question.of(List.of(Variable.of(RecordFactor.GRIND)), List.of(EY)), shots)
                .balance()
                .stream()
                .filter(note -> note.title().equals("Sample filtered"))
                .flatMap(note -> note.sensitivity().stream())
                .findFirst()
                .orElseThrow();
        assertThat(without.after().orElseThrow().change()).isEqualTo("+1");
        assertThat(without.words()).startsWith("Without shots s0, s1: −1.").endsWith("the answer stands.");
    }

    @Nested
    class TastedAlike {

        private List<MeasuredShot> tasted(BiFunction<Integer, ShotRecord, ShotRecord> how) {
            return arms(6, (i, record) -> how.apply(i,
                    record.with(RecordField.LIKING, i % 2 == 0 ? 7 + i % 3 * 0.5 : 4 + i % 3 * 0.5)));
        }

        private Comparison compare(List<MeasuredShot> shots, Variable... more) {
            List<Variable> asked = new ArrayList<>(List.of(ARM));
            asked.addAll(List.of(more));
            return Comparison.of(Question.of(asked, List.of(StandardResponse.LIKING)), shots);
        }

        @Test
        void openAndBlindAreNotPutTogetherUnasked() {
            List<MeasuredShot> shots = tasted(
                    (i, record) -> record.with(RecordField.TASTED_BLIND, i < 8 ? "blind" : "open"));
            Comparison comparison = compare(shots);
            assertThat(comparison.answers().get(0).leftOut()).extracting(MeasuredShot::name)
                    .containsExactly("s8", "s9", "s10", "s11");
            assertThat(comparison.sentence().text()).contains(
                    "Shots s8, s9, s10, s11 were tasted in another form than the others (blind) and left out");
            assertThat(comparison.answers().get(0).effects().get(0).evidence())
                    .isEqualTo("repeated, blind, interval excludes zero");
            Comparison asked = compare(shots, Variable.of(RecordFactor.TASTED_BLIND));
            assertThat(asked.answers().get(0).leftOut()).isEmpty();
            assertThat(asked.answers().get(0).effects().get(0).evidence()).startsWith("repeated, open");
        }

        @Test
        void dilutedAndCoolerCupsStandApartAndUnknownOnesAreNamed() {
            Comparison comparison = compare(tasted((i, record) -> {
                ShotRecord form = record.with(RecordField.TASTED_AT, i == 0 ? "40" : i == 1 ? "61" : "60");
                return i == 5 ? form.with(RecordField.TASTED_AS, "diluted")
                        : i == 4 ? form : form.with(RecordField.TASTED_AS, "neat");
            }));
            assertThat(comparison.answers().get(0).leftOut()).extracting(MeasuredShot::name)
                    .containsExactly("s0", "s5");
            assertThat(comparison.sentence().text())
                    .contains("How shot s4 was tasted is not written down in full; the others were tasted neat, at "
                            + "60–61 °C.");
        }

        @Test
        void whoTastedIsACircumstanceOfTastesOnly() {
            List<MeasuredShot> shots = tasted((i, record) -> record.with(RecordField.TASTER, "Taster " + i % 2));
            assertThat(compare(shots).answers().get(0).effects().get(0).verdict())
                    .isEqualTo(new Verdict.Confounded("taster"));
            assertThat(Comparison.of(Question.of(List.of(ARM), List.of(EY)), shots)
                    .answers()
                    .get(0)
                    .effects()
                    .get(0)
                    .verdict()).isEqualTo(new Verdict.Differs());
        }
    }
}
