package org.grenu.figures.read;

import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.UniformCurve;
import org.grenu.figures.paint.Ticks;

/**
 * One channel of the figure.
 *
 * @param channel what it shows
 * @param curve   after repairs
 * @param asLogged before repairs, where they differ
 * @param low     value at the strip's foot
 * @param high    value at its head
 * @param ticks   along its side
 */
public record Strip(Channel channel, UniformCurve curve, Optional<UniformCurve> asLogged, double low, double high, Ticks ticks) {

    /** {@return the strip of that curve, with a scale that holds all of it} */
    static Strip of(Channel channel, UniformCurve curve, Optional<UniformCurve> asLogged) {
        double min = finite(curve.values().min());
        double max = finite(curve.values().max());
        double low = 0;
        double high;
        if (channel == Channel.TEMPERATURE) {
            double middle = (min + max) / 2;
            double half = Math.max(2, (max - min) / 2 * 1.15);
            low = middle - half;
            high = middle + half;
        } else {
            high = Math.max(channel == Channel.PRESSURE ? 2 : 1, max * 1.1);
            low = Math.min(0, min < -0.05 * high ? min : 0);
        }
        // Nine bar is the mark that people look for, so the pressure is ruled in threes where that fits.
        boolean inThrees = channel == Channel.PRESSURE && high > 5 && high < 16;
        return new Strip(channel, curve, asLogged, low, high, inThrees ? Ticks.every(3, low, high) : Ticks.of(low, high, 3));
    }

    private static double finite(double value) {
        return Double.isFinite(value) ? value : 0;
    }

    /** {@return the strip's share of the height, relative to the others} */
    double weight() {
        return switch (channel) {
            case PRESSURE -> 128;
            case PUMP_FLOW, CUP_FLOW -> 104;
            case CUP_MASS -> 100;
            case TEMPERATURE -> 82;
            case STEP -> 48;
            case RESISTANCE, RESISTANCE_SQUARED -> 102;
        };
    }

    /** {@return how many decimals a reading on this strip deserves} */
    public int decimals() {
        return switch (channel) {
            case PRESSURE, PUMP_FLOW, CUP_FLOW -> 2;
            case RESISTANCE, RESISTANCE_SQUARED -> 2;
            case CUP_MASS, TEMPERATURE -> 1;
            case STEP -> 0;
        };
    }
}
