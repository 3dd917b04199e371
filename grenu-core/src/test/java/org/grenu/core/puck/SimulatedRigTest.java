package org.grenu.core.puck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.Samples;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimeConvention;
import org.junit.jupiter.api.Test;

/** The simulator behaves as people know shots to behave (common practice, no source). */
class SimulatedRigTest {

    private static SimulatedShot pull(double grind, double celsius, PressureProfile profile) {
        return new SimulatedRig(4).pull(new PuckRecipe(18, grind, celsius, profile, 38.8, 60), LogFlaw.NONE);
    }

    private static double extracted(SimulatedShot shot) {
        return shot.strengthPercent() * shot.beverageGrams() / 18;
    }

    @Test
    void theSameSeedGivesTheSameShot() {
        assertThat(pull(2.4, 93, PressureProfile.GENTLE_RAMP)).isEqualTo(pull(2.4, 93, PressureProfile.GENTLE_RAMP));
        PuckRecipe recipe = new PuckRecipe(18, 2.4, 93, PressureProfile.GENTLE_RAMP, 38.8, 60);
        assertThat(new SimulatedRig(5).pull(recipe, LogFlaw.NONE)).isNotEqualTo(new SimulatedRig(6).pull(recipe, LogFlaw.NONE));
    }

    @Test
    void finerIsSlowerAndExtractsMore() {
        for (PressureProfile profile : PressureProfile.values()) {
            SimulatedShot fine = pull(2.2, 93, profile);
            SimulatedShot middle = pull(2.4, 93, profile);
            SimulatedShot coarse = pull(2.6, 93, profile);
            assertThat(fine.pumpOffSeconds() - middle.pumpOffSeconds()).isBetween(2.0, 7.0);
            assertThat(middle.pumpOffSeconds() - coarse.pumpOffSeconds()).isBetween(2.0, 7.0);
            assertThat(extracted(fine)).isGreaterThan(extracted(middle));
            assertThat(extracted(middle)).isGreaterThan(extracted(coarse));
        }
    }

    @Test
    void hotterExtractsMoreOnTheSameCurve() {
        SimulatedShot cool = pull(2.4, 90, PressureProfile.STRAIGHT_NINE);
        SimulatedShot hot = pull(2.4, 94, PressureProfile.STRAIGHT_NINE);
        assertThat(extracted(hot) - extracted(cool)).isBetween(0.3, 2.0);
        assertThat(hot.pumpOffSeconds()).isCloseTo(cool.pumpOffSeconds(), within(0.05));
    }

    @Test
    void veryFineChokesAndVeryCoarseGushes() {
        SimulatedShot choked = pull(1.0, 93, PressureProfile.STRAIGHT_NINE);
        assertThat(choked.beverageGrams()).isZero();
        assertThat(choked.firstDripSeconds()).isNaN();
        assertThat(choked.readings()).isEmpty();
        SimulatedShot gusher = pull(3.8, 93, PressureProfile.STRAIGHT_NINE);
        assertThat(gusher.pumpOffSeconds()).isLessThan(15);
        assertThat(gusher.log().find(Channel.PRESSURE).orElseThrow().max()).as("the pump cannot keep up").isLessThan(8);
    }

    @Test
    void flawsTouchTheLogAndNotTheShot() {
        PuckRecipe recipe = new PuckRecipe(18, 2.4, 93, PressureProfile.STRAIGHT_NINE, 38.8, 60);
        SimulatedShot clean = new SimulatedRig(9).pull(recipe, LogFlaw.NONE);
        for (LogFlaw flaw : new LogFlaw[] {LogFlaw.KNOCKED_SCALE, LogFlaw.FORGOTTEN_TARE}) {
            SimulatedShot flawed = new SimulatedRig(9).pull(recipe, flaw);
            assertThat(flawed.beverageGrams()).isEqualTo(clean.beverageGrams());
            assertThat(flawed.log().find(Channel.PRESSURE)).isEqualTo(clean.log().find(Channel.PRESSURE));
            assertThat(flawed.log().find(Channel.CUP_MASS)).isNotEqualTo(clean.log().find(Channel.CUP_MASS));
        }
    }

    /** A list of shots is drawn from digests alone; they say what the measures say. */
    @Test
    void theDigestKeepsWhatAListNeeds() {
        ShotLog log = pull(2.4, 93, PressureProfile.GENTLE_RAMP).log();
        CurveMeasures measures = CurveMeasures.of(log, CurveSettings.STANDARD);
        CurveDigest digest = CurveDigest.of(measures);
        assertThat(digest.times()).isEqualTo(measures.times());
        assertThat(digest.beverage()).isEqualTo(measures.beverage());
        assertThat(TimeConvention.PUMP_ON_TO_PUMP_OFF.of(digest.times()).getAsDouble()).isGreaterThan(20);
        assertThat(digest.miniature().size()).isEqualTo(CurveDigest.POINTS);
        assertThat(digest.miniature().max()).isCloseTo(measures.peakPressure().getAsDouble(), within(0.2));
        ShotLog massOnly = new ShotLog(log.time(), Map.of(Channel.CUP_MASS, log.find(Channel.CUP_MASS).orElseThrow()));
        Samples miniature = CurveDigest.of(CurveMeasures.of(massOnly, CurveSettings.STANDARD)).miniature();
        assertThat(miniature.max()).as("the cup mass stands in, scaled to nine").isCloseTo(9, within(0.1));
    }
}
