package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.numbers.NormalEquations;
import org.grenu.core.quantity.Measured;

/** What the cup-mass curve says of the beverage: how much came, and when the last of it. */
final class CupMassEnd {

    private static final double FINAL_SECONDS = 1.0;
    private static final double STILL_GRAMS = 0.15;
    private static final double MOST_TO_COME_GRAMS = 0.12;
    private static final double MOST_UNKNOWN_GRAMS = 0.08;
    private static final double LEAST_NOISE = 0.02;
    private static final double TAIL_SECONDS = 3;
    private static final double[] THINS = {0.4, 0.6, 0.9, 1.3, 2, 3, 3.5};

    private CupMassEnd() {
    }

    /**
     * Median of the last second less the median before the first drip; display step, noise and what may still be to
     * come count as uncertainty. Empty when the cup was still filling at the end: how much was to come then, no log
     * tells.
     *
     * @param until when the cup was last seen, s
     */
    static Optional<Measured> beverage(UniformCurve mass, Optional<TimedEvent> firstDrip, double resolution,
            double until) {
        double[] values = finite(mass.between(mass.start(), until));
        int last = Math.max(1, (int) Math.round(FINAL_SECONDS / mass.step()));
        if (values.length < 2 * last) {
            return Optional.empty();
        }
        ToCome toCome = firstDrip.isPresent() ? toCome(mass, until, Math.max(LEAST_NOISE, resolution / Math.sqrt(12)))
                : new ToCome(0, 0);
        if (toCome.likely > MOST_TO_COME_GRAMS || toCome.u > MOST_UNKNOWN_GRAMS) {
            return Optional.empty();
        }
        double[] end = Arrays.copyOfRange(values, values.length - last, values.length);
        int before = firstDrip.map(drip -> (int) ((drip.seconds() - mass.start()) / mass.step()) - last / 2)
                .orElse(last);
        double[] start = Arrays.copyOfRange(values, 0, Math.min(values.length, Math.max(3, before)));
        double u = Math.hypot(Math.hypot(resolution / Math.sqrt(12), spread(end) / Math.sqrt(end.length)),
                Math.max(toCome.u, toCome.likely / 2));
        return Optional.of(Measured.independent(Math.max(0, median(end) + toCome.likely - median(start)), u));
    }

    /** What was to come after the end: least and most that the slowing-down stream allows. */
    private record ToCome(double likely, double u) {
    }

    /**
     * The cup over the last seconds as m = a − b·exp(−(t − end)/τ): b is still to come, and the slowings-down that
     * explain the curve nearly as well as the best one tell how well that is known.
     */
    private static ToCome toCome(UniformCurve mass, double until, double noise) {
        int last = (int) Math.floor((until - mass.start()) / mass.step() + 1e-9);
        int first = (int) Math.max(0, last - Math.round(TAIL_SECONDS / mass.step()));
        double[] sums = new double[THINS.length];
        double[] come = new double[THINS.length];
        int best = 0;
        for (int k = 0; k < THINS.length; k++) {
            NormalEquations fit = new NormalEquations(2);
            for (int i = first; i <= last; i++) {
                if (Double.isFinite(mass.value(i))) {
                    fit.add(mass.value(i), 1, -Math.exp(-(mass.time(i) - until) / THINS[k]));
                }
            }
            Optional<double[]> solution = fit.solve();
            come[k] = solution.map(x -> x[1]).orElse(0.0);
            sums[k] = solution.map(fit::residuals).orElse(Double.POSITIVE_INFINITY);
            best = sums[k] < sums[best] ? k : best;
        }
        double variance = Math.max(noise * noise, sums[best] / Math.max(1, last - first - 2));
        double low = come[best];
        double high = come[best];
        for (int k = 0; k < THINS.length; k++) {
            if (sums[k] <= sums[best] + 2 * variance) {
                low = Math.min(low, come[k]);
                high = Math.max(high, come[k]);
            }
        }
        double likely = Math.max(0, come[best]);
        return new ToCome(likely, Math.max(Math.abs(high - likely), Math.abs(likely - Math.max(0, low))));
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
