package org.grenu.figures.read;

import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Reported;
import org.grenu.core.quantity.Unit;
import org.grenu.figures.paint.Ticks;

/**
 * One channel of the figure, along its axis.
 *
 * @param channel  what it shows
 * @param curve    after repairs
 * @param beside   what is drawn with it
 * @param corridor what was meant, a band a step
 * @param points   where it was read off by hand: only there is it known
 * @param scale    of its values
 */
public record Strip(Channel channel, UniformCurve curve, Beside beside, List<Band> corridor, List<double[]> points,
        StripScale scale) {

    /**
     * What is drawn with a curve.
     *
     * @param asLogged before repairs, where they differ
     * @param ghost    of the shot it is held against
     * @param doubt    curve ± expanded uncertainty, where it is known along the curve
     */
    public record Beside(Optional<UniformCurve> asLogged, Optional<UniformCurve> ghost, Optional<Band> doubt) {
    }

    public Strip {
        corridor = List.copyOf(corridor);
        points = List.copyOf(points);
    }

    /** {@return the curve before repairs, where they differ} */
    public Optional<UniformCurve> asLogged() {
        return beside.asLogged;
    }

    /** {@return the curve of the shot it is held against} */
    public Optional<UniformCurve> ghost() {
        return beside.ghost;
    }

    /** {@return curve ± expanded uncertainty, where it is known along the curve} */
    public Optional<Band> doubt() {
        return beside.doubt;
    }

    /** {@return value at the strip's foot} */
    public double low() {
        return scale.low();
    }

    /** {@return value at its head} */
    public double high() {
        return scale.high();
    }

    /** {@return along its side} */
    public Ticks ticks() {
        return scale.ticks();
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

    /** {@return the unit that is shown} */
    public Unit unit() {
        return ticks().unit();
    }

    /** {@return the value as it is read on this strip, without its unit} */
    public String reading(double value) {
        double shown = unit().fromCanonical(value);
        boolean tiny = channel != Channel.TEMPERATURE && Math.abs(shown) < 0.5 * Math.pow(10, -decimals());
        return Reported.fixed(tiny ? 0 : shown, decimals());
    }

    /** {@return the half-width about a value, as it is read on this strip} */
    public String readingDoubt(double half) {
        return Reported.fixed(unit().differenceFromCanonical(half), decimals());
    }

    private int decimals() {
        int canonical = switch (channel) {
            case PRESSURE, PUMP_FLOW, CUP_FLOW, RESISTANCE, RESISTANCE_SQUARED -> 2;
            case CUP_MASS, TEMPERATURE -> 1;
            case STEP -> 0;
        };
        return DisplayUnits.decimals(unit(), canonical);
    }
}
