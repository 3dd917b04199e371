package org.grenu.core.numbers;

/**
 * Sums of powers of x, alone and with y, over any stretch of samples and about any centre, from sums that are kept
 * once: for searches that fit a course to many stretches that overlap, in place of going through each
 * (NormalEquationsTest holds both equal). Samples without a finite y count for nothing.
 */
public final class RunningPowers {

    private final double middle;
    private final double[][] sums;

    /** At so many places, one y for each. */
    public RunningPowers(double[] x, double[] y) {
        // About their middle the fourth powers stay small.
        middle = x.length == 0 ? 0 : (x[0] + x[x.length - 1]) / 2;
        sums = new double[x.length + 1][];
        sums[0] = new double[9];
        for (int i = 0; i < x.length; i++) {
            sums[i + 1] = Double.isFinite(y[i]) ? with(sums[i], x[i] - middle, y[i]) : sums[i];
        }
    }

    private static double[] with(double[] sums, double x, double y) {
        double xx = x * x;
        return new double[] {sums[0] + 1, sums[1] + x, sums[2] + xx, sums[3] + xx * x, sums[4] + xx * xx, sums[5] + y,
                sums[6] + x * y, sums[7] + xx * y, sums[8] + y * y};
    }

    /**
     * The sums over a stretch, x counted from a centre.
     *
     * @param n    how many samples
     * @param x    Σx, and so on
     */
    public record Stretch(double n, double x, double xx, double xxx, double xxxx, double y, double xy, double xxy,
            double yy) {
    }

    /** {@return the sums from one index up to before the other} */
    public Stretch about(double centre, int from, int until) {
        double[] a = sums[from];
        double[] b = sums[until];
        double d = centre - middle;
        double n = b[0] - a[0];
        double x = b[1] - a[1];
        double xx = b[2] - a[2];
        double xxx = b[3] - a[3];
        double y = b[5] - a[5];
        double xy = b[6] - a[6];
        return new Stretch(n, x - d * n, xx - d * (2 * x - d * n), xxx - d * (3 * xx - d * (3 * x - d * n)),
                b[4] - a[4] - d * (4 * xxx - d * (6 * xx - d * (4 * x - d * n))), y, xy - d * y,
                b[7] - a[7] - d * (2 * xy - d * y), b[8] - a[8]);
    }
}
