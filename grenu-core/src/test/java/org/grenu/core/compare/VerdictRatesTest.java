package org.grenu.core.compare;

import org.grenu.core.quantity.DisplayUnits;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Predicate;
import org.grenu.core.model.Power;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.junit.jupiter.api.Test;

/**
 * How often verdicts are wrong, on 400 studies of normal spread each; three standard errors of a share either way.
 * The
 * same with whole simulated shots is in docs/validation.md.
 */
class VerdictRatesTest {

    private static final int STUDIES = 400;
    private static final Variable ARM = Variable.of(RecordFactor.ARM);
    private static final double THREE_ERRORS = 3 * Math.sqrt(0.05 * 0.95 / STUDIES);

    /** Without the guard, which asks many more questions. */
    private static ResponseAnswer answer(Question question, List<MeasuredShot> shots) {
        return Answering.answer(question, question.responses().get(0), shots, MatchedBasis.of(question.basis(), shots),
                CarryOver.NONE);
    }

    private static Effect study(Random random, int each, double points, double spread, double margin,
            double readingSpread) {
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < 2 * each; i++) {
            double yield = 20 + (i % 2 == 0 ? points : 0) + spread * random.nextGaussian();
            // Some shots are read once, some three times: their weights differ.
            int readings = 1 + 2 * (i % 3 == 0 ? 1 : 0);
            StringBuilder text = new StringBuilder();
            for (int k = 0; k < readings; k++) {
                text.append(k == 0 ? "" : "; ")
                        .append(String.format(Locale.ROOT, "%.4f",
                                yield * 18 / 40 + readingSpread * random.nextGaussian()));
            }
            shots.add(Bench.shot("s" + i,
                    Bench.record(18, 40, 9)
                            .with(RecordField.READINGS, text.toString())
                            .with(RecordField.ARM, i % 2 == 0 ? "a" : "b")));
        }
        Question question = new Question(List.of(ARM), List.of(), List.of(StandardResponse.EY_AS_DOSED),
                ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                new Question.Judging(Map.of("ey_as_dosed", margin), Map.of(), false), DisplayUnits.CANONICAL);
        return answer(question, shots).effects().get(0);
    }

    private static double share(int seed, int each, double points, double spread, double margin, double readingSpread,
            Predicate<Effect> of) {
        Random random = new Random(seed);
        int held = 0;
        for (int k = 0; k < STUDIES; k++) {
            held += of.test(study(random, each, points, spread, margin, readingSpread)) ? 1 : 0;
        }
        return held / (double) STUDIES;
    }

    @Test
    void intervalsHoldTheTruth() {
        assertThat(share(1, 4, 0.4, 0.3, 0.5, 0,
                effect -> Math.abs(effect.estimate().orElseThrow().value() - 0.4) <= effect.halfWidth()))
                .isCloseTo(0.95, within(THREE_ERRORS));
    }

    @Test
    void intervalsHoldTheTruthAlsoWhereReadingWeighs() {
        assertThat(share(2, 6, 0.4, 0.02, 0.5, 0.015,
                effect -> Math.abs(effect.estimate().orElseThrow().value() - 0.4) <= effect.halfWidth()))
                .isCloseTo(0.95, within(THREE_ERRORS + 0.01));
    }

    @Test
    void nothingDiffersFalselyMoreThanFivePercent() {
        assertThat(share(3, 5, 0, 0.3, 0, 0, effect -> effect.verdict() instanceof Verdict.Differs)).isCloseTo(0.05,
                within(THREE_ERRORS));
    }

    @Test
    void theSameIsWrongAtMostFivePercentAtTheMargin() {
        assertThat(share(4, 8, 0.5, 0.3, 0.5, 0, effect -> effect.verdict() instanceof Verdict.SameInPractice))
                .isCloseTo(0.05, within(THREE_ERRORS));
    }

    /** Where the truth is known the forecast's chance is the share of studies that are answered. */
    @Test
    void theForecastMeetsItsChance() {
        double forecast = Power.ofAnswer(0.25, 0.3 * Math.sqrt(2.0 / 12), 22, 0.35, Question.ALPHA);
        assertThat(forecast).isBetween(0.6, 0.95);
        assertThat(share(5, 12, 0.25, 0.3, 0.35, 0, effect -> !(effect.verdict() instanceof Verdict.CannotSay)))
                .isCloseTo(forecast, within(0.05));
    }

    /** Three levels, no difference: that any pair differs, after Tukey, stays at 5 %. */
    @Test
    void pairsAmongSeveralLevelsStayAtFivePercentTogether() {
        Random random = new Random(6);
        int wrong = 0;
        int studies = 200;
        for (int k = 0; k < studies; k++) {
            List<MeasuredShot> shots = new ArrayList<>();
            for (int i = 0; i < 15; i++) {
                shots.add(Bench.shot("s" + i,
                        Bench.record(18, 40, 9 + 0.1 * random.nextGaussian()).with(RecordField.ARM, "arm " + i % 3)));
            }
            wrong += answer(new Question(List.of(ARM), List.of(), List.of(StandardResponse.STRENGTH),
                    ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                    new Question.Judging(Map.of("strength", 0.0), Map.of(), false), DisplayUnits.CANONICAL), shots)
                    .effects()
                    .stream()
                    .anyMatch(effect -> effect.verdict() instanceof Verdict.Differs) ? 1 : 0;
        }
        assertThat(wrong / (double) studies).isCloseTo(0.05, within(3 * Math.sqrt(0.05 * 0.95 / studies)));
    }
}
