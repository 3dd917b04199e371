package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.model.Adjustment;
import org.grenu.core.model.Design;
import org.grenu.core.model.Equivalence;
import org.grenu.core.model.Estimate;
import org.grenu.core.model.Forecast;
import org.grenu.core.model.RankCheck;
import org.grenu.core.model.StudentizedRange;
import org.grenu.core.model.Term;
import org.grenu.core.quantity.DecimalText;

/** Reads the effects of a fitted response and judges them. */
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

    /** {@return the effects of all variables that changed, in the question's order} */
    List<Effect> effects() {
        List<Effect> effects = new ArrayList<>();
        model.terms().forEach((variable, term) -> {
            if (term instanceof Term.Numeric numeric) {
                double step = Steps.of(variable, model.shots());
                double[] contrast = scaled(model.fit().design().slope(numeric), step);
                effects.add(effect(variable, "+" + DecimalText.exact(step), OptionalDouble.of(step), contrast, 2));
            } else if (term instanceof Term.Levels levels) {
                pairs(variable, levels, effects);
            }
        });
        return question.holm() ? corrected(effects) : effects;
    }

    private void pairs(Variable variable, Term.Levels levels, List<Effect> effects) {
        Design design = model.fit().design();
        for (int i = 0; i < levels.levels().size(); i++) {
            for (int j = i + 1; j < levels.levels().size(); j++) {
                double[] contrast = Design.difference(design.mean(levels, i), design.mean(levels, j));
                effects.add(effect(variable, levels.levels().get(i) + ", not " + levels.levels().get(j), OptionalDouble.empty(), contrast,
                        levels.levels().size()));
            }
        }
    }

    private Effect effect(Variable variable, String change, OptionalDouble step, double[] contrast, int means) {
        if (!model.fit().estimable(contrast)) {
            return without(variable, change, step, new Verdict.Confounded(Confounding.with(model, variable)));
        }
        Optional<Estimate> found = model.fit().estimate(contrast).map(EffectFinder::divisible);
        if (found.isEmpty()) {
            return SingleShots.effect(model, variable, change, step, contrast, margin)
                    .orElseGet(() -> without(variable, change, step, new Verdict.CannotSay(0, false, List.of())));
        }
        Estimate estimate = found.get();
        double p = means > 2 ? Adjustment.tukey(estimate, means) : estimate.pAgainst(0);
        double halfWidth = means > 2 ? wide(means, estimate.df()) * estimate.se()
                : estimate.halfWidth(1 - Question.ALPHA);
        OptionalDouble rankP = means > 2 ? OptionalDouble.empty() : OptionalDouble.of(RankCheck.p(model.fit().design(), model.without(variable),
                contrast, model.y(), model.exchangeable(), SHUFFLES, SEED));
        return new Effect(variable, change, step, found, halfWidth, p, rankP, margin, verdict(estimate, p, contrast));
    }

    /** Tukey's factor for the pairs of so many means; that of fixed effects is always the same. */
    private double wide(int means, double df) {
        return factors.computeIfAbsent(means + " " + df, key -> StudentizedRange.quantile(Question.ALPHA, means, df) / Math.sqrt(2));
    }

    private Verdict verdict(Estimate estimate, double p, double[] contrast) {
        if (margin > 0 && Equivalence.of(estimate, margin).p() <= Question.ALPHA) {
            return new Verdict.SameInPractice(p <= Question.ALPHA);
        }
        if (p <= Question.ALPHA) {
            return new Verdict.Differs();
        }
        Forecast forecast = Forecast.of(model.fit(), contrast, margin, Question.ALPHA, SHOTS_TO_TRY);
        return new Verdict.CannotSay(forecast.more(), forecast.likely(), forecast.repeat().stream().map(row -> model.shots().get(row).name()).toList());
    }

    /** Holm over the effects that were tested; one that no longer stands out is left open. */
    private List<Effect> corrected(List<Effect> effects) {
        List<Effect> tested = effects.stream().filter(effect -> effect.estimate().isPresent() && Double.isFinite(effect.p())).toList();
        List<Double> p = Adjustment.holm(tested.stream().map(Effect::p).toList());
        Map<Effect, Double> byEffect = new IdentityHashMap<>();
        for (int i = 0; i < p.size(); i++) {
            byEffect.put(tested.get(i), p.get(i));
        }
        return effects.stream().map(effect -> byEffect.containsKey(effect) ? corrected(effect, byEffect.get(effect)) : effect).toList();
    }

    private static Effect corrected(Effect effect, double p) {
        boolean falls = effect.verdict() instanceof Verdict.Differs && p > Question.ALPHA;
        return effect.with(p, falls ? new Verdict.CannotSay(0, false, List.of()) : effect.verdict());
    }

    private Effect without(Variable variable, String change, OptionalDouble step, Verdict verdict) {
        return new Effect(variable, change, step, Optional.empty(), Double.NaN, Double.NaN, OptionalDouble.empty(), margin, verdict);
    }

    private static Estimate divisible(Estimate estimate) {
        return estimate.se() > 0 ? estimate : new Estimate(estimate.value(), LEAST_SE, estimate.df());
    }

    private static double[] scaled(double[] contrast, double factor) {
        double[] scaled = contrast.clone();
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] *= factor;
        }
        return scaled;
    }
}
