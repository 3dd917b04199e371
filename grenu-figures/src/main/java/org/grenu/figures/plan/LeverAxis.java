package org.grenu.figures.plan;

import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.Slope;
import org.grenu.core.quantity.DecimalText;

/**
 * The axis of what is moved: the grind in the dial's numbers, finer at the right, or another lever in its unit.
 *
 * @param lever   what is moved
 * @param dial    of the grinder
 * @param grinder its name; empty where nobody knows
 * @param step    smallest move worth a shot, in the lever's own unit, of the grind in notches
 */
public record LeverAxis(Slope lever, GrinderDial dial, String grinder, double step) {

    /** {@return the number that stands there} */
    public String number(double setting) {
        return DecimalText.exact(lever == Slope.GRIND ? dial.number(setting) : Math.rint(setting * 100) / 100);
    }

    /** {@return what it is, with its unit} */
    public String title() {
        return switch (lever) {
            case GRIND -> "grind" + (grinder.isEmpty() ? "" : ", " + grinder);
            case DOSE -> "dose, g";
            case BEVERAGE -> "beverage mass, g";
            case TEMPERATURE -> "temperature, °C";
            case AGE -> "age, d";
        };
    }

    /** {@return what lies to the right} */
    String more() {
        return switch (lever) {
            case GRIND -> "finer →";
            case TEMPERATURE -> "hotter →";
            case AGE -> "older →";
            case DOSE, BEVERAGE -> "more →";
        };
    }

    /** {@return what lies to the left} */
    String less() {
        return switch (lever) {
            case GRIND -> "← coarser";
            case TEMPERATURE -> "← cooler";
            case AGE -> "← younger";
            case DOSE, BEVERAGE -> "← less";
        };
    }
}
