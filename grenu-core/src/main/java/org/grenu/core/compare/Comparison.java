package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;

/**
 * A question and what the shots answer.
 *
 * @param question the question
 * @param shots    those that were compared
 * @param faulty   those left out as faulty
 * @param ground   the basis with the amount at which curves are read
 * @param answers  one a response, in the question's order
 * @param balance    what else differed, what matters most first
 * @param sentence the answer in words
 */
public record Comparison(Question question, List<MeasuredShot> shots, List<MeasuredShot> faulty, MatchedBasis ground,
        List<ResponseAnswer> answers,
        List<BalanceNote> balance, AnswerSentence sentence) {

    public Comparison {
        shots = List.copyOf(shots);
        faulty = List.copyOf(faulty);
        answers = List.copyOf(answers);
        balance = List.copyOf(balance);
    }

    /** {@return the comparison of those shots; faulty ones stay out of it} */
    public static Comparison of(Question question, List<MeasuredShot> candidates) {
        List<MeasuredShot> shots = candidates.stream().filter(shot -> !shot.faulty()).toList();
        List<MeasuredShot> faulty = candidates.stream().filter(MeasuredShot::faulty).toList();
        MatchedBasis ground = MatchedBasis.of(question.basis(), shots);
        // A faulty shot leaves its grounds in the grinder, too.
        CarryOver carryOver = CarryOver.among(candidates);
        List<ResponseAnswer> answers = ResponseFamily.corrected(question.responses()
                .stream()
                .map(response -> Answering.answer(question, response, shots, ground, carryOver))
                .toList());
        Optional<ResponseAnswer> main = answers.stream().findFirst();
        List<BalanceNote> balance = BalanceReview.notes(question, shots, faulty, main, ground, carryOver);
        return new Comparison(question, shots, faulty, ground, answers, balance,
                AnswerSentence.of(question, shots, answers, balance, ground));
    }

    /** {@return the same, told in those units} */
    public Comparison in(DisplayUnits units) {
        return units.equals(question.units()) ? this
                : of(question.in(units), Stream.concat(shots.stream(), faulty.stream()).toList());
    }

    /** {@return measures that may be held equal by regression: none that a treatment asked about changes itself} */
    public List<Variable> covariates() {
        return Stream
                .concat(Stream.of(StandardResponse.BEVERAGE, StandardResponse.RATIO,
                        StandardResponse.TEMPERATURE_SHOWN),
                        StandardResponse.profileFeatures().stream())
                .map(Variable::of)
                .filter(measure -> shots.stream().anyMatch(measure::known))
                .filter(measure -> question.treatments()
                        .stream()
                        .noneMatch(asked -> Mediation.changes(asked, measure, question, shots)))
                .toList();
    }

    /**
     * {@return what the first variable moved along with, a sentence that any claim about curves needs too; empty
     * when nothing did}
     */
    public Optional<String> caveatOnCurves() {
        return question.treatments()
                .stream()
                .findFirst()
                .flatMap(first -> answers.stream()
                        .flatMap(answer -> answer.effects(first).stream())
                        .flatMap(effect -> movedAlong(effect.verdict()).stream())
                        .findFirst()
                        .map(with -> first.title() + " moved together with " + with
                                + ": a difference of curves cannot be told from that either."));
    }

    private static Optional<String> movedAlong(Verdict verdict) {
        return verdict instanceof Verdict.Confounded confounded ? Optional.of(confounded.with())
                : verdict instanceof Verdict.AtLeast least ? Optional.of(least.with()) : Optional.empty();
    }

    /** {@return what changed between two shots: how many things, and which; empty unless exactly two are compared} */
    public Optional<PairBadge> pair() {
        return PairBadge.of(question, shots);
    }
}
