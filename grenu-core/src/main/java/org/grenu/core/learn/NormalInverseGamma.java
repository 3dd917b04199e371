package org.grenu.core.learn;

import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.special.Gamma;

/**
 * What is known of a linear response y = xᵀβ + noise: β given the noise's variance is normal, the variance inverse
 * gamma. Immutable.
 *
 * <p>Reference: A. Gelman et al., Bayesian Data Analysis, 3rd ed., CRC Press 2013, chapter 14 (from memory); the
 * closed form is in the handbook, §17.
 *
 * @param mean  of β, length p
 * @param scale p × p; β's covariance is this times the noise's variance
 * @param shape of the inverse gamma, in (0, ∞)
 * @param rate  of the inverse gamma, in the response's unit squared, in (0, ∞)
 */
public record NormalInverseGamma(RealVector mean, RealMatrix scale, double shape, double rate) {

    private static final double AS_GOOD_AS_NORMAL = 200;

    /** @throws IllegalArgumentException if the sizes do not fit or shape or rate are not positive */
    public NormalInverseGamma {
        if (scale.getRowDimension() != mean.getDimension() || scale.getColumnDimension() != mean.getDimension()) {
            throw new IllegalArgumentException("mean and scale differ in size");
        }
        if (!(shape > 0) || !(rate > 0)) {
            throw new IllegalArgumentException("shape and rate must be positive, are " + shape + " and " + rate);
        }
        mean = mean.copy();
        scale = scale.copy();
    }

    /**
     * {@return the belief before any shot}
     *
     * @param mean       of β
     * @param covariance of β, p × p
     * @param spread     of a shot about its mean, in the response's unit
     * @param shape      half of the shots that the spread counts for
     */
    public static NormalInverseGamma prior(double[] mean, RealMatrix covariance, double spread, double shape) {
        double variance = spread * spread;
        return new NormalInverseGamma(MatrixUtils.createRealVector(mean), covariance.scalarMultiply(1 / variance),
                shape, shape * variance);
    }

    /**
     * {@return the belief after those shots}
     *
     * @param x       n × p
     * @param y       length n
     * @param weights of the shots, 1 for a whole one, in (0, 1], length n
     */
    public NormalInverseGamma given(double[][] x, double[] y, double[] weights) {
        return given(x, y, weights, weights);
    }

    /**
     * {@return likewise}
     *
     * @param counts for how much of a shot each counts towards the spread
     */
    NormalInverseGamma given(double[][] x, double[] y, double[] weights, double[] counts) {
        if (y.length == 0) {
            return this;
        }
        RealMatrix before = inverse(scale);
        RealMatrix information = before.copy();
        RealVector evidence = before.operate(mean);
        double squares = mean.dotProduct(evidence);
        double count = 0;
        for (int i = 0; i < y.length; i++) {
            RealVector row = MatrixUtils.createRealVector(x[i]);
            information = information.add(row.outerProduct(row).scalarMultiply(weights[i]));
            evidence = evidence.add(row.mapMultiply(weights[i] * y[i]));
            squares += weights[i] * y[i] * y[i];
            count += counts[i];
        }
        RealMatrix after = inverse(information);
        RealVector centre = after.operate(evidence);
        double left = squares - centre.dotProduct(evidence);
        return new NormalInverseGamma(centre, after, shape + count / 2, Math.max(rate, rate + left / 2));
    }

    /**
     * {@return the logarithm of how well the belief before foretold the shots that made this one of it, but for what is
     * the same whatever they were}
     *
     * @param before the belief that this came of by {@link #given}
     */
    double evidence(NormalInverseGamma before) {
        return (logDeterminant(scale) - logDeterminant(before.scale)) / 2 + before.shape * Math.log(before.rate)
                - shape * Math.log(rate) + Gamma.logGamma(shape) - Gamma.logGamma(before.shape);
    }

    private static double logDeterminant(RealMatrix matrix) {
        RealMatrix root = root(matrix).getL();
        double sum = 0;
        for (int i = 0; i < root.getRowDimension(); i++) {
            sum += 2 * Math.log(root.getEntry(i, i));
        }
        return sum;
    }

    /**
     * {@return this belief with what was believed before as wide as it was then} In the closed form the width before
     * goes with the noise: where shots agree closely it shrinks with them, and a coefficient that nothing has moved
     * seems the better known. Here it stays, with the noise as the shots left it.
     *
     * @param before the belief that this came of by {@link #given}
     */
    public NormalInverseGamma keepingWidth(NormalInverseGamma before) {
        double ratio = rate / shape / (before.rate / before.shape);
        RealMatrix then = inverse(before.scale);
        RealMatrix now = inverse(scale);
        RealMatrix information = now.add(then.scalarMultiply(ratio - 1));
        RealMatrix after = inverse(information);
        RealVector evidence = now.operate(mean).add(then.operate(before.mean).mapMultiply(ratio - 1));
        return new NormalInverseGamma(after.operate(evidence), after, shape, rate);
    }

    /** {@return the mean response there, with what is not known of it} */
    public StudentT fit(double[] x) {
        return at(x, 0);
    }

    /** {@return the response of one more shot there, as the closed form has it} */
    public StudentT shot(double[] x) {
        return at(x, 1);
    }

    /**
     * {@return likewise of one that may vary more than others} The noise's variance is known by its degrees of freedom,
     * that of the mean by what was believed of it: the degrees of freedom of both together are Welch's and
     * Satterthwaite's (F. E. Satterthwaite, Biometrics Bulletin 2 (1946), 110–114; from memory).
     *
     * @param by     where it is expected beside the others, in the response's unit
     * @param spread besides theirs
     */
    StudentT shot(double[] x, double by, double spread) {
        double noise = 1 + spread * spread * shape / rate;
        StudentT closed = at(x, noise);
        double ofNoise = noise * rate / shape / (closed.scale() * closed.scale());
        return new StudentT(closed.location() + by, closed.scale(),
                Math.min(AS_GOOD_AS_NORMAL, closed.degrees() / (ofNoise * ofNoise)));
    }

    private StudentT at(double[] x, double noise) {
        RealVector row = MatrixUtils.createRealVector(x);
        double variance = rate / shape * (noise + row.dotProduct(scale.operate(row)));
        return new StudentT(mean.dotProduct(row), Math.sqrt(variance), 2 * shape);
    }

    /** {@return the coefficient of that place} */
    public StudentT coefficient(int place) {
        double[] x = new double[mean.getDimension()];
        x[place] = 1;
        return fit(x);
    }

    /** {@return the spread of a shot about its mean, in the response's unit} */
    public double spread() {
        return Math.sqrt(rate / shape);
    }

    private static RealMatrix inverse(RealMatrix matrix) {
        return symmetric(root(matrix).getSolver().getInverse());
    }

    private static CholeskyDecomposition root(RealMatrix matrix) {
        return new CholeskyDecomposition(symmetric(matrix), 1e-8, 1e-300);
    }

    /** Without what rounding has left of a difference between its halves. */
    private static RealMatrix symmetric(RealMatrix matrix) {
        return matrix.add(matrix.transpose()).scalarMultiply(0.5);
    }
}
