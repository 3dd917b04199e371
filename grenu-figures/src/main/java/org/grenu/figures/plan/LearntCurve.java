package org.grenu.figures.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.grenu.core.learn.Advice;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.Prediction;
import org.grenu.core.learn.ResponseBelief;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;

/**
 * A response that was learnt, as it is drawn.
 *
 * @param response whose values the shots have
 * @param belief   that tells it
 * @param factor   what the belief's number is multiplied by to be the response's, at those settings
 * @param target   what is wanted of it
 */
public record LearntCurve(Response response, ResponseBelief belief, Factor factor, Optional<AimRange> target) {

    /** Turns the belief's number into the response's. */
    @FunctionalInterface
    public interface Factor {
        /** {@return the factor at those settings} */
        double at(ShotInputs inputs);
    }

    private static final double TAIL = 0.025;

    /** {@return all that was learnt of a coffee, the time first} */
    public static List<LearntCurve> all(Advice advice, Aim aim, Response time) {
        List<LearntCurve> all = new ArrayList<>();
        all.add(new LearntCurve(time, advice.beliefs().time(), inputs -> 1, Optional.of(aim.time())));
        advice.beliefs().yield().ifPresent(belief -> {
            all.add(new LearntCurve(StandardResponse.EY_AS_DOSED, belief, inputs -> 1, aim.yield()));
            // Strength is yield over ratio: learning it apart would let the two contradict each other.
            all.add(new LearntCurve(StandardResponse.STRENGTH, belief, inputs -> inputs.dose() / inputs.beverage(),
                    aim.strength()));
        });
        advice.beliefs()
                .firstDrip()
                .ifPresent(belief -> all.add(new LearntCurve(StandardResponse.FIRST_DRIP, belief, inputs -> 1,
                        Optional.empty())));
        advice.beliefs()
                .tastes()
                .forEach((key, belief) -> StandardResponse.find(key)
                        .ifPresent(response -> all
                                .add(new LearntCurve(response, belief, inputs -> 1,
                                        Optional.ofNullable(aim.tastes().get(key))))));
        return all;
    }

    /**
     * Middle and 95 % ends.
     *
     * @param low  2.5 %
     * @param high 97.5 %
     */
    public record Band(double low, double middle, double high) {
    }

    /** {@return the mean there, with what is not known of it} */
    public Band fit(ShotInputs inputs) {
        return band(belief.fit(inputs), value -> value * factor.at(inputs));
    }

    /** {@return one more shot there} */
    public Band shot(ShotInputs inputs) {
        return band(belief.shot(inputs), value -> value * factor.at(inputs));
    }

    private static Band band(Prediction prediction, UnaryOperator<Double> shown) {
        return new Band(shown.apply(prediction.quantile(TAIL)), shown.apply(prediction.median()),
                shown.apply(prediction.quantile(1 - TAIL)));
    }
}
