package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.model.Estimate;
import org.grenu.core.response.Variable;

/**
 * What one change of one variable does to one response.
 *
 * @param made    the change
 * @param size    how large the effect seems
 * @param margin  half the zone in which a difference makes none in practice
 * @param verdict what may be said
 * @param paths   what of it goes through something that the change brought about
 * @param seen    by what the response was told
 */
public record Effect(Change made, Size size, double margin, Verdict verdict, List<PathPart> paths, Seen seen) {

    /** By what a response is told. */
    public enum Seen {
        /** An instrument. */
        MEASURED,
        /** Somebody who knew what it was, in some shots at least. */
        TASTED_OPEN,
        /** Somebody who did not know which was which, in every shot. */
        TASTED_BLIND
    }

    public Effect {
        paths = List.copyOf(paths);
    }

    Effect(Change made, Size size, double margin, Verdict verdict) {
        this(made, size, margin, verdict, List.of(), Seen.MEASURED);
    }

    /** How the spread that an interval rests on is judged. */
    public enum Spread {
        /** One spread for all shots: an arm of one shot has none of its own. */
        POOLED("one spread for all shots"),
        /** Each level has its own. */
        BY_LEVEL("each level's own spread (Welch)"),
        /** Any shot may have its own. */
        BY_ROW("spreads that may differ (HC2, Bell–McCaffrey)"),
        /** Blocks are a sample, perhaps of few. */
        FEW_GROUPS("blocks as a sample (Kenward–Roger)"),
        /** No repeats: what measuring is known to make. */
        MEASURING("what measuring makes");

        private final String words;

        Spread(String words) {
            this.words = words;
        }

        /** {@return it in words} */
        public String words() {
            return words;
        }
    }

    /**
     * A change of one variable.
     *
     * @param variable what changed
     * @param words    by how much, such as {@code +0.2} or {@code Gentle ramp, not Straight nine}
     * @param at       where the other variable stands when the two act together, such as {@code at profile Gentle
     *                 ramp}; else empty
     * @param step     size of a numeric change, in the variable's unit; empty for levels
     */
    public record Change(Variable variable, String words, String at, OptionalDouble step) {

        static Change of(Contrast contrast) {
            return new Change(contrast.variable(), contrast.change(), contrast.at(), contrast.step());
        }
    }

    /**
     * How large an effect seems.
     *
     * @param estimate  in the response's unit; empty where there is none
     * @param halfWidth of its 95 % interval; among several levels wide enough for all their pairs (Tukey); NaN where
     *                  there is none
     * @param p         against no effect, corrected as the question asks; NaN where there is none
     * @param rankP     the same by ranks, which neither wild shots nor odd spreads sway
     * @param spread    how the spread behind it is judged
     */
    public record Size(Optional<Estimate> estimate, double halfWidth, double p, OptionalDouble rankP, Spread spread) {

        static final Size UNKNOWN = new Size(Optional.empty(), Double.NaN, Double.NaN, OptionalDouble.empty(),
                Spread.POOLED);
    }

    /** {@return what changed} */
    public Variable variable() {
        return made.variable;
    }

    /** {@return by how much, in words} */
    public String change() {
        return made.words;
    }

    /** {@return where the other variable stands when the two act together; else empty} */
    public String at() {
        return made.at;
    }

    /** {@return size of a numeric change, in the variable's unit; empty for levels} */
    public OptionalDouble step() {
        return made.step;
    }

    /** {@return the change's effect, in the response's unit; empty where there is none} */
    public Optional<Estimate> estimate() {
        return size.estimate;
    }

    /** {@return half its 95 % interval; NaN where there is none} */
    public double halfWidth() {
        return size.halfWidth;
    }

    /** {@return p against no effect; NaN where there is none} */
    public double p() {
        return size.p;
    }

    /** {@return how the spread behind the interval is judged} */
    public Spread spread() {
        return size.spread;
    }

    /** {@return p by ranks} */
    public OptionalDouble rankP() {
        return size.rankP;
    }

    /** {@return whether ranks and means tell different stories} */
    public boolean ranksDisagree() {
        return rankP().isPresent() && Double.isFinite(p())
                && (p() <= Question.ALPHA && rankP().getAsDouble() > 2 * Question.ALPHA
                        || p() > 2 * Question.ALPHA && rankP().getAsDouble() <= Question.ALPHA);
    }

    /** {@return how well founded the verdict is, in the words of the trade} */
    public String evidence() {
        if (verdict instanceof Verdict.SeenOnce) {
            return "seen once";
        }
        if (verdict instanceof Verdict.Confounded || verdict instanceof Verdict.Mediated) {
            return "confounded";
        }
        String excludes = verdict instanceof Verdict.Differs || verdict instanceof Verdict.AtLeast
                ? ", interval excludes zero" : "";
        return switch (seen) {
            case TASTED_BLIND -> "repeated, blind" + excludes;
            case TASTED_OPEN -> "repeated, open" + excludes;
            case MEASURED -> excludes.isEmpty() ? "repeated, open" : "repeated" + excludes;
        };
    }

    /**
     * {@return the change with its unit and where the other variable stands, such as {@code +2 °C at profile Gentle
     * ramp}}
     */
    public String words() {
        return ((step().isPresent() ? change() + " " + variable().unit() : change()).strip() + " " + at()).strip();
    }

    /** {@return whether this is the same change of the same variable as that effect, perhaps of another response} */
    public boolean sameChange(Effect other) {
        return variable().equals(other.variable()) && change().equals(other.change()) && at().equals(other.at());
    }

    /** {@return half the 90 % interval, which two one-sided tests at 5 % rest on; NaN where there is no estimate} */
    public double equivalenceHalfWidth() {
        return estimate().map(found -> found.halfWidth(1 - 2 * Question.ALPHA)).orElse(Double.NaN);
    }

    Effect judged(Verdict other) {
        return new Effect(made, size, margin, other, paths, seen);
    }

    /** The effect with its p corrected for what else was asked; a claim falls that no longer rests on it. */
    Effect corrected(double p) {
        Verdict judged = verdict instanceof Verdict.Differs && p > Question.ALPHA
                ? new Verdict.CannotSay(0, false, List.of())
                : verdict instanceof Verdict.SameInPractice ? new Verdict.SameInPractice(p <= Question.ALPHA) : verdict;
        return new Effect(made, new Size(size.estimate, size.halfWidth, p, size.rankP, size.spread), margin, judged,
                paths, seen);
    }

    Effect through(List<PathPart> parts) {
        return new Effect(made, size, margin, verdict, parts, seen);
    }

    Effect seen(Seen by) {
        return new Effect(made, size, margin, verdict, paths, by);
    }
}
