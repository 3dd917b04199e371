package org.grenu.desktop.shelf;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.grenu.core.entry.Row;
import org.grenu.core.quantity.DecimalText;

/** What to do next in the calibration of a valve, in words: the position that was run least, or enough. */
final class ValveText {

    private static final int REPEATS = 3;

    private ValveText() {
    }

    /** {@return what to do after those runs} */
    static String next(List<Row> runs, String seconds) {
        Map<Double, Integer> counts = new TreeMap<>();
        runs.forEach(row -> counts.merge(row.needed(0), 1, Integer::sum));
        if (counts.size() < 2) {
            return "Set the valve to its first position without a portafilter, run " + seconds
                    + " s into a jug on the scale, and enter what it weighs. "
                    + "Begin at both ends, then fill in the steps between.";
        }
        Map.Entry<Double, Integer> least = counts.entrySet().stream().min(Map.Entry.comparingByValue()).orElseThrow();
        return least.getValue() >= REPEATS
                ? "Every position has " + REPEATS + " runs. Another position where the curve is steep tells most."
                : "Next: position " + DecimalText.exact(least.getKey()) + " again, run " + (least.getValue() + 1)
                        + " of " + REPEATS + ", or a new position. Repeats tell how sure the curve is.";
    }
}
