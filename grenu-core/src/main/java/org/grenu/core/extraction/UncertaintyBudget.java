package org.grenu.core.extraction;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/**
 * Where a result's variance comes from.
 *
 * @param shares share of the variance per input, each in [0, 1]; they add up to 1, or all are 0 when there is no
 *               variance
 */
public record UncertaintyBudget(Map<Input, Double> shares) {

    public UncertaintyBudget {
        EnumMap<Input, Double> copy = new EnumMap<>(Input.class);
        copy.putAll(shares);
        shares = Collections.unmodifiableMap(copy);
    }

    /** {@return the budget of variances in one common unit} */
    static UncertaintyBudget ofVariances(Map<Input, Double> variances) {
        double total = variances.values().stream().mapToDouble(Double::doubleValue).sum();
        EnumMap<Input, Double> shares = new EnumMap<>(Input.class);
        variances.forEach((input, variance) -> shares.put(input, total == 0 ? 0 : variance / total));
        return new UncertaintyBudget(shares);
    }

    /** {@return the share of that input, 0 when it does not enter} */
    public double share(Input input) {
        return shares.getOrDefault(input, 0.0);
    }
}
