package org.grenu.desktop.plan;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.core.learn.Prediction;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.predict.PuckFit;
import org.grenu.core.profile.Profile;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.SiteHeat;

/**
 * On which puck profiles are predicted.
 *
 * @param coffee its name; empty: the simulator's own
 * @param fit    the puck
 * @param words  what it rests on
 * @param site   what its altitude allows; sea level where nobody has said
 * @param fitted whether it is like that coffee’s shots; else it is the simulator’s own
 */
record PuckChoice(String coffee, PuckFit fit, String words, SiteHeat site, boolean fitted) {

    private static final PuckFit OWN = PuckFit.usual(18, 40, 93, 14);

    /** {@return the simulator's own coffee} */
    static PuckChoice own() {
        return new PuckChoice("", OWN, "the simulator’s own coffee, fitted to no shot", SiteHeat.at(0), false);
    }

    /** {@return a puck that behaves like that coffee's shots at the setting of its newest one; takes a while} */
    static PuckChoice of(CoffeeAdvice given) {
        ShotInputs held = given.advice().held();
        PuckFit usual = PuckFit.usual(held.dose(), held.beverage(), held.celsius(), Math.max(0, held.days()));
        Optional<ShotRecord> newest = given.advice()
                .ladder()
                .newest(given.setUp().dial())
                .map(rung -> rung.shot().record());
        SiteHeat site = SiteHeat.at(newest.map(record -> record.number(RecordField.ALTITUDE).orElse(0)).orElse(0.0));
        Profile pulled = newest.flatMap(ShotRecord::profileSteps).orElse(null);
        if (pulled == null) {
            return new PuckChoice(given.coffee(), usual, "the simulator’s own coffee: the steps of shot "
                    + given.heldLike() + " are not written down", site, false);
        }
        Prediction time = given.advice().beliefs().time().shot(held);
        double spread = time.usual().asOne().half() / 1.96;
        OptionalDouble yield = given.advice()
                .beliefs()
                .yield()
                .map(belief -> OptionalDouble.of(belief.shot(held).median()))
                .orElse(OptionalDouble.empty());
        double yieldSpread = given.advice()
                .beliefs()
                .yield()
                .map(belief -> belief.shot(held).half() / 1.96)
                .orElse(0.35);
        PuckFit fit = usual.like(new PuckFit.Known(pulled, time.median(), spread, yield, yieldSpread,
                given.advice().shots().size()));
        return new PuckChoice(given.coffee(), fit,
                "fitted to " + given.advice().shots().size() + " shots, as shot " + given.heldLike() + " was set ("
                        + newest.flatMap(record -> record.text(RecordField.PROFILE)).orElse("its profile")
                        + ")",
                site, true);
    }

    /** {@return why that profile must not be pulled there; empty where nothing speaks against it} */
    Optional<String> tooHot(Profile profile) {
        double hottest = profile.steps().stream().mapToDouble(step -> step.water().orElse(0)).max().orElse(0);
        return hottest <= site.highestSet() ? Optional.empty()
                : Optional.of("Water boils at " + Reported.fixed(site.boilingCelsius(), 1) + " °C here: "
                        + DecimalText.exact(hottest) + " °C would flash to steam, "
                        + DecimalText.exact(site.highestSet()) + " °C is the highest to set.");
    }
}
