package org.grenu.figures.read;

import java.util.List;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;

/**
 * What the user wants to see.
 *
 * @param axis     what the strips run along
 * @param channels the strips, top to bottom; those that a shot does not have are left out
 */
public record ReadOptions(AxisKind axis, List<Channel> channels) {

    /** Since pump on; pressure, both flows, cup mass, temperature, resistance. */
    public static final ReadOptions USUAL = new ReadOptions(AxisKind.PUMP_ON,
            List.of(Channel.PRESSURE, Channel.PUMP_FLOW, Channel.CUP_FLOW,
                    Channel.CUP_MASS, Channel.TEMPERATURE, Channel.RESISTANCE));

    public ReadOptions {
        channels = List.copyOf(channels);
    }
}
