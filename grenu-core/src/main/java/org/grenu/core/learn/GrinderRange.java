package org.grenu.core.learn;

/**
 * What a grinder can be set to, in its own notches counted finer.
 *
 * @param coarsest notches
 * @param finest   notches, above the coarsest
 * @param step     smallest move that can be set, or of a stepless grinder that makes sense, notches, in (0, ∞)
 */
public record GrinderRange(double coarsest, double finest, double step) {

    private static final double SAME = 1e-9;

    /** @throws IllegalArgumentException if the ends are in the wrong order or the step is not positive */
    public GrinderRange {
        if (!(finest > coarsest) || !(step > 0)) {
            throw new IllegalArgumentException("finest must lie above coarsest and step be positive, are " + coarsest
                    + ", " + finest + " and " + step);
        }
    }

    /** {@return whether it can be set there} */
    public boolean holds(double finer) {
        return finer >= coarsest - SAME && finer <= finest + SAME;
    }

    /** {@return the setting nearest to there that can be set, counted in steps from that one} */
    double onStep(double finer, double from) {
        double steps = Math.rint((finer - from) / step);
        double most = Math.floor((finest - from) / step + SAME);
        double least = Math.ceil((coarsest - from) / step - SAME);
        return from + step * Math.max(least, Math.min(most, steps));
    }
}
