package org.grenu.core.curve;

import java.util.Arrays;
import org.grenu.core.numbers.Samples;

/**
 * Puts an irregular channel on an even grid: each grid value is the mean of the piecewise linear interpolant over its
 * cell, so a fast log is averaged and a slow one interpolated by the same rule, and the integral is kept.
 *
 * @param step       grid step, s, in (0, ∞)
 * @param longestGap a longer pause between two samples becomes a gap (NaN), s
 */
public record Resampling(double step, double longestGap) {

    /** 10 Hz, pauses up to 2 s bridged (common practice, no source). */
    public static final Resampling STANDARD = new Resampling(0.1, 2.0);

    /** For a few points read off by hand: straight lines between them, however far apart. */
    static final Resampling BETWEEN_POINTS = new Resampling(0.1, Double.POSITIVE_INFINITY);

    private static final int MOST_VALUES = 40_000;

    /**
     * {@return the channel on the grid that starts at the first time}
     *
     * @param time   strictly increasing, s
     * @param values one per time; NaN is skipped
     */
    public UniformCurve resample(Samples time, Samples values) {
        double start = time.get(0);
        double span = time.get(time.size() - 1) - start;
        double cell = Math.max(step, span / MOST_VALUES);
        int count = (int) Math.floor(span / cell + 1e-6) + 1;
        Interpolant interpolant = new Interpolant(time, values);
        double[] grid = new double[count];
        for (int i = 0; i < count; i++) {
            double centre = start + i * cell;
            grid[i] = interpolant.mean(centre, centre - cell / 2, centre + cell / 2);
        }
        return new UniformCurve(start, cell, Samples.of(grid));
    }

    /** The piecewise linear curve through the finite samples; moves forward only. */
    private final class Interpolant {
        private final double[] t;
        private final double[] y;
        private int segment;

        Interpolant(Samples time, Samples values) {
            double[] keptTime = new double[time.size()];
            double[] kept = new double[time.size()];
            int n = 0;
            for (int i = 0; i < time.size(); i++) {
                if (Double.isFinite(values.get(i))) {
                    keptTime[n] = time.get(i);
                    kept[n++] = values.get(i);
                }
            }
            t = Arrays.copyOf(keptTime, n);
            y = Arrays.copyOf(kept, n);
        }

        double mean(double centre, double from, double to) {
            if (t.length == 0 || centre < t[0] - 1e-9 || centre > t[t.length - 1] + 1e-9) {
                return Double.NaN;
            }
            double low = Math.max(from, t[0]);
            double high = Math.min(to, t[t.length - 1]);
            if (!(high > low)) {
                return y[Math.min(segment, y.length - 1)];
            }
            while (segment + 1 < t.length - 1 && t[segment + 1] <= low) {
                segment++;
            }
            if (inGap(centre)) {
                return Double.NaN;
            }
            double area = 0;
            for (int s = segment; s < t.length - 1 && t[s] < high; s++) {
                double a = Math.max(low, t[s]);
                double b = Math.min(high, t[s + 1]);
                if (b > a) {
                    area += (b - a) * valueOn(s, (a + b) / 2);
                }
            }
            return area / (high - low);
        }

        private boolean inGap(double centre) {
            int s = segment;
            while (s + 1 < t.length - 1 && t[s + 1] <= centre) {
                s++;
            }
            return s + 1 < t.length && t[s + 1] - t[s] > longestGap && centre > t[s] && centre < t[s + 1];
        }

        private double valueOn(int s, double at) {
            return y[s] + (y[s + 1] - y[s]) * (at - t[s]) / (t[s + 1] - t[s]);
        }
    }
}
