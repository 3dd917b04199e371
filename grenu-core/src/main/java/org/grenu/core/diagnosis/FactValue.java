package org.grenu.core.diagnosis;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;

/**
 * A fact about one shot.
 *
 * @param value   in the fact's unit; finite
 * @param u       standard uncertainty, same unit; 0 when the value is exact for the purpose of a rule
 * @param entered whether it was written down, or follows from what was, so that it is told with all its digits
 */
public record FactValue(double value, double u, boolean entered) {

    private static final double DUST = 1e9;

    static Optional<FactValue> of(double value) {
        return Double.isFinite(value) ? Optional.of(new FactValue(value, 0, false)) : Optional.empty();
    }

    /** {@return a number as it was written down, or a sum of such: without the dust of adding} */
    static Optional<FactValue> entered(OptionalDouble value) {
        return value.isPresent() && Double.isFinite(value.getAsDouble())
                ? Optional.of(new FactValue(Math.rint(value.getAsDouble() * DUST) / DUST, 0, true)) : Optional.empty();
    }

    static Optional<FactValue> of(double value, double u) {
        return Double.isFinite(value) && u >= 0 ? Optional.of(new FactValue(value, u, false)) : Optional.empty();
    }

    static Optional<FactValue> of(OptionalDouble value) {
        return value.isPresent() ? of(value.getAsDouble()) : Optional.empty();
    }

    static Optional<FactValue> of(Optional<Measured> value) {
        return value.flatMap(m -> of(m.value(), m.u()));
    }
}
