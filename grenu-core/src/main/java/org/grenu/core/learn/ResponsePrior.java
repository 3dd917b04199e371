package org.grenu.core.learn;

import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * What is believed of a response on a grinder before a coffee's first shot: its slopes with its bend and what the
 * grinder keeps, the spread of a shot, and how many stray. How high it is at the reference is the coffee's own.
 *
 * @param practice what response it is
 * @param slopes     mean of each of {@link Slope}, of the bend and of what is kept, on the response's scale
 * @param covariance of the slopes
 * @param spread     of a shot, on the scale
 * @param shape      half of the shots that the spread counts for
 * @param strayed    of so many shots and the usual ones, how many strayed
 * @param usual      how many did not
 */
public record ResponsePrior(Practice practice, double[] slopes, RealMatrix covariance, double spread, double shape,
        double strayed, double usual) {

    static final int SLOPES = ShotInputs.TERMS;
    /**
     * How much a slope differs from coffee to coffee on a grinder, standard deviations (assumed, no source): half of
     * what common practice allows between grinders.
     */
    private static final double BETWEEN_COFFEES = 0.5;
    /** What one coffee taught of the spread counts for so many shots at most with the next. */
    private static final double MOST_SHAPE = 10;
    /** Likewise of how many stray. */
    private static final double MOST_STRAYS = 40;

    public ResponsePrior {
        slopes = slopes.clone();
        covariance = covariance.copy();
    }

    /** {@return the covariance of independent slopes with those standard deviations} */
    static RealMatrix variances(double[] deviations) {
        RealMatrix diagonal = MatrixUtils.createRealMatrix(SLOPES, SLOPES);
        for (int i = 0; i < SLOPES; i++) {
            diagonal.setEntry(i, i, deviations[i] * deviations[i]);
        }
        return diagonal;
    }

    @Override
    public double[] slopes() {
        return slopes.clone();
    }

    /**
     * {@return the belief with a coffee whose shot at the reference is thought to come to that}
     *
     * @param guess  in the response's unit
     * @param others how many other profiles there are
     */
    NormalInverseGamma withLevel(double guess, int others) {
        double within = practice.within();
        int terms = SLOPES + 1 + others;
        double[] mean = new double[terms];
        mean[0] = practice.onScale(guess);
        System.arraycopy(slopes, 0, mean, 1, SLOPES);
        RealMatrix all = MatrixUtils.createRealMatrix(terms, terms);
        all.setEntry(0, 0, within * within);
        for (int i = SLOPES + 1; i < terms; i++) {
            all.setEntry(i, i, within * within);
        }
        all.setSubMatrix(covariance.getData(), 1, 1);
        return NormalInverseGamma.prior(mean, all, spread, shape);
    }

    /**
     * {@return the prior of the next coffee on the same grinder: what this one taught, less sure}
     *
     * @param strayedUntil shots that strayed, with those that the prior counts for
     * @param usualUntil   likewise that did not
     */
    ResponsePrior after(NormalInverseGamma coffee, double strayedUntil, double usualUntil) {
        double[] taught = coffee.mean().getSubVector(1, SLOPES).toArray();
        double variance = coffee.spread() * coffee.spread();
        RealMatrix known = coffee.scale().getSubMatrix(1, SLOPES, 1, SLOPES).scalarMultiply(variance);
        double[] apart = new double[SLOPES];
        for (int i = 0; i < SLOPES; i++) {
            apart[i] = BETWEEN_COFFEES * practice.deviation(i);
        }
        double less = Math.min(1, MOST_STRAYS / (strayedUntil + usualUntil));
        return new ResponsePrior(practice, taught, known.add(variances(apart)), coffee.spread(),
                Math.min(MOST_SHAPE, coffee.shape()), less * strayedUntil, less * usualUntil);
    }
}
