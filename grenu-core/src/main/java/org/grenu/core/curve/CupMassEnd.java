package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.quantity.Measured;

/** What the cup-mass curve says of the beverage: how much came, and when the last of it. */
final class CupMassEnd {

    private static final double FINAL_SECONDS = 1.0;
    private static final double STILL_GRAMS = 0.15;

    private CupMassEnd() {
    }

    /**
     * Median of the last second less the median before the first drip; only the display step and noise count as
     * uncertainty.
     */
    static Optional<Measured> beverage(UniformCurve mass, Optional<TimedEvent> firstDrip, double resolution) {
        double[] values = finite(mass.values().toArray());
        int last = Math.max(1, (int) Math.round(FINAL_SECONDS / mass.step()));
        if (values.length < 2 * last) {
            return Optional.empty();
        }
        double[] end = Arrays.copyOfRange(values, values.length - last, values.length);
        int before = firstDrip.map(drip -> (int) ((drip.seconds() - mass.start()) / mass.step()) - last / 2)
                .orElse(last);
        double[] start = Arrays.copyOfRange(values, 0, Math.min(values.length, Math.max(3, before)));
        double u = Math.hypot(resolution / Math.sqrt(12), spread(end) / Math.sqrt(end.length));
        return Optional.of(Measured.independent(Math.max(0, median(end) - median(start)), u));
    }

    /** The last time the cup was lighter than at the end by more than {@value #STILL_GRAMS} g. */
    static Optional<TimedEvent> lastDrip(UniformCurve mass) {
        double[] values = mass.values().toArray();
        double[] known = finite(values);
        int last = Math.max(1, (int) Math.round(FINAL_SECONDS / mass.step()));
        if (known.length == 0) {
            return Optional.empty();
        }
        double level = median(Arrays.copyOfRange(known, Math.max(0, known.length - last), known.length)) - STILL_GRAMS;
        for (int i = values.length - 1; i >= 0; i--) {
            if (values[i] < level) {
                return Optional
                        .of(new TimedEvent(mass.time(Math.min(i + 1, values.length - 1)), 2 * mass.step(), "cup mass"));
            }
        }
        return Optional.empty();
    }

    private static double[] finite(double[] values) {
        return Arrays.stream(values).filter(Double::isFinite).toArray();
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
    }

    private static double spread(double[] values) {
        double centre = median(values);
        return 1.4826 * median(Arrays.stream(values).map(v -> Math.abs(v - centre)).toArray());
    }
}
