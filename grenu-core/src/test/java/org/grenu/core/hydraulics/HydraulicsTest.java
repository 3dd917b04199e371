package org.grenu.core.hydraulics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.puck.Puck;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.numbers.Samples;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.quantity.Measured;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Test;

class HydraulicsTest {

    private static final Hydraulics.Known NOTHING = new Hydraulics.Known(Optional.empty(), Optional.empty(),
            Optional.empty(), Optional.empty(), Optional.empty());

    /**
     * A shot at 9 bar whose resistance falls from 6 bar·s/g by a given share a second, seen by a scale with noise.
     */
    private static CurveMeasures eroding(double perSecond, double noise, long seed) {
        Well19937c random = new Well19937c(seed);
        double[][] columns = new double[3][360];
        double cup = 0;
        for (int i = 0; i < 360; i++) {
            double t = i / 10.0;
            boolean running = t < 32;
            double pressure = running ? Math.min(9, 4 * t) : Math.max(0, 9 - 30 * (t - 32));
            cup += t < 6 || !running ? 0 : 0.1 * pressure / (6 * Math.exp(-perSecond * (t - 8)));
            columns[0][i] = t;
            columns[1][i] = pressure + 0.03 * random.nextGaussian();
            columns[2][i] = Math.rint(10 * (cup + noise * random.nextGaussian())) / 10;
        }
        return CurveMeasures.of(
                new ShotLog(Samples.of(columns[0]), Map.of(Channel.PRESSURE, Samples.of(columns[1]), Channel.CUP_MASS,
                        Samples.of(columns[2]))),
                CurveSettings.STANDARD);
    }

    @Test
    void erosionIsRecoveredAndItsIntervalCovers() {
        int covered = 0;
        for (int i = 0; i < 120; i++) {
            Measured erosion = Hydraulics.of(eroding(0.02, 0.03, i), NOTHING).erosion().orElseThrow();
            covered += Math.abs(erosion.value() - 2) <= erosion.expanded() ? 1 : 0;
            assertThat(erosion.value()).isCloseTo(2, within(0.5));
        }
        assertThat(covered / 120.0).as("of intervals at k = 2").isGreaterThan(0.9);
    }

    @Test
    void resistanceIsDefinedOnlyWhereFlowIsEstablished() {
        Resistance resistance = Hydraulics.of(eroding(0, 0.02, 1), NOTHING).resistance().orElseThrow();
        assertThat(resistance.linear().at(20)).isCloseTo(6, within(0.35));
        assertThat(resistance.squared().at(20)).isCloseTo(6 / 1.5, within(0.4));
        assertThat(resistance.linear().at(5)).isNaN();
        assertThat(resistance.linear().at(33)).isNaN();
    }

    /**
     * Two hundred simulated shots, half with a channel: an alarm without one stays rare, most that opened are seen.
     */
    @Test
    void channelsAreSeenAndFalseAlarmsStayRare() {
        Well19937c random = new Well19937c(3);
        int seen = 0;
        int wrong = 0;
        for (int i = 0; i < 200; i++) {
            boolean opens = i % 2 == 0;
            DemoProfile profile = DemoProfile.values()[random.nextInt(4)];
            RigRecipe recipe = new RigRecipe(
                    new Puck(SimulatedCoffee.REFERENCE, 14, 18, 2.1 + 0.7 * random.nextDouble(), 93), profile.profile(),
                    38, 100);
            SimulatedShot shot = new SimulatedRig(500 + i).withChannel(opens ? 0.4 + 0.6 * random.nextDouble() : 0)
                    .pull(recipe, List.of());
            boolean found = Hydraulics.of(CurveMeasures.of(shot.log(), CurveSettings.STANDARD), NOTHING)
                    .channel()
                    .isPresent();
            seen += opens && found ? 1 : 0;
            wrong += !opens && found ? 1 : 0;
        }
        assertThat(wrong).as("false alarms in 100").isLessThanOrEqualTo(3);
        assertThat(seen).as("found of 100; near a taper nothing is claimed").isGreaterThanOrEqualTo(60);
    }

    /** What the pump gave is in the cup, in the puck, in the headspace, or was let go at the stop. */
    @Test
    void theWaterBalanceHoldsTheTruth() {
        SimulatedShot shot = new SimulatedRig(8)
                .pull(new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, 2.4, 93),
                        DemoProfile.STRAIGHT_NINE.profile(), 38, 100), List.of());
        CurveMeasures measures = CurveMeasures.of(shot.log(), CurveSettings.STANDARD);
        WaterBalance balance = Hydraulics
                .of(measures, new Hydraulics.Known(Optional.empty(), Optional.empty(), measures.beverage(),
                        Optional.of(Measured.exact(shot.truth().solidsGrams())), Optional.of(Measured.exact(18))))
                .balance()
                .orElseThrow();
        assertThat(balance.pumped().value()).isCloseTo(shot.truth().waterPumped(), within(2.0));
        assertThat(balance.kept().value()).isGreaterThan(shot.truth().waterInPuck());
        assertThat(balance.keptPerGram().orElseThrow().value()).isCloseTo(balance.kept().value() / 18, within(1e-9));
    }
}
