package org.grenu.core.learn;

import java.util.function.DoubleUnaryOperator;

/**
 * What is learnt of a shot, and what common practice believes of it before any log: by how much a notch finer,
 * ln(dose), ln(beverage), a degree and a day move it, and how much two like shots differ. Of the time as in the
 * handbook's §17; the others are ours (assumed, no source), wide enough for a few shots to outweigh them.
 */
public enum Practice {
    /** Shot time, s, by its logarithm. */
    TIME(Math::log, Math::exp, 0.5, new double[] {0.118, 2.2, 1.0, 0, -0.005},
            new double[] {0.06, 1.1, 0.25, 0.01, 0.01}, 0.035),
    /** First drip from pump on, s, by its logarithm. */
    FIRST_DRIP(Math::log, Math::exp, 0.5, new double[] {0.1, 1.5, 0, 0, -0.005},
            new double[] {0.08, 1.2, 0.1, 0.02, 0.01}, 0.07),
    /** Extraction yield as dosed, %. */
    EXTRACTION(y -> y, y -> y, 2.5, new double[] {0.3, -5, 6, 0.1, 0}, new double[] {0.3, 6, 4, 0.15, 0.05}, 0.35),
    /** How strong a taste is, or how well it is liked, from 0 to 10: which way it goes is left open. */
    INTENSITY(y -> y, y -> y, 2.5, new double[] {0, 0, 0, 0, 0}, new double[] {0.7, 6, 5, 0.5, 0.1}, 1);

    private final DoubleUnaryOperator there;
    private final DoubleUnaryOperator back;
    private final double within;
    private final double[] deviations;
    private final ResponsePrior prior;

    Practice(DoubleUnaryOperator there, DoubleUnaryOperator back, double within, double[] slopes, double[] deviations,
            double spread) {
        this.there = there;
        this.back = back;
        this.within = within;
        this.deviations = deviations.clone();
        this.prior = new ResponsePrior(this, slopes, ResponsePrior.variances(deviations), spread, 2);
    }

    /** {@return the value on the scale on which it is linear in what is set} */
    double onScale(double value) {
        return there.applyAsDouble(value);
    }

    /** {@return the value at that place of the scale, in its unit} */
    double offScale(double place) {
        return back.applyAsDouble(place);
    }

    /** {@return how far off the first guess of a coffee's level may be, standard deviation on the scale} */
    double within() {
        return within;
    }

    /** {@return how sure practice is of each slope, standard deviations on the scale} */
    double deviation(int slope) {
        return deviations[slope];
    }

    /**
     * {@return whether practice stays as sure as it is however closely shots agree} Of the time the handbook has the
     * plain closed form, which foretells as many shots as it should (validation of dial-in); of what is assumed more
     * freely it would take a lever that was never moved for known.
     */
    boolean keepsWidth() {
        return this != TIME;
    }

    /** {@return what is believed of a grinder without a log} */
    public ResponsePrior prior() {
        return prior;
    }
}
