package org.grenu.core.diagnosis;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;

/**
 * A fact about one shot.
 *
 * @param value in the fact's unit; finite
 * @param u     standard uncertainty, same unit; 0 when the value is exact for the purpose of a rule
 */
public record FactValue(double value, double u) {

    static Optional<FactValue> of(double value) {
        return Double.isFinite(value) ? Optional.of(new FactValue(value, 0)) : Optional.empty();
    }

    static Optional<FactValue> of(double value, double u) {
        return Double.isFinite(value) && u >= 0 ? Optional.of(new FactValue(value, u)) : Optional.empty();
    }

    static Optional<FactValue> of(OptionalDouble value) {
        return value.isPresent() ? of(value.getAsDouble()) : Optional.empty();
    }

    static Optional<FactValue> of(Optional<Measured> value) {
        return value.flatMap(m -> of(m.value(), m.u()));
    }
}
