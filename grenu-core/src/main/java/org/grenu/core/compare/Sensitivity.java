package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;

/**
 * The answer without the shots that something speaks against.
 *
 * @param why      what speaks against them
 * @param without  the shots left out
 * @param response asked about
 * @param before   the effect with all shots
 * @param after    the effect without them; empty when it can then no longer be asked
 */
public record Sensitivity(String why, List<MeasuredShot> without, Response response, Effect before,
        Optional<Effect> after) {

    public Sensitivity {
        without = List.copyOf(without);
    }

    /** {@return whether the verdict is of the same kind} */
    public boolean stands() {
        return after.isPresent() && after.get().verdict().getClass() == before.verdict().getClass();
    }

    /** {@return such as "Without shots 38, 43: −0.61 ±0.25 points, the answer stands."} */
    public String words() {
        String names = BalanceReview.names(without);
        if (after.isEmpty()) {
            return "Without " + names + " the question can no longer be answered.";
        }
        return "Without " + names + ": " + Wording.change(response, after.get())
                + (stands() ? ", the answer stands." : ", the answer becomes “" + after.get().verdict().words() + "”.");
    }

    static Optional<Sensitivity> of(Question question, List<MeasuredShot> shots, String why, List<MeasuredShot> without,
            ResponseAnswer main, Effect before) {
        List<MeasuredShot> left = shots.stream().filter(shot -> !without.contains(shot)).toList();
        if (without.isEmpty() || left.isEmpty()) {
            return Optional.empty();
        }
        MatchedBasis ground = MatchedBasis.of(question.basis(), left);
        ResponseAnswer after = Answering.answer(question, main.response(), left, ground);
        return Optional.of(new Sensitivity(why, without, main.response(), before,
                after.effects(before.variable())
                        .stream()
                        .filter(effect -> effect.change().equals(before.change()))
                        .findFirst()));
    }
}
