package org.grenu.core.compare;

import java.util.Optional;
import org.grenu.core.model.Estimate;
import org.grenu.core.response.Variable;

/**
 * The marginal mean of a response at one level of a variable, the other variables at their average.
 *
 * @param variable the variable
 * @param level    its level; of a numeric variable one of the numbers that occur
 * @param mean     empty where the shots cannot tell it
 */
public record LevelMean(Variable variable, String level, Optional<Estimate> mean) {
}
