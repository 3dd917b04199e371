package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
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
     * {@return the chance that a shot there meets all that is wanted} A shot that strays does so in all responses; but
     * for that their spreads are taken as independent. What was never measured counts as it is believed before any
     * shot, so that it moves no choice: as a whole chance.
     */
    public double chance(ShotInputs inputs, Aim aim) {
        List<Wanted> wanted = new ArrayList<>();
        wanted.add(new Wanted(time.shot(inputs), aim.time()));
        if (yield.isPresent() && (aim.yield().isPresent() || aim.strength().isPresent())) {
            Optional<AimRange> range = aim.yieldAt(inputs.beverage() / inputs.dose());
            if (range.isEmpty()) {
                return 0;
            }
            wanted.add(new Wanted(yield.get().shot(inputs), range.get()));
        }
        aim.tastes().forEach((key, range) -> {
            if (tastes.containsKey(key)) {
                wanted.add(new Wanted(tastes.get(key).shot(inputs), range));
            }
        });
        double strays = wanted.stream().mapToDouble(one -> one.shot.strays()).average().orElse(0);
        double usual = 1 - strays;
        double strayed = strays;
        for (Wanted one : wanted) {
            usual *= one.shot.usualIn(one.range);
            strayed *= strayed > 0 ? one.shot.strayedIn(one.range) : 0;
        }
        return usual + strayed;
    }

    private record Wanted(Prediction shot, AimRange range) {
    }

    /** {@return whether what is wanted of time and extraction lies within what is not known of their means there} */
    boolean mayMeet(ShotInputs inputs, Aim aim) {
        boolean soon = overlap(time.fit(inputs), aim.time());
        if (yield.isEmpty() || aim.yield().isEmpty() && aim.strength().isEmpty()) {
            return soon;
        }
        Optional<AimRange> range = aim.yieldAt(inputs.beverage() / inputs.dose());
        return soon && range.isPresent() && overlap(yield.get().fit(inputs), range.get());
    }

    private static boolean overlap(Prediction mean, AimRange wanted) {
        return mean.quantile(0.005) <= wanted.high() && mean.quantile(0.995) >= wanted.low();
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
        double late = Math.log(time.fit(inputs).typical() / aim.time().middle()) / TIME_SHARE;
        double apart = late * late;
        if (yield.isPresent()) {
            double expected = yield.get().fit(inputs).typical();
            Optional<AimRange> wanted = aim.yieldAt(inputs.beverage() / inputs.dose());
            double out = wanted.map(range -> Math.max(range.low() - expected, expected - range.high())).orElse(0.0);
            apart += out > 0 ? out * out : 0;
        }
        return apart;
    }
}
