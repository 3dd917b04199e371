package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.model.Adjustment;
import org.grenu.core.model.Equivalence;
import org.grenu.core.model.Estimate;
import org.grenu.core.model.Forecast;
import org.grenu.core.model.RankPermutationTest;
import org.grenu.core.model.StudentizedRange;
import org.grenu.core.response.Variable;

/** Reads the effects of a fitted response and judges them, each by the p-value that is shown. */
final class EffectFinder {

    private static final int SHUFFLES = 999;
    private static final long SEED = 20_261_123;
    private static final int SHOTS_TO_TRY = 20;
    /** So that a spread of nought, as of identical values, still divides. */
    private static final double LEAST_SE = 1e-9;

    private final Question question;
    private final ResponseModel model;
    private final double margin;
    private final Map<String, Double> factors = new HashMap<>();

    EffectFinder(Question question, ResponseModel model) {
        this.question = question;
        this.model = model;
        this.margin = question.margin(model.response());
    }

    /**
     * A contrast with its test.
     *
     * @param own   p-value of this contrast alone
     * @param shown the same corrected: for all pairs of levels (Tukey), or for the questions asked (Holm)
     */
    private record Tested(Contrast contrast, Estimate estimate, double own, double shown) {
    }

    /** {@return the effects of all variables that changed, in the question's order} */
    List<Effect> effects() {
        List<Contrast> contrasts = Contrast.of(question, model);
        Map<Contrast, Tested> tested = tested(contrasts);
        return contrasts.stream()
                .map(contrast -> tested.containsKey(contrast) ? judged(tested.get(contrast)) : untested(contrast))
                .toList();
    }

    private Map<Contrast, Tested> tested(List<Contrast> contrasts) {
        Map<Contrast, Tested> tested = new IdentityHashMap<>();
        for (Contrast contrast : contrasts) {
            if (model.fit().estimable(contrast.weights())) {
                model.estimate(contrast.weights()).map(EffectFinder::divisible).ifPresent(estimate -> {
                    double own = estimate.pAgainst(0);
                    tested.put(contrast, new Tested(contrast, estimate, own,
                            contrast.levels() > 2 ? Adjustment.tukey(estimate, contrast.levels()) : own));
                });
            }
        }
        if (question.judging().holm()) {
            // What the basis or the user holds equal is no question; pairs of levels have their own correction
            // already.
            List<Tested> questions = contrasts.stream()
                    .filter(contrast -> contrast.levels() == 2 && !(contrast.variable() instanceof Variable.Covariate))
                    .map(tested::get)
                    .filter(test -> test != null)
                    .toList();
            List<Double> family = new ArrayList<>(questions.stream().map(Tested::own).toList());
            family.addAll(model.pairsP());
            List<Double> corrected = Adjustment.holm(family);
            for (int i = 0; i < questions.size(); i++) {
                Tested test = questions.get(i);
                tested.put(test.contrast, new Tested(test.contrast, test.estimate, test.own, corrected.get(i)));
            }
        }
        return tested;
    }

    private Effect judged(Tested test) {
        Contrast contrast = test.contrast;
        boolean pairs = contrast.levels() > 2;
        double halfWidth = pairs ? wide(contrast.levels(), test.estimate.df()) * test.estimate.se()
                : test.estimate.halfWidth(1 - Question.ALPHA);
        OptionalDouble rankP = pairs || !contrast.at().isEmpty() ? OptionalDouble.empty()
                : OptionalDouble.of(RankPermutationTest.p(model.fit().design(),
                        model.without(contrast.variable()), contrast.weights(), model.y(), model.exchangeable(),
                        SHUFFLES, SEED));
        return new Effect(Effect.Change.of(contrast),
                new Effect.Size(Optional.of(test.estimate), halfWidth, test.shown, rankP,
                        model.spread(contrast.weights())),
                margin, verdict(test));
    }

    private Effect untested(Contrast contrast) {
        if (!model.fit().estimable(contrast.weights())) {
            return without(contrast, new Verdict.Confounded(Confounding.with(model, contrast.variable())));
        }
        return SingleShots.effect(model, contrast, margin)
                .orElseGet(() -> without(contrast, new Verdict.CannotSay(0, false, List.of())));
    }

    /** Tukey's factor for the pairs of so many means; that of fixed effects is always the same. */
    private double wide(int means, double df) {
        return factors.computeIfAbsent(means + " " + df,
                key -> StudentizedRange.quantile(Question.ALPHA, means, df) / Math.sqrt(2));
    }

    private Verdict verdict(Tested test) {
        if (margin > 0 && Equivalence.of(test.estimate, margin).p() <= Question.ALPHA) {
            return new Verdict.SameInPractice(test.shown <= Question.ALPHA);
        }
        if (test.shown <= Question.ALPHA) {
            return new Verdict.Differs();
        }
        // A corrected p-value passes when the contrast's own passes a stricter level.
        double level = test.own > 0 ? Math.max(1e-9, Question.ALPHA * Math.min(1, test.own / test.shown))
                : Question.ALPHA;
        Forecast forecast = Forecast.of(model.fit(), test.estimate, test.contrast.weights(), margin, level,
                SHOTS_TO_TRY);
        return new Verdict.CannotSay(forecast.more(), forecast.likely(),
                forecast.repeat().stream().map(row -> model.shots().get(row).name()).toList());
    }

    private Effect without(Contrast contrast, Verdict verdict) {
        return new Effect(Effect.Change.of(contrast), Effect.Size.UNKNOWN, margin, verdict);
    }

    private static Estimate divisible(Estimate estimate) {
        return estimate.se() > 0 ? estimate : new Estimate(estimate.value(), LEAST_SE, estimate.df());
    }
}
