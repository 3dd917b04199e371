package org.grenu.core.compare;

import java.util.Optional;
import org.grenu.core.response.Variable;

/**
 * Something that the model of a response takes out beside what is asked about.
 *
 * @param variable it
 * @param known    what is known of its slope beforehand; empty where it is left to the data
 */
record Adjuster(Variable variable, Optional<Slope> known) {

    /** A slope with its standard deviation, in the response's unit for one of the variable's. */
    record Slope(double value, double deviation) {
    }

    static Adjuster free(Variable variable) {
        return new Adjuster(variable, Optional.empty());
    }
}
