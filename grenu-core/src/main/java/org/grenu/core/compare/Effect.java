package org.grenu.core.compare;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.model.Estimate;
import org.grenu.core.response.Variable;

/**
 * What one change of one variable does to one response.
 *
 * @param variable  what changed
 * @param change    by how much, such as {@code +0.2} or {@code Gentle ramp, not Straight nine}
 * @param at        where the other variable stands when the two act together, such as {@code at profile Gentle ramp};
 *                  else empty
 * @param step      size of a numeric change, in the variable's unit; empty for levels
 * @param estimate  of the change's effect, in the response's unit; empty where there is none
 * @param halfWidth of its 95 % interval; among several levels wide enough for all their pairs (Tukey); NaN where
 *                  there is none
 * @param p         against no effect, corrected as the question asks; NaN where there is none
 * @param rankP     the same by ranks, which neither wild shots nor odd spreads sway
 * @param margin    half the zone in which a difference makes none in practice
 * @param verdict   what may be said
 */
public record Effect(Variable variable, String change, String at, OptionalDouble step, Optional<Estimate> estimate,
        double halfWidth, double p,
        OptionalDouble rankP, double margin, Verdict verdict) {

    /** {@return whether ranks and means tell different stories} */
    public boolean ranksDisagree() {
        return rankP.isPresent() && Double.isFinite(p)
                && (p <= Question.ALPHA && rankP.getAsDouble() > 2 * Question.ALPHA
                        || p > 2 * Question.ALPHA && rankP.getAsDouble() <= Question.ALPHA);
    }

    /** {@return how well founded the verdict is, in the words of the trade} */
    public String evidence() {
        if (verdict instanceof Verdict.SeenOnce) {
            return "seen once";
        }
        if (verdict instanceof Verdict.Confounded || verdict instanceof Verdict.Mediated) {
            return "confounded";
        }
        return verdict instanceof Verdict.Differs ? "repeated, interval excludes zero" : "repeated, open";
    }

    /**
     * {@return the change with its unit and where the other variable stands, such as {@code +2 °C at profile Gentle
     * ramp}}
     */
    public String words() {
        return ((step.isPresent() ? change + " " + variable.unit() : change).strip() + " " + at).strip();
    }

    /** {@return whether this is the same change of the same variable as that effect, perhaps of another response} */
    public boolean sameChange(Effect other) {
        return variable.equals(other.variable) && change.equals(other.change) && at.equals(other.at);
    }

    /** {@return half the 90 % interval, which two one-sided tests at 5 % rest on; NaN where there is no estimate} */
    public double equivalenceHalfWidth() {
        return estimate.map(found -> found.halfWidth(1 - 2 * Question.ALPHA)).orElse(Double.NaN);
    }

    Effect judged(Verdict other) {
        return new Effect(variable, change, at, step, estimate, halfWidth, p, rankP, margin, other);
    }
}
