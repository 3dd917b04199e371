package org.grenu.core.hydraulics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.hydraulics.ValveCalibration.Run;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class ValveForCurveTest {

    /** Two grams a second more with each turn, up to ten. */
    private static ValveCalibration valve() {
        List<Run> runs = new ArrayList<>();
        for (int turn = 0; turn <= 5; turn++) {
            runs.add(new Run(turn, 20, 20 * 2 * turn));
        }
        return ValveCalibration.of(runs, 0.05).orElseThrow();
    }

    /** Three quarters of the line's pressure at the group leave a quarter across the valve: half its free flow. */
    @Test
    void halfTheFreeFlowAtThreeQuartersOfThePressure() {
        ValveForCurve found = ValveForCurve.of(new double[] {0, 5}, new double[] {0, 6.75}, new double[] {4, 2},
                valve(), 9);
        assertThat(found.entries()).singleElement().satisfies(entry -> {
            assertThat(entry.freeFlow()).isCloseTo(4, within(1e-9));
            assertThat(entry.opening().orElseThrow().at()).isCloseTo(2, within(0.05));
        });
    }

    /** What it gives instead meets both laws: of the valve and of the puck. */
    @ParameterizedTest
    @Seeds(20)
    void whatItCannotReachIsSaidWithWhatItGives(Draws any) {
        double bar = any.number(8.2, 8.8);
        double flow = any.number(3.3, 5);
        ValveForCurve.Entry entry = ValveForCurve
                .of(new double[] {0}, new double[] {bar}, new double[] {flow}, valve(), 9)
                .entries()
                .get(0);
        assertThat(entry.opening()).isEmpty();
        ValveForCurve.Instead instead = entry.instead().orElseThrow();
        assertThat(instead.flow()).isLessThan(flow);
        assertThat(instead.bar() / instead.flow()).isCloseTo(bar / flow, within(1e-9));
        assertThat(10 * Math.sqrt(1 - instead.bar() / 9)).isCloseTo(instead.flow(), within(0.02));
    }
}
