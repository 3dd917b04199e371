package org.grenu.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class TimeBeliefTest {

    private static final ShotInputs REFERENCE = new ShotInputs(0, 18, 36, 93, 14);

    /** Notches 2.8, 2.7, 2.6, 2.5, 2.5 against 2.5. */
    private static List<TimedShot> ladder() {
        double[] finer = {-3, -2, -1, 0, 0};
        double[] seconds = {18.9, 20.6, 23.4, 25.4, 26.1};
        List<TimedShot> shots = new ArrayList<>();
        for (int i = 0; i < finer.length; i++) {
            shots.add(new TimedShot(REFERENCE.at(finer[i]), seconds[i]));
        }
        return shots;
    }

    /** Handbook §17, whose check has grind as the only slope: here nothing else moved, so the others tell nothing. */
    @Test
    void agreesWithTheHandbooksCheck() {
        TimeBelief belief = TimeBelief.before(TimePrior.COMMON_PRACTICE, REFERENCE, 28).given(ladder());
        assertThat(belief.notch().location()).isCloseTo(0.10595, within(5e-6));
        assertThat(belief.fit(REFERENCE).location()).isCloseTo(3.24999, within(5e-6));
        assertThat(belief.notch().degrees()).isEqualTo(9);
        assertThat(belief.spread()).isCloseTo(0.02505, within(5e-6));
        StudentT next = belief.shot(REFERENCE.at(1));
        assertThat(Math.exp(next.location())).isCloseTo(28.67, within(0.005));
        assertThat(Math.exp(next.quantile(0.025))).isCloseTo(26.53, within(0.005));
        assertThat(Math.exp(next.quantile(0.975))).isCloseTo(30.99, within(0.005));
        assertThat(belief.chance(REFERENCE.at(1), 27, 31)).isCloseTo(0.919, within(5e-4));
        assertThat(Math.exp(belief.shot(REFERENCE.at(2)).location())).isCloseTo(31.88, within(0.005));
        assertThat(belief.chance(REFERENCE.at(2), 27, 31)).isCloseTo(0.253, within(5e-4));
    }

    /** Shot by shot is the same as all at once, and in any order. */
    @ParameterizedTest
    @Seeds(20)
    void orderTellsNothing(Draws any) {
        List<TimedShot> shots = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            shots.add(new TimedShot(new ShotInputs(any.integer(-5, 5), any.number(16, 20), any.number(30, 45),
                    any.number(90, 95), any.number(5, 30)), any.number(15, 50), any.number(0.3, 1)));
        }
        TimeBelief before = TimeBelief.before(TimePrior.COMMON_PRACTICE, REFERENCE, 28);
        TimeBelief atOnce = before.given(shots);
        TimeBelief oneByOne = before;
        for (int i = shots.size() - 1; i >= 0; i--) {
            oneByOne = oneByOne.given(List.of(shots.get(i)));
        }
        ShotInputs somewhere = new ShotInputs(any.integer(-5, 5), 17, 40, 91, 20);
        assertThat(oneByOne.shot(somewhere).location()).isCloseTo(atOnce.shot(somewhere).location(), within(1e-9));
        assertThat(oneByOne.shot(somewhere).scale()).isCloseTo(atOnce.shot(somewhere).scale(), within(1e-9));
    }

    /** What one coffee taught of the grinder, the next begins with, less sure; its level it does not. */
    @Test
    void theNextCoffeeBeginsWithTheGrindersSlope() {
        TimeBelief first = TimeBelief.before(TimePrior.COMMON_PRACTICE, REFERENCE, 28).given(ladder());
        TimeBelief next = TimeBelief.before(first.forNextCoffee(), REFERENCE, 28);
        assertThat(next.notch().location()).isCloseTo(first.notch().location(), within(1e-12));
        assertThat(next.notch().scale()).isBetween(first.notch().scale(), 0.06);
        assertThat(Math.exp(next.fit(REFERENCE).location())).isCloseTo(28, within(1e-9));
    }
}
