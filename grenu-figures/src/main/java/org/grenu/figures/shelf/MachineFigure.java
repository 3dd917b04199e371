package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.hydraulics.ValveCalibration;
import org.grenu.core.hydraulics.ValveSchedule;
import org.grenu.core.shelf.Calibrations;
import org.grenu.core.shelf.ShelfField;
import org.grenu.figures.theme.Theme;

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

    static MachineFigure of(Standing machine) {
        List<String> controls = machine.entries()
                .text(ShelfField.CONTROLS)
                .map(text -> Arrays.stream(text.split("[,;]")).map(String::strip).toList())
                .orElse(List.of());
        return new MachineFigure(machine.words(ShelfField.PUMP), machine.words(ShelfField.SENSOR_PLACE),
                machine.words(ShelfField.SENSOR_STATE), machine.shown(ShelfField.SENSOR_OFFSET),
                machine.number(ShelfField.WARM_UP), controls, Calibrations.valve(machine.entries()),
                machine.entries().text(ShelfField.VALVE_WORDS).orElse("position"),
                Calibrations.schedule(machine.entries()));
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

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        new MachinePicture(new Sketch(g, theme), this, width).paint();
    }
}
