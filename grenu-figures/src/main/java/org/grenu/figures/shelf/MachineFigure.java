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
 * @param pump kind, may be empty
 * @param sensor its pressure sensor
 * @param warmUp min
 * @param controls in words
 * @param free its valve in the open group
 */
public record MachineFigure(String pump, Sensor sensor, OptionalDouble warmUp, List<String> controls, FreeFlow free)
        implements ShelfFigure {

    /**
     * Its pressure sensor.
     *
     * @param place of the pressure sensor: pump, line, group, or empty
     * @param state static, dynamic or empty
     * @param offset pressure shown at rest, with its unit
     */
    public record Sensor(String place, String state, Optional<String> offset) {
    }

    /**
     * Its valve in the open group.
     *
     * @param valve its calibration, when it was run
     * @param counted what positions are counted in
     * @param schedule kept with it
     */
    public record FreeFlow(Optional<ValveCalibration> valve, String counted, ValveSchedule schedule) {
    }

    /** {@return of the pressure sensor: pump, line, group, or empty} */
    public String place() {
        return sensor.place;
    }

    /** {@return static, dynamic or empty} */
    public String state() {
        return sensor.state;
    }

    /** {@return pressure shown at rest, with its unit} */
    public Optional<String> offset() {
        return sensor.offset;
    }

    /** {@return its calibration, when it was run} */
    public Optional<ValveCalibration> valve() {
        return free.valve;
    }

    /** {@return what positions are counted in} */
    public String counted() {
        return free.counted;
    }

    /** {@return kept with it} */
    public ValveSchedule schedule() {
        return free.schedule;
    }

    public MachineFigure {
        controls = List.copyOf(controls);
    }

    static MachineFigure of(Standing machine) {
        List<String> controls = machine.entries()
                .text(ShelfField.CONTROLS)
                .map(text -> Arrays.stream(text.split("[,;]")).map(String::strip).toList())
                .orElse(List.of());
        return new MachineFigure(machine.words(ShelfField.PUMP), new Sensor(machine.words(ShelfField.SENSOR_PLACE),
                machine.words(ShelfField.SENSOR_STATE), machine.shown(ShelfField.SENSOR_OFFSET)),
                machine.number(ShelfField.WARM_UP), controls, new FreeFlow(Calibrations.valve(machine.entries()),
                        machine.entries().text(ShelfField.VALVE_WORDS).orElse("position"),
                        Calibrations.schedule(machine.entries())));
    }

    @Override
    public double height() {
        return free.valve.isPresent() ? 292 : 74;
    }

    @Override
    public String words() {
        return pump + " pump, pressure read at the " + (sensor.place.isEmpty() ? "unknown place" : sensor.place)
                + free.valve.map(v -> ", valve run at " + v.positions().size() + " positions").orElse("");
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        new MachinePicture(new Sketch(g, theme), this, width).paint();
    }
}
