package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.Variable;

/**
 * The answer in words. What speaks against it is part of it, wherever it is copied to.
 *
 * @param headline the first variable's effect on the first response
 * @param further  what else was found, a sentence each
 * @param doubts   what the answer has to be held against, a sentence each
 */
public record AnswerSentence(String headline, List<String> further, List<Doubt> doubts) {

    public AnswerSentence {
        further = List.copyOf(further);
        doubts = List.copyOf(doubts);
    }

    /** {@return what follows the headline: the doubts, then what else was found} */
    public List<String> rest() {
        return Stream.concat(doubts.stream().map(Doubt::words), further.stream()).toList();
    }

    /** {@return everything, with the coverage of the intervals, for copying} */
    public String text() {
        return (headline + " " + String.join(" ", rest())).strip()
                + " (± is the 95 % interval where no other is named.)";
    }

    static AnswerSentence of(Question question, List<MeasuredShot> shots, List<ResponseAnswer> answers,
            List<BalanceNote> guard, MatchedBasis ground) {
        if (question.variables().isEmpty() || answers.isEmpty()) {
            return new AnswerSentence("Choose what changed and what to ask about.", List.of(), List.of());
        }
        Variable first = question.variables().get(0);
        ResponseAnswer main = answers.get(0);
        List<Effect> effects = main.effects(first);
        List<String> further = new ArrayList<>();
        List<Doubt> doubts = new Doubts(question, shots, guard, ground).of(main);
        if (effects.isEmpty()) {
            answers.forEach(
                    answer -> Repeatability.of(answer).ifPresent(repeats -> further.add(repeats.words() + ".")));
            String missing = main.rows().isEmpty() ? main.model() : first.title() + " did not change among these shots"
                    + (further.isEmpty() ? "." : ": they count as repeats.");
            return new AnswerSentence(missing, further, doubts);
        }
        Effect told = telling(effects);
        told.paths().forEach(path -> further.add(path.words(main.response())));
        Optional<Variable> other = main.together(first);
        if (other.isPresent()) {
            effects.stream()
                    .filter(effect -> effect != told && effect.change().equals(told.change()))
                    .forEach(effect -> further.add(inShort(effect, main)));
        } else if (effects.size() > 1) {
            further.add("Of " + effects.size() + " pairs of " + Wording.small(first.title())
                    + ", this one says most; all are in the table.");
        }
        also(first, told, answers).ifPresent(further::add);
        question.treatments()
                .stream()
                .filter(variable -> !variable.equals(first))
                .flatMap(variable -> main.effects(variable).stream())
                .forEach(effect -> further.add(inShort(effect, main)));
        further.addAll(checks(told, main));
        return new AnswerSentence(
                other.map(with -> togetherWith(first, with, main) + " ").orElse("") + headline(told, main, question),
                further, doubts);
    }

    /** What checks of the model say against the effect. */
    private static List<String> checks(Effect told, ResponseAnswer main) {
        List<String> against = new ArrayList<>();
        if (told.ranksDisagree()) {
            against.add(String.format(Locale.ROOT,
                    "A check by ranks does not agree (p = %.2f): look at the points before believing it.",
                    told.rankP().orElseThrow()));
        }
        main.lackOfFit()
                .filter(test -> test.p() <= Question.ALPHA)
                .ifPresent(test -> against.add(String.format(Locale.ROOT,
                        "Replicates say that the model misses something (lack of fit, p = %.3f): try levels instead "
                                + "of a straight line.",
                        test.p())));
        return against;
    }

    /** Of several pairs the one that differs most clearly. */
    private static Effect telling(List<Effect> effects) {
        return effects.stream()
                .min(Comparator.comparingDouble(effect -> Double.isNaN(effect.p()) ? 2 : effect.p()))
                .orElseThrow();
    }

    private static String togetherWith(Variable first, Variable other, ResponseAnswer answer) {
        return "What " + Wording.small(first.title()) + " does to " + Wording.within(answer.response().title())
                + " depends on " + Wording.small(other.title())
                + answer.interaction(first, other)
                        .map(p -> String.format(Locale.ROOT, " (interaction, p %s).",
                                p < 0.001 ? "below 0.001" : String.format(Locale.ROOT, "= %.3f", p)))
                        .orElse(".");
    }

    private static String headline(Effect effect, ResponseAnswer answer, Question question) {
        String basis = basis(effect, answer, question);
        Verdict verdict = effect.verdict();
        if (verdict instanceof Verdict.AtLeast least) {
            return atLeast(effect, least, answer.response(), basis);
        }
        if (verdict instanceof Verdict.Confounded confounded) {
            return cannotBeTold(effect, confounded, answer.response(), basis);
        }
        if (verdict instanceof Verdict.Mediated mediated) {
            return mediated(effect, mediated, answer.response(), basis);
        }
        if (effect.estimate().isEmpty()) {
            return takenUp(answer);
        }
        return estimated(effect, answer.response(), basis);
    }

    /** What is held equal, and what is taken out beside it. */
    private static String basis(Effect effect, ResponseAnswer answer, Question question) {
        List<String> taken = Stream
                .concat(answer.adjusted().stream(),
                        effect.paths().stream().filter(PathPart::set).map(PathPart::path))
                .map(one -> Wording.small(one.title()))
                .toList();
        return question.basis().words() + (taken.isEmpty() ? ""
                : ", adjusted for " + Wording.list(taken) + ", which moved along");
    }

