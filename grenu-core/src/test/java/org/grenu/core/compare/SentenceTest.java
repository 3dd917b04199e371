package org.grenu.core.compare;

import org.grenu.core.quantity.DisplayUnits;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.demo.DemoStudy.DemoShot;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.TasteNote;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.OwnResponse;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The answer in words, for every verdict; responses and steps; and the demo study against its own truth. */
class SentenceTest {

    private static final Variable ARM = Variable.of(RecordFactor.ARM);

    private static List<MeasuredShot> arms(int each, double points, double spread) {
        Random random = new Random(8);
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < 2 * each; i++) {
            double yield = 20 + (i % 2 == 0 ? points : 0) + spread * random.nextGaussian();
            shots.add(Bench.shot("s" + i,
                    Bench.record(18, 40, yield * 18 / 40).with(RecordField.ARM, i % 2 == 0 ? "chilled" : "usual")));
        }
        return shots;
    }

    private static AnswerSentence sentence(double margin, List<MeasuredShot> shots) {
        return Comparison.of(new Question(List.of(ARM), List.of(), List.of(StandardResponse.EY_AS_DOSED),
                ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                new Question.Judging(Map.of("ey_as_dosed", margin), Map.of(), false), DisplayUnits.CANONICAL), shots)
                .sentence();
    }

    @Nested
    class EveryVerdict {

        @Test
        void differs() {
            assertThat(sentence(0.5, arms(6, 1.5, 0.2)).headline())
                    .matches("chilled, not usual raises EY as dosed by 1\\.\\d+ ±0\\.\\d+ points at equal setting\\.");
            assertThat(sentence(0.5, arms(6, -1.5, 0.2)).headline())
                    .matches("chilled, not usual lowers EY as dosed by 1\\.\\d+ ±0\\.\\d+ points at equal setting\\.");
        }

        @Test
        void sameWithAndWithoutADifferenceThatCanBeSeen() {
            assertThat(sentence(1, arms(10, 0.1, 0.2)).headline()).matches(
                    "chilled, not usual makes no difference to EY as dosed that matters: .?0\\.\\d+ ±0\\.\\d+ points "
                            + "\\(90 % interval\\) at equal setting, within ±1\\.");
            assertThat(sentence(1, arms(10, 0.5, 0.2)).headline()).matches(
                    "chilled, not usual changes EY as dosed, but too little to matter: \\+0\\.\\d+ ±0\\.\\d+ points "
                            + "\\(90 % interval\\) at equal setting, within ±1\\.");
        }

        @Test
        void cannotSayWithAndWithoutHope() {
            assertThat(sentence(0.2, arms(3, 0.5, 0.6)).headline())
                    .startsWith("Cannot say yet whether arm changes EY as dosed: chilled, not usual gives ")
                    .containsPattern(
                            "(About \\d+ more shots? (is|are) likely to settle it|Even 20 more shots are not likely "
                                    + "to settle it)\\.$");
            assertThat(sentence(0.01, arms(3, 0.02, 1)).headline())
                    .endsWith("Even 20 more shots are not likely to settle it.");
        }

        @Test
        void seenOnceBeyondMeasuringAndWithin() {
            assertThat(sentence(0.5, arms(1, 3, 0)).headline())
                    .startsWith("One shot each: chilled, not usual came with +3")
                    .endsWith(
                            "a difference of these two measurements only. Of what arm does, it says nothing before "
                                    + "both are repeated.");
            assertThat(sentence(0.5, arms(1, 0.02, 0)).headline())
                    .endsWith("which measuring alone explains: not distinguishable.");
        }

        @Test
        void copiedItNamesItsIntervals() {
            assertThat(sentence(0.5, arms(6, 1.5, 0.2)).text()).startsWith("chilled, not usual raises EY as dosed")
                    .endsWith("(± is the 95 % interval where no other is named.)");
        }
    }

    @Nested
    class Repeats {

        /**
         * Spread 0.3 by construction; χ² and t from published tables: t(0.975, 9) = 2.262, χ²(9) from 2.700 to
         * 19.023.
         */
        @Test
        void sayTheirSpreadAndWhatItCanTell() {
            double[] off = {0.3, -0.3, 0.3, -0.3, 0.3, -0.3, 0.3, -0.3, 0.3, -0.3};
            List<MeasuredShot> shots = new ArrayList<>();
            for (int i = 0; i < off.length; i++) {
                shots.add(Bench.shot("s" + i, Bench.record(18, 40, (20 + off[i]) * 18 / 40)));
            }
            Comparison comparison = Comparison.of(
                    Question.of(List.of(ARM), List.of(StandardResponse.BEVERAGE, StandardResponse.EY_AS_DOSED)), shots);
            assertThat(Repeatability.of(comparison.answers().get(0))).as("the arm is unknown in all").isEmpty();
            List<MeasuredShot> named = shots.stream()
                    .map(shot -> Bench.shot(shot.name(), shot.record().with(RecordField.ARM, "one")))
                    .toList();
            Repeatability repeats = Repeatability
                    .of(Comparison.of(Question.of(List.of(ARM), List.of(StandardResponse.EY_AS_DOSED)), named)
                            .answers()
                            .get(0))
                    .orElseThrow();
            double spread = 0.3 * Math.sqrt(10.0 / 9);
            assertThat(repeats.mean()).isCloseTo(20, within(0.01));
            assertThat(repeats.spread()).isCloseTo(spread, within(0.01));
            assertThat(repeats.half()).isCloseTo(2.262 * spread / Math.sqrt(10), within(0.01));
            assertThat(repeats.spreadLow()).isCloseTo(spread * Math.sqrt(9 / 19.023), within(0.01));
            assertThat(repeats.spreadHigh()).isCloseTo(spread * Math.sqrt(9 / 2.700), within(0.02));
            // The handbook's 0.8690 at δ = σ and n = 20 makes 0.8 need a little less; here δ for n = 10 is about 1.32
            // σ (Cohen's tables, from memory).
            assertThat(repeats.detectable() / repeats.spread()).isCloseTo(1.32, within(0.02));
            assertThat(repeats.words()).startsWith("EY as dosed 20.")
                    .contains("two arms of 10 tell differences from 0.4");
        }

        @Test
        void oneShotHasNoSpread() {
            Comparison one = Comparison.of(Question.of(List.of(ARM), List.of(StandardResponse.STRENGTH)),
                    List.of(Bench.shot("s", Bench.record(18, 40, 9).with(RecordField.ARM, "a"))));
            assertThat(Repeatability.of(one.answers().get(0))).isEmpty();
            assertThat(one.sentence().headline()).isEqualTo("Arm did not change among these shots.");
        }
    }

    @ParameterizedTest
    @CsvSource({"2.2;2.4;2.6, 0.4", "90;93, 3", "6;13;20;34, 28", "2;2.05;3, 1", "0.1;0.2;0.4, 0.3"})
    void effectsAreStatedForTheRangeUsedOrTheStepNamed(String values, double range) {
        List<MeasuredShot> shots = new ArrayList<>();
        for (String value : values.split(";")) {
            shots.add(Bench.shot(value, Bench.record(18, 40, 9).with(RecordField.GRIND, value)));
        }
        Variable grind = Variable.of(RecordFactor.GRIND);
        Question question = Question.of(List.of(grind), List.of(StandardResponse.STRENGTH));
        assertThat(Steps.of(question, grind, shots)).isEqualTo(range);
        assertThat(Steps.of(question.stepping(grind, 0.25), grind, shots)).isEqualTo(0.25);
        assertThatThrownBy(() -> question.stepping(grind, 0)).hasMessageContaining("above zero");
    }

    @Test
    void blocksAreThemselvesWhenFewAndASampleWhenSeveral() {
        IntFunction<String> model = days -> {
            List<MeasuredShot> shots = new ArrayList<>();
            for (MeasuredShot shot : arms(10, 1, 0.2)) {
                shots.add(
                        Bench.shot(shot.name(),
                                shot.record().with(RecordField.BLOCK, "day " + shots.size() / 2 % days)));
            }
            return Comparison.of(Question.of(List.of(ARM), List.of(StandardResponse.STRENGTH))
                    .inBlocks(Optional.of(RecordFactor.BLOCK)), shots).answers().get(0).model();
        };
        assertThat(model.apply(2)).contains("2 blocks (block) as themselves");
        assertThat(model.apply(5))
                .contains("5 blocks (block) as a sample of all (restricted likelihood, Kenward–Roger)");
    }

    @Test
    void aTreatmentThatStayedTheSameAllDayCannotBeToldFromTheDay() {
        List<MeasuredShot> shots = new ArrayList<>();
        for (MeasuredShot shot : arms(4, 1, 0.2)) {
            shots.add(Bench.shot(shot.name(),
                    shot.record().with(RecordField.BLOCK, shot.record().text(RecordField.ARM).orElseThrow())));
        }
        Comparison comparison = Comparison.of(
                Question.of(List.of(ARM), List.of(StandardResponse.STRENGTH)).inBlocks(Optional.of(RecordFactor.BLOCK)),
                shots);
        assertThat(comparison.sentence().headline())
                .isEqualTo("Arm and block moved together: these shots cannot tell which of them changed strength.");
    }

    @Test
    void holmLeavesOpenWhatOnlyOneQuestionWouldHaveFound() {
        Random random = new Random(3);
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < 16; i++) {
            shots.add(Bench.shot("s" + i,
                    Bench.record(18, 40, 9 + 0.09 * (i % 2) + 0.07 * random.nextGaussian())
                            .with(RecordField.ARM, "arm " + i % 2)
                            .with(RecordField.OPERATOR, "Operator " + i / 2 % 2)
                            .with(RecordField.BASKET, "basket " + i / 4 % 2)
                            .with(RecordField.WATER, "water " + i / 8)));
        }
        List<Variable> four = List.of(ARM, Variable.of(RecordFactor.OPERATOR), Variable.of(RecordFactor.BASKET),
                Variable.of(RecordFactor.WATER));
        Question plain = new Question(four, List.of(), List.of(StandardResponse.STRENGTH),
                ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                new Question.Judging(Map.of("strength", 0.0), Map.of(), false), DisplayUnits.CANONICAL);
        Question corrected = new Question(four, List.of(), List.of(StandardResponse.STRENGTH),
                ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                new Question.Judging(Map.of("strength", 0.0), Map.of(), true), DisplayUnits.CANONICAL);
        List<Effect> one = Comparison.of(plain, shots).answers().get(0).effects();
        List<Effect> all = Comparison.of(corrected, shots).answers().get(0).effects();
        for (int i = 0; i < 4; i++) {
            // Four questions and the six pairs of them.
            assertThat(all.get(i).p()).isBetween(one.get(i).p(), Math.min(1, 10 * one.get(i).p() + 1e-12));
            assertThat(all.get(i).halfWidth()).as("the interval stays that of one question")
                    .isEqualTo(one.get(i).halfWidth());
            assertThat(all.get(i).verdict() instanceof Verdict.Differs).isEqualTo(all.get(i).p() <= 0.05);
        }
    }

    /** What two factors do together beyond what each does alone is a term of its own, tested after both. */
    @Test
    void anInteractionIsFoundWhereOneIsAndNotWhereNoneIs() {
        for (double together : new double[] {0, 0.8}) {
            Random random = new Random(5);
            List<MeasuredShot> shots = new ArrayList<>();
            for (int i = 0; i < 24; i++) {
                boolean chilled = i % 2 == 0;
                boolean fine = i / 2 % 2 == 0;
                double strength = 9 + (chilled ? 0.2 : 0) + (fine ? 0.3 : 0) + (chilled && fine ? together : 0)
                        + 0.1 * random.nextGaussian();
                shots.add(Bench.shot("s" + i,
                        Bench.record(18, 40, strength)
                                .with(RecordField.ARM, chilled ? "chilled" : "usual")
                                .with(RecordField.GRIND, fine ? 2.2 : 2.4)));
            }
            Variable grind = Variable.of(RecordFactor.GRIND);
            Question question = new Question(List.of(ARM, grind), List.of(new Question.Pair(ARM, grind)),
                    List.of(StandardResponse.STRENGTH), ComparisonBasis.EQUAL_SETTING,
                    Optional.empty(), new Question.Judging(Map.of(), Map.of(), false), DisplayUnits.CANONICAL);
            ResponseAnswer answer = Comparison.of(question, shots).answers().get(0);
            TermTest test = answer.tests()
                    .stream()
                    .filter(term -> term.term().equals("Arm × Grind"))
                    .findFirst()
                    .orElseThrow();
            assertThat(test.test().orElseThrow().p() < 0.01).as("together %s", together).isEqualTo(together > 0);
            // Where they act together, the arm's effect is told at each grind; else once, at their average.
            List<Effect> effects = answer.effects(ARM);
            assertThat(effects).extracting(Effect::at)
                    .isEqualTo(together > 0 ? List.of("at grind 2.2", "at grind 2.4") : List.of(""));
            assertThat(effects.get(0).estimate().orElseThrow().value()).isCloseTo(0.2 + together, within(0.15));
            assertThat(effects.get(effects.size() - 1).estimate().orElseThrow().value()).isCloseTo(0.2, within(0.15));
        }
    }

    @Test
    void anInteractionNeedsTwoOfTheVariables() {
        assertThatThrownBy(() -> new Question(List.of(ARM), List.of(new Question.Pair(ARM, ARM)), List.of(),
                ComparisonBasis.EQUAL_SETTING, Optional.empty(), new Question.Judging(Map.of(), Map.of(), false),
                DisplayUnits.CANONICAL))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new OwnResponse(new OwnFactor("screen", false, ""), 0))
                .hasMessageContaining("screen is not a number");
    }

    /** Every standard response reads what the shot's own measures say, and its key finds it. */
    @ParameterizedTest
    @EnumSource(StandardResponse.class)
    void responsesAreFoundByTheirKeysAndReadOffTheShot(StandardResponse response) {
        assertThat(StandardResponse.find(response.key())).contains(response);
        DemoShot demo = DemoStudy.shots().get(2);
        String tasted = Arrays.stream(TasteNote.values())
                .map(note -> note.key() + " 4")
                .collect(Collectors.joining("; "));
        MeasuredShot shot = new MeasuredShot("x",
                demo.shot().record().with(RecordField.TASTING, tasted).with(RecordField.LIKING, 6),
                ShotMeasures.of(demo.shot()));
        Optional<Measured> value = response.of(shot);
        assertThat(value).isPresent();
        assertThat(response.usualMargin()).isPositive();
        assertThat(response.differenceUnit()).isEqualTo(response.unit().equals("%") ? "points" : response.unit());
        response.convention()
                .ifPresent(convention -> assertThat(value.orElseThrow().value())
                        .isEqualTo(convention.of(shot.measures().curve().times()).orElseThrow()));
        assertThat(response.of(Bench.shot("bare", ShotRecord.EMPTY)).isPresent()).as("what was not measured is unknown")
                .isEqualTo(
                        response == StandardResponse.PEAK_PRESSURE);
    }

    @ParameterizedTest
    @EnumSource(RecordFactor.class)
    void factorsAreFoundByTheirKeys(RecordFactor factor) {
        assertThat(RecordFactor.find(factor.key())).contains(factor);
        assertThat(factor.level(ShotRecord.EMPTY)).isEmpty();
        assertThat(factor.number(ShotRecord.EMPTY)).isEmpty();
        assertThat(Variable.of(factor).numeric()).isEqualTo(factor.numeric());
    }

    /** The simulator knows the yields; the comparison, which sees readings and weights, comes out where they do. */
    @Test
    void theDemoStudysOwnTruthLiesWithinTheIntervals() {
        List<DemoShot> demo = DemoStudy.shots()
                .subList(0, 18)
                .stream()
                .filter(shot -> !shot.shot().record().has(RecordField.FAULT))
                .toList();
        List<Variable> asked = List.of(Variable.of(RecordFactor.GRIND), Variable.of(RecordFactor.TEMPERATURE),
                Variable.of(RecordFactor.PROFILE));
        List<MeasuredShot> seen = demo.stream()
                .map(shot -> new MeasuredShot(shot.name(), shot.shot().record(), ShotMeasures.of(shot.shot())))
                .toList();
        List<Effect> found = Comparison.of(Question.of(asked, List.of(StandardResponse.EY_AS_DOSED)), seen)
                .answers()
                .get(0)
                .effects();
        List<MeasuredShot> known = demo.stream()
                .map(shot -> new MeasuredShot(shot.name(), shot.shot()
                        .record()
                        .withExtra("truth", Double.toString(
                                shot.truth()
                                        .yieldPercent(shot.shot().record().number(RecordField.DOSE).orElseThrow()))),
                        ShotMeasures.of(shot.shot())))
                .toList();
        Response truth = new OwnResponse(
                OwnFactor.of("truth", known.stream().map(MeasuredShot::record).toList()).orElseThrow(), 0.5);
        List<Effect> real = Comparison.of(Question.of(asked, List.of(truth)), known).answers().get(0).effects();
        for (Effect effect : found) {
            // Without noise more acts together beyond chance: then the truth is told at several places, and their
            // mean is meant.
            double truly = real.stream()
                    .filter(one -> one.variable().equals(effect.variable()) && one.change().equals(effect.change()))
                    .mapToDouble(one -> one.estimate().orElseThrow().value())
                    .average()
                    .orElseThrow();
            assertThat(effect.estimate().orElseThrow().value()).as(effect.words())
                    .isCloseTo(truly, within(effect.halfWidth()));
        }
    }
}
