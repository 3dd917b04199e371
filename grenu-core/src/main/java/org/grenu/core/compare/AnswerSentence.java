package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The answer in words.
 *
 * @param headline the first variable's effect on the first response
 * @param further  what else was found, a sentence each
 */
public record AnswerSentence(String headline, List<String> further) {

    public AnswerSentence {
        further = List.copyOf(further);
    }

    /** {@return everything, with the coverage of the intervals, for copying} */
    public String text() {
        return (headline + " " + String.join(" ", further)).strip() + " (± is the 95 % interval.)";
    }

    static AnswerSentence of(Question question, List<ResponseAnswer> answers) {
        if (question.variables().isEmpty() || answers.isEmpty()) {
            return new AnswerSentence("Choose what changed and what to ask about.", List.of());
        }
        Variable first = question.variables().get(0);
        ResponseAnswer main = answers.get(0);
        List<Effect> effects = main.effects(first);
        List<String> further = new ArrayList<>();
        if (effects.isEmpty()) {
            answers.forEach(answer -> Repeatability.of(answer).ifPresent(repeats -> further.add(repeats.words() + ".")));
            String missing = main.rows().isEmpty() ? main.model() : first.title() + " did not change among these shots" + (further.isEmpty() ? "." : ": they count as repeats.");
            return new AnswerSentence(missing, further);
        }
        Effect told = telling(effects);
        if (effects.size() > 1) {
            further.add("Of " + effects.size() + " pairs of " + Wording.small(first.title()) + ", this one says most; all are in the table.");
        }
        also(first, told, answers).ifPresent(further::add);
        question.variables().stream().skip(1).filter(variable -> variable instanceof Variable.Treatment)
                .flatMap(variable -> main.effects(variable).stream()).forEach(effect -> further.add(inShort(effect, main)));
        if (told.ranksDisagree()) {
            further.add(String.format(java.util.Locale.ROOT, "A check by ranks does not agree (p = %.2f): look at the points before believing it.", told.rankP().orElseThrow()));
        }
        main.lackOfFit().filter(test -> test.p() <= Question.ALPHA).ifPresent(test ->
                further.add(String.format(java.util.Locale.ROOT, "Replicates say that the model misses something (lack of fit, p = %.3f): try levels instead of a straight line.", test.p())));
        return new AnswerSentence(headline(told, main, question), further);
    }

    /** Of several pairs the one that differs most clearly. */
    private static Effect telling(List<Effect> effects) {
        return effects.stream().min(java.util.Comparator.comparingDouble(effect -> Double.isNaN(effect.p()) ? 2 : effect.p())).orElseThrow();
    }

    private static String headline(Effect effect, ResponseAnswer answer, Question question) {
        Response response = answer.response();
        String basis = question.basis().words();
        String what = Wording.what(effect);
        String name = response.title();
        Verdict verdict = effect.verdict();
        if (verdict instanceof Verdict.Confounded confounded) {
            return effect.variable().title() + " and " + confounded.with() + " moved together: these shots cannot tell which of them changed "
                    + Wording.within(name) + ".";
        }
        if (effect.estimate().isEmpty()) {
            return "Cannot say: the model takes up all " + answer.rows().size() + " shots and leaves nothing to judge by. Ask about fewer things, or pull more shots.";
        }
        String size = Wording.change(response, effect);
        String unsigned = size.replaceFirst("^[+\u2212]", "");
        double value = effect.estimate().get().value();
        if (verdict instanceof Verdict.Differs) {
            return what + (value > 0 ? " raises " : " lowers ") + Wording.within(name) + " by " + unsigned + " " + basis + ".";
        }
        if (verdict instanceof Verdict.SameInPractice same) {
            return (same.detectable() ? what + " changes " + Wording.within(name) + ", but too little to matter: " : what + " makes no difference to "
                    + Wording.within(name) + " that matters: ") + size + " " + basis + ", within ±" + org.grenu.core.quantity.DecimalText.exact(effect.margin()) + ".";
        }
        if (verdict instanceof Verdict.SeenOnce once) {
            return "Seen once: " + what + " came with " + size + " of " + Wording.within(name) + " " + basis + ", "
                    + (once.beyondMeasuring() ? "more than measuring explains; how a repeat would come out is unknown." : "which measuring alone explains: not distinguishable.");
        }
        Verdict.CannotSay cannot = (Verdict.CannotSay) verdict;
        return "Cannot say yet whether " + Wording.small(effect.variable().title()) + " changes " + Wording.within(name) + ": " + what + " gives " + size + " " + basis + "."
                + settle(cannot);
    }

    private static String settle(Verdict.CannotSay cannot) {
        if (cannot.more() == 0) {
            return "";
        }
        return cannot.likely() ? " About " + cannot.more() + (cannot.more() == 1 ? " more shot is" : " more shots are") + " likely to settle it."
                : " Even " + cannot.more() + " more shots are not likely to settle it.";
    }

    private static Optional<String> also(Variable variable, Effect told, List<ResponseAnswer> answers) {
        List<String> changes = answers.stream().skip(1).flatMap(answer -> answer.effects(variable).stream()
                .filter(effect -> effect.change().equals(told.change()) && effect.verdict() instanceof Verdict.Differs)
                .map(effect -> Wording.within(answer.response().title()) + " by " + Wording.change(answer.response(), effect))).toList();
        return changes.isEmpty() ? Optional.empty() : Optional.of("It also changes " + join(changes) + ".");
    }

    private static String inShort(Effect effect, ResponseAnswer answer) {
        String name = Wording.within(answer.response().title());
        if (effect.verdict() instanceof Verdict.Confounded confounded) {
            return effect.variable().title() + " and " + confounded.with() + " moved together and cannot be told apart.";
        }
        String size = effect.estimate().isEmpty() ? "" : " (" + Wording.change(answer.response(), effect) + ")";
        return Wording.what(effect) + ": " + (effect.verdict() instanceof Verdict.Differs ? name + " differs" : effect.verdict() instanceof Verdict.SameInPractice
                ? "the same in practice" : effect.verdict() instanceof Verdict.SeenOnce ? "seen once" : "cannot say yet") + size + ".";
    }

    private static String join(List<String> parts) {
        return parts.size() == 1 ? parts.get(0) : parts.stream().limit(parts.size() - 1).collect(Collectors.joining(", ")) + " and " + parts.get(parts.size() - 1);
    }
}
