package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;

/**
 * A question and what the shots answer.
 *
 * @param question the question
 * @param shots    those that were compared
 * @param faulty   those left out as faulty
 * @param ground   the basis with the amount at which curves are read
 * @param answers  one a response, in the question's order
 * @param guard    what else differed, what matters most first
 * @param sentence the answer in words
 */
public record Comparison(Question question, List<ComparedShot> shots, List<ComparedShot> faulty, CommonGround ground, List<ResponseAnswer> answers,
                         List<GuardNote> guard, AnswerSentence sentence) {

    public Comparison {
        shots = List.copyOf(shots);
        faulty = List.copyOf(faulty);
        answers = List.copyOf(answers);
        guard = List.copyOf(guard);
    }

    /** {@return the comparison of those shots; faulty ones stay out of it} */
    public static Comparison of(Question question, List<ComparedShot> candidates) {
        List<ComparedShot> shots = candidates.stream().filter(shot -> !shot.faulty()).toList();
        List<ComparedShot> faulty = candidates.stream().filter(ComparedShot::faulty).toList();
        CommonGround ground = CommonGround.of(question.basis(), shots);
        List<ResponseAnswer> answers = question.responses().stream().map(response -> Answering.answer(question, response, shots, ground)).toList();
        Optional<ResponseAnswer> main = answers.stream().findFirst();
        return new Comparison(question, shots, faulty, ground, answers, Guarding.notes(question, shots, faulty, main, ground), AnswerSentence.of(question, answers));
    }

    /** {@return what changed between two shots: how many things, and which; empty unless exactly two are compared} */
    public Optional<PairBadge> pair() {
        return shots.size() == 2 ? Optional.of(PairBadge.of(question, shots.get(0), shots.get(1))) : Optional.empty();
    }
}
