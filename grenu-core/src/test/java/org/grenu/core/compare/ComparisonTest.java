package org.grenu.core.compare;

import org.grenu.core.quantity.DisplayUnits;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.OwnResponse;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class ComparisonTest {

    private static final Variable ARM = Variable.of(RecordFactor.ARM);
    private static final Variable GRIND = Variable.of(RecordFactor.GRIND);
    private static final List<Response> EY = List.of(StandardResponse.EY_AS_DOSED);

    /** Handbook §10: control 18 g → 41.2 g against treated 18 g → 41.0 g, strength up by 0.09. */
    @Nested
    class TheWorkedTrap {

        private List<MeasuredShot> shots(int each) {
            // The same spread in both arms: strength ±0.03 about its mean.
            double[] offsets = {-0.03, 0.03, -0.02, 0.02, -0.03, 0.03, -0.01, 0.01};
            List<MeasuredShot> shots = new ArrayList<>();
            for (int i = 0; i < each; i++) {
                double off = each == 1 ? 0 : offsets[i];
                shots.add(Bench.shot("c" + i, Bench.record(18, 41.2, 9.41 + off).with(RecordField.ARM, "control")));
                shots.add(Bench.shot("t" + i, Bench.record(18, 41.0, 9.50 - off).with(RecordField.ARM, "treated")));
            }
            return shots;
        }

        @Test
        void oneShotEachIsNotDistinguishable() {
            Comparison trap = Comparison.of(
                    Question.of(List.of(ARM), List.of(StandardResponse.EY_AS_DOSED, StandardResponse.STRENGTH)),
                    shots(1));
            Effect effect = trap.answers().get(0).effects().get(0);
            // 9.41 × 41.2 / 18 = 21.538 and 9.50 × 41.0 / 18 = 21.639
            assertThat(effect.estimate().orElseThrow().value()).isCloseTo(21.538 - 21.639, within(0.001));
            assertThat(effect.verdict()).isEqualTo(new Verdict.SeenOnce(false));
            assertThat(effect.evidence()).isEqualTo("seen once");
            assertThat(trap.sentence().headline()).startsWith("One shot each").contains("not distinguishable");
            assertThat(trap.answers()).allSatisfy(
                    answer -> assertThat(answer.effects()).noneMatch(e -> e.verdict() instanceof Verdict.Differs));
            assertThat(trap.pair().orElseThrow().words()).isEqualTo("One thing changed: arm control → treated");
        }

        @Test
        void eightEachTellADifferenceThatIsTooSmallToMatter() {
            Comparison trap = Comparison.of(
                    Question.of(List.of(ARM), List.of(StandardResponse.EY_AS_DOSED, StandardResponse.STRENGTH)),
                    shots(8));
            assertThat(trap.answers()).allSatisfy(answer -> assertThat(answer.effects().get(0).verdict())
                    .isEqualTo(new Verdict.SameInPractice(true)));
            assertThat(trap.sentence().headline())
                    .startsWith("control, not treated changes EY as dosed, but too little to matter");
            Question strict = new Question(List.of(ARM), List.of(), EY, ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                    new Question.Judging(Map.of("ey_as_dosed", 0.05), Map.of(), false), DisplayUnits.CANONICAL);
            assertThat(Comparison.of(strict, shots(8)).answers().get(0).effects().get(0).verdict())
                    .isEqualTo(new Verdict.Differs());
        }

        /**
         * The treated cup holds 0.2 g less in every shot: the rows alone cannot tell, common practice can, by 6 ± 4
         * points per ln(beverage mass): 6·ln(41.2/41.0) = 0.029 points.
         */
        @Test
        void onEqualBeverageMassPracticeTellsWhatTheRowsCannot() {
            Effect effect = Comparison
                    .of(Question.of(List.of(ARM), EY).on(ComparisonBasis.EQUAL_BEVERAGE_MASS), shots(8))
                    .answers()
                    .get(0)
                    .effects(ARM)
                    .get(0);
            assertThat(effect.verdict()).isEqualTo(new Verdict.SameInPractice(true));
            assertThat(effect.estimate().orElseThrow().value()).isCloseTo(21.538 - 21.639 - 0.029, within(0.002));
        }
    }

    private static List<MeasuredShot> grindStudy(int each, double perNotch, double spread, boolean temperatureToo,
            long seed) {
        Random random = new Random(seed);
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < 3 * each; i++) {
            int notch = i % 3;
            ShotRecord record = Bench
                    .record(18, 40, 9 + perNotch * notch * 18 / 40 + spread * random.nextGaussian() * 18 / 40)
                    .with(RecordField.GRIND, (22 + 2 * notch) / 10.0)
                    .with(RecordField.TEMPERATURE, temperatureToo ? 90 + notch : 93)
                    .with(RecordField.PULLED_AT, "2026-05-" + (10 + i / 6) + "T09:" + (10 + i % 6 * 5))
                    .with(RecordField.MACHINE, "Rig 1")
                    .with(RecordField.PURGE, 3)
                    .with(RecordField.BASKET, "18 g");
            shots.add(Bench.shot(Integer.toString(i + 1), record));
        }
        return shots;
    }

    @Nested
    class Guard {

        @Test
        void namesWhatMovedTogether() {
            Comparison confounded = Comparison.of(
                    Question.of(List.of(GRIND, Variable.of(RecordFactor.TEMPERATURE)), EY),
                    grindStudy(4, -0.6, 0.2, true, 1));
            assertThat(confounded.sentence().headline()).isEqualTo(
                    "Grind and temperature moved together: these shots cannot tell which of them changed EY as dosed.");
            Comparison unasked = Comparison.of(Question.of(List.of(GRIND), EY), grindStudy(4, -0.6, 0.2, true, 1));
            assertThat(unasked.balance()).anySatisfy(note -> {
                assertThat(note.kind()).isEqualTo(BalanceNote.Kind.CONFOUNDED);
                assertThat(note.words())
                        .isEqualTo("Temperature and grind moved together (90–92 °C): they cannot be told apart");
            });
        }

        @Test
        void leavesOutWhatStandsOutAndSaysWhetherTheAnswerStands() {
            List<MeasuredShot> shots = new ArrayList<>(grindStudy(4, -0.6, 0.1, false, 2));
            ShotRecord odd = shots.get(4).record().with(RecordField.TEMPERATURE, 94);
            shots.set(4, Bench.shot("5", odd));
            shots.add(Bench.shot("13", shots.get(0).record().with(RecordField.FAULT, "choked")));
            Comparison comparison = Comparison.of(Question.of(List.of(GRIND), EY), shots);
            BalanceNote note = comparison.balance()
                    .stream()
                    .filter(n -> n.title().equals("Temperature"))
                    .findFirst()
                    .orElseThrow();
            assertThat(note.words()).isEqualTo("also changed in 1 of 12: shot 5 was at 94 °C");
            assertThat(note.sensitivity().orElseThrow().words()).startsWith("Without shot 5: \u22121.")
                    .endsWith("the answer stands.");
            assertThat(comparison.balance())
                    .anySatisfy(n -> assertThat(n.words()).isEqualTo("shot 13 is marked faulty: choked"));
            assertThat(comparison.balance()).anySatisfy(n -> assertThat(n.title()).contains("basket"));
        }
    }

    @Nested
    class Verdicts {

        @Test
        void aClearEffectDiffersAndItsSentenceSaysByHowMuch() {
            Comparison comparison = Comparison.of(Question.of(List.of(GRIND), EY), grindStudy(5, -0.8, 0.2, false, 3));
            Effect effect = comparison.answers().get(0).effects().get(0);
            assertThat(effect.change()).isEqualTo("+0.4");
            assertThat(effect.verdict()).isEqualTo(new Verdict.Differs());
            assertThat(Math.abs(effect.estimate().orElseThrow().value() + 1.6)).isLessThan(effect.halfWidth());
            assertThat(comparison.sentence().headline())
                    .matches(
                            "Grind \\+0\\.4 lowers EY as dosed by 1\\.\\d+ ±0\\.\\d+ points at equal setting, adjusted "
                                    + "for first of the day, which moved along\\.");
            assertThat(effect.evidence()).isEqualTo("repeated, interval excludes zero");
        }

        @Test
        void tooFewShotsCannotSayAndForeseeHowManyMore() {
            Effect effect = Comparison.of(Question.of(List.of(GRIND), EY), grindStudy(2, -0.4, 0.6, false, 11))
                    .answers()
                    .get(0)
                    .effects()
                    .get(0);
            assertThat(effect.verdict()).isInstanceOfSatisfying(Verdict.CannotSay.class, cannot -> {
                assertThat(cannot.more()).isBetween(1, 20);
                assertThat(cannot.repeat()).hasSize(cannot.more())
                        .allMatch(name -> !name.equals("2") && !name.equals("5"), "an end of the line");
            });
        }

        @Test
        void levelsArePairedAndStrayLinesCaught() {
            Variable byLevel = new Variable.Treatment(RecordFactor.GRIND, true);
            assertThat(Comparison.of(Question.of(List.of(byLevel), EY), grindStudy(4, -0.8, 0.2, false, 5))
                    .answers()
                    .get(0)
                    .effects())
                    .extracting(Effect::change)
                    .containsExactly("2.2, not 2.4", "2.2, not 2.6", "2.4, not 2.6");
            List<MeasuredShot> bent = new ArrayList<>();
            for (MeasuredShot shot : grindStudy(5, 0, 0.1, false, 6)) {
                boolean middle = shot.record().number(RecordField.GRIND).orElseThrow() == 2.4;
                bent.add(middle ? Bench.shot(shot.name(), shot.record().with(RecordField.READINGS, "9.6; 9.6")) : shot);
            }
            Comparison comparison = Comparison.of(Question.of(List.of(GRIND), EY), bent);
            assertThat(comparison.answers().get(0).lackOfFit().orElseThrow().p()).isLessThan(0.001);
            assertThat(comparison.sentence().text()).contains("lack of fit");
        }

        @Test
        void whatTheUserMadeUpIsAFactorAndAResponseToo() {
            List<MeasuredShot> shots = new ArrayList<>();
            for (MeasuredShot shot : grindStudy(4, 0, 0.1, false, 7)) {
                boolean frozen = Integer.parseInt(shot.name()) % 2 == 0;
                shots.add(Bench.shot(shot.name(), shot.record()
                        .withExtra("beans frozen", frozen ? "yes" : "no")
                        .withExtra("crema",
                                (frozen ? 12.5 : 10.25) + Integer.parseInt(shot.name()) % 3 * 0.1 + " mm")));
            }
            List<ShotRecord> sheets = shots.stream().map(MeasuredShot::record).toList();
            Response crema = new OwnResponse(OwnFactor.of("crema", sheets).orElseThrow(), 0);
            Variable frozen = Variable.of(OwnFactor.of("beans frozen", sheets).orElseThrow());
            Comparison comparison = Comparison.of(Question.of(List.of(frozen), List.of(crema)), shots);
            assertThat(comparison.sentence().headline()).startsWith("no, not yes lowers crema by 2.2")
                    .contains(" mm at equal setting");
        }

        @Test
        void nothingThatChangedAndNothingToJudgeByAreSaid() {
            Comparison still = Comparison.of(Question.of(List.of(ARM), EY), grindStudy(1, 0, 0.1, false, 8));
            assertThat(still.sentence().headline()).startsWith("No shot tells of EY as dosed");
            assertThat(Comparison
                    .of(Question.of(List.of(Variable.of(RecordFactor.BASKET)), EY), grindStudy(2, 0, 0.1, false, 8))
                    .sentence()
                    .headline())
                    .startsWith("Basket did not change among these shots");
            Comparison saturated = Comparison.of(Question.of(
                    List.of(new Variable.Treatment(RecordFactor.GRIND, true), Variable.of(StandardResponse.STRENGTH)),
                    EY), grindStudy(1, -1, 0.1, false, 8));
            assertThat(saturated.sentence().headline()).matches("(?s).*(moved together|leaves nothing to judge by).*");
        }
    }

    @Test
    void whereTheSpreadComesFrom() {
        SpreadSources sources = Comparison.of(Question.of(List.of(GRIND), EY), grindStudy(6, -0.5, 0.3, false, 9))
                .answers()
                .get(0)
                .sources()
                .orElseThrow();
        assertThat(Math.sqrt(sources.withinDay())).isCloseTo(0.3, within(0.12));
        // 18 g on a 0.1 g display and 40 g on the same: 20.7 · 0.0289 · √(1/18² + 1/40²) = 0.036 points
        assertThat(Math.sqrt(sources.weighing())).isCloseTo(0.036, within(0.003));
        assertThat(sources.shotToShot()).isGreaterThan(sources.reading());
        assertThat(SpreadSources.gainOfShots(4, 12)).isCloseTo(0.5, within(1e-12));
    }
}
