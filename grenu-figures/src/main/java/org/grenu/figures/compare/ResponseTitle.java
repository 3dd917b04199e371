package org.grenu.figures.compare;

import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;

/**
 * A response's name in a heading, and below it what it is by: the convention of a time, the basis of a yield, the
 * unit.
 *
 * @param name  such as {@code Time}
 * @param below such as {@code pump on to pump off, s}
 */
record ResponseTitle(String name, String below) {

    private static final int SHORT = 2;

    static ResponseTitle of(Response response, String unit) {
        if (response == StandardResponse.EY_AS_DOSED || response == StandardResponse.EY_DRY) {
            return new ResponseTitle("EY", response.title().substring(3) + behind(unit));
        }
        int comma = response.title().indexOf(", ");
        return comma < 0 ? new ResponseTitle(response.title(), unit)
                : new ResponseTitle(response.title().substring(0, comma),
                        response.title().substring(comma + 2) + behind(unit));
    }

    /** A short unit does not stand alone in a line. */
    private static String behind(String unit) {
        return unit.isEmpty() ? "" : (unit.length() <= SHORT ? ",\u00A0" : ", ") + unit;
    }
}
