package org.grenu.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.grenu.core.puck.Puck;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.phase.PhaseKind;
import org.grenu.core.profile.Profile;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.rig.instrument.SimulatedRefractometer;
import org.grenu.core.rig.instrument.SimulatedScale;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Machine, scale and refractometer of the simulated rig. */
class InstrumentsTest {

    @Test
    void theScaleFollowsLateAndSettles() {
        SimulatedScale scale = new SimulatedScale(new Well19937c(1), 0.5, 0.01);
        for (int i = 0; i < 45; i++) {
            scale.weigh(20);
        }
        assertThat(scale.shown()).as("still on the way").isZero();
        for (int i = 0; i < 150; i++) {
            scale.weigh(20);
        }
        assertThat(scale.shown()).isCloseTo(20, within(0.01));
    }

    @Test
    void theRefractometerHasABiasThatItsReadingsShare() {
        SimulatedRefractometer refractometer = new SimulatedRefractometer(new Well19937c(2));
        double[] readings = refractometer.read(9.4, 2000).stream().mapToDouble(Double::doubleValue).toArray();
        double mean = Arrays.stream(readings).average().orElseThrow();
        double deviation = Math.sqrt(Arrays.stream(readings).map(r -> (r - mean) * (r - mean)).average().orElseThrow());
        assertThat(mean - 9.4).isCloseTo(0.012, within(0.002));
        assertThat(deviation).isCloseTo(0.018, within(0.002));
        assertThat(refractometer.read(Double.NaN, 3)).as("no sample, no reading").isEmpty();
    }

    /** The pump gives less against pressure and nothing at its stall; the relief valve keeps the pressure. */
    @Test
    void thePumpHasItsLimits() {
        MachineSettings rig = MachineSettings.RIG_1;
        assertThat(rig.most(0)).isCloseTo(7.2, within(1e-9));
        assertThat(rig.most(9)).isLessThan(5);
        assertThat(rig.most(14)).isZero();
        SimulatedMachine machine = new SimulatedMachine(rig, Profile.parse("main: pressure 20"), 5);
        double highest = 0;
        for (int i = 0; i < 3000; i++) {
            machine.run(0.5, 0.01);
            highest = Math.max(highest, machine.pressure());
        }
        assertThat(highest).isBetween(10.9, 11.1);
    }

    @ParameterizedTest
    @CsvSource({"main: pressure 6, 6, 1", "main: flow 2, 2, 0"})
    void theMachineHoldsWhatItsStepSays(String profile, double held, int pressure) {
        SimulatedMachine machine = new SimulatedMachine(MachineSettings.RIG_1, Profile.parse(profile), 5);
        for (int i = 0; i < 4000; i++) {
            machine.run(machine.pressure() / 4, 0.01);
        }
        assertThat(pressure == 1 ? machine.pressure() : machine.pumped()).isCloseTo(held, within(0.05));
    }

    @Test
    void aReleasedMachineLosesItsPressureWithinSeconds() {
        SimulatedMachine machine = new SimulatedMachine(MachineSettings.RIG_1, Profile.parse("main: pressure 9"), 5);
        for (int i = 0; i < 2000; i++) {
            machine.run(1.5, 0.01);
        }
        for (int i = 0; i < 200; i++) {
            machine.release(0.2, 0.01);
        }
        assertThat(machine.pressure()).isBetween(0.0, 0.1);
        assertThat(machine.pumped()).isZero();
    }

    /** The phases of the truth are in order, begin with wetting and end with the drip-out. */
    @Test
    void theTruthIsInOrder() {
        for (DemoProfile profile : DemoProfile.values()) {
            SimulatedShot.Truth truth = new SimulatedRig(3)
                    .pull(new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, 2.4, 93), profile.profile(), 38,
                            100),
                            List.of())
                    .truth();
            assertThat(truth.phases().get(0).kind()).isEqualTo(PhaseKind.WETTING);
            assertThat(truth.phases().get(truth.phases().size() - 1).kind()).isEqualTo(PhaseKind.DRIP_OUT);
            for (int i = 1; i < truth.phases().size(); i++) {
                assertThat(truth.phases().get(i).seconds()).isGreaterThan(truth.phases().get(i - 1).seconds());
                assertThat(truth.phases().get(i).kind()).isGreaterThan(truth.phases().get(i - 1).kind());
            }
            assertThat(truth.firstDripSeconds()).isBetween(truth.phases().get(1).seconds(), truth.pumpOffSeconds());
        }
    }

    @ParameterizedTest
    @CsvSource({"90, 2.4, 93, dose must lie between 5.0 and 30.0 g",
            "18, 9, 93, grind must lie between 0.0 and 6.0 on the simulated dial",
            "18, 2.4, 20, temperature must lie between 60.0 and 100.0 °C"})
    void recipesBeyondTheModelAreRefused(double dose, double grind, double celsius, String why) {
        assertThatThrownBy(() -> new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, dose, grind, celsius),
                DemoProfile.LOW_SIX.profile(), 38, 60))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith(why);
    }
}
