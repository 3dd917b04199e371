package org.grenu.core.demo.dialin;

/** A coffee on a grinder, of which only its shots tell anything. */
interface UnknownCoffee {

    /**
     * What a shot came to.
     *
     * @param seconds of the pump; the longest that is waited where hardly anything comes
     * @param yield   extraction yield, %
     */
    record Pulled(double seconds, double yield) {
    }

    /** Nobody waits longer for a shot, s. */
    double LONGEST_SECONDS = 90;

    /** {@return one more shot, with a spread of its own} */
    Pulled pull(double finer);

    /** {@return how long a shot takes there but for its spread, s} */
    double expected(double finer);
}