    private static String atLeast(Effect effect, Verdict.AtLeast least, Response response, String basis) {
        return Wording.what(effect) + (least.least() > 0 ? " raises " : " lowers ") + Wording.within(response.title())
                + " by at least " + Wording.digits(Math.abs(least.least())) + " " + response.differenceUnit() + " "
                + basis + ". It came out " + Wording.change(response, effect) + " apart; " + least.with() + " took the "
                + Wording.small(effect.variable().title())
                + "'s place and can have done the rest at most (common practice).";
    }

    private static String mediated(Effect effect, Verdict.Mediated mediated, Response response, String basis) {
        return Wording.what(effect) + " changes " + mediated.through() + " itself, so what it does to "
                + Wording.within(response.title()) + " " + basis
                + " cannot be told: adjusting for " + mediated.through()
                + " takes out part of what " + Wording.small(effect.variable().title())
                + " does. Ask at equal setting, or pull shots in which it stays equal.";
    }

    private static String takenUp(ResponseAnswer answer) {
        return "Cannot say: the model takes up all " + answer.rows().size()
                + " shots and leaves nothing to judge by. Ask about fewer things, or pull more shots.";
    }

    private static String estimated(Effect effect, Response response, String basis) {
        String what = Wording.what(effect);
        String name = Wording.within(response.title());
        String size = Wording.change(response, effect);
        Verdict verdict = effect.verdict();
        if (verdict instanceof Verdict.Differs) {
            return what + (effect.estimate().orElseThrow().value() > 0 ? " raises " : " lowers ") + name + " by "
                    + unsigned(size) + " " + basis + ".";
        }
        if (verdict instanceof Verdict.SameInPractice same) {
            return (same.detectable() ? what + " changes " + name + ", but too little to matter: "
                    : what + " makes no difference to " + name + " that matters: ")
                    + Wording.within90(response, effect) + " " + basis + ", within ±"
                    + DecimalText.exact(effect.margin()) + ".";
        }
        if (verdict instanceof Verdict.SeenOnce once) {
            return "One shot each: " + what + " came with " + size + " of " + name + " " + basis + ", "
                    + (once.beyondMeasuring()
                            ? "a difference of these two measurements only. Of what "
                                    + Wording.small(effect.variable().title())
                                    + " does, it says nothing before both are repeated."
                            : "which measuring alone explains: not distinguishable.");
        }
        return "Cannot say yet whether " + Wording.small(effect.variable().title()) + " changes " + name + ": " + what
                + " gives " + size + " " + basis + "." + settle((Verdict.CannotSay) verdict);
    }

    private static String cannotBeTold(Effect effect, Verdict.Confounded confounded, Response response, String basis) {
        if (effect.estimate().isEmpty()) {
            return effect.variable().title() + " and " + confounded.with()
                    + " moved together: these shots cannot tell which of them changed "
                    + Wording.within(response.title()) + ".";
        }
        return Wording.what(effect) + " cannot be told from " + confounded.with() + ": they moved together. "
                + upper(response.title()) + " came out "
                + Wording.change(response, effect) + " apart " + basis + ", whichever of them did it.";
    }

    private static String upper(String title) {
        String within = Wording.within(title);
        return within.substring(0, 1).toUpperCase(Locale.ROOT) + within.substring(1);
    }

    private static String unsigned(String size) {
        return size.replaceFirst("^[+\u2212]", "");
    }

    private static String settle(Verdict.CannotSay cannot) {
        if (cannot.more() == 0) {
            return "";
        }
        return cannot.likely()
                ? " About " + cannot.more() + (cannot.more() == 1 ? " more shot is" : " more shots are")
                        + " likely to settle it."
                : " Even " + cannot.more() + " more shots are not likely to settle it.";
    }

    private static Optional<String> also(Variable variable, Effect told, List<ResponseAnswer> answers) {
        List<String> changes = answers.stream()
                .skip(1)
                .flatMap(answer -> answer.effects(variable)
                        .stream()
                        .filter(effect -> effect.sameChange(told) && effect.verdict() instanceof Verdict.Differs)
                        .map(effect -> Wording.within(answer.response().title()) + " by "
                                + Wording.change(answer.response(), effect) + fewer(answer, answers.get(0))))
                .toList();
        return changes.isEmpty() ? Optional.empty() : Optional.of("It also changes " + Wording.list(changes) + ".");
    }

    /** How many shots told, where they are fewer than told of the first response. */
    private static String fewer(ResponseAnswer answer, ResponseAnswer main) {
        int all = main.rows().size() + main.leftOut().size();
        return answer.rows().size() < main.rows().size() ? " (" + answer.rows().size() + " of " + all + " shots)" : "";
    }

    private static String inShort(Effect effect, ResponseAnswer answer) {
        Response response = answer.response();
        Verdict verdict = effect.verdict();
        if (verdict instanceof Verdict.Confounded confounded && effect.estimate().isEmpty()) {
            return effect.variable().title() + " and " + confounded.with()
                    + " moved together and cannot be told apart.";
        }
        String size = effect.estimate().isEmpty() ? "" : " (" + (verdict instanceof Verdict.SameInPractice
                ? Wording.within90(response, effect) : Wording.change(response, effect)) + ")";
        String said = said(verdict, response);
        return Wording.what(effect) + ": " + said + size + ".";
    }

    private static String said(Verdict verdict, Response response) {
        return verdict instanceof Verdict.Differs ? Wording.within(response.title()) + " differs"
                : verdict instanceof Verdict.SameInPractice ? "the same in practice"
                        : verdict instanceof Verdict.SeenOnce ? "one shot each, no verdict"
                                : verdict instanceof Verdict.CannotSay ? "cannot say yet" : verdict.words();
    }
}
