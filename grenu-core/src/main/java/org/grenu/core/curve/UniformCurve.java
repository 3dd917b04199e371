package org.grenu.core.curve;

import java.util.Arrays;
import org.grenu.core.numbers.Samples;

/**
 * One channel on an even time grid.
 *
 * @param start  time of the first value, s
 * @param step   distance of two values, s, in (0, ∞)
 * @param values the values; NaN where the log had a gap
 */
public record UniformCurve(double start, double step, Samples values) {

    /** @throws IllegalArgumentException if the step is not positive or there is no value */
    public UniformCurve {
        if (!(step > 0)) {
            throw new IllegalArgumentException("step must be positive, is " + step);
        }
        if (values.size() == 0) {
            throw new IllegalArgumentException("a curve must have at least one value");
        }
    }

    /** {@return the number of values} */
    public int size() {
        return values.size();
    }

    /** {@return the value at that index} */
    public double value(int index) {
        return values.get(index);
    }

    /** {@return the time at that index, s} */
    public double time(int index) {
        return start + index * step;
    }

    /** {@return the time of the last value, s} */
    public double end() {
        return time(size() - 1);
    }

    /** {@return the linearly interpolated value; NaN outside the curve and in a gap} */
    public double at(double seconds) {
        double position = (seconds - start) / step;
        if (!(position >= -1e-9) || position > size() - 1 + 1e-9) {
            return Double.NaN;
        }
        int left = (int) Math.min(Math.max(0, Math.floor(position)), Math.max(0, size() - 2));
        int right = Math.min(left + 1, size() - 1);
        double share = Math.min(1, Math.max(0, position - left));
        if (share == 0 || share == 1) {
            return value(share == 0 ? left : right);
        }
        return value(left) + share * (value(right) - value(left));
    }

    /** {@return the finite values from one time to another} */
    public double[] between(double from, double to) {
        int first = (int) Math.max(0, Math.ceil((from - start) / step - 1e-9));
        int last = (int) Math.min(size() - 1, Math.floor((to - start) / step + 1e-9));
        double[] found = new double[Math.max(0, last - first + 1)];
        int n = 0;
        for (int i = first; i <= last; i++) {
            if (Double.isFinite(value(i))) {
                found[n++] = value(i);
            }
        }
        return Arrays.copyOf(found, n);
    }

    /** {@return the same grid with other values} */
    public UniformCurve withValues(double[] other) {
        return new UniformCurve(start, step, Samples.of(other));
    }
}
