package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.grenu.core.model.Equivalence;
import org.grenu.core.model.Estimate;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;

/**
 * Whether something that is held equal by regression is itself changed by what is asked about. A time that a finer
 * grind makes
 * longer is a way in which the grind acts: adjusted for it, the answer would leave out what it is to tell.
 */
final class Mediation {

    private Mediation() {
    }

    /** {@return those effects, each that acts through a measure in the model judged so} */
    static List<Effect> judged(Question question, ResponseModel model, List<Effect> effects) {
        List<Variable> held = model.terms().keySet().stream().filter(Mediation::comesAbout).toList();
        if (held.isEmpty()) {
            return effects;
        }
        return effects.stream().map(effect -> judged(effect, held, question, model)).toList();
    }

    private static Effect judged(Effect effect, List<Variable> held, Question question, ResponseModel model) {
        boolean open = !(effect.variable() instanceof Variable.Covariate)
                && !(effect.verdict() instanceof Verdict.Confounded) && effect.estimate().isPresent();
        Optional<Variable> through = open
                ? held.stream().filter(one -> changedBy(effect, one, question, model.shots())).findFirst()
                : Optional.empty();
        return through.isEmpty() ? effect
                : effect.judged(new Verdict.Mediated(Wording.within(through.get().title())));
    }

    private static final Set<String> CHOSEN = Set.of(StandardResponse.BEVERAGE.key(), StandardResponse.RATIO.key(),
            StandardResponse.TEMPERATURE_SHOWN.key());

    /** Beverage mass and ratio are what the operator stops at; all other measures come about. */
    static boolean comesAbout(Variable variable) {
        return variable instanceof Variable.Covariate && !CHOSEN.contains(variable.key());
    }

    private static boolean changedBy(Effect effect, Variable held, Question question, List<MeasuredShot> shots) {
        return changes(question, held, shots).anyMatch(contrast -> contrast.variable().equals(effect.variable())
                && (contrast.pair().isEmpty() || contrast.change().equals(effect.change())));
    }

    /**
     * {@return whether that variable of the question changes the measure, beyond chance and beyond what makes no
     * difference}
     */
    static boolean changes(Variable asked, Variable measure, Question question, List<MeasuredShot> shots) {
        return changes(question, measure, shots).anyMatch(contrast -> contrast.variable().equals(asked));
    }

    /** The changes of the question's treatments that change the measure. */
    private static Stream<Contrast> changes(Question question, Variable held, List<MeasuredShot> shots) {
        Response measure = ((Variable.Covariate) held).response();
        Question asked = Question.of(question.treatments(), List.of(measure)).inBlocks(question.block());
        ResponseModel model = ResponseModel.of(asked, measure, shots,
                MatchedBasis.of(ComparisonBasis.EQUAL_SETTING, shots));
        return model.fit() == null ? Stream.empty() : Contrast.of(asked, model)
                .stream()
                .filter(contrast -> model.fit()
                        .estimate(contrast.weights())
                        .filter(estimate -> sure(estimate, measure.usualMargin()))
                        .isPresent());
    }

    private static boolean sure(Estimate estimate, double margin) {
        return estimate.pAgainst(0) <= Question.ALPHA && Equivalence.of(estimate, margin).p() > Question.ALPHA;
    }
}
