package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Optional;

/**
 * Finds the first drip: the moment the cup mass leaves its baseline by more than noise and keeps rising.
 *
 * <p>The baseline (median) and its noise (1.4826 · MAD, at least {@value #LEAST_NOISE} g) are taken before the rise.
 * From the last time the mass was below a tenth of its rise, the search walks back to where the mass lies within
 * max({@value #LEAST_RISE} g, 4·noise) of the baseline, and from there back along the rise's own slope to the baseline.
 * Because levels are relative to the baseline, a tare offset does not move the result; because the search walks back
 * from the rise, a knock before it does not either.
 */
final class FirstDrip {

    private static final double LEAST_NOISE = 0.03;
    private static final double LEAST_RISE = 0.15;
    private static final double LEAST_BEVERAGE = 0.7;
    private static final double SLOPE_SECONDS = 0.8;
    private static final double LONGEST_WALK_SECONDS = 1.0;

    private FirstDrip() {
    }

    /** {@return the first drip, or nothing when no more than {@value #LEAST_BEVERAGE} g came} */
    static Optional<TimedEvent> find(UniformCurve mass) {
        double[] finite = Arrays.stream(mass.values().toArray()).filter(Double::isFinite).toArray();
        if (finite.length < 8) {
            return Optional.empty();
        }
        double roughBaseline = median(Arrays.copyOf(finite, Math.min(finite.length, (int) Math.ceil(1 / mass.step()))));
        double top = quantile(finite, 0.95);
        if (top - roughBaseline < LEAST_BEVERAGE) {
            return Optional.empty();
        }
        int risen = lastBelow(mass, roughBaseline + Math.max(2 * LEAST_RISE, 0.1 * (top - roughBaseline)), mass.size() - 1);
        if (risen < 0) {
            return Optional.empty();
        }
        Baseline baseline = Baseline.of(mass, (int) Math.ceil(1 / mass.step()));
        int below = lastBelow(mass, baseline.threshold(), risen);
        // Once the rise is roughly placed, everything before it tells more of the baseline than the first second.
        Baseline refined = Baseline.of(mass, below - (int) Math.ceil(0.3 / mass.step()));
        below = lastBelow(mass, refined.threshold(), risen);
        if (below < 0) {
            return Optional.empty();
        }
        return Optional.of(event(mass, below, refined));
    }

    private static TimedEvent event(UniformCurve mass, int below, Baseline baseline) {
        double crossing = crossing(mass, below, baseline.threshold());
        double slope = slopeAfter(mass, crossing);
        if (!(slope > 0)) {
            return new TimedEvent(crossing, mass.step(), "cup mass");
        }
        double walk = Math.min(LONGEST_WALK_SECONDS, (baseline.threshold() - baseline.level()) / slope);
        double u = Math.hypot(Math.hypot(mass.step() / Math.sqrt(12), baseline.noise() / slope), walk / Math.sqrt(12));
        return new TimedEvent(Math.max(mass.start(), crossing - walk), Math.min(2, u), "cup mass");
    }

    private static int lastBelow(UniformCurve mass, double level, int from) {
        for (int i = from; i >= 0; i--) {
            if (mass.value(i) <= level) {
                return i;
            }
        }
        return -1;
    }

    private static double crossing(UniformCurve mass, int below, double threshold) {
        if (below + 1 >= mass.size() || !(mass.value(below + 1) > mass.value(below))) {
            return mass.time(below);
        }
        double share = (threshold - mass.value(below)) / (mass.value(below + 1) - mass.value(below));
        return mass.time(below) + Math.min(1, share) * mass.step();
    }

    private static double slopeAfter(UniformCurve mass, double crossing) {
        double later = Math.min(mass.end(), crossing + SLOPE_SECONDS);
        return (mass.at(later) - mass.at(crossing)) / (later - crossing);
    }

    private static double median(double[] values) {
        return quantile(values, 0.5);
    }

    /** Level and noise of the cup mass before the rise, g. */
    private record Baseline(double level, double noise) {

        /** The last six seconds before that index, or the first few values when there is less. */
        static Baseline of(UniformCurve mass, int end) {
            int most = (int) Math.ceil(6 / mass.step());
            int to = Math.min(mass.size(), Math.max(5, end));
            double[] before = Arrays.stream(mass.values().toArray()).limit(to).skip(Math.max(0, to - most))
                    .filter(Double::isFinite).toArray();
            if (before.length == 0) {
                return new Baseline(0, LEAST_NOISE);
            }
            double level = median(before);
            return new Baseline(level, Math.max(LEAST_NOISE, 1.4826 * medianDeviation(before, level)));
        }

        double threshold() {
            return level + Math.max(LEAST_RISE, 4 * noise);
        }
    }

    private static double medianDeviation(double[] values, double centre) {
        return median(Arrays.stream(values).map(v -> Math.abs(v - centre)).toArray());
    }

    private static double quantile(double[] values, double share) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[(int) Math.round(share * (sorted.length - 1))];
    }
}
