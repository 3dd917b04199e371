package org.grenu.core.learn;

/**
 * A grinder's dial: what its numbers mean in notches.
 *
 * @param notch     of its numbers, in (0, ∞)
 * @param smaller   whether a smaller number is finer
 */
public record GrinderDial(double notch, boolean smaller) {

    /** @throws IllegalArgumentException if the notch is not positive */
    public GrinderDial {
        if (!(notch > 0)) {
            throw new IllegalArgumentException("a notch must be positive, is " + notch);
        }
    }

    /** {@return notches finer than the number nought} */
    public double finer(double number) {
        return (smaller ? -number : number) / notch;
    }

    /** {@return the dial's number that many notches finer than nought, without digits that arithmetic has made} */
    public double number(double finer) {
        double number = (smaller ? -finer : finer) * notch;
        return Math.rint(number * 1e6) / 1e6 + 0.0;
    }

    /** {@return what can be set between the dial's ends} */
    public GrinderRange range(double finest, double coarsest) {
        return new GrinderRange(finer(coarsest), finer(finest), 1);
    }
}
