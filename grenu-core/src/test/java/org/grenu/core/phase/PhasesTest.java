package org.grenu.core.phase;

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
import org.grenu.core.profile.PlannedRun;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;
import org.junit.jupiter.api.Test;

class PhasesTest {

    private static final DemoProfile GENTLE = DemoProfile.GENTLE_RAMP;
    private static final SimulatedShot SHOT = new SimulatedRig(5).loggingSteps()
            .pull(
                    new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, 2.5, 93), GENTLE.profile(), 38, 100),
                    List.of());
    private static final CurveMeasures MEASURES = CurveMeasures.of(SHOT.log(), CurveSettings.STANDARD);

    @Test
    void eachPhaseKeepsLengthMeansSlopesAndWhyItEnded() {
        Phases phases = Phases.of(MEASURES, List.of(), PlannedRun.of(GENTLE.profile(), MEASURES));
        assertThat(phases.origin()).isEqualTo(Phases.Origin.LOGGED);
        assertThat(phases.phases()).extracting(Phase::kind).containsExactly(PhaseKind.values());
        assertThat(phases.phases()).extracting(p -> p.ending().kind())
                .containsExactly(Ending.Kind.CONDITION, Ending.Kind.CONDITION, Ending.Kind.CONDITION,
                        Ending.Kind.MASS, Ending.Kind.PUMP_OFF, Ending.Kind.MASS);
        assertThat(phases.find(PhaseKind.SOAK).orElseThrow().ending().text()).isEqualTo("2 s after drip");
        assertThat(phases.find(PhaseKind.MAIN).orElseThrow().ending().text()).isEqualTo("22 g in cup");
        Phase main = phases.find(PhaseKind.MAIN).orElseThrow();
        assertThat(main.courses().get(Channel.PRESSURE).mean()).isCloseTo(8.8, within(0.1));
        Phase taper = phases.find(PhaseKind.TAPER).orElseThrow();
        assertThat(taper.courses().get(Channel.PRESSURE).slope()).isCloseTo(-0.33, within(0.05));
    }

    @Test
    void bordersSetByHandGoBeforeEverything() {
        List<PhaseBorder> own = List.of(new PhaseBorder(PhaseKind.SOAK, 1), new PhaseBorder(PhaseKind.MAIN, 20));
        Phases phases = Phases.of(MEASURES, own, PlannedRun.of(GENTLE.profile(), MEASURES));
        assertThat(phases.origin()).isEqualTo(Phases.Origin.EDITED);
        assertThat(phases.borders()).isEqualTo(own);
        assertThat(phases.phases().get(0).seconds()).isCloseTo(19, within(1e-9));
    }

    @Test
    void withoutAProfileWhatNobodyKnowsIsUnknown() {
        Phases phases = Phases.of(MEASURES, List.of(), Optional.empty());
        assertThat(phases.find(PhaseKind.SOAK).orElseThrow().ending()).isEqualTo(Ending.UNKNOWN);
        assertThat(phases.find(PhaseKind.RAMP).orElseThrow().ending().text()).endsWith("bar reached");
    }

    /** A few values read off a gauge: points with straight lines between them, and still a shot. */
    @Test
    void pointsOffAGaugeAreEnough() {
        CurveMeasures points = CurveMeasures.of(
                new ShotLog(Samples.of(0, 7, 10, 28, 31), Map.of(Channel.PRESSURE, Samples.of(0, 4, 10, 8, 0))),
                CurveSettings.STANDARD);
        assertThat(points.sparse()).isTrue();
        assertThat(points.find(Channel.PRESSURE).orElseThrow().at(19)).isCloseTo(9, within(0.01));
        assertThat(Phases.of(points, List.of(), Optional.empty()).phases()).isNotEmpty();
        assertThat(points.repaired().repairs()).isEmpty();
    }

    @Test
    void withoutAPumpThereAreNoPhases() {
        CurveMeasures still = CurveMeasures.of(
                new ShotLog(Samples.of(0, 1, 2, 3), Map.of(Channel.TEMPERATURE, Samples.of(90, 91, 92, 93))),
                CurveSettings.STANDARD);
        assertThat(Phases.of(still, List.of(), Optional.empty()).phases()).isEmpty();
    }
}
