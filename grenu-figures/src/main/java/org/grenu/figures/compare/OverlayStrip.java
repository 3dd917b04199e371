package org.grenu.figures.compare;

import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Reported;
import org.grenu.core.quantity.Unit;
import org.grenu.figures.paint.Ticks;

/**
 * A channel's scale, shared by all facets.
 *
 * @param low   value at the strip's foot
 * @param high  value at its head
 */
public record OverlayStrip(Channel channel, double low, double high, Ticks ticks) {

    /** {@return the unit that is shown} */
    public Unit unit() {
        return ticks.unit();
    }

    /** {@return the value with its unit, as it is read on this strip} */
    public String reading(double value) {
        return Reported.fixed(ticks.shown(value), DisplayUnits.decimals(unit(), 2)) + " " + unit().symbol();
    }

    double weight() {
        return switch (channel) {
            case PRESSURE -> 96;
            case PUMP_FLOW, CUP_FLOW, RESISTANCE, RESISTANCE_SQUARED -> 84;
            default -> 78;
        };
    }
}
