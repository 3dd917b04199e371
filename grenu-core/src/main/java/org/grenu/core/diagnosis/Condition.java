package org.grenu.core.diagnosis;

import java.util.Optional;
import org.hipparchus.special.Erf;

/**
 * What a rule asks of one fact.
 *
 * @param limit ignored by {@link Sign#KNOWN} and {@link Sign#UNKNOWN}
 */
public record Condition(Fact fact, Sign sign, double limit) {

    /** What subtracting two numbers with decimals leaves: 19.3 less 19.0 is not above 0.3. */
    private static final double DUST = 1e-9;

    /** How a fact is compared. */
    enum Sign {
        ABOVE(">"), BELOW("<"), KNOWN("known"), UNKNOWN("unknown");

        private final String text;

        Sign(String text) {
            this.text = text;
        }

        String text() {
            return text;
        }
    }

    /** {@return how likely it holds, with a normal error of the fact; 0 when the fact is unknown but asked for} */
    double probability(ShotContext shot) {
        Optional<FactValue> value = fact.of(shot);
        return switch (sign) {
            case KNOWN -> value.isPresent() ? 1 : 0;
            case UNKNOWN -> value.isPresent() ? 0 : 1;
            case ABOVE -> value.map(v -> above(v, limit)).orElse(0.0);
            case BELOW -> value.map(v -> above(new FactValue(-v.value(), v.u(), v.entered()), -limit)).orElse(0.0);
        };
    }

    private static double above(FactValue value, double limit) {
        if (value.u() == 0) {
            return value.value() > limit + DUST * Math.max(1, Math.abs(limit)) ? 1 : 0;
        }
        return 0.5 * (1 + Erf.erf((value.value() - limit) / value.u() / Math.sqrt(2)));
    }
}
