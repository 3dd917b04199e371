package org.grenu.core.compare;

import java.util.List;

/**
 * The size of change that a numeric effect is stated and judged for: the smallest step between settings that were used; a
 * gram or second of something that was measured; else a round number near a quarter of the range.
 */
final class Steps {

    private static final int MOST_SETTINGS = 8;

    private Steps() {
    }

    static double of(Variable variable, List<ComparedShot> shots) {
        double[] values = shots.stream().mapToDouble(shot -> variable.number(shot).orElseThrow()).distinct().sorted().toArray();
        if (variable instanceof Variable.Covariate && (variable.unit().equals("g") || variable.unit().equals("s"))) {
            return 1;
        }
        if (values.length > MOST_SETTINGS) {
            return round((values[values.length - 1] - values[0]) / 4);
        }
        double least = Double.POSITIVE_INFINITY;
        for (int i = 1; i < values.length; i++) {
            least = Math.min(least, values[i] - values[i - 1]);
        }
        return significant(least);
    }

    /** To 1, 2 or 5 times a power of ten. */
    private static double round(double value) {
        double power = Math.pow(10, Math.floor(Math.log10(value)));
        double leading = value / power;
        return significant((leading < 1.5 ? 1 : leading < 3.5 ? 2 : leading < 7.5 ? 5 : 10) * power);
    }

    /** Without the dust of subtraction: 2.6 − 2.4 is 0.2. */
    private static double significant(double value) {
        double power = Math.pow(10, 5 - Math.ceil(Math.log10(value)));
        return Math.rint(value * power) / power;
    }
}
