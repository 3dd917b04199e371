package org.grenu.desktop.plan;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.hydraulics.ValveCalibration;
import org.grenu.core.hydraulics.ValveForCurve;
import org.grenu.core.predict.ProfilePrediction;
import org.grenu.core.shelf.Calibrations;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;

/**
 * How a manual valve follows a predicted profile.
 *
 * @param schedule    what it stands at, and when
 * @param calibration of the valve
 * @param line        pressure before the valve, bar
 * @param assumed     whether that is assumed, since the shelf does not say
 */
record ValvePlan(ValveForCurve schedule, ValveCalibration calibration, double line, boolean assumed) {

    /** Where the machine does not say, bar (common practice, no source). */
    private static final double USUAL_LINE = 9;

    /** {@return the machines whose valve was run} */
    static List<ShelfItem> machines(Shelf shelf) {
        return shelf.of(ShelfKind.MACHINE)
                .stream()
                .filter(item -> Calibrations.valve(item.entries()).isPresent())
                .toList();
    }

    /** {@return how that machine's valve, which was run, follows what is predicted} */
    static ValvePlan of(ProfilePrediction found, ShelfItem machine) {
        ValveCalibration calibration = Calibrations.valve(machine.entries()).orElseThrow();
        OptionalDouble known = machine.entries().number(ShelfField.LINE_PRESSURE);
        double line = known.orElse(USUAL_LINE);
        return new ValvePlan(ValveForCurve.of(found.seconds(), found.curves().get(Channel.PRESSURE).middle(),
                found.curves().get(Channel.PUMP_FLOW).middle(), calibration, line), calibration, line,
                known.isEmpty());
    }

    /** {@return the first time that it cannot give what the profile asks for} */
    Optional<ValveForCurve.Entry> beyond() {
        return schedule.entries().stream().filter(entry -> entry.opening().isEmpty()).findFirst();
    }
}
