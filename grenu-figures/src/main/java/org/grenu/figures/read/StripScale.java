package org.grenu.figures.read;

import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Unit;
import org.grenu.figures.paint.Ticks;

/**
 * The range of a strip's values.
 *
 * @param low   value at the strip's foot
 * @param high  value at its head
 * @param ticks along its side
 */
public record StripScale(double low, double high, Ticks ticks) {

    private static final double LEAST_HALF_CELSIUS = 2;

    /** {@return a scale that holds all from the least to the largest value, ruled in the shown unit} */
    static StripScale of(Channel channel, DisplayUnits units, double least, double largest) {
        double min = Double.isFinite(least) ? least : 0;
        double max = Double.isFinite(largest) ? largest : 0;
        double low = 0;
        double high;
        if (channel == Channel.TEMPERATURE) {
            double middle = (min + max) / 2;
            double half = Math.max(LEAST_HALF_CELSIUS, (max - min) / 2 * 1.15);
            low = middle - half;
            high = middle + half;
        } else {
            high = Math.max(channel == Channel.PRESSURE ? 2 : 1, max * 1.1);
            low = Math.min(0, min < -0.05 * high ? min : 0);
        }
        // Nine bar is the mark that people look for, so the pressure is ruled in threes where that fits.
        Unit unit = units.of(channel.unit());
        boolean inThrees = unit == Unit.BAR && high > 5 && high < 16;
        return new StripScale(low, high,
                inThrees ? Ticks.every(3, low, high, unit) : Ticks.of(low, high, 3, unit));
    }
}
