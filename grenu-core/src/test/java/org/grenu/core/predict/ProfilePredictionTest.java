package org.grenu.core.predict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.profile.Profile;
import org.grenu.core.puck.Puck;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Test;

/** What the puck fitted to shots by one profile says of others, held against the simulator that knows the truth. */
class ProfilePredictionTest {

    private static final Profile NINE = Profile.parse("main: pressure 9 ±0.6");
    private static final Profile GENTLE = Profile
            .parse("soak: pressure 2.4 ±0.5, flow at most 4.5 until 2 s after drip "
                    + "or 25 s; main: pressure 8.8 over 3 s ±0.5 until 22 g; "
                    + "taper: pressure 8.8 to 5.5 over 10 s ±0.5");
    private static final double SPREAD = 0.035;

    private static SimulatedShot.Truth truth(Profile profile, double drag, double grind, double share, long seed) {
        Puck puck = new Puck(new SimulatedCoffee(share, drag, 1.05), 14, 18, grind, 93);
        return new SimulatedRig(seed).pull(new RigRecipe(puck, profile, 37.7, 150), List.of()).truth();
    }

    /** Fitted to what nine bar gave, another profile's time, first drip and yield come out near the truth. */
    @Test
    void whatOneProfileTaughtTellsOfAnother() {
        double grind = 2.1;
        double share = 0.262;
        SimulatedShot.Truth nine = truth(NINE, 0.9, grind, share, 1);
        PuckFit fit = PuckFit.usual(18, 40, 93, 14)
                .like(new PuckFit.Known(NINE, nine.pumpOffSeconds(), SPREAD, OptionalDouble.of(nine.yieldPercent(18)),
                        0.3, 5));
        ProfilePrediction gentle = ProfilePrediction.of(fit, GENTLE, 40);
        SimulatedShot.Truth real = truth(GENTLE, 0.9, grind, share, 2);
        assertThat(gentle.numbers().time().middle()).isCloseTo(real.pumpOffSeconds(), within(2.5));
        assertThat(gentle.numbers().firstDrip().middle()).isCloseTo(real.firstDripSeconds(), within(1.5));
        assertThat(gentle.numbers().yield().middle()).isCloseTo(real.yieldPercent(18), within(0.4));
        assertThat(gentle.numbers().beverage().middle()).isCloseTo(real.beverageGrams(), within(0.5));
    }

    /** Of 200 shots that spread as the coffee's do, nineteen in twenty lie in the interval of the time. */
    @Test
    void intervalsHoldWhatTheyPromise() {
        PuckFit fit = new PuckFit(new Puck(SimulatedCoffee.REFERENCE, 14, 18, 2.4, 93), 40, SPREAD, 0.3, 5);
        ProfilePrediction.Spread time = ProfilePrediction.of(fit, GENTLE, 400).numbers().time();
        Well19937c random = new Well19937c(99);
        int held = 0;
        for (int i = 0; i < 1000; i++) {
            double seconds = fit.pull(GENTLE, Math.exp(SPREAD * random.nextGaussian()), 1000 + i, true)
                    .truth()
                    .pumpOffSeconds();
            held += seconds >= time.low() && seconds <= time.high() ? 1 : 0;
        }
        assertThat(held / 1000.0).isBetween(0.90, 0.99);
    }

    @Test
    void stepsThatEndByTheirTimeLimitAreCounted() {
        PuckFit fit = PuckFit.usual(18, 40, 93, 14);
        Profile short1 = Profile.parse("soak: pressure 2.4 ±0.5, flow at most 4.5 until 4 g or 3 s; main: pressure 9");
        ProfilePrediction prediction = ProfilePrediction.of(fit, short1, 10);
        assertThat(prediction.steps()).hasSize(2);
        assertThat(prediction.steps().get(0).limitRuns()).isEqualTo(10);
        assertThat(prediction.steps().get(0).seconds().middle()).isCloseTo(3, within(0.3));
        assertThat(prediction.steps().get(1).limitRuns()).isZero();
        assertThat(prediction.steps().get(1).seconds().middle())
                .isCloseTo(prediction.numbers().time().middle(), within(0.3));
        ProfilePrediction.Band mass = prediction.curves().get(Channel.CUP_MASS);
        int last = mass.middle().length - 1;
        assertThat(mass.low()[last]).isLessThanOrEqualTo(mass.middle()[last]);
        assertThat(mass.middle()[last]).isCloseTo(prediction.numbers().beverage().middle(), within(0.6));
        assertThat(ProfilePrediction.of(fit, GENTLE, 1).numbers().time().half()).isZero();
    }

    /** Water that a step heats runs faster and dissolves more; heated as the puck is brewed it changes nothing. */
    @Test
    void theWaterOfTheStepsCounts() {
        PuckFit fit = PuckFit.usual(18, 40, 93, 14);
        ProfilePrediction.Numbers plain = ProfilePrediction.of(fit, GENTLE, 1).numbers();
        assertThat(ProfilePrediction.of(fit, GENTLE.heatedBy(93), 1).numbers()).isEqualTo(plain);
        ProfilePrediction.Numbers cool = ProfilePrediction.of(fit, GENTLE.heatedBy(85), 1).numbers();
        assertThat(cool.yield().middle()).isLessThan(plain.yield().middle() - 0.3);
        assertThat(cool.time().middle()).isGreaterThan(plain.time().middle() + 1);
        Profile falling = GENTLE.heatedBy(93).with(2, GENTLE.steps().get(2).brewedAt(OptionalDouble.of(80)));
        ProfilePrediction late = ProfilePrediction.of(fit, falling, 1);
        assertThat(late.numbers().firstDrip()).isEqualTo(plain.firstDrip());
        assertThat(late.numbers().yield().middle()).isBetween(cool.yield().middle(), plain.yield().middle());
        double[] water = late.curves().get(Channel.TEMPERATURE).middle();
        assertThat(water[water.length - 1]).isCloseTo(80, within(1.0));
    }
}
