package org.grenu.core.learn;

import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * What is believed of ln(time) on a grinder before a coffee's first shot: the slopes by notch, ln(dose), ln(beverage),
 * temperature and day, and the spread of a shot. How long a shot at the reference takes is the coffee's own.
 *
 * @param slopes     mean of each, length 5
 * @param covariance of the slopes, 5 × 5
 * @param spread     of ln(time) of a shot
 * @param shape      half of the shots that the spread counts for
 */
public record TimePrior(double[] slopes, RealMatrix covariance, double spread, double shape) {

    static final int SLOPES = 5;
    /**
     * How much a slope differs from coffee to coffee on a grinder, standard deviations (assumed, no source): half of
     * what common practice allows between grinders.
     */
    private static final double BETWEEN_COFFEES = 0.5;
    private static final double[] PRACTICE_SD = {0.06, 1.1, 0.25, 0.01, 0.01};
    /** What one coffee taught of the spread counts for so many shots at most with the next. */
    private static final double MOST_SHAPE = 10;

    /** Common practice (handbook §17): one notch finer is some 3.5 s at 28 s. */
    public static final TimePrior COMMON_PRACTICE = new TimePrior(new double[] {0.118, 2.2, 1.0, 0, -0.005},
            variances(PRACTICE_SD), 0.035, 2);

    public TimePrior {
        slopes = slopes.clone();
        covariance = covariance.copy();
    }

    private static RealMatrix variances(double[] deviations) {
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
     * {@return the belief with a coffee whose shot at the reference is thought to take that long}
     *
     * @param seconds in (0, ∞)
     * @param within  standard deviation of its logarithm, and of how much longer another profile takes
     * @param others  how many other profiles there are
     */
    NormalInverseGamma withLevel(double seconds, double within, int others) {
        int terms = SLOPES + 1 + others;
        double[] mean = new double[terms];
        mean[0] = Math.log(seconds);
        System.arraycopy(slopes, 0, mean, 1, SLOPES);
        RealMatrix all = MatrixUtils.createRealMatrix(terms, terms);
        all.setEntry(0, 0, within * within);
        for (int i = SLOPES + 1; i < terms; i++) {
            all.setEntry(i, i, within * within);
        }
        all.setSubMatrix(covariance.getData(), 1, 1);
        return NormalInverseGamma.prior(mean, all, spread, shape);
    }

    /** {@return the prior of the next coffee on the same grinder: what this one taught, less sure} */
    static TimePrior after(NormalInverseGamma coffee) {
        double[] taught = coffee.mean().getSubVector(1, SLOPES).toArray();
        double variance = coffee.spread() * coffee.spread();
        RealMatrix known = coffee.scale().getSubMatrix(1, SLOPES, 1, SLOPES).scalarMultiply(variance);
        double[] apart = new double[SLOPES];
        for (int i = 0; i < SLOPES; i++) {
            apart[i] = BETWEEN_COFFEES * PRACTICE_SD[i];
        }
        return new TimePrior(taught, known.add(variances(apart)), coffee.spread(),
                Math.min(MOST_SHAPE, coffee.shape()));
    }
}
