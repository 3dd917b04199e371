package org.grenu.core.diagnosis;

import java.util.Locale;
import org.grenu.core.learn.Slope;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;

/**
 * One lever that a school pulls.
 *
 * @param lever what is moved
 * @param by    notches finer, g or °C
 */
public record SchoolMove(Slope lever, double by) {

    /** {@return what it is called, such as “finer by 1 notch” or “cooler by 2 °C”} */
    public String words() {
        return words(DisplayUnits.CANONICAL);
    }

    /** {@return the same with temperatures in those units} */
    public String words(DisplayUnits units) {
        String size = DecimalText.exact(Math.abs(by));
        return switch (lever) {
            case GRIND -> (by > 0 ? "finer" : "coarser") + " by " + size + (Math.abs(by) == 1 ? " notch" : " notches");
            case DOSE -> size + " g " + (by > 0 ? "more" : "less") + " coffee";
            case BEVERAGE -> size + " g " + (by > 0 ? "more" : "less") + " in the cup";
            case TEMPERATURE -> (by > 0 ? "hotter" : "cooler") + " by " + units.typedDifference(Math.abs(by), "°C")
                    + " " + units.symbol("°C");
            case AGE -> size + " d " + (by > 0 ? "older" : "younger");
        };
    }

    /** {@return the lever's name in a pack} */
    static String key(Slope lever) {
        return lever.name().toLowerCase(Locale.ROOT);
    }
}
