package org.grenu.core.curve;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * Least-squares smoothing and differentiation on an even grid.
 *
 * <p>A polynomial of the given order is fitted to each window; its value or slope at the centre is the result. The
 * weights come from a QR decomposition rather than the published tables, so that any window and order serve. At the
 * ends the first and last window's polynomial is evaluated off its centre: nothing is padded, so no flow appears
 * where
 * there was none. Gaps (NaN) split the curve; a piece shorter than the window is fitted with the largest odd window
 * that
 * it holds, and is left as it is when it has fewer than {@code order + 2} values.
 *
 * <p>Reference: A. Savitzky, M. J. E. Golay, Smoothing and differentiation of data by simplified least squares
 * procedures, Analytical Chemistry 36 (1964) 1627–1639.
 */
public final class SavitzkyGolay {

    /** Shots are sampled alike, so that the same few filters are asked for again and again. */
    private static volatile List<SavitzkyGolay> made = List.of();
    private static final int MOST_KEPT = 8;

    private final int window;
    private final int order;
    private final double[][][] weights;

    /**
     * @param window values per fit, odd, at least {@code order + 1}
     * @param order  order of the polynomial, in [0, 8]
     * @throws IllegalArgumentException if one is out of its range
     */
    public SavitzkyGolay(int window, int order) {
        if (window % 2 != 1 || order < 0 || order > 8 || window < order + 1) {
            throw new IllegalArgumentException(
                    "window must be odd and larger than the order, are " + window + " and " + order);
        }
        this.window = window;
        this.order = order;
        this.weights = weights(window, order);
    }

    /** {@return the filter whose window spans about that time on the curve's grid} */
    public static SavitzkyGolay spanning(double seconds, double step, int order) {
        int half = Math.max((order + 2) / 2, (int) Math.round(seconds / step / 2));
        return kept(2 * half + 1, order);
    }

    private static SavitzkyGolay kept(int window, int order) {
        List<SavitzkyGolay> known = made;
        for (SavitzkyGolay filter : known) {
            if (filter.window == window && filter.order == order) {
                return filter;
            }
        }
        SavitzkyGolay filter = new SavitzkyGolay(window, order);
        made = Stream.concat(Stream.of(filter), known.stream().limit(MOST_KEPT - 1)).toList();
        return filter;
    }

    /** {@return the weights that smooth the centre of the window} */
    public double[] centreWeights() {
        return weights[0][window / 2].clone();
    }

    /** {@return the smoothed curve, same grid and unit} */
    public UniformCurve smooth(UniformCurve curve) {
        return apply(curve, 0);
    }

    /** {@return the slope of the smoothed curve, its unit per second} */
    public UniformCurve derivative(UniformCurve curve) {
        return apply(curve, 1);
    }

    /**
     * {@return the standard deviation of each value of {@link #derivative} when the samples' noise is white} Larger
     * at the
     * ends, where fewer neighbours speak.
     *
     * @param noise standard deviation of the samples
     */
    public UniformCurve derivativeNoise(UniformCurve curve, double noise) {
        int size = Math.min(window, curve.size() % 2 == 1 ? curve.size() : curve.size() - 1);
        double[] result = new double[curve.size()];
        if (size < order + 2) {
            Arrays.fill(result, Double.NaN);
            return curve.withValues(result);
        }
        double[][] rows = weights(size)[1];
        double[] gain = Arrays.stream(rows)
                .mapToDouble(row -> Math.sqrt(Arrays.stream(row).map(w -> w * w).sum()))
                .toArray();
        for (int i = 0; i < result.length; i++) {
            int first = Math.min(Math.max(0, i - size / 2), result.length - size);
            result[i] = noise * gain[i - first] / curve.step();
        }
        return curve.withValues(result);
    }

    private UniformCurve apply(UniformCurve curve, int derivative) {
        double[] values = curve.values().toArray();
        double[] result = new double[values.length];
        Arrays.fill(result, Double.NaN);
        double scale = derivative == 0 ? 1 : 1 / curve.step();
        int from = 0;
        while (from < values.length) {
            if (Double.isFinite(values[from])) {
                int to = from;
                while (to + 1 < values.length && Double.isFinite(values[to + 1])) {
                    to++;
                }
                fitPiece(values, result, from, to, derivative, scale);
                from = to;
            }
            from++;
        }
        return curve.withValues(result);
    }

    private void fitPiece(double[] values, double[] result, int from, int to, int derivative, double scale) {
        int length = to - from + 1;
        int size = Math.min(window, length % 2 == 1 ? length : length - 1);
        if (size < order + 2) {
            if (derivative == 0) {
                System.arraycopy(values, from, result, from, length);
            }
            return;
        }
        double[][] rows = weights(size)[derivative];
        int half = size / 2;
        for (int i = from; i <= to; i++) {
            int first = Math.min(Math.max(from, i - half), to - size + 1);
            double[] row = rows[i - first];
            double sum = 0;
            for (int j = 0; j < size; j++) {
                sum += row[j] * values[first + j];
            }
            result[i] = sum * scale;
        }
    }

    private double[][][] weights(int size) {
        return size == window ? weights : weights(size, order);
    }

    /** Weights [derivative][position in the window][sample], for value (0) and slope per step (1). */
    private static double[][][] weights(int size, int order) {
        int half = size / 2;
        int terms = order + 1;
        RealMatrix design = new Array2DRowRealMatrix(size, terms);
        for (int i = 0; i < size; i++) {
            for (int k = 0; k < terms; k++) {
                design.setEntry(i, k, Math.pow((i - half) / (double) Math.max(1, half), k));
            }
        }
        RealMatrix fit = new QRDecomposition(design).getSolver().getInverse();
        double[][][] weights = new double[2][size][size];
        double unit = Math.max(1, half);
        for (int position = 0; position < size; position++) {
            double x = (position - half) / unit;
            for (int j = 0; j < size; j++) {
                for (int k = 0; k < terms; k++) {
                    weights[0][position][j] += Math.pow(x, k) * fit.getEntry(k, j);
                    if (k > 0) {
                        weights[1][position][j] += k * Math.pow(x, k - 1) / unit * fit.getEntry(k, j);
                    }
                }
            }
        }
        return weights;
    }
}
