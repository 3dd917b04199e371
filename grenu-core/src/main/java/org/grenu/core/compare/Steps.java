package org.grenu.core.compare;

import java.util.List;
import java.util.OptionalDouble;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Variable;

/**
 * The size of change that a numeric effect is stated and judged for: the step that the user names, else the range
 * that
 * was used. A smaller gap that one shot happened to leave between two settings must not decide what is too little to
 * matter.
 */
final class Steps {

    private Steps() {
    }

    /** {@return the step, in the variable's unit; above zero where the variable changed} */
    static double of(Question question, Variable variable, List<MeasuredShot> shots) {
        OptionalDouble named = question.step(variable);
        if (named.isPresent()) {
            return named.getAsDouble();
        }
        double[] values = shots.stream().mapToDouble(shot -> variable.number(shot).orElseThrow()).sorted().toArray();
        return significant(values[values.length - 1] - values[0]);
    }

    /** Without the dust of subtraction: 2.6 − 2.4 is 0.2. */
    private static double significant(double value) {
        double power = Math.pow(10, 5 - Math.ceil(Math.log10(value)));
        return Math.rint(value * power) / power;
    }
}
