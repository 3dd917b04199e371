package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.grenu.core.puck.Puck;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;

/** Whole shots of the simulated rig, curves and all, for comparisons. */
final class SimulatedStudy {

    private SimulatedStudy() {
    }

    static MeasuredShot shot(String name, double grind, double celsius, DemoProfile profile, double stop, long seed) {
        SimulatedShot shot = new SimulatedRig(seed).pull(
                new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 16, 18, grind, celsius), profile.profile(), stop, 90),
                List.of());
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.DOSE, 18)
                .with(RecordField.BEVERAGE, String.format(Locale.ROOT, "%.1f", shot.truth().beverageGrams()))
                .with(RecordField.READINGS,
                        shot.readings().stream().map(String::valueOf).collect(Collectors.joining("; ")))
                .with(RecordField.ZERO, shot.zero())
                .with(RecordField.GRIND, grind)
                .with(RecordField.TEMPERATURE, celsius)
                .with(RecordField.PROFILE, profile.title());
        return new MeasuredShot(name, record, ShotMeasures.of(new Shot(record, shot.log())));
    }

    /** That many shots at each grind, straight nine bar, 93 °C. */
    static List<MeasuredShot> grinds(int each, long seed, double... grinds) {
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < each * grinds.length; i++) {
            shots.add(shot(Integer.toString(i + 1), grinds[i % grinds.length], 93, DemoProfile.STRAIGHT_NINE, 38,
                    seed + i));
        }
        return shots;
    }
}
