package org.grenu.figures.shelf;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.hydraulics.ValveCalibration;
import org.grenu.core.hydraulics.ValveSchedule;

/**
 * A machine: what it can control, where its pressure is read, and its valve's free flow.
 *
 * @param pump     kind, may be empty
 * @param place    of the pressure sensor: pump, line, group, or empty
 * @param state    static, dynamic or empty
 * @param offset   pressure shown at rest, with its unit
 * @param warmUp   min
 * @param controls in words
 * @param valve    its calibration, when it was run
 * @param counted  what positions are counted in
 * @param schedule kept with it
 */
public record MachineFigure(String pump, String place, String state, Optional<String> offset, OptionalDouble warmUp,
        List<String> controls,
        Optional<ValveCalibration> valve, String counted, ValveSchedule schedule) implements ShelfFigure {

    public MachineFigure {
        controls = List.copyOf(controls);
    }

    @Override
    public double height() {
        return valve.isPresent() ? 292 : 74;
    }

    @Override
    public String words() {
        return pump + " pump, pressure read at the " + (place.isEmpty() ? "unknown place" : place)
                + valve.map(v -> ", valve run at " + v.positions().size() + " positions").orElse("");
    }
}
