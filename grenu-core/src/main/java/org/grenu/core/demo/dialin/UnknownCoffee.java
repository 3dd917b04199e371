package org.grenu.core.demo.dialin;

import org.grenu.core.learn.ShotInputs;

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
    /** How shots are set but for the grind. */
    ShotInputs USUAL = new ShotInputs(0, 18, 36, 93, 14);

    /** {@return one more shot at the usual dose and beverage mass, with a spread of its own} */
    default Pulled pull(double finer) {
        return pull(USUAL.at(finer));
    }

    /** {@return one more shot set so, with a spread of its own} */
    Pulled pull(ShotInputs inputs);

    /** {@return what a shot set so comes to, but for its spread} */
    Pulled expected(ShotInputs inputs);
}
