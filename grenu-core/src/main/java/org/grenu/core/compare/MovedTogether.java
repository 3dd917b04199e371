package org.grenu.core.compare;

import java.util.Arrays;
import java.util.List;
import org.grenu.core.model.Design;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.KnownErrors;
import org.grenu.core.model.Term;
import org.grenu.core.numbers.Samples;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Variable;

/** How far one variable foretells another: R² of a number on the other variable. */
final class MovedTogether {

    /**
     * From there on two effects trade off: intervals are more than twice as wide as they could be (common practice,
     * no source).
     */
    static final double ALMOST = 0.8;

    private MovedTogether() {
    }

    /** {@return the share in [0, 1]; 0 where the first is no number, or either does not change} */
    static double share(Variable number, Variable by, List<MeasuredShot> shots) {
        List<MeasuredShot> known = shots.stream()
                .filter(shot -> number.number(shot).isPresent() && by.known(shot))
                .toList();
        double[] y = known.stream().mapToDouble(shot -> number.number(shot).orElseThrow()).toArray();
        double mean = Arrays.stream(y).average().orElse(0);
        double squares = Arrays.stream(y).map(v -> (v - mean) * (v - mean)).sum();
        if (!number.numeric() || y.length < 3 || !(squares > 0)) {
            return 0;
        }
        Term term = by.numeric()
                ? new Term.Numeric(by.title(),
                        Samples.of(known.stream().mapToDouble(shot -> by.number(shot).orElseThrow()).toArray()))
                : Term.Levels.of(by.title(), known.stream().map(shot -> by.level(shot).orElseThrow()).toList());
        boolean still = term instanceof Term.Levels levels && levels.levels().size() < 2;
        return still ? 0
                : 1 - FixedFit.of(new Design(y.length, List.of(term)), Samples.of(y), KnownErrors.ones(y.length)).rss()
                        / squares;
    }
}
