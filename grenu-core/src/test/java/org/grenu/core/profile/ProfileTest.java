package org.grenu.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.grenu.core.puck.Puck;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ProfileTest {

    private static CurveMeasures pulled(Profile profile, double grind, boolean steps) {
        SimulatedRig rig = new SimulatedRig(12);
        if (steps) {
            rig.loggingSteps();
        }
        return CurveMeasures
                .of(rig.pull(new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, grind, 93), profile, 38, 100),
                        List.of())
                        .log(), CurveSettings.STANDARD);
    }

    @Test
    void isReadAsPeopleWriteItAndWrittenBack() {
        Profile profile = Profile.parse(
                "Soak: pressure 2,4 +/- 0.4, flow at most 4 until 2 s after drip or 25 s; main: flow 1.8 to 2.2 over "
                        + "4s until pressure above 9 or 30 g");
        assertThat(profile.text()).isEqualTo("Soak: pressure 2.4 ±0.4, flow at most 4 until 2 s after drip or 25 s; "
                + "main: flow 1.8 to 2.2 over 4 s ±0.3 until pressure above 9 or 30 g");
        assertThat(Profile.parse(profile.text())).isEqualTo(profile);
        assertThat(profile.steps().get(1).targetAt(2, 99)).isCloseTo(2.0, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soak", "soak: 9 bar", "soak: pressure 9 until it stops",
            "soak: pressure 9, pressure at most 4", "soak: pressure 9, water at 130 °C", "soak: pressure 99",
            "soak: pressure 9 ±0",
            "soak: pressure 2.4 ±0999999999999999999999999999999999999999999999999999999999999999999999"})
    void whatIsNotAProfileIsRefusedInWords(String text) {
        assertThatThrownBy(() -> Profile.parse(text)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageMatching("(?s).*(step|Step|end).*");
    }

    @ParameterizedTest
    @Seeds(300)
    void nothingTypedDoesHarm(Draws any) {
        String text = any.text();
        try {
            Profile.parse(text + ": pressure 9 until " + text);
        } catch (IllegalArgumentException refused) {
            assertThat(refused.getMessage()).isNotBlank();
        }
    }

    /**
     * With and without logged steps, the simulated machine is seen to keep to its profile, each step's exit as it
     * was.
     */
    @ParameterizedTest
    @EnumSource
    void stepsAreFoundInTheCurvesAsTheMachineLoggedThem(DemoProfile profile) {
        PlannedRun searched = PlannedRun.of(profile.profile(), pulled(profile.profile(), 2.4, false)).orElseThrow();
        PlannedRun logged = PlannedRun.of(profile.profile(), pulled(profile.profile(), 2.4, true)).orElseThrow();
        assertThat(logged.fromSteps()).isTrue();
        assertThat(searched.steps()).hasSameSizeAs(logged.steps());
        for (int i = 0; i < searched.steps().size(); i++) {
            assertThat(searched.steps().get(i).fromSeconds()).isCloseTo(logged.steps().get(i).fromSeconds(),
                    within(0.6));
            assertThat(logged.steps().get(i).ending())
                    .isEqualTo(i == logged.steps().size() - 1 ? StepEnding.PUMP_OFF : StepEnding.CONDITION);
        }
        assertThat(logged.inside().orElseThrow()).isGreaterThan(0.5);
    }

    @Test
    void aStepThatRanOutOfTimeSaysSo() {
        Profile impatient = Profile.parse("soak: pressure 2.4 until 2 s after drip or 6 s; main: pressure 9");
        for (boolean steps : new boolean[] {false, true}) {
            StepRun soak = PlannedRun.of(impatient, pulled(impatient, 2.2, steps)).orElseThrow().steps().get(0);
            assertThat(soak.ending()).isEqualTo(StepEnding.TIME_LIMIT);
            assertThat(soak.seconds()).isCloseTo(6, within(0.2));
        }
    }

    @Test
    void aStepLeftByHandIsNoConditionMet() {
        Profile pulledAs = Profile.parse("soak: pressure 3 until 6 s; main: pressure 9");
        Profile meant = Profile.parse("soak: pressure 3 until 5 g or 40 s; main: pressure 9");
        assertThat(PlannedRun.of(meant, pulled(pulledAs, 2.4, true)).orElseThrow().steps().get(0).ending())
                .isEqualTo(StepEnding.OPERATOR);
    }
}
