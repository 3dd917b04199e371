package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.model.Design;
import org.grenu.core.model.Estimate;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.Term;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.Measured;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.CommonSlope;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;

/**
 * Splits effects by what the change brought about on the way: the total is told, and beside it what of it goes through
 * a fuller cup or a cooler group, by the data and common practice together. Where that was set rather than come about,
 * what is left is the answer.
 */
final class PathCheck {

    /** What can be no more than that share of an effect is not worth a word. */
    private static final double LITTLE = 0.05;

    private final Question question;
    private final ResponseModel model;
    private final Circumstances circumstances;
    private final MatchedBasis ground;
    private final Corrections corrections;

    PathCheck(Question question, ResponseModel model, Circumstances circumstances, MatchedBasis ground,
            Corrections corrections) {
        this.question = question;
        this.model = model;
        this.circumstances = circumstances;
        this.ground = ground;
        this.corrections = corrections;
    }

    /** A path with its model and what the model takes its slope for. */
    private record Path(Characteristic what, ResponseModel wider, CommonSlope practice, Corrections corrections) {
    }

    /** {@return those effects, each with its parts; where a path counts as set, what is left of it instead} */
    List<Effect> told(List<Effect> effects) {
        return model.judges() ? told(effects, circumstances.comingAbout(model)) : effects;
    }

    /** One path after the other: what was taken out as set stays out for the next. */
    private List<Effect> told(List<Effect> effects, List<Characteristic> ways) {
        if (ways.isEmpty()) {
            return effects;
        }
        List<Characteristic> others = ways.subList(1, ways.size());
        List<Contrast> contrasts = Contrast.of(question, model);
        // Most often nothing moved: the wider model is made only where something did.
        boolean any = contrasts.stream().anyMatch(contrast -> moved(ways.get(0), contrast).isPresent());
        Optional<Path> path = any ? path(ways.get(0)) : Optional.empty();
        if (path.isEmpty()) {
            return told(effects, others);
        }
        List<Effect> told = new ArrayList<>();
        for (int i = 0; i < effects.size(); i++) {
            told.add(told(path.get(), effects.get(i), contrasts.get(i)));
        }
        boolean set = told.stream()
                .flatMap(effect -> effect.paths().stream())
                .anyMatch(part -> part.set() && part.path().equals(ways.get(0)));
        PathCheck next = set
                ? new PathCheck(question, path.get().wider, circumstances, ground, path.get().corrections) : this;
        return next.told(told, others);
    }

    private Optional<Path> path(Characteristic one) {
        Optional<CommonSlope> practice = CharacteristicColumn.of(one, model.shots())
                .flatMap(column -> model.commonSlope(question, one.variable()));
        return practice.map(slope -> {
            Corrections more = corrections.and(List.of(new Adjuster(one.variable(),
                    Optional.of(new Adjuster.Slope(slope.perUnit(), slope.deviation())))));
            return new Path(one, ResponseModel.of(question, model.response(), model.shots(), ground, more), slope,
                    more);
        });
    }

    private Effect told(Path path, Effect effect, Contrast contrast) {
        boolean asked = !(effect.variable() instanceof Variable.Covariate)
                && !(effect.verdict() instanceof Verdict.SeenOnce || effect.verdict() instanceof Verdict.Mediated)
                && effect.estimate().isPresent();
        Optional<PathPart> part = asked ? part(path, effect, contrast) : Optional.empty();
        if (part.isEmpty()) {
            return effect;
        }
        Effect headline = part.get().set()
                ? new EffectFinder(question, path.wider).effects()
                        .stream()
                        .filter(contrast::isOf)
                        .findFirst()
                        .filter(left -> left.estimate().isPresent())
                        .orElse(effect)
                : effect;
        List<PathPart> parts = new ArrayList<>(effect.paths());
        parts.add(part.get());
        return headline.through(parts);
    }

    private Optional<PathPart> part(Path path, Effect effect, Contrast contrast) {
        Optional<Estimate> moved = moved(path.what, contrast);
        Optional<Contrast> same = Contrast.of(question, path.wider).stream().filter(contrast::sameChange).findFirst();
        Optional<Estimate> left = same.flatMap(wider -> path.wider.estimate(wider.weights()));
        Term.Numeric term = (Term.Numeric) path.wider.taken().get(path.what.variable());
        Optional<Estimate> slope = path.wider.fit().estimate(path.wider.fit().design().slope(term));
        if (moved.isEmpty() || left.isEmpty() || slope.isEmpty()) {
            return Optional.empty();
        }
        Estimate total = effect.estimate().orElseThrow();
        double through = total.value() - left.get().value();
        double se = slope.get().value() == 0 ? Math.abs(moved.get().value()) * slope.get().se()
                : Math.abs(through / slope.get().value()) * slope.get().se();
        boolean set = countsAsSet(path.what, contrast, moved.get());
        boolean matters = Math.abs(through) + Measured.COVERAGE_FACTOR * se > LITTLE
                * Math.max(Math.abs(total.value()), effect.margin());
        return set || matters ? Optional.of(new PathPart(path.what, moved.get(), total,
                new Estimate(through, se, slope.get().df()), left.get(), path.practice, set)) : Optional.empty();
    }

    /** How far the change moved it, by the same model; empty where it did not beyond chance. */
    private Optional<Estimate> moved(Characteristic one, Contrast contrast) {
        Samples along = Samples.of(
                model.shots().stream().mapToDouble(shot -> one.variable().number(shot).orElseThrow()).toArray());
        FixedFit fit = FixedFit.of(model.fit().design(), along, model.weights());
        return fit.estimate(contrast.weights()).filter(found -> found.pAgainst(0) <= Question.ALPHA);
    }

    /** Its target moved along, or nobody knows a target and it moved by more than passes for equal. */
    private boolean countsAsSet(Characteristic one, Contrast contrast, Estimate moved) {
        Optional<Variable> target = one.target();
        boolean known = target.isPresent() && model.shots().stream().allMatch(target.get()::known);
        if (known) {
            Samples aims = Samples.of(model.shots()
                    .stream()
                    .mapToDouble(shot -> target.get().number(shot).orElseThrow())
                    .toArray());
            Design design = model.fit().design();
            double[] coefficients = FixedFit.of(design, aims, model.weights()).coefficients();
            double shift = 0;
            for (int k = 0; k < coefficients.length; k++) {
                shift += coefficients[k] * contrast.weights()[k];
            }
            // A set temperature that moved along is weighed as what was set, not by what the sensor made of it.
            boolean speaksForItself = one.variable().key().equals(StandardResponse.TEMPERATURE_SHOWN.key());
            return Math.abs(shift) > one.tolerance() && !speaksForItself;
        }
        return !circumstances.drawn() && Math.abs(moved.value()) > one.tolerance();
    }
}
