package org.grenu.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.CurveDifference;
import org.grenu.core.compare.CurveOverlay;
import org.grenu.core.compare.Question;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.puck.Puck;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;

/** A study of measured shots and the questions that benchmarks ask of it. */
public final class MeasuredStudy {

    /** What the curves are compared on. */
    public static final List<Channel> CHANNELS = List.of(Channel.PRESSURE, Channel.CUP_FLOW, Channel.CUP_MASS);
    /** What the comparison is about. */
    public static final List<Response> RESPONSES = StandardResponse.usual(TimeConvention.PUMP_ON_TO_PUMP_OFF);

    private static final DemoProfile[] PROFILES = {DemoProfile.STRAIGHT_NINE, DemoProfile.LOW_SIX};
    private static final int SHUFFLES = 10_000;

    private MeasuredStudy() {
    }

    /** {@return 200 shots: two grinds, two temperatures, two profiles, ten days} */
    public static List<MeasuredShot> shots() {
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            double grind = (22 + 2 * (i % 2)) / 10.0;
            DemoProfile profile = PROFILES[i / 2 % 2];
            SimulatedShot shot = new SimulatedRig(i)
                    .pull(new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 16, 18, grind, i % 3 == 0 ? 90 : 93),
                            profile.profile(), 38, 90), List.of());
            ShotRecord record = ShotRecord.EMPTY.with(RecordField.DOSE, 18)
                    .with(RecordField.BEVERAGE, 40)
                    .with(RecordField.GRIND, grind)
                    .with(RecordField.TEMPERATURE, i % 3 == 0 ? 90 : 93)
                    .with(RecordField.PROFILE, profile.title())
                    .with(RecordField.PULLED_AT, "2026-05-" + (10 + i / 20) + "T09:" + (10 + i % 20 * 2))
                    .with(RecordField.MACHINE, "Rig 1")
                    .with(RecordField.READINGS,
                            shot.readings().stream().map(String::valueOf).collect(Collectors.joining("; ")))
                    .with(RecordField.ZERO, shot.zero());
            shots.add(new MeasuredShot("s" + i, record, ShotMeasures.of(new Shot(record, shot.log()))));
        }
        return shots;
    }

    /** {@return five responses on grind, temperature and profile, ten days at random, with guard and sentence} */
    public static Comparison compared(List<MeasuredShot> shots) {
        return Comparison.of(Question
                .of(List.of(Variable.of(RecordFactor.GRIND), Variable.of(RecordFactor.TEMPERATURE),
                        Variable.of(RecordFactor.PROFILE)), RESPONSES)
                .inBlocks(Optional.of(RecordFactor.DAY)), shots);
    }

    /** {@return the curves of 2 × 20 shots by grind} */
    public static CurveOverlay overlay(List<MeasuredShot> shots) {
        return CurveOverlay.of(shots.subList(0, 40), RecordFactor.GRIND, AxisKind.FIRST_DRIP, CHANNELS);
    }

    /** {@return where they differ, by 10 000 shuffles within each profile} */
    public static Optional<CurveDifference> curvesApart(CurveOverlay overlay) {
        return CurveDifference.of(overlay, "2.2", "2.4", List.of(RecordFactor.PROFILE), SHUFFLES);
    }
}
