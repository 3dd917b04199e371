package org.grenu.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class ResponseBeliefTest {

    private static final ShotInputs REFERENCE = new ShotInputs(0, 18, 36, 93, 14);

    /** Notches 2.8, 2.7, 2.6, 2.5, 2.5 against 2.5. */
    private static List<LearntShot> ladder() {
        double[] finer = {-3, -2, -1, 0, 0};
        double[] seconds = {18.9, 20.6, 23.4, 25.4, 26.1};
        List<LearntShot> shots = new ArrayList<>();
        for (int i = 0; i < finer.length; i++) {
            shots.add(new LearntShot(REFERENCE.at(finer[i]), seconds[i]));
        }
        return shots;
    }

    /** Handbook §17, whose check has grind as the only slope: here nothing else moved, so the others tell nothing. */
    @Test
    void agreesWithTheHandbooksCheck() {
        ResponseBelief belief = ResponseBelief.before(Practice.TIME.prior(), REFERENCE, 28).given(ladder());
        assertThat(belief.slope(Slope.GRIND).location()).isCloseTo(0.10595, within(5e-6));
        assertThat(belief.fit(REFERENCE).onScale().location()).isCloseTo(3.24999, within(5e-6));
        assertThat(belief.slope(Slope.GRIND).degrees()).isEqualTo(9);
        assertThat(belief.spread()).isCloseTo(0.02505, within(5e-6));
        Prediction next = belief.shot(REFERENCE.at(1));
        assertThat(next.median()).isCloseTo(28.67, within(0.005));
        assertThat(next.quantile(0.025)).isCloseTo(26.53, within(0.005));
        assertThat(next.quantile(0.975)).isCloseTo(30.99, within(0.005));
        assertThat(belief.shot(REFERENCE.at(1)).chance(new AimRange(27, 31))).isCloseTo(0.919, within(5e-4));
        assertThat(belief.shot(REFERENCE.at(2)).median()).isCloseTo(31.88, within(0.005));
        assertThat(belief.shot(REFERENCE.at(2)).chance(new AimRange(27, 31))).isCloseTo(0.253, within(5e-4));
    }

    /**
     * What a lever does is told with practice's own width: as the normal closed form has it where the noise is known to
     * be what the shots left, and not a little surer of a lever that was never moved.
     */
    @Test
    void shotsThatAgreeMakeNoLeverSurerThatWasNotMoved() {
        ResponseBelief belief = ResponseBelief.before(Practice.TIME.prior(), REFERENCE, 28).given(ladder());
        double[][] x = ladder().stream().map(shot -> new double[] {1, shot.inputs().finer()}).toArray(double[][]::new);
        double[] y = ladder().stream().mapToDouble(shot -> Math.log(shot.value())).toArray();
        RealMatrix widths = MatrixUtils.createRealDiagonalMatrix(new double[] {0.25, 0.06 * 0.06});
        StudentT known = NormalInverseGamma.prior(new double[] {Math.log(28), 0.118}, widths, belief.spread(), 1e6)
                .given(x, y, new double[] {1, 1, 1, 1, 1})
                .coefficient(1);
        StudentT notch = belief.effect(REFERENCE, REFERENCE.at(1));
        assertThat(notch.location()).isCloseTo(known.location(), within(0.0002));
        assertThat(notch.scale()).isCloseTo(known.scale(), withinPercentage(1));
        assertThat(belief.learnt(Slope.GRIND)).isBetween(0.9, 1.0);

        StudentT degree = belief.effect(REFERENCE, REFERENCE.with(Slope.TEMPERATURE, 95));
        assertThat(degree.scale()).as("1 °C 0 ± 0.01, two of them").isCloseTo(0.02, within(1e-12));
        assertThat(belief.learnt(Slope.TEMPERATURE)).isZero();
        assertThat(belief.mostlyAssumed(Slope.TEMPERATURE)).isTrue();
    }

    /** Shot by shot is the same as all at once, and in any order. */
    @ParameterizedTest
    @Seeds(20)
    void orderTellsNothing(Draws any) {
        List<LearntShot> shots = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            shots.add(new LearntShot(new ShotInputs(any.integer(-5, 5), any.number(16, 20), any.number(30, 45),
                    any.number(90, 95), any.number(5, 30)), any.number(15, 50), any.number(0.3, 1)));
        }
        ResponseBelief before = ResponseBelief.before(Practice.TIME.prior(), REFERENCE, 28);
        ResponseBelief atOnce = before.given(shots);
        ResponseBelief oneByOne = before;
        for (int i = shots.size() - 1; i >= 0; i--) {
            oneByOne = oneByOne.given(List.of(shots.get(i)));
        }
        ShotInputs somewhere = new ShotInputs(any.integer(-5, 5), 17, 40, 91, 20);
        assertThat(oneByOne.shot(somewhere).onScale().location()).isCloseTo(atOnce.shot(somewhere).onScale().location(),
                within(1e-9));
        assertThat(oneByOne.shot(somewhere).onScale().scale()).isCloseTo(atOnce.shot(somewhere).onScale().scale(),
                within(1e-9));
    }

    /** What one coffee taught of the grinder, the next begins with, less sure; its level it does not. */
    @Test
    void theNextCoffeeBeginsWithTheGrindersSlope() {
        ResponseBelief first = ResponseBelief.before(Practice.TIME.prior(), REFERENCE, 28).given(ladder());
        ResponseBelief next = ResponseBelief.before(first.forNextCoffee(), REFERENCE, 28);
        assertThat(next.slope(Slope.GRIND).location()).isCloseTo(first.slope(Slope.GRIND).location(), within(1e-12));
        assertThat(next.slope(Slope.GRIND).scale()).isBetween(first.slope(Slope.GRIND).scale(), 0.06);
        assertThat(next.fit(REFERENCE).median()).isCloseTo(28, within(1e-9));
    }
}
