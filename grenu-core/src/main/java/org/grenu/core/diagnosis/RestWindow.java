package org.grenu.core.diagnosis;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Days of rest after roasting that a school asks for, as its rules say.
 *
 * @param from   least days; empty when it names none
 * @param to     most days; empty when it names none
 * @param school who says so
 */
public record RestWindow(OptionalDouble from, OptionalDouble to, String school) {

    private static final String AGE = "age_days";

    /** {@return what that pack says of the age; empty when it says nothing} */
    public static Optional<RestWindow> of(RulePack pack) {
        OptionalDouble from = OptionalDouble.empty();
        OptionalDouble to = OptionalDouble.empty();
        for (FindingRule rule : pack.rules()) {
            for (Condition condition : rule.conditions()) {
                if (condition.fact().name().equals(AGE) && condition.sign() == Condition.Sign.BELOW) {
                    from = OptionalDouble.of(condition.limit());
                } else if (condition.fact().name().equals(AGE) && condition.sign() == Condition.Sign.ABOVE) {
                    to = OptionalDouble.of(condition.limit());
                }
            }
        }
        return from.isEmpty() && to.isEmpty() ? Optional.empty() : Optional.of(new RestWindow(from, to, pack.school()));
    }
}
