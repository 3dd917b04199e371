package org.grenu.app.advice;

import java.util.Optional;
import org.grenu.core.extraction.Brew;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Practice;
import org.grenu.core.learn.ResponseBelief;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;

/**
 * What a shot missed.
 *
 * @param belief   what was believed of the response that lies outside, before the shot: it must not explain itself
 * @param was      as it was meant to be set
 * @param seen     what came, on the response's scale
 * @param unsure   standard uncertainty of what was seen, on that scale
 * @param expected whether what was to be expected there lay within what is wanted
 */
record Miss(ResponseBelief belief, ShotInputs was, double seen, double unsure, boolean expected) {

    /** {@return what the newest shot missed: its time, or else its extraction; empty where it missed neither} */
    static Optional<Miss> of(CoffeeAdvice given, Rung newest) {
        ShotInputs was = given.advice()
                .held()
                .at(given.advice().shots().get(given.advice().shots().size() - 1).inputs().finer());
        AimRange wanted = given.aim().time();
        if (!wanted.holds(newest.seconds().orElseThrow())) {
            ResponseBelief time = given.advice().before().time();
            return Optional.of(new Miss(time, was, Math.log(newest.seconds().getAsDouble()), 0,
                    wanted.holds(time.fit(was).median())));
        }
        return extraction(given, newest, was);
    }

    /** What lies no farther out than its own expanded uncertainty is not known to be missed. */
    private static Optional<Miss> extraction(CoffeeAdvice given, Rung newest, ShotInputs was) {
        Optional<Brew> brew = newest.shot().measures().masses().brew();
        Optional<ResponseBelief> belief = given.advice().before().yield();
        if (brew.isEmpty() || belief.isEmpty()) {
            return Optional.empty();
        }
        Measured yield = brew.get().asDosed().percent();
        Optional<AimRange> wanted = given.aim().yieldAt(brew.get().ratio().value());
        boolean met = wanted.isEmpty() || yield.value() + yield.expanded() >= wanted.get().low()
                && yield.value() - yield.expanded() <= wanted.get().high();
        return met ? Optional.empty() : Optional.of(new Miss(belief.get(), was, yield.value(), yield.expanded() / 2,
                wanted.get().holds(belief.get().fit(was).median())));
    }

    /** {@return by how much it lies above what its setting lets expect, on the scale} */
    double off() {
        return seen - belief.fit(was).centre();
    }

    /** {@return how well a shift by that, so sure, explains what was seen} */
    double likelihood(double shift, double unsureOfShift) {
        double wide = Math.sqrt(belief.spread() * belief.spread() + unsure * unsure + unsureOfShift * unsureOfShift);
        double z = (off() - shift) / wide;
        return Math.exp(-z * z / 2) / wide;
    }

    boolean ofTime() {
        return belief.practice() == Practice.TIME;
    }

    /** {@return a shift on the scale in words, such as “+6 %” or “−0.4 points”} */
    String told(double shift) {
        return ofTime() ? Reported.signed(100 * Math.expm1(shift), 0) + " %" : Reported.signed(shift, 1) + " points";
    }

    /** {@return what was to be expected, such as “27.3 s”} */
    String foreseen() {
        return Reported.fixed(belief.fit(was).median(), 1) + (ofTime() ? " s" : " %");
    }
}
