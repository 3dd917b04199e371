package org.grenu.core.study;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.hydraulics.Hydraulics;
import org.grenu.core.phase.Phases;
import org.grenu.core.profile.PlannedRun;

/**
 * Everything measured from a shot.
 *
 * @param curve      what the log says
 * @param masses     what the record and the log say together about masses and strength
 * @param planned    the profile held against the shot, when one is recorded
 * @param phases     the shot's parts
 * @param hydraulics what the curves say of the puck
 */
public record ShotMeasures(CurveMeasures curve, Masses masses, Optional<PlannedRun> planned, Phases phases,
        Hydraulics hydraulics) {

    /** {@return the measures of that shot} */
    public static ShotMeasures of(Shot shot) {
        return of(shot.sheet(), CurveMeasures.of(shot.log(), shot.sheet().curveSettings()));
    }

    /** {@return the measures of a shot whose log is measured already, by what that record says about it} */
    public static ShotMeasures of(ShotSheet sheet, CurveMeasures curve) {
        Masses masses = Masses.of(sheet, curve.beverage());
        Optional<PlannedRun> planned = sheet.profileSteps().flatMap(profile -> PlannedRun.of(profile, curve));
        Hydraulics.Known known = new Hydraulics.Known(sheet.bed(), celsius(sheet, curve), masses.beverage(),
                masses.solids(), masses.dose());
        return new ShotMeasures(curve, masses, planned, Phases.of(curve, sheet.phases(), planned),
                Hydraulics.of(curve, known));
    }

    /** The set temperature, or what the sensor showed on average while the pump ran. */
    private static Optional<Double> celsius(ShotSheet sheet, CurveMeasures curve) {
        OptionalDouble set = sheet.number(SheetField.TEMPERATURE);
        OptionalDouble shown = measuredTemperature(curve);
        OptionalDouble taken = set.isPresent() ? set : shown;
        return taken.isPresent() && taken.getAsDouble() > 0 && taken.getAsDouble() < 110
                ? Optional.of(taken.getAsDouble()) : Optional.empty();
    }

    /** {@return the mean temperature shown while the pump ran, °C} */
    public static OptionalDouble measuredTemperature(CurveMeasures curve) {
        Optional<UniformCurve> shown = curve.find(Channel.TEMPERATURE);
        if (shown.isEmpty() || curve.times().pumpOn().isEmpty() || curve.times().pumpOff().isEmpty()) {
            return OptionalDouble.empty();
        }
        return Arrays
                .stream(shown.get()
                        .between(curve.times().pumpOn().get().seconds(), curve.times().pumpOff().get().seconds()))
                .average();
    }
}
