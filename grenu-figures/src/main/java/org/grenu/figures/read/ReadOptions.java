package org.grenu.figures.read;

import java.util.List;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.DisplayUnits;

/**
 * What the user wants to see.
 *
 * @param axis     what the strips run along
 * @param channels the strips, top to bottom; those that a shot does not have are left out
 * @param units    of temperatures and pressures
 */
public record ReadOptions(AxisKind axis, List<Channel> channels, DisplayUnits units) {

    /** Since pump on; pressure, both flows, cup mass, temperature, resistance. */
    public static final ReadOptions USUAL = new ReadOptions(AxisKind.PUMP_ON,
            List.of(Channel.PRESSURE, Channel.PUMP_FLOW, Channel.CUP_FLOW,
                    Channel.CUP_MASS, Channel.TEMPERATURE, Channel.RESISTANCE),
            DisplayUnits.CANONICAL);

    public ReadOptions {
        channels = List.copyOf(channels);
    }

    /** {@return these with another axis} */
    public ReadOptions along(AxisKind other) {
        return new ReadOptions(other, channels, units);
    }

    /** {@return these with other strips} */
    public ReadOptions of(List<Channel> others) {
        return new ReadOptions(axis, others, units);
    }

    /** {@return these in other units} */
    public ReadOptions in(DisplayUnits others) {
        return new ReadOptions(axis, channels, others);
    }
}
