package org.grenu.desktop.shelf;

import java.util.OptionalDouble;
import org.grenu.core.entry.Entries;
import org.grenu.core.hydraulics.ValveCalibration;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.shelf.Calibrations;

/** Where to set a valve, in words. */
final class OpeningText {

    private OpeningText() {
    }

    /** {@return the position, and in brackets what its uncertainty leaves open} */
    static String of(ValveCalibration.Opening opening) {
        return Reported.fixed(opening.at(), 2) + "  (" + Reported.fixed(opening.low(), 2) + "–"
                + Reported.fixed(opening.high(), 2) + ")";
    }

    /**
     * {@return where that machine's valve gives the typed flow, g/s, or why that cannot be said; empty while
     * nothing is typed}
     */
    static String forFlow(Entries machine, String typed) {
        if (typed.isBlank()) {
            return "";
        }
        OptionalDouble flow = DecimalText.parse(typed);
        if (flow.isEmpty()) {
            return "a flow is a number, such as 3.5";
        }
        return Calibrations.valve(machine)
                .map(valve -> opening(valve, flow.getAsDouble()))
                .orElse("run two positions first");
    }

    private static String opening(ValveCalibration valve, double flow) {
        return valve
                .openingFor(Measured.exact(flow))
                .map(opening -> "position " + of(opening))
                .orElse("it gives " + Reported.fixed(valve.least(), 2) + " to "
                        + Reported.fixed(valve.largest(), 2) + " g/s");
    }
}
