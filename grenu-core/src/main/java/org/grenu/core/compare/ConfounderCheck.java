package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.CommonSlope;
import org.grenu.core.response.Variable;

/**
 * What was set or was so before the shot and took the place of what is asked about, so that these shots cannot tell
 * which of the two did it: it foretells four fifths of the change, beyond chance and beyond what makes no difference in
 * practice. Where common practice bounds what it can have done, the effect is told by that bound.
 */
final class ConfounderCheck {

    /**
     * Share of the change that a characteristic foretells from which on the effect's variance is five times as
     * large with it (common practice).
     */
    static final double ALMOST = 0.8;
    /** Several dozen characteristics are looked at: a chance of one in a hundred each. */
    private static final double CHANCE = 0.01;
    private static final int MOST_NAMED = 4;
    private static final int FEWEST = 3;

    private final Question question;
    private final ResponseModel model;
    private final Circumstances circumstances;

    ConfounderCheck(Question question, ResponseModel model, Circumstances circumstances) {
        this.question = question;
        this.model = model;
        this.circumstances = circumstances;
    }

    /**
     * Effects with what speaks against some of them.
     *
     * @param effects     each that cannot be told from something that moved along judged so
     * @param confounders what moved along
     */
    record Judged(List<Effect> effects, List<Confounder> confounders) {
    }

    /** {@return those effects, each that cannot be told from something that moved along judged so} */
    Judged judged(List<Effect> effects) {
        List<Contrast> contrasts = Contrast.of(question, model);
        List<Characteristic> set = circumstances.setBefore(model);
        List<Effect> judged = new ArrayList<>();
        List<Confounder> confounders = new ArrayList<>();
        for (int i = 0; i < effects.size(); i++) {
            Effect effect = effects.get(i);
            Map<Characteristic, Double> along = asked(effect) ? along(contrasts.get(i), set) : Map.of();
            Optional<Verdict> verdict = along.isEmpty() ? Optional.empty() : verdict(effect, along);
            judged.add(verdict.map(effect::judged).orElse(effect));
            verdict.ifPresent(found -> along.keySet()
                    .stream()
                    .map(one -> new Confounder(one.variable(), effect.variable()))
                    .filter(one -> !confounders.contains(one))
                    .forEach(confounders::add));
        }
        return new Judged(judged, confounders);
    }

    private static boolean asked(Effect effect) {
        return !(effect.variable() instanceof Variable.Covariate) && !(effect.verdict() instanceof Verdict.SeenOnce)
                && !(effect.verdict() instanceof Verdict.Mediated) && effect.estimate().isPresent();
    }

    /** What took the place of that change, with how far it moved. */
    private Map<Characteristic, Double> along(Contrast contrast, List<Characteristic> set) {
        double[] asked = contrast.asked(model.shots());
        Map<Characteristic, Double> along = new LinkedHashMap<>();
        for (Characteristic one : set) {
            Optional<CharacteristicColumn> column = one.partOf(contrast.variable()) ? Optional.empty()
                    : CharacteristicColumn.of(one, model.shots());
            int[] rows = column.map(found -> found.rows(asked)).orElse(new int[0]);
            if (rows.length > 0 && takesThePlace(one, column.get(), asked, rows)) {
                along.put(one, column.get().numeric() ? column.get().shift(asked, rows) * range(contrast, asked) : 0);
            }
        }
        return along;
    }

    /** An effect is told for its step, a shift for the whole range. */
    private static double range(Contrast contrast, double[] asked) {
        if (contrast.step().isEmpty()) {
            return 1;
        }
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (double v : asked) {
            low = Math.min(low, v);
            high = Math.max(high, v);
        }
        return contrast.step().getAsDouble() / (high - low);
    }

    /** {@return whether that moved with what is asked about so that nothing but a bound can tell them apart} */
    static boolean takesThePlace(Characteristic one, CharacteristicColumn column, double[] asked, int[] rows) {
        if (one.variable() instanceof Variable.Placed placed && placed.numeric()) {
            return rows.length > FEWEST && column.apart(asked, rows);
        }
        double share = column.share(asked, rows);
        double tolerance = one.tolerance() > 0 ? one.tolerance() : 0;
        boolean moved = !Double.isNaN(share)
                && (!column.numeric() || Math.abs(column.shift(asked, rows)) > tolerance);
        return moved && share >= ALMOST && column.p(share, rows) < CHANCE;
    }

    /** What is left to say; empty where the verdict stands whatever they did. */
    private Optional<Verdict> verdict(Effect effect, Map<Characteristic, Double> along) {
        double change = effect.estimate().orElseThrow().value();
        double most = 0;
        double least = change;
        for (Map.Entry<Characteristic, Double> one : along.entrySet()) {
            Optional<CommonSlope> practice = model.commonSlope(question, one.getKey().variable());
            if (practice.isEmpty()) {
                return Optional.of(new Verdict.Confounded(names(along.keySet())));
            }
            most += practice.get().most(one.getValue());
            least = practice.get().least(least, one.getValue());
        }
        if (effect.verdict() instanceof Verdict.Differs) {
            least = change > 0 ? least - effect.halfWidth() : least + effect.halfWidth();
            return Optional.of(least * change > 0 ? new Verdict.AtLeast(least, names(along.keySet()))
                    : new Verdict.Confounded(names(along.keySet())));
        }
        boolean stands = effect.verdict() instanceof Verdict.SameInPractice
                ? Math.abs(change) + most + effect.equivalenceHalfWidth() <= effect.margin()
                : most <= effect.halfWidth();
        return stands ? Optional.empty() : Optional.of(new Verdict.Confounded(names(along.keySet())));
    }

    /** {@return such as "day, bag and run order"} */
    static String names(Collection<Characteristic> some) {
        List<String> names = new ArrayList<>(some.stream().map(one -> Wording.small(one.title())).toList());
        if (names.size() > MOST_NAMED) {
            int more = names.size() - MOST_NAMED + 1;
            names = new ArrayList<>(names.subList(0, MOST_NAMED - 1));
            names.add(more + " more");
        }
        return Wording.list(names);
    }
}
