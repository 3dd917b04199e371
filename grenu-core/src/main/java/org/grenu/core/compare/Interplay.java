package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.model.Adjustment;
import org.grenu.core.model.Design;
import org.grenu.core.model.FTest;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.ModelFit;
import org.grenu.core.model.Term;
import org.grenu.core.response.Variable;

/**
 * Whether what one variable does depends on another. Where it does, no effect by itself says anything: what it is at
 * each
 * level of the other has to be said. Pairs of treatments are looked at unasked, too, as a crossover hides in the
 * means.
 */
final class Interplay {

    /** Degrees of freedom that must be left to judge an unasked pair by (common practice, no source). */
    private static final int LEAST_DF = 3;

    private Interplay() {
    }

    /** A pair with its p, corrected for what else was asked where that is wanted. */
    private record Tested(Question.Pair pair, double p) {
    }

    /**
     * Pairs in the model.
     *
     * @param together act together beyond chance, the surest first
     * @param p        of every pair that was tested, as it came
     */
    record InModel(List<Question.Pair> together, List<Double> p) {
    }

    /** {@return pairs in the model that act together beyond chance} */
    static InModel inModel(Question question, Map<Variable, Term> terms, ModelFit fit) {
        List<Tested> tested = new ArrayList<>();
        for (Question.Pair pair : question.interactions()) {
            product(pair, terms).filter(fit.design().terms()::contains)
                    .flatMap(fit::typeTwo)
                    .ifPresent(test -> tested.add(new Tested(pair, test.p())));
        }
        List<Double> p = tested.stream().map(Tested::p).toList();
        List<Double> corrected = inFamily(question, p, terms, fit);
        List<Tested> sure = new ArrayList<>();
        for (int i = 0; i < tested.size(); i++) {
            if (corrected.get(i) <= Question.ALPHA) {
                sure.add(tested.get(i));
            }
        }
        return new InModel(
                sure.stream().sorted(Comparator.comparingDouble(Tested::p)).map(Tested::pair).toList(), p);
    }

    /** With Holm's correction an interaction belongs to the questions it is of, and is one more of them. */
    private static List<Double> inFamily(Question question, List<Double> pairs, Map<Variable, Term> terms,
            ModelFit fit) {
        if (!question.judging().holm()) {
            return pairs;
        }
        List<Double> family = new ArrayList<>(pairs);
        question.treatments()
                .stream()
                .filter(terms::containsKey)
                .flatMap(variable -> fit.typeTwo(terms.get(variable)).stream())
                .map(FTest::p)
                .forEach(family::add);
        return Adjustment.holm(family).subList(0, pairs.size());
    }

    /**
     * Pairs that were not asked about.
     *
     * @param together act together beyond chance, corrected after Holm for looking at them all
     * @param others   p of those that do not
     */
    record Unasked(List<Question.Pair> together, List<Double> others) {
    }

    /** {@return pairs that were not asked about} */
    static Unasked unasked(Question question, ResponseModel model) {
        List<Variable> treatments = question.treatments().stream().filter(model.terms()::containsKey).toList();
        if (model.fit() == null || treatments.size() < 2) {
            return new Unasked(List.of(), List.of());
        }
        List<Tested> tested = new ArrayList<>();
        for (int i = 0; i < treatments.size(); i++) {
            for (int j = i + 1; j < treatments.size(); j++) {
                Question.Pair pair = new Question.Pair(treatments.get(i), treatments.get(j));
                boolean asked = question.interactions().contains(pair)
                        || question.interactions().contains(new Question.Pair(pair.second(), pair.first()));
                if (!asked) {
                    test(pair, model).ifPresent(test -> tested.add(new Tested(pair, test.p())));
                }
            }
        }
        List<Double> pairs = tested.stream().map(Tested::p).toList();
        List<Double> corrected = question.judging().holm() ? inFamily(question, pairs, model.terms(), model.fit())
                : Adjustment.holm(pairs);
        List<Question.Pair> found = new ArrayList<>();
        List<Double> others = new ArrayList<>();
        for (int i = 0; i < tested.size(); i++) {
            if (corrected.get(i) <= Question.ALPHA) {
                found.add(tested.get(i).pair);
            } else {
                others.add(pairs.get(i));
            }
        }
        return new Unasked(found, others);
    }

    /** With blocks as themselves, whatever the model takes them for: they are only to be out of the way. */
    private static Optional<FTest> test(Question.Pair pair, ResponseModel model) {
        Term product = product(pair, model.terms()).orElseThrow();
        List<Term> terms = new ArrayList<>(model.fit().design().terms());
        model.blocks().filter(block -> !terms.contains(block)).ifPresent(block -> terms.add(0, block));
        terms.add(product);
        FixedFit fit = FixedFit.of(new Design(model.shots().size(), terms), model.y(), model.weights());
        return fit.residualDf() < LEAST_DF ? Optional.empty() : fit.typeTwo(product);
    }

    private static Optional<Term> product(Question.Pair pair, Map<Variable, Term> terms) {
        return terms.containsKey(pair.first()) && terms.containsKey(pair.second())
                ? Optional.of(new Term.Product(terms.get(pair.first()), terms.get(pair.second()))) : Optional.empty();
    }
}
