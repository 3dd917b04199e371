package org.grenu.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.grenu.core.puck.Puck;
import org.grenu.core.curve.Channel;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.profile.Profile;
import org.grenu.core.puck.SimulatedCoffee;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The rig behaves as people know it. The figures are common practice, no source, unless the test says otherwise. */
class SimulatedRigTest {

    /** One notch of the simulated grinder. */
    private static final double NOTCH = 0.2;

    private static final Profile NINE = DemoProfile.STRAIGHT_NINE.profile();

    private static SimulatedShot pull(double dose, double grind, double celsius, Profile profile, double stop) {
        return new SimulatedRig(4).pull(
                new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, dose, grind, celsius), profile, stop, 120),
                List.of());
    }

    private static double time(SimulatedShot shot) {
        return shot.truth().pumpOffSeconds();
    }

    @Test
    void sameSeedSameShotOtherSeedOtherShot() {
        RigRecipe recipe = new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, 2.4, 93), NINE, 38, 60);
        assertThat(new SimulatedRig(5).pull(recipe, List.of())).isEqualTo(new SimulatedRig(5).pull(recipe, List.of()))
                .isNotEqualTo(new SimulatedRig(6).pull(recipe, List.of()));
    }

    @ParameterizedTest
    @EnumSource
    void finerIsSlowerAndExtractsMore(DemoProfile profile) {
        SimulatedShot fine = pull(18, 2.2, 93, profile.profile(), 38);
        SimulatedShot coarse = pull(18, 2.6, 93, profile.profile(), 38);
        assertThat(time(fine)).isGreaterThan(time(coarse) + 3);
        assertThat(fine.truth().yieldPercent(18)).isGreaterThan(coarse.truth().yieldPercent(18) + 0.3);
    }

    @Test
    void oneNotchOrOneGramIsThreeToFourSecondsAboutTwentyEight() {
        double middle = time(pull(18, 2.35, 93, NINE, 38.5));
        assertThat(middle).isCloseTo(28, within(2.0));
        assertThat(time(pull(18, 2.35 - NOTCH, 93, NINE, 38.5)) - middle).isBetween(2.7, 4.5);
        assertThat(time(pull(19, 2.35, 93, NINE, 38.5)) - middle).isBetween(2.7, 4.5);
    }

    @Test
    void hotterExtractsMoreWithNearlyTheSameCurve() {
        SimulatedShot cool = pull(18, 2.4, 90, NINE, 38);
        SimulatedShot hot = pull(18, 2.4, 94, NINE, 38);
        assertThat(hot.truth().yieldPercent(18) - cool.truth().yieldPercent(18)).isBetween(0.2, 2.0);
        assertThat(time(hot)).isCloseTo(time(cool), within(2.0));
    }

    @Test
    void strengthFallsAndExtractionRisesAlongAShot() {
        double strength = 100;
        double yield = 0;
        for (double stop = 10; stop <= 60; stop += 10) {
            SimulatedShot.Truth truth = pull(18, 2.4, 93, NINE, stop).truth();
            assertThat(truth.strengthPercent()).isLessThan(strength);
            assertThat(truth.yieldPercent(18)).isGreaterThan(yield);
            strength = truth.strengthPercent();
            yield = truth.yieldPercent(18);
        }
    }

    @Test
    void aFastCoarseShotTakesFifteenSecondsAndExtractsEighteenToNineteen() {
        SimulatedShot fast = pull(15, 2.9, 93, NINE, 35);
        assertThat(time(fast)).isCloseTo(15, within(1.5));
        assertThat(fast.truth().beverageGrams()).isCloseTo(40, within(1.5));
        assertThat(fast.truth().yieldPercent(15)).isBetween(17.8, 19.2);
    }

    @Test
    void aVeryFineGrindChokesAndASoftSoakRescuesIt() {
        SimulatedShot choked = pull(18, 1.5, 93, NINE, 38);
        Profile soft = Profile.parse(
                "soak: pressure 2.4 until 4 s after drip or 80 s; ramp: pressure 9 over 3 s until 4 s; main: "
                        + "pressure 9");
        SimulatedShot rescued = pull(18, 1.5, 93, soft, 38);
        assertThat(choked.truth().beverageGrams()).isLessThan(12);
        assertThat(rescued.truth().beverageGrams()).isGreaterThan(35);
    }

    @Test
    void aGusherNeverReachesItsPressureAndFinerReachesMore() {
        double coarse = peak(pull(18, 4.6, 93, NINE, 38));
        double finer = peak(pull(18, 4.0, 93, NINE, 38));
        assertThat(coarse).isLessThan(8);
        assertThat(finer).isGreaterThan(coarse + 0.3);
    }

    private static double peak(SimulatedShot shot) {
        return shot.log().find(Channel.PRESSURE).orElseThrow().max();
    }

    @Test
    void flowRisesAsTheBedErodesAtConstantPressure() {
        double[] flow = pull(18, 2.4, 93, NINE, 60).log().find(Channel.PUMP_FLOW).orElseThrow().toArray();
        assertThat(mean(flow, 300, 340)).isGreaterThan(1.05 * mean(flow, 200, 240));
    }

    private static double mean(double[] values, int from, int to) {
        return Arrays.stream(values, from, to).average().orElseThrow();
    }

    @ParameterizedTest
    @EnumSource
    void everyFlawSpoilsTheLogAndLeavesTheShotAlone(LogFlaw flaw) {
        RigRecipe recipe = new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, 2.4, 93), NINE, 38, 60);
        SimulatedShot clean = new SimulatedRig(9).pull(recipe, List.of());
        SimulatedShot flawed = new SimulatedRig(9).pull(recipe, List.of(flaw));
        assertThat(flawed.log()).isNotEqualTo(clean.log());
        // A scale that lags stops the pump later; nothing else reaches the cup.
        assertThat(flawed.truth().beverageGrams()).isCloseTo(clean.truth().beverageGrams(),
                within(flaw == LogFlaw.SCALE_LAG ? 4 : 1e-9));
    }

    @Test
    void sampleBySampleItIsTheSameShotAndCanBeStopped() {
        RigRecipe recipe = new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, 2.4, 93), NINE, 38, 60);
        SimulatedShot whole = new SimulatedRig(5).pull(recipe, List.of());
        RigPull pull = new SimulatedRig(5).begin(recipe, List.of());
        int samples = 0;
        while (pull.next()) {
            assertThat(pull.latest().seconds()).isCloseTo(samples * 0.1, within(1e-9));
            samples++;
        }
        assertThat(samples).isEqualTo(whole.log().size());
        assertThat(pull.shot()).isEqualTo(whole);

        RigPull broken = new SimulatedRig(5).begin(recipe, List.of());
        while (broken.next() && broken.latest().seconds() < 12) {
            // Until somebody stops it.
        }
        broken.stop();
        while (broken.next()) {
            assertThat(broken.running()).isFalse();
        }
        assertThat(broken.shot().truth().pumpOffSeconds()).isCloseTo(12.1, within(0.05));
    }

    @ParameterizedTest
    @EnumSource
    void aPreviewDripsAndStopsNearlyWhenTheShotDoes(DemoProfile profile) {
        for (double grind : new double[] {2.0, 2.4, 2.8}) {
            RigRecipe recipe = new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, grind, 93), profile.profile(),
                    38, 80);
            SimulatedShot.Truth shot = new SimulatedRig(5).pull(recipe, List.of()).truth();
            SimulatedShot.Truth preview = new SimulatedRig(5).previewing().pull(recipe, List.of()).truth();
            assertThat(preview.firstDripSeconds()).isCloseTo(shot.firstDripSeconds(), within(0.25));
            assertThat(preview.pumpOffSeconds()).isCloseTo(shot.pumpOffSeconds(), within(0.25));
            assertThat(preview.yieldPercent(18)).isCloseTo(shot.yieldPercent(18), within(0.7));
        }
    }

    @ParameterizedTest
    @EnumSource
    void aFinerGridMovesNeitherDripNorStop(DemoProfile profile) {
        for (double grind : new double[] {2.0, 2.8}) {
            RigRecipe recipe = new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, grind, 93), profile.profile(),
                    38, 80);
            SimulatedShot.Truth shot = pulled(recipe, SimulationGrid.SHOT);
            SimulatedShot.Truth finer = pulled(recipe, new SimulationGrid(150, 0.005));
            assertThat(shot.firstDripSeconds()).isCloseTo(finer.firstDripSeconds(), within(0.05));
            assertThat(shot.pumpOffSeconds()).isCloseTo(finer.pumpOffSeconds(), within(0.05));
            assertThat(shot.yieldPercent(18)).isCloseTo(finer.yieldPercent(18), within(0.2));
        }
    }

    private static SimulatedShot.Truth pulled(RigRecipe recipe, SimulationGrid grid) {
        RigPull pull = new RigPull(new Well19937c(5), recipe, List.of(), new RigPull.Settings(false, 0, grid));
        while (pull.next()) {
            // To its end.
        }
        return pull.shot().truth();
    }
}
