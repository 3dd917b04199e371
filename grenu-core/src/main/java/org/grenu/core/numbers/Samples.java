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
        return new Samples(Arrays.stream(values).map(v -> v + 0.0).toArray());
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
        return Arrays.stream(values).filter(Double::isFinite).max().orElse(Double.NaN);
    }

    /** {@return the smallest finite sample, NaN when there is none} */
    public double min() {
        return Arrays.stream(values).filter(Double::isFinite).min().orElse(Double.NaN);
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
