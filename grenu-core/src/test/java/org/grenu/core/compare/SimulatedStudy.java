package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.grenu.core.puck.DemoProfile;
import org.grenu.core.puck.PuckRecipe;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.puck.SimulatedRig;
import org.grenu.core.puck.SimulatedShot;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;

/** Whole shots of the simulated rig, curves and all, for comparisons. */
final class SimulatedStudy {

    private SimulatedStudy() {
    }

    static MeasuredShot shot(String name, double grind, double celsius, DemoProfile profile, double stop, long seed) {
        SimulatedShot shot = new SimulatedRig(seed).pull(
                new PuckRecipe(SimulatedCoffee.REFERENCE, 16, 18, grind, celsius, profile.profile(), stop, 90),
                List.of());
        ShotSheet sheet = ShotSheet.EMPTY.with(SheetField.DOSE, 18)
                .with(SheetField.BEVERAGE, String.format(Locale.ROOT, "%.1f", shot.truth().beverageGrams()))
                .with(SheetField.READINGS,
                        shot.readings().stream().map(String::valueOf).collect(Collectors.joining("; ")))
                .with(SheetField.ZERO, shot.zero())
                .with(SheetField.GRIND, grind)
                .with(SheetField.TEMPERATURE, celsius)
                .with(SheetField.PROFILE, profile.title());
        return new MeasuredShot(name, sheet, ShotMeasures.of(new Shot(sheet, shot.log())));
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
