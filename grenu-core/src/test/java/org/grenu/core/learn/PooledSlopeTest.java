package org.grenu.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What one coffee teaches the next, against Gibbs sampling of both at once by MCMCpack ({@code reference/learn.R}). */
class PooledSlopeTest {

    private static final ShotInputs REFERENCE = new ShotInputs(0, 18, 36, 93, 14);

    private static LearntShot shot(double finer, double seconds) {
        return new LearntShot(REFERENCE.at(finer), seconds);
    }

    /**
     * The middle is the sampler's, whose line is straight and whose shots never stray; the interval is wider here by
     * what the bend and the strays leave open. DialInStudy says how often it holds.
     */
    @Test
    void agreesWithASamplerOfBothCoffees() {
        ResponseBelief first = ResponseBelief.before(Practice.TIME.prior(), REFERENCE, 28)
                .given(List.of(shot(-3, 18.9), shot(-2, 20.6), shot(-1, 23.4), shot(0, 25.4), shot(0, 26.1)));
        ResponseBelief second = ResponseBelief.before(first.forNextCoffee(), REFERENCE, 28)
                .given(List.of(shot(-2, 24.3), shot(0, 31.0), shot(1, 34.6)));
        Prediction next = second.shot(REFERENCE.at(-1));
        assertThat(second.slope(Slope.GRIND).location()).isCloseTo(0.1165, within(0.003));
        assertThat(second.fit(REFERENCE).centre()).isCloseTo(3.4282, within(0.01));
        assertThat(next.typical()).isCloseTo(27.43, within(0.3));
        assertThat(next.quantile(0.025)).isBetween(22.0, 25.58);
        assertThat(next.quantile(0.975)).isBetween(29.2, 31.5);
    }
}
