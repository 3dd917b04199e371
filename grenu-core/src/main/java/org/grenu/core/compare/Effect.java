package org.grenu.core.compare;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.model.Estimate;

/**
 * What one change of one variable does to one response.
 *
 * @param variable  what changed
 * @param change    by how much, such as {@code +0.2} or {@code Gentle ramp, not Straight nine}
 * @param step      size of a numeric change, in the variable's unit; empty for levels
 * @param estimate  of the change's effect, in the response's unit; empty where there is none
 * @param halfWidth of its 95 % interval; among several levels wide enough for all their pairs (Tukey); NaN where there is none
 * @param p         against no effect, corrected as the question asks; NaN where there is none
 * @param rankP     the same by ranks, which neither wild shots nor odd spreads sway
 * @param margin    half the zone in which a difference makes none in practice
 * @param verdict   what may be said
 */
public record Effect(Variable variable, String change, OptionalDouble step, Optional<Estimate> estimate, double halfWidth, double p,
                     OptionalDouble rankP, double margin, Verdict verdict) {

    /** {@return whether ranks and means tell different stories} */
    public boolean ranksDisagree() {
        return rankP.isPresent() && Double.isFinite(p)
                && (p <= Question.ALPHA && rankP.getAsDouble() > 2 * Question.ALPHA || p > 2 * Question.ALPHA && rankP.getAsDouble() <= Question.ALPHA);
    }

    /** {@return how well founded the verdict is, in the words of the trade} */
    public String evidence() {
        if (verdict instanceof Verdict.SeenOnce) {
            return "seen once";
        }
        return verdict instanceof Verdict.Differs ? "repeated, interval excludes zero" : "repeated, open";
    }

    Effect with(double otherP, Verdict other) {
        return new Effect(variable, change, step, estimate, halfWidth, otherP, rankP, margin, other);
    }
}
