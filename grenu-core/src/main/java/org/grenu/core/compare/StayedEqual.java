package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.model.Design;
import org.grenu.core.model.Equivalence;
import org.grenu.core.model.Estimate;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.KnownErrors;
import org.grenu.core.model.Term;
import org.grenu.core.numbers.Samples;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Variable;

/** A manipulation check: did a number that was to stay equal stay within its tolerance as a variable changed? */
record StayedEqual(Characteristic characteristic) {

    /**
     * {@return the effects of the variable on it, over the range that the variable went through; none where it
     * cannot be asked}
     */
    List<Effect> effects(Variable asked, List<MeasuredShot> known) {
        List<MeasuredShot> shots = known.stream().filter(asked::known).toList();
        double[] y = shots.stream().mapToDouble(shot -> characteristic.variable().number(shot).orElseThrow()).toArray();
        List<String> levels = shots.stream().map(shot -> asked.level(shot).orElse("")).toList();
        Term.Levels term = Term.Levels.of(asked.title(), levels);
        if (term.levels().size() < 2 || y.length <= term.levels().size()) {
            return List.of();
        }
        FixedFit fit = FixedFit.of(new Design(y.length, List.of(term)), Samples.of(y), KnownErrors.ones(y.length));
        return againstFirst(fit, term, asked);
    }

    private List<Effect> againstFirst(FixedFit fit, Term.Levels term, Variable asked) {
        List<Effect> effects = new ArrayList<>();
        for (int i = 1; i < term.levels().size(); i++) {
            double[] contrast = Design.difference(fit.design().mean(term, i), fit.design().mean(term, 0));
            String change = term.levels().get(i) + ", not " + term.levels().get(0);
            fit.estimate(contrast)
                    .map(StayedEqual::divisible)
                    .ifPresent(estimate -> effects.add(effect(asked, change, estimate)));
        }
        return effects;
    }

    private Effect effect(Variable asked, String change, Estimate estimate) {
        double p = estimate.pAgainst(0);
        boolean same = Equivalence.of(estimate, characteristic.tolerance()).p() <= Question.ALPHA;
        return new Effect(new Effect.Change(asked, change, "", OptionalDouble.empty()),
                new Effect.Size(Optional.of(estimate), estimate.halfWidth(1 - Question.ALPHA), p,
                        OptionalDouble.empty(), Effect.Spread.POOLED),
                characteristic.tolerance(),
                same ? new Verdict.SameInPractice(p <= Question.ALPHA)
                        : p <= Question.ALPHA ? new Verdict.Differs() : new Verdict.CannotSay(0, false, List.of()));
    }

    private static Estimate divisible(Estimate estimate) {
        return estimate.se() > 0 ? estimate : new Estimate(estimate.value(), 1e-9, estimate.df());
    }
}
