package org.grenu.core.learn;

import java.util.function.DoubleUnaryOperator;

/**
 * What is learnt of a shot, and what common practice believes of it before any log: by how much a notch finer,
 * ln(dose), ln(beverage), a degree and a day move it, how far the line bends, for a notch squared, and what a notch of
 * the setting before does that was not purged; how much two like shots differ, and how far one lies off that strays. Of
 * the time as in the handbook's §§17 and 24, but for the spread: with its 3.5 % chances came true too seldom
 * (validation of dial-in). The others are ours (assumed, no source), wide enough for a few shots to outweigh them.
 */
public enum Practice {
    /** Shot time, s, by its logarithm. */
    TIME(Math::log, Math::exp, 0.5, new double[] {0.118, 2.2, 1.0, 0, -0.005, 0, 0.012},
            new double[] {0.06, 1.1, 0.25, 0.01, 0.01, 0.008, 0.015}, 0.045, new Stray(-0.22, 0.1)),
    /** First drip from pump on, s, by its logarithm. */
    FIRST_DRIP(Math::log, Math::exp, 0.5, new double[] {0.1, 1.5, 0, 0, -0.005, 0, 0.01},
            new double[] {0.08, 1.2, 0.1, 0.02, 0.01, 0.008, 0.015}, 0.07, new Stray(-0.1, 0.15)),
    /** Extraction yield as dosed, %. */
    EXTRACTION(y -> y, y -> y, 2.5, new double[] {0.3, -5, 6, 0.1, 0, 0, 0.03},
            new double[] {0.3, 6, 4, 0.1, 0.05, 0.05, 0.05}, 0.4, new Stray(-1, 0.6)),
    /** How strong a taste is, or how well it is liked, from 0 to 10: which way it goes is left open. */
    INTENSITY(y -> y, y -> y, 2.5, new double[] {0, 0, 0, 0, 0, 0, 0}, new double[] {0.7, 6, 5, 0.5, 0.1, 0.05, 0.1},
            1, new Stray(0, 2));

    /** One shot in ten strays (handbook §24), as if of about so many shots. */
    private static final double STRAYED = 0.5;
    private static final double USUAL = 5;

    private final DoubleUnaryOperator there;
    private final DoubleUnaryOperator back;
    private final double within;
    private final double[] deviations;
    private final ResponsePrior prior;
    private final Stray stray;

    /**
     * How a shot that strays, by a channel most of all, comes out beside one that goes as it should.
     *
     * @param by     on the scale
     * @param spread besides that of a shot
     */
    record Stray(double by, double spread) {
    }

    Practice(DoubleUnaryOperator there, DoubleUnaryOperator back, double within, double[] slopes, double[] deviations,
            double spread, Stray stray) {
        this.there = there;
        this.back = back;
        this.within = within;
        this.stray = stray;
        this.deviations = deviations.clone();
        this.prior = new ResponsePrior(this, slopes, ResponsePrior.variances(deviations), spread, 2, STRAYED, USUAL);
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

    /** {@return how a shot strays} */
    Stray stray() {
        return stray;
    }

    /** {@return what is believed of a grinder without a log} */
    public ResponsePrior prior() {
        return prior;
    }
}
