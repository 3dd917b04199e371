package org.grenu.app.settings;

import java.util.List;
import org.grenu.core.quantity.DisplayUnits;

/**
 * How the window shows whatever it shows.
 *
 * @param units    of temperatures and pressures
 * @param textSize how large the window's words and everything with them are, %, one of {@link #TEXT_SIZES}
 */
public record Display(DisplayUnits units, int textSize) {

    /** How large the window can be shown, %. */
    public static final List<Integer> TEXT_SIZES = List.of(100, 110, 125, 150, 175, 200);
    /** As all is kept, and as large as it was drawn. */
    public static final Display USUAL = new Display(DisplayUnits.CANONICAL, 100);

    /** {@return that many steps larger or smaller, as far as there are steps} */
    public Display larger(int steps) {
        int at = TEXT_SIZES.indexOf(textSize) + steps;
        return withTextSize(TEXT_SIZES.get(Math.max(0, Math.min(TEXT_SIZES.size() - 1, at))));
    }

    /** {@return this at another text size} */
    public Display withTextSize(int percent) {
        return new Display(units, percent);
    }

    /** {@return this in other units} */
    public Display in(DisplayUnits others) {
        return new Display(others, textSize);
    }
}
