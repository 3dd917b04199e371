package org.grenu.core.response;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotTimes;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;

/**
 * The basis of a comparison with the amount at which its shots are read, a beverage mass or a time that most of them
 * reach:
 * a curve tells nothing beyond its end, and one short shot must not drag all others down to its own.
 *
 * @param basis    what is held equal
 * @param at       that amount, g or s; NaN where nothing is read off curves
 * @param tooShort shots that end before it and fall out
 */
public record MatchedBasis(ComparisonBasis basis, double at, List<MeasuredShot> tooShort) {

    /**
     * So many scaled median deviations below the median, and more than the amount makes a difference by, a shot is
     * short (common practice).
     */
    private static final double FAR = 4;
    private static final double TO_DEVIATION = 1.4826;
    /** More short shots than that are no exception. */
    private static final double MOST_SHORT = 0.25;

    /** They come about before the cup is full, so neither its mass nor the time can have made them. */
    public static final Set<Response> EARLIER = Set.of(StandardResponse.FIRST_DRIP, StandardResponse.PEAK_PRESSURE,
            StandardResponse.PEAK_RESISTANCE);

    /** {@return the ground on which those shots stand together} */
    public static MatchedBasis of(ComparisonBasis basis, List<MeasuredShot> shots) {
        if (basis.heldEqual().isEmpty()) {
            return new MatchedBasis(basis, Double.NaN, List.of());
        }
        StandardResponse held = basis.heldEqual().get();
        List<MeasuredShot> known = shots.stream().filter(shot -> held.of(shot).isPresent()).toList();
        double[] amounts = known.stream().mapToDouble(shot -> amount(held, shot)).sorted().toArray();
        if (amounts.length == 0) {
            return new MatchedBasis(basis, Double.NaN, List.of());
        }
        double middle = median(amounts);
        double deviation = TO_DEVIATION
                * median(Arrays.stream(amounts).map(a -> Math.abs(a - middle)).sorted().toArray());
        double least = middle - Math.max(2 * held.usualMargin(), FAR * deviation);
        List<MeasuredShot> tooShort = known.stream().filter(shot -> amount(held, shot) < least).toList();
        boolean few = tooShort.size() <= MOST_SHORT * amounts.length;
        return new MatchedBasis(basis, Arrays.stream(amounts).filter(a -> !few || a >= least).min().orElseThrow(),
                few ? tooShort : List.of());
    }

    private static double amount(StandardResponse held, MeasuredShot shot) {
        return held.of(shot).orElseThrow().value();
    }

    private static double median(double[] sorted) {
        int half = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
    }

    /** {@return the amount in words, such as {@code 38.2 g}; empty where nothing is read off curves} */
    public String words() {
        return Double.isNaN(at) ? "" : DecimalText.exact(Math.rint(at * 10) / 10) + " "
                + basis.heldEqual().map(StandardResponse::unit).orElse("");
    }

    /** {@return whether that response is read off the curves at the common amount} */
    public boolean offTheCurve(Response response) {
        return basis == ComparisonBasis.EQUAL_BEVERAGE_MASS && untilTheEnd(response).isPresent()
                || basis == ComparisonBasis.EQUAL_TIME && response == StandardResponse.BEVERAGE;
    }

    /** {@return the measure that has to enter the model for that response, if one has} */
    public Optional<Variable> covariate(Response response) {
        return offTheCurve(response) || EARLIER.contains(response) && basis != ComparisonBasis.EQUAL_RESISTANCE
                ? Optional.empty()
                : basis.heldEqual()
                        .filter(held -> held != response && !(isTime(held) && isTime(response)))
                        .map(Variable::of);
    }

    /** {@return the shot's value on this ground; empty when unknown} */
    public Optional<Measured> value(Response response, MeasuredShot shot) {
        if (!offTheCurve(response)) {
            return response.of(shot);
        }
        if (tooShort.contains(shot)) {
            return Optional.empty();
        }
        Optional<UniformCurve> mass = shot.measures().curve().find(Channel.CUP_MASS);
        ShotTimes times = shot.measures().curve().times();
        if (mass.isEmpty() || times.firstDrip().isEmpty()) {
            return Optional.empty();
        }
        double baseline = mass.get().at(times.firstDrip().get().seconds());
        if (basis == ComparisonBasis.EQUAL_TIME) {
            return times.pumpOn()
                    .map(on -> mass.get().at(on.seconds() + at) - baseline)
                    .filter(Double::isFinite)
                    .map(grams -> Measured.independent(Math.max(0, grams),
                            shot.measures().curve().uncertainty(Channel.CUP_MASS, at)));
        }
        OptionalDouble reached = reached(mass.get(), times.firstDrip().get().seconds(), baseline + at);
        return untilTheEnd(response).flatMap(convention -> start(convention, times))
                .flatMap(start -> reached.isEmpty() ? Optional.empty()
                        : Optional.of(Measured.independent(reached.getAsDouble() - start.seconds(),
                                Math.hypot(start.u(), mass.get().step() / 2))));
    }

    private static boolean isTime(Response response) {
        return response instanceof StandardResponse standard && standard.convention().isPresent();
    }

    private static Optional<TimeConvention> untilTheEnd(Response response) {
        return response instanceof StandardResponse standard ? standard.convention() : Optional.empty();
    }

    private static Optional<TimedEvent> start(TimeConvention convention, ShotTimes times) {
        return switch (convention) {
            case PUMP_ON_TO_PUMP_OFF, PUMP_ON_TO_LAST_DRIP -> times.pumpOn();
            case FIRST_DRIP_TO_PUMP_OFF, FIRST_DRIP_TO_LAST_DRIP -> times.firstDrip();
            case PRESSURE_TO_PUMP_OFF, PRESSURE_TO_LAST_DRIP -> times.pressureOnset();
        };
    }

    /** When the cup first holds that much for good, s; empty if it never does by more than the scale's last step. */
    private static OptionalDouble reached(UniformCurve mass, double from, double grams) {
        int last = mass.size() - 1;
        int first = (int) Math.max(0, Math.ceil((from - mass.start()) / mass.step()));
        for (int i = Math.max(1, first); i <= last; i++) {
            if (mass.value(i) >= grams) {
                double before = mass.value(i - 1);
                double share = mass.value(i) > before ? Math.max(0, (grams - before) / (mass.value(i) - before)) : 1;
                return OptionalDouble.of(mass.time(i - 1) + share * mass.step());
            }
        }
        boolean nearly = Double.isFinite(mass.value(last)) && mass.value(last) >= grams - 0.3;
        return nearly ? OptionalDouble.of(mass.end()) : OptionalDouble.empty();
    }
}
