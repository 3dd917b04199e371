package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotTimes;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.quantity.Measured;

/**
 * The basis of a comparison with the amount at which all its shots can be read: the least beverage mass, or the shortest
 * time, among them, since a curve tells nothing beyond its end.
 *
 * @param basis what is held equal
 * @param at    that amount, g or s; NaN where nothing is read off curves
 */
public record CommonGround(ComparisonBasis basis, double at) {

    /** They come about before the cup is full, so neither its mass nor the time can have made them. */
    private static final Set<Response> EARLIER = Set.of(StandardResponse.FIRST_DRIP, StandardResponse.PEAK_PRESSURE, StandardResponse.PEAK_RESISTANCE);

    /** {@return the ground on which those shots stand together} */
    public static CommonGround of(ComparisonBasis basis, List<ComparedShot> shots) {
        double least = basis.heldEqual().map(held -> shots.stream().flatMap(shot -> held.of(shot).stream()).mapToDouble(Measured::value)
                .min().orElse(Double.NaN)).orElse(Double.NaN);
        return new CommonGround(basis, least);
    }

    /** {@return whether that response is read off the curves at the common amount} */
    public boolean offTheCurve(Response response) {
        return basis == ComparisonBasis.EQUAL_BEVERAGE_MASS && untilTheEnd(response).isPresent()
                || basis == ComparisonBasis.EQUAL_TIME && response == StandardResponse.BEVERAGE;
    }

    /** {@return the measure that has to enter the model for that response, if one has} */
    public Optional<Variable> covariate(Response response) {
        return offTheCurve(response) || EARLIER.contains(response) && basis != ComparisonBasis.EQUAL_RESISTANCE ? Optional.empty()
                : basis.heldEqual().filter(held -> held != response && !(isTime(held) && isTime(response))).map(Variable::of);
    }

    /** {@return the shot's value on this ground; empty when unknown} */
    public Optional<Measured> value(Response response, ComparedShot shot) {
        if (!offTheCurve(response)) {
            return response.of(shot);
        }
        Optional<UniformCurve> mass = shot.measures().curve().find(Channel.CUP_MASS);
        ShotTimes times = shot.measures().curve().times();
        if (mass.isEmpty() || times.firstDrip().isEmpty()) {
            return Optional.empty();
        }
        double baseline = mass.get().at(times.firstDrip().get().seconds());
        if (basis == ComparisonBasis.EQUAL_TIME) {
            return times.pumpOn().map(on -> mass.get().at(on.seconds() + at) - baseline).filter(Double::isFinite)
                    .map(grams -> Measured.independent(Math.max(0, grams), shot.measures().curve().uncertainty(Channel.CUP_MASS, at)));
        }
        OptionalDouble reached = reached(mass.get(), times.firstDrip().get().seconds(), baseline + at);
        return untilTheEnd(response).flatMap(convention -> start(convention, times)).flatMap(start -> reached.isEmpty() ? Optional.empty()
                : Optional.of(Measured.independent(reached.getAsDouble() - start.seconds(), Math.hypot(start.u(), mass.get().step() / 2))));
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
