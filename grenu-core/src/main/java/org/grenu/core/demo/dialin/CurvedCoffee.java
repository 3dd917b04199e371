package org.grenu.core.demo.dialin;

import org.grenu.core.learn.ShotInputs;
import org.hipparchus.random.RandomGenerator;

/**
 * A coffee whose times follow another law than the one that is learnt with: ln(time) bends with the notch, outliers are
 * commoner than normal ones, and a fifth of what is ground comes from the setting before. Made up so that the model is
 * wrong.
 */
final class CurvedCoffee implements UnknownCoffee {

    private static final double KEPT = 0.2;
    private static final double SPREAD = 0.03;
    private static final double MORE_TIME = 0.9;
    private static final double DOSE_TIME = 2.5;
    private static final double MORE_YIELD = 5;
    private static final double DOSE_YIELD = 6;

    private final RandomGenerator random;
    private final double level;
    private final double slope;
    private final double bend;
    private double before = Double.NaN;

    /** @param grinder slope of its grinder, per notch */
    CurvedCoffee(RandomGenerator random, double grinder) {
        this.random = random;
        level = Math.log(29) + 0.35 * random.nextGaussian();
        slope = Math.max(0.03, grinder * Math.exp(0.2 * random.nextGaussian()));
        bend = 0.004 * random.nextGaussian();
    }

    @Override
    public Pulled pull(ShotInputs inputs) {
        double finer = inputs.finer();
        double ground = Double.isNaN(before) ? finer : (1 - KEPT) * finer + KEPT * before;
        before = finer;
        double off = random.nextGaussian() / Math.sqrt((square() + square() + square() + square()) / 4);
        return of(inputs.at(ground), SPREAD * off, 0.3 * random.nextGaussian());
    }

    private double square() {
        double one = random.nextGaussian();
        return one * one;
    }

    @Override
    public Pulled expected(ShotInputs inputs) {
        return of(inputs, 0, 0);
    }

    private Pulled of(ShotInputs inputs, double off, double yieldOff) {
        double more = Math.log(inputs.beverage() / USUAL.beverage());
        double coffee = Math.log(inputs.dose() / USUAL.dose());
        // Beyond ten notches the bend would turn round; grinders do not.
        double within = Math.max(-10, Math.min(10, inputs.finer()));
        double seconds = Math.min(LONGEST_SECONDS, Math.exp(level + slope * inputs.finer()
                + bend * within * Math.abs(within) + MORE_TIME * more + DOSE_TIME * coffee + off));
        double late = Math.log(seconds / 29);
        return new Pulled(seconds, 19.8 + 4 * late - 3 * Math.abs(late) + MORE_YIELD * more - DOSE_YIELD * coffee
                + yieldOff);
    }
}
