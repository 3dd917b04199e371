package org.grenu.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.grenu.core.numbers.Samples;
import org.junit.jupiter.api.Test;

class ForecastTest {

    private static FixedFit twoArms(int control, int treated, double effect, double spread, Random random) {
        List<String> arms = new ArrayList<>();
        double[] y = new double[control + treated];
        for (int i = 0; i < y.length; i++) {
            arms.add(i < control ? "control" : "treated");
            y[i] = (i < control ? 0 : effect) + spread * random.nextGaussian();
        }
        Design design = new Design(y.length, List.of(Term.Levels.of("arm", arms)));
        return FixedFit.of(design, Samples.of(y), KnownErrors.ones(y.length));
    }

    private static double[] contrast(FixedFit fit) {
        return Design.difference(fit.design().mean((Term.Levels) fit.design().terms().get(0), 1),
                fit.design().mean((Term.Levels) fit.design().terms().get(0), 0));
    }

    /** Handbook §10's values, where the margin leaves no room for "the same". */
    @Test
    void withoutAMarginTheChanceIsThatOfTheTest() {
        assertThat(Power.ofAnswer(1, Math.sqrt(2.0 / 20), 38, 0, 0.05)).isCloseTo(0.8690, within(5e-5));
        assertThat(Power.ofAnswer(0.5, 0.3 * Math.sqrt(2.0 / 5), 8, 0, 0.05)).isCloseTo(0.638, within(5e-4));
        assertThat(Power.ofAnswer(0.5, 0.3 * Math.sqrt(2.0 / 7), 12, 0, 0.05)).isCloseTo(0.816, within(5e-4));
    }

    /** Against 4 000 simulated studies, two effects by two sizes; three standard errors. */
    @Test
    void theChanceOfAnAnswerIsWhatSimulationGives() {
        Random random = new Random(17);
        for (double effect : new double[] {0, 0.7}) {
            for (int each : new int[] {4, 12}) {
                int answers = 0;
                for (int k = 0; k < 4000; k++) {
                    FixedFit fit = twoArms(each, each, effect, 0.5, random);
                    Estimate estimate = fit.estimate(contrast(fit)).orElseThrow();
                    answers += estimate.pAgainst(0) <= 0.05 || Equivalence.of(estimate, 0.5).p() <= 0.05 ? 1 : 0;
                }
                assertThat(answers / 4000.0).as("%s, %s each", effect, each)
                        .isCloseTo(Power.ofAnswer(effect, 0.5 * Math.sqrt(2.0 / each), 2 * each - 2, 0.5, 0.05),
                                within(0.024));
            }
        }
    }

    @Test
    void moreRowsGoWhereTheyAreMissing() {
        FixedFit fit = twoArms(8, 2, 0.4, 0.5, new Random(4));
        Forecast forecast = Forecast.of(fit, contrast(fit), 0.1, 0.05, 200);
        assertThat(forecast.repeat()).startsWith(8, 8, 8, 8, 8, 8);
        assertThat(forecast.likely()).isTrue();
        assertThat(forecast.more()).isEqualTo(forecast.repeat().size());
        assertThat(Forecast.of(fit, contrast(fit), 0.1, 0.05, 1).likely()).isFalse();
    }

    /** Paule and Mandel's condition, and its edge: known errors that explain everything leave no spread. */
    @Test
    void knownErrorsLeaveTheSpreadBetweenRows() {
        double[] y = {10.1, 9.2, 10.8, 9.9, 11.0, 9.5};
        Samples u = Samples.of(new double[] {0.1, 0.2, 0.1, 0.4, 0.3, 0.1});
        Design mean = new Design(6, List.of());
        KnownErrors known = KnownErrors.of(mean, Samples.of(y), u);
        double[] weights = new double[6];
        for (int i = 0; i < 6; i++) {
            weights[i] = 1 / (known.spread() * known.spread() + u.get(i) * u.get(i));
        }
        assertThat(FixedFit.of(mean, Samples.of(y), Samples.of(weights)).rss()).isCloseTo(5, within(1e-9));
        assertThat(KnownErrors.of(mean, Samples.of(y), Samples.of(new double[] {2, 2, 2, 2, 2, 2})).spread()).isZero();
    }
}
