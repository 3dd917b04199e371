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

    /**
     * {@return whether the answer stands: a claim does not fall because fewer shots leave a wider interval, only when
     * the estimate itself comes to lie on the other side of nought or of the margin}
     */
    public boolean stands() {
        if (after.isEmpty() || after.get().estimate().isEmpty()) {
            return false;
        }
        Verdict was = before.verdict();
        Verdict is = after.get().verdict();
        double value = after.get().estimate().get().value();
        double size = Math.abs(value);
        if (is.getClass() == was.getClass()) {
            return true;
        }
        boolean open = is instanceof Verdict.CannotSay;
        return open && was instanceof Verdict.Differs && value * before.estimate().orElseThrow().value() > 0
                && (size > before.margin() || Math.abs(before.estimate().get().value()) <= before.margin())
                || open && was instanceof Verdict.SameInPractice && size <= before.margin();
    }

    private boolean lessSure() {
        return after.isPresent() && after.get().verdict() instanceof Verdict.CannotSay
                && !(before.verdict() instanceof Verdict.CannotSay);
    }

    /** {@return such as "Without shots 38, 43: −0.61 ±0.25 points, the answer stands."} */
    public String words() {
        String names = BalanceReview.names(without);
        if (after.isEmpty()) {
            return "Without " + names + " the question can no longer be answered.";
        }
        return "Without " + names + ": " + Wording.change(response, after.get())
                + (stands() ? lessSure() ? ", the estimate stands, with too few shots left to claim it."
                        : ", the answer stands." : ", the answer becomes “" + after.get().verdict().words() + "”.");
    }

    static Optional<Sensitivity> of(Question question, List<MeasuredShot> shots, CarryOver carryOver, String why,
            List<MeasuredShot> without, ResponseAnswer main, Effect before) {
        List<MeasuredShot> left = shots.stream().filter(shot -> !without.contains(shot)).toList();
        if (without.isEmpty() || left.isEmpty()) {
            return Optional.empty();
        }
        MatchedBasis ground = MatchedBasis.of(question.basis(), left);
        // Fewer shots may span less: the effect is asked for by the same step, not by whatever range is left.
        Question same = before.step().isPresent() ? question.stepping(before.variable(), before.step().getAsDouble())
                : question;
        List<Effect> after = Answering.answer(same, main.response(), left, ground, carryOver)
                .effects(before.variable());
        Optional<Effect> alike = after.stream().filter(before::sameChange).findFirst();
        return Optional.of(new Sensitivity(why, without, main.response(), before,
                alike.or(() -> after.stream().filter(effect -> effect.change().equals(before.change())).findFirst())));
    }
}
