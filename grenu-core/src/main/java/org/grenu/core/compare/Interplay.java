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

    private record Tested(Question.Pair pair, double p) {
    }

    /** {@return pairs in the model that act together beyond chance, the surest first} */
    static List<Question.Pair> significant(Question question, Map<Variable, Term> terms, ModelFit fit) {
        List<Tested> tested = new ArrayList<>();
        for (Question.Pair pair : question.interactions()) {
            product(pair, terms).filter(fit.design().terms()::contains)
                    .flatMap(fit::typeTwo)
                    .ifPresent(test -> tested.add(new Tested(pair, test.p())));
        }
        return tested.stream()
                .filter(one -> one.p <= Question.ALPHA)
                .sorted(Comparator.comparingDouble(Tested::p))
                .map(Tested::pair)
                .toList();
    }

    /** {@return pairs that were not asked about and act together, corrected after Holm for looking at them all} */
    static List<Question.Pair> unasked(Question question, ResponseModel model) {
        List<Variable> treatments = question.treatments().stream().filter(model.terms()::containsKey).toList();
        if (model.fit() == null || treatments.size() < 2) {
            return List.of();
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
        List<Double> corrected = Adjustment.holm(tested.stream().map(Tested::p).toList());
        List<Question.Pair> found = new ArrayList<>();
        for (int i = 0; i < tested.size(); i++) {
            if (corrected.get(i) <= Question.ALPHA) {
                found.add(tested.get(i).pair);
            }
        }
        return found;
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
