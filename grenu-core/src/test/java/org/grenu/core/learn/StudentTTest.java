package org.grenu.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.hipparchus.distribution.continuous.TDistribution;
import org.junit.jupiter.params.ParameterizedTest;

/** Against Hipparchus, whose t distribution goes by the incomplete beta function. */
class StudentTTest {

    @ParameterizedTest
    @Seeds(40)
    void theSeriesAgreesWithTheIncompleteBetaFunction(Draws any) {
        double location = any.number(-3, 30);
        double scale = any.number(0.01, 4);
        double t = any.number(-9, 9);
        int whole = any.integer(1, 300);
        assertThat(new StudentT(location, scale, whole).below(location + t * scale))
                .isCloseTo(new TDistribution(whole).cumulativeProbability(t), within(1e-12));
        double between = any.number(2, 60);
        assertThat(new StudentT(location, scale, between).below(location + t * scale))
                .isCloseTo(new TDistribution(between).cumulativeProbability(t), within(2e-4));
    }

    /** What a mixture stays below with a probability is where that probability lies below. */
    @ParameterizedTest
    @Seeds(20)
    void aMixturesQuantileIsItsChanceTurnedRound(Draws any) {
        Mixture mixture = new Mixture(List.of(
                new Mixture.Part(0.6, new StudentT(any.number(-1, 1), any.number(0.01, 1), any.number(3, 40))),
                new Mixture.Part(0.4, new StudentT(any.number(-3, 3), any.number(0.01, 1), any.number(3, 40)))));
        double probability = any.number(0.01, 0.99);
        double value = mixture.quantile(probability);
        assertThat(mixture.between(-1e9, value)).isCloseTo(probability, within(1e-6));
    }
}
