package org.grenu.core.response;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordFactor;

/**
 * What common practice holds of how far a response follows something: extraction yield by 6 ± 4 points with
 * ln(beverage mass) and 0.1 ± 0.1 a °C, ln(time) by 1.0 ± 0.25 with ln(beverage mass), by 2.2 ± 1.1 with ln(dose)
 * and by
 * 0 ± 0.01 a °C (common practice). Strength and solids follow from the yield; of the yield on the dose the schools
 * disagree.
 *
 * @param perUnit   the response's unit for one of the other's, where it usually is
 * @param deviation standard deviation of that
 * @param words     as it is told, such as {@code 6 ±4 points per ln(beverage mass)}
 */
public record CommonSlope(double perUnit, double deviation, String words) {

    /** A slope is hardly ever further from what practice holds than so many deviations. */
    private static final double FAR = 3;
    private static final double USUAL_YIELD = 20;
    private static final Set<String> BEVERAGE = Set.of(StandardResponse.BEVERAGE.key(),
            RecordFactor.BEVERAGE_TARGET.key());
    private static final Set<String> DOSE = Set.of(RecordFactor.DOSE.key(), RecordFactor.DOSE_TARGET.key());
    private static final Set<String> TEMPERATURE = Set.of(StandardResponse.TEMPERATURE_SHOWN.key(),
            RecordFactor.TEMPERATURE.key());

    /** On the scale on which practice speaks: points or ln(time), of a logarithm or a degree. */
    private record Held(double slope, double deviation) {
    }

    /**
     * {@return the slope; empty where practice holds none}
     *
     * @param response of which the usual value is given
     * @param on       what it follows, of which the usual value is given as well
     * @param units    in which that is told
     */
    public static Optional<CommonSlope> of(Response response, double usual, Variable on, double usualOn,
            DisplayUnits units) {
        boolean time = isTime(response);
        boolean relative = BEVERAGE.contains(on.key()) || DOSE.contains(on.key());
        Optional<Held> held = time ? ofTime(on) : ofYield(on);
        if (held.isEmpty() || !time && !isOfYield(response) || relative && !(usualOn > 0)) {
            return Optional.empty();
        }
        double unit = relative ? 1 / usualOn : 1 / units.difference(1, "°C");
        Held own = time ? new Held(held.get().slope * usual, held.get().deviation * usual)
                : onScale(response, held.get(), usual, on);
        String per = relative
                ? (time ? "" : "points ") + "per ln(" + (DOSE.contains(on.key()) ? "dose" : "beverage mass")
                        + ")"
                : (time ? "" : "points ") + "per °C";
        String words = String.format(Locale.ROOT, "%s ±%s %s", number(held.get().slope), number(held.get().deviation),
                time ? "of ln(time) " + per : per + (isYield(response) ? "" : " of extraction yield"));
        return Optional.of(new CommonSlope(own.slope * unit, own.deviation * unit, words));
    }

    private static String number(double value) {
        return (value == Math.rint(value) ? String.format(Locale.ROOT, "%.0f", value) : Double.toString(value))
                .replace('-', '\u2212');
    }

    private static Optional<Held> ofTime(Variable on) {
        return BEVERAGE.contains(on.key()) ? Optional.of(new Held(1, 0.25))
                : DOSE.contains(on.key()) ? Optional.of(new Held(2.2, 1.1))
                        : TEMPERATURE.contains(on.key()) ? Optional.of(new Held(0, 0.01)) : Optional.empty();
    }

    private static Optional<Held> ofYield(Variable on) {
        return BEVERAGE.contains(on.key()) ? Optional.of(new Held(6, 4))
                : TEMPERATURE.contains(on.key()) ? Optional.of(new Held(0.1, 0.1)) : Optional.empty();
    }

    /** Strength = yield·dose/beverage and solids = yield·dose: the beverage has its own part in strength. */
    private static Held onScale(Response response, Held yield, double usual, Variable on) {
        if (isYield(response)) {
            return yield;
        }
        double ofMass = BEVERAGE.contains(on.key()) && is(response, StandardResponse.STRENGTH) ? -1 : 0;
        return new Held(usual * (yield.slope / USUAL_YIELD + ofMass), usual * yield.deviation / USUAL_YIELD);
    }

    private static boolean isTime(Response response) {
        return StandardResponse.find(response.key())
                .filter(found -> ((StandardResponse) found).convention().isPresent())
                .isPresent();
    }

    private static boolean isYield(Response response) {
        return is(response, StandardResponse.EY_AS_DOSED) || is(response, StandardResponse.EY_DRY);
    }

    private static boolean isOfYield(Response response) {
        return isYield(response) || is(response, StandardResponse.STRENGTH) || is(response, StandardResponse.SOLIDS);
    }

    private static boolean is(Response response, StandardResponse other) {
        return response.key().equals(other.key());
    }

    /** {@return the most that such a shift can have done by common practice, without sign} */
    public double most(double shift) {
        return Math.abs(shift) * (Math.abs(perUnit) + FAR * deviation);
    }

    /**
     * {@return the change closest to nought that is left of that one when such a shift did what practice allows it
     * to}
     */
    public double least(double change, double shift) {
        double expected = perUnit * shift;
        double either = FAR * deviation * Math.abs(shift);
        return change > 0 ? change - (expected + either) : change - (expected - either);
    }
}
