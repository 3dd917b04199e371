package org.grenu.figures.compare;

import org.grenu.core.curve.Channel;
import org.grenu.figures.paint.Ticks;

/**
 * A channel's scale, shared by all facets.
 *
 * @param low   value at the strip's foot
 * @param high  value at its head
 */
public record OverlayStrip(Channel channel, double low, double high, Ticks ticks) {

    double weight() {
        return switch (channel) {
            case PRESSURE -> 96;
            case PUMP_FLOW, CUP_FLOW, RESISTANCE, RESISTANCE_SQUARED -> 84;
            default -> 78;
        };
    }
}
