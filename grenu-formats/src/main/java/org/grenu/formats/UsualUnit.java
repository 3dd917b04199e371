package org.grenu.formats;

import java.util.Arrays;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;

/**
 * The unit that numbers without one are most likely in. Ranges are common practice, no source.
 *
 * @param unit    that one
 * @param inDoubt whether the numbers fit no unit of the quantity as they should
 */
public record UsualUnit(Unit unit, boolean inDoubt) {

    private static final double SHORTEST_SHOT = 3;
    private static final double LONGEST_SHOT = 300;
    private static final double LONGEST_STEP = 5;
    private static final double MILLIS = 1000;

    /** {@return the unit of those numbers, in their order; NaN marks what is missing} */
    public static UsualUnit of(Quantity quantity, double[] numbers) {
        double[] known = Arrays.stream(numbers).filter(Double::isFinite).toArray();
        return quantity == Quantity.TIME ? ofTimes(known)
                : new UsualUnit(ofValues(quantity, Arrays.stream(known).max().orElse(0)), false);
    }

    /** What makes a shot of the whole is right; only where neither does, the steps of a logger decide. */
    private static UsualUnit ofTimes(double[] times) {
        double span = Arrays.stream(times).max().orElse(0) - Arrays.stream(times).min().orElse(0);
        boolean seconds = isShot(span);
        boolean millis = isShot(span / MILLIS);
        boolean wide = medianStep(times) >= LONGEST_STEP;
        return seconds == millis ? new UsualUnit(wide ? Unit.MILLISECOND : Unit.SECOND, times.length > 1)
                : new UsualUnit(millis ? Unit.MILLISECOND : Unit.SECOND, false);
    }

    private static boolean isShot(double seconds) {
        return seconds >= SHORTEST_SHOT && seconds <= LONGEST_SHOT;
    }

    /** Espresso stays below 20 bar; 9 bar is 131 psi and 900 kPa. */
    private static Unit ofValues(Quantity quantity, double max) {
        return switch (quantity) {
            case PRESSURE -> !(max > 20) ? Unit.BAR : max > 300 ? Unit.KILOPASCAL : Unit.PSI;
            case TEMPERATURE -> max > 130 ? Unit.FAHRENHEIT : Unit.CELSIUS;
            case MASS -> Unit.GRAM;
            case MASS_FLOW -> Unit.GRAM_PER_SECOND;
            case VOLUME_FLOW -> Unit.MILLILITRE_PER_SECOND;
            default -> Unit.NUMBER;
        };
    }

    private static double medianStep(double[] times) {
        double[] steps = new double[Math.max(0, times.length - 1)];
        Arrays.setAll(steps, i -> Math.abs(times[i + 1] - times[i]));
        Arrays.sort(steps);
        return steps.length == 0 ? 0 : steps[steps.length / 2];
    }
}
