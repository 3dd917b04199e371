package org.grenu.core.numbers;

import java.util.Arrays;
import java.util.OptionalDouble;

/**
 * A curve through points that never turns back: piecewise cubic, rising (or falling) wherever the points do, with a
 * continuous slope. Slopes at the points begin as means of the neighbouring secants and are reduced where a piece
 * would
 * overshoot. Reference: F. N. Fritsch and R. E. Carlson, SIAM J. Numer. Anal. 17 (1980) 238–246, method with the
 * circle of
 * radius 3.
 */
public final class MonotoneCurve {

    private static final int HALVINGS = 200;

    private final double[] x;
    private final double[] y;
    private final double[] slope;

    /**
     * The curve through those points.
     *
     * @param x strictly increasing, at least 2
     * @param y as many, never rising and falling both
     * @throws IllegalArgumentException if the points are not so
     */
    public MonotoneCurve(double[] x, double[] y) {
        if (x.length < 2 || x.length != y.length) {
            throw new IllegalArgumentException("a curve needs two points or more, with an x and a y each");
        }
        this.x = x.clone();
        this.y = y.clone();
        this.slope = slopes(this.x, this.y);
    }

    private static double[] slopes(double[] x, double[] y) {
        int n = x.length;
        double[] secant = new double[n - 1];
        boolean up = false;
        boolean down = false;
        for (int i = 0; i < n - 1; i++) {
            if (!(x[i + 1] > x[i])) {
                throw new IllegalArgumentException("x must be strictly increasing");
            }
            secant[i] = (y[i + 1] - y[i]) / (x[i + 1] - x[i]);
            up |= secant[i] > 0;
            down |= secant[i] < 0;
        }
        if (up && down) {
            throw new IllegalArgumentException("y must not both rise and fall");
        }
        double[] m = new double[n];
        m[0] = secant[0];
        m[n - 1] = secant[n - 2];
        for (int i = 1; i < n - 1; i++) {
            m[i] = (secant[i - 1] + secant[i]) / 2;
        }
        for (int i = 0; i < n - 1; i++) {
            if (secant[i] == 0) {
                m[i] = 0;
                m[i + 1] = 0;
                continue;
            }
            double a = m[i] / secant[i];
            double b = m[i + 1] / secant[i];
            double size = a * a + b * b;
            if (size > 9) {
                m[i] = 3 / Math.sqrt(size) * a * secant[i];
                m[i + 1] = 3 / Math.sqrt(size) * b * secant[i];
            }
        }
        return m;
    }

    /** {@return the height at that x; NaN outside the points} */
    public double at(double at) {
        if (!(at >= x[0] && at <= x[x.length - 1])) {
            return Double.NaN;
        }
        int i = Math.min(piece(at), x.length - 2);
        double h = x[i + 1] - x[i];
        double t = (at - x[i]) / h;
        double u = 1 - t;
        return y[i] * (1 + 2 * t) * u * u + h * slope[i] * t * u * u + y[i + 1] * t * t * (3 - 2 * t)
                - h * slope[i + 1] * t * t * u;
    }

    /** {@return the x at which the curve has that height, the middle where it is flat; NaN where it never has} */
    public double where(double height) {
        boolean rising = y[y.length - 1] >= y[0];
        double low = rising ? y[0] : y[y.length - 1];
        double high = rising ? y[y.length - 1] : y[0];
        if (!(height >= low && height <= high)) {
            return Double.NaN;
        }
        OptionalDouble flat = middleOfFlat(height);
        return flat.isPresent() ? flat.getAsDouble() : bisect(height, rising);
    }

    /** Neighbouring points of exactly that height. */
    private OptionalDouble middleOfFlat(double height) {
        int first = -1;
        int last = -1;
        for (int i = 0; i < y.length; i++) {
            if (y[i] == height) {
                first = first < 0 ? i : first;
                last = i;
            }
        }
        return first < 0 ? OptionalDouble.empty() : OptionalDouble.of((x[first] + x[last]) / 2);
    }

    private double bisect(double height, boolean rising) {
        double from = x[0];
        double to = x[x.length - 1];
        for (int k = 0; k < HALVINGS; k++) {
            double middle = (from + to) / 2;
            if (at(middle) < height == rising) {
                from = middle;
            } else {
                to = middle;
            }
        }
        return (from + to) / 2;
    }

    private int piece(double at) {
        int found = Arrays.binarySearch(x, at);
        return found >= 0 ? found : -found - 2;
    }
}
