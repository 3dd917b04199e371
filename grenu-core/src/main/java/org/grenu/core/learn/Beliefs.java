package org.grenu.core.learn;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What is believed of the responses of one coffee on one grinder.
 *
 * @param firstDrip from pump on; empty where no shot shows it
 * @param yield     as dosed; empty where no shot was read
 * @param tastes    by the entry that keeps them; those that a shot has
 */
public record Beliefs(ResponseBelief time, Optional<ResponseBelief> firstDrip, Optional<ResponseBelief> yield,
        Map<String, ResponseBelief> tastes) {

    private static final double TIME_SHARE = 0.05;

    public Beliefs {
        tastes = Collections.unmodifiableMap(new LinkedHashMap<>(tastes));
    }

    /** {@return what is believed of the time alone} */
    public static Beliefs ofTime(ResponseBelief time) {
        return new Beliefs(time, Optional.empty(), Optional.empty(), Map.of());
    }

    /**
     * {@return the chance that a shot there meets all that is wanted} The responses' spreads are taken as independent.
     * What was never measured counts as it is believed before any shot, so that it moves no choice: as a whole chance.
     */
    public double chance(ShotInputs inputs, Aim aim) {
        double chance = time.shot(inputs).chance(aim.time());
        if (yield.isPresent() && (aim.yield().isPresent() || aim.strength().isPresent())) {
            chance *= aim.yieldAt(inputs.beverage() / inputs.dose())
                    .map(range -> yield.get().shot(inputs).chance(range))
                    .orElse(0.0);
        }
        for (Map.Entry<String, AimRange> wanted : aim.tastes().entrySet()) {
            ResponseBelief taste = tastes.get(wanted.getKey());
            chance *= taste == null ? 1 : taste.shot(inputs).chance(wanted.getValue());
        }
        return chance;
    }

    /** {@return whether anything that is wanted besides the time was ever measured} */
    boolean tellBeyondTime(Aim aim) {
        return yield.isPresent() && (aim.yield().isPresent() || aim.strength().isPresent())
                || aim.tastes().keySet().stream().anyMatch(tastes::containsKey);
    }

    /**
     * {@return how far off what is expected there lies, 0 where all of it is wanted} Twentieths of the time and points
     * of the yield, squared: where every chance is next to nothing this says which way to go.
     */
    double off(ShotInputs inputs, Aim aim) {
        double late = Math.log(time.fit(inputs).median() / aim.time().middle()) / TIME_SHARE;
        double apart = late * late;
        if (yield.isPresent()) {
            double expected = yield.get().fit(inputs).median();
            Optional<AimRange> wanted = aim.yieldAt(inputs.beverage() / inputs.dose());
            double out = wanted.map(range -> Math.max(range.low() - expected, expected - range.high())).orElse(0.0);
            apart += out > 0 ? out * out : 0;
        }
        return apart;
    }
}
