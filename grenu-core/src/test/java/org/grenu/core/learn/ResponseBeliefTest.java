package org.grenu.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

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

    /** Handbook §17, whose check has a straight line in the grind alone and no shot that strays. */
    @Test
    void theClosedFormAgreesWithTheHandbooksCheck() {
        double[][] x = ladder().stream().map(shot -> new double[] {1, shot.inputs().finer()}).toArray(double[][]::new);
        double[] y = ladder().stream().mapToDouble(shot -> Math.log(shot.value())).toArray();
        NormalInverseGamma belief = NormalInverseGamma.prior(new double[] {Math.log(28), 0.118},
                MatrixUtils.createRealDiagonalMatrix(new double[] {0.25, 0.06 * 0.06}), 0.035, 2)
                .given(x, y, new double[] {1, 1, 1, 1, 1});
        assertThat(belief.coefficient(1).location()).isCloseTo(0.10595, within(5e-6));
        assertThat(belief.coefficient(0).location()).isCloseTo(3.24999, within(5e-6));
        assertThat(belief.coefficient(1).degrees()).isEqualTo(9);
        assertThat(belief.spread()).isCloseTo(0.02505, within(5e-6));
        StudentT next = belief.shot(new double[] {1, 1});
        assertThat(Math.exp(next.location())).isCloseTo(28.67, within(0.005));
        assertThat(Math.exp(next.quantile(0.025))).isCloseTo(26.53, within(0.005));
        assertThat(Math.exp(next.quantile(0.975))).isCloseTo(30.99, within(0.005));
        assertThat(next.between(Math.log(27), Math.log(31))).isCloseTo(0.919, within(5e-4));
        StudentT after = belief.shot(new double[] {1, 2});
        assertThat(Math.exp(after.location())).isCloseTo(31.88, within(0.005));
        assertThat(after.between(Math.log(27), Math.log(31))).isCloseTo(0.253, within(5e-4));
    }

    /** That the line may bend, a shot stray and the spread be wider takes some of the sureness, and moves nothing. */
    @Test
    void isLessSureThanTheClosedFormOfTheSameShots() {
        ResponseBelief belief = ResponseBelief.before(Practice.TIME.prior(), REFERENCE, 28).given(ladder());
        Prediction next = belief.shot(REFERENCE.at(1));
        assertThat(next.typical()).isCloseTo(28.67, within(0.5));
        assertThat(next.quantile(0.025)).isBetween(22.0, 26.5);
        assertThat(next.quantile(0.975)).isBetween(31.0, 33.0);
        assertThat(next.chance(new AimRange(27, 31))).isBetween(0.6, 0.85);
        assertThat(next.chance(new AimRange(1, 500))).isCloseTo(1, within(1e-6));
    }

    /** A shot that channelled is seen as one that strayed, and hardly moves what is expected of the next. */
    @Test
    void aShotThatStraysMovesLittle() {
        List<LearntShot> shots = new ArrayList<>(ladder());
        shots.add(new LearntShot(REFERENCE.at(1), 22.8));
        Prediction sound = ResponseBelief.before(Practice.TIME.prior(), REFERENCE, 28)
                .given(ladder())
                .shot(REFERENCE.at(1));
        ResponseBelief belief = ResponseBelief.before(Practice.TIME.prior(), REFERENCE, 28).given(shots);
        assertThat(belief.strays()).isBetween(0.1, 0.16);
        assertThat(belief.shot(REFERENCE.at(1)).typical()).isCloseTo(sound.typical(), within(0.8));
    }

    /** What the grinder keeps of the setting before is learnt, where it was not purged. */
    @Test
    void learnsWhatTheGrinderKeeps() {
        List<LearntShot> shots = new ArrayList<>();
        double before = 0;
        for (double finer : new double[] {0, -4, 0, 4, 0, -4, 4, 0}) {
            double ground = 0.75 * finer + 0.25 * before;
            shots.add(new LearntShot(REFERENCE.at(finer).keeping(before), 28 * Math.exp(0.1 * ground)));
            before = finer;
        }
        ResponseBelief belief = ResponseBelief.before(Practice.TIME.prior(), REFERENCE, 28).given(shots);
        assertThat(belief.slope(Slope.GRIND).location()).isCloseTo(0.1, within(0.01));
        assertThat(belief.fit(REFERENCE.at(2).keeping(-2)).typical())
                .isCloseTo(28 * Math.exp(0.1 * 1), within(0.7));
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
        assertThat(notch.location()).isCloseTo(known.location(), within(0.012));
        assertThat(notch.scale()).as("the line may bend").isGreaterThan(known.scale());
        assertThat(belief.learnt(Slope.GRIND)).isBetween(0.8, 1.0);

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
        assertThat(oneByOne.shot(somewhere).centre()).isCloseTo(atOnce.shot(somewhere).centre(),
                within(1e-9));
        assertThat(oneByOne.shot(somewhere).usual().asOne().scale()).isCloseTo(
                atOnce.shot(somewhere).usual().asOne().scale(),
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
