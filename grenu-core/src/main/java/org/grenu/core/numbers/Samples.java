package org.grenu.core.numbers;

import java.util.Arrays;

/** An immutable column of numbers; NaN marks a missing sample. Equal by content. */
public final class Samples {

    private final double[] values;

    private Samples(double[] values) {
        this.values = values;
    }

    /**
     * {@return a column holding a copy of the values; a negative zero becomes zero, which files do not tell apart}
     */
    public static Samples of(double... values) {
        double[] copy = values.clone();
        for (int i = 0; i < copy.length; i++) {
            copy[i] += 0.0;
        }
        return new Samples(copy);
    }

    /** {@return the number of samples} */
    public int size() {
        return values.length;
    }

    /** {@return the sample at that index} */
    public double get(int index) {
        return values[index];
    }

    /** {@return a copy of the values} */
    public double[] toArray() {
        return values.clone();
    }

    /** {@return the largest finite sample, NaN when there is none} */
    public double max() {
        double most = Double.NaN;
        for (double value : values) {
            most = Double.isFinite(value) && !(value <= most) ? value : most;
        }
        return most;
    }

    /** {@return the smallest finite sample, NaN when there is none} */
    public double min() {
        double least = Double.NaN;
        for (double value : values) {
            least = Double.isFinite(value) && !(value >= least) ? value : least;
        }
        return least;
    }

    /** {@return whether any sample is present} */
    public boolean hasAny() {
        return Arrays.stream(values).anyMatch(Double::isFinite);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Samples samples && Arrays.equals(values, samples.values);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(values);
    }

    @Override
    public String toString() {
        return values.length + " samples in [" + min() + ", " + max() + "]";
    }
}
