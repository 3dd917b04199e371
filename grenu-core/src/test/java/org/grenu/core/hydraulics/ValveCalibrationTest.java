package org.grenu.core.hydraulics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.grenu.core.numbers.IsotonicMeans;
import org.grenu.core.numbers.MonotoneCurve;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

/** Reference values: R 4.2.2, {@code isoreg} and {@code splinefun(method = "monoH.FC")}, on the same points. */
class ValveCalibrationTest {

    private static final double[] POSITIONS = {0, 0.25, 0.5, 0.75, 1, 1.5, 2};
    private static final double[] FLOWS = {0.00, 0.55, 1.42, 1.38, 2.9, 4.35, 6.8};

    private static ValveCalibration reference() {
        List<ValveCalibration.Run> runs = new ArrayList<>();
        for (int i = 0; i < POSITIONS.length; i++) {
            runs.add(new ValveCalibration.Run(POSITIONS[i], 20, 20 * FLOWS[i]));
        }
        return ValveCalibration.of(runs, 0.029).orElseThrow();
    }

    private static MonotoneCurve curve() {
        return new MonotoneCurve(POSITIONS, new double[] {0, 0.55, 1.4, 1.4, 2.9, 4.35, 6.8});
    }

    @Test
    void equalWeightsPoolAsIsoregDoes() {
        assertThat(IsotonicMeans.rising(FLOWS, new double[] {1, 1, 1, 1, 1, 1, 1}))
                .containsExactly(new double[] {0, 0.55, 1.4, 1.4, 2.9, 4.35, 6.8}, within(1e-12));
    }

    @Test
    void theCurveAgreesWithR() {
        double[] at = {0.1, 0.3, 0.6, 0.9, 1.2, 1.75, 1.99};
        double[] expected = {0.2056, 0.728, 1.4, 2.2118, 3.5436, 5.5125, 6.7508039999999987};
        for (int i = 0; i < at.length; i++) {
            assertThat(curve().at(at[i])).as("at %s", at[i]).isCloseTo(expected[i], within(1e-9));
        }
        double[] flows = {0.3, 2.0, 5.0};
        double[] positions = {0.14603875427467694, 0.8736110944813904, 1.6476164486409066};
        for (int i = 0; i < flows.length; i++) {
            assertThat(curve().where(flows[i])).isCloseTo(positions[i], within(1e-9));
        }
        assertThat(curve().where(1.4)).as("the middle of the flat piece").isCloseTo(0.625, within(1e-9));
        assertThat(curve().where(6.9)).isNaN();
    }

    @ParameterizedTest
    @Seeds(200)
    void neverTurnsBack(Draws any) {
        List<Double> steps = any.list(2, 9, () -> any.number(0, 5));
        double[] x = new double[steps.size()];
        double[] y = new double[steps.size()];
        for (int i = 0; i < x.length; i++) {
            x[i] = i;
            y[i] = (i == 0 ? 0 : y[i - 1]) + steps.get(i);
        }
        MonotoneCurve curve = new MonotoneCurve(x, y);
        double before = curve.at(0);
        for (double at = 0.01; at <= x.length - 1; at += 0.01) {
            assertThat(curve.at(at)).isGreaterThanOrEqualTo(before - 1e-9);
            before = curve.at(at);
        }
    }

    @Test
    void namesWhatIsOutOfOrderBeyondItsUncertainty() {
        assertThat(reference().outOfOrder()).as("0.02 g/s apart, timing alone leaves 0.014").isEmpty();
        List<ValveCalibration.Run> runs = List.of(new ValveCalibration.Run(0, 20, 10),
                new ValveCalibration.Run(1, 20, 60),
                new ValveCalibration.Run(2, 20, 40), new ValveCalibration.Run(3, 20, 90));
        assertThat(ValveCalibration.of(runs, 0.03).orElseThrow().outOfOrder()).extracting(ValveCalibration.Position::at)
                .containsExactly(1.0, 2.0);
    }

    @Test
    void aValveThatClosesUpwardsIsReadSo() {
        List<ValveCalibration.Run> runs = List.of(new ValveCalibration.Run(0, 20, 140),
                new ValveCalibration.Run(1, 20, 80), new ValveCalibration.Run(2, 20, 20));
        ValveCalibration closing = ValveCalibration.of(runs, 0.03).orElseThrow();
        assertThat(closing.positionFor(4).orElseThrow()).isCloseTo(1, within(1e-9));
        assertThat(closing.flowAt(1).orElseThrow().value()).isCloseTo(4, within(1e-12));
        assertThat(closing.largest()).isEqualTo(7);
    }

    /**
     * Repeats of known scatter: the band at a position covers the true flow as often as k = 2 promises for 12
     * degrees of freedom.
     */
    @Test
    void theBandCoversTheTrueFlow() {
        Random random = new Random(41);
        int covered = 0;
        int studies = 2_000;
        for (int study = 0; study < studies; study++) {
            List<ValveCalibration.Run> runs = new ArrayList<>();
            for (int position = 0; position < 4; position++) {
                for (int repeat = 0; repeat < 4; repeat++) {
                    runs.add(new ValveCalibration.Run(position, 20,
                            20 * (2 * position + 0.5 + 0.1 * random.nextGaussian())));
                }
            }
            var flow = ValveCalibration.of(runs, 0.0).orElseThrow().flowAt(2).orElseThrow();
            covered += Math.abs(flow.value() - 4.5) <= flow.expanded() ? 1 : 0;
        }
        assertThat(covered / (double) studies).as("2·P(t₁₂ < 2) − 1 = 0.9313").isCloseTo(0.9313, within(0.02));
    }

    @Test
    void aScheduleIsTranslatedThroughFlowAndSaysWhatCannotBeReached() {
        List<ValveCalibration.Run> weak = List.of(new ValveCalibration.Run(0, 20, 0),
                new ValveCalibration.Run(4, 20, 80));
        ValveCalibration there = ValveCalibration.of(weak, 0.029).orElseThrow();
        ValveSchedule schedule = new ValveSchedule(
                List.of(new ValveSchedule.Step(0, 0.25), new ValveSchedule.Step(8, 1), new ValveSchedule.Step(15, 2),
                        new ValveSchedule.Step(30, 3)));
        List<ValveSchedule.Translated> steps = schedule.translate(reference(), there);
        assertThat(steps.get(0).opening().orElseThrow().at()).as("0.55 g/s of 4 g/s in 4 turns")
                .isCloseTo(0.55, within(1e-9));
        assertThat(steps.get(1).opening().orElseThrow().at()).isCloseTo(2.9, within(1e-9));
        assertThat(steps.get(1).opening().orElseThrow().low()).isLessThan(2.9);
        assertThat(steps.get(1).opening().orElseThrow().high()).isGreaterThan(2.9);
        assertThat(steps.get(2).opening()).as("6.8 g/s is more than 4").isEmpty();
        assertThat(steps.get(2).flow()).isPresent();
        assertThat(steps.get(3).flow()).as("never run at 3").isEmpty();
    }
}
