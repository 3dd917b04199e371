package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.model.Design;
import org.grenu.core.model.Term;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Variable;

/**
 * One change of one variable, as a combination of a model's coefficients.
 *
 * @param variable  what changes
 * @param change    such as {@code +0.4} or {@code Gentle ramp, not Straight nine}
 * @param at        where the other variable stands when the two act together, such as {@code at profile Gentle ramp};
 *                  else empty
 * @param step      size of a numeric change; empty for levels
 * @param weights   by column of the design
 * @param levels    number of levels between which pairs are made; 2 for a number
 * @param pair      the two levels, the one that comes first subtracted from by the other; empty for a number
 */
record Contrast(Variable variable, String change, String at, OptionalDouble step, double[] weights, int levels,
        Optional<LevelPair> pair) {

    /** Two levels of a variable by their words. */
    record LevelPair(String one, String other) {
    }

    /**
     * {@return every contrast of the model that is asked about: where two variables act together, each at the
     * levels of the other}
     */
    static List<Contrast> of(Question question, ResponseModel model) {
        List<Contrast> all = new ArrayList<>();
        model.terms().forEach((variable, term) -> {
            Optional<Variable> other = model.actsTogetherWith(variable);
            if (other.isEmpty()) {
                all.addAll(changes(question, model, variable, "", Map.of()));
                return;
            }
            addAtPlaces(question, model, variable, other.get(), all);
        });
        return all;
    }

    private static void addAtPlaces(Question question, ResponseModel model, Variable variable, Variable other,
            List<Contrast> all) {
        model.places(other)
                .forEach((place, columns) -> all.addAll(changes(question, model, variable,
                        "at " + Wording.small(other.title()) + " "
                                + (place + " " + other.unit()).strip(),
                        Map.of(model.terms().get(other), columns))));
    }

    private static List<Contrast> changes(Question question, ResponseModel model, Variable variable, String at,
            Map<Term, double[]> given) {
        Design design = model.fit().design();
        Term term = model.terms().get(variable);
        if (term instanceof Term.Numeric numeric) {
            double step = Steps.of(question, variable, model.shots());
            return List.of(new Contrast(variable, "+" + DecimalText.exact(step), at, OptionalDouble.of(step),
                    scaled(design.slope(numeric, given), step), 2, Optional.empty()));
        }
        return pairs(model, variable, at, given);
    }

    private static List<Contrast> pairs(ResponseModel model, Variable variable, String at, Map<Term, double[]> given) {
        Design design = model.fit().design();
        Term.Levels levels = (Term.Levels) model.terms().get(variable);
        List<Contrast> pairs = new ArrayList<>();
        for (int i = 0; i < levels.levels().size(); i++) {
            for (int j = i + 1; j < levels.levels().size(); j++) {
                LevelPair pair = new LevelPair(levels.levels().get(i), levels.levels().get(j));
                double[] weights = Design.difference(design.mean(levels, i, given), design.mean(levels, j, given));
                pairs.add(new Contrast(variable, pair.one + ", not " + pair.other, at, OptionalDouble.empty(), weights,
                        levels.levels().size(), Optional.of(pair)));
            }
        }
        return pairs;
    }

    /**
     * {@return by row what this sets against each other: 1 and 0 for two levels, NaN for others; the number for a
     * number}
     */
    double[] asked(List<MeasuredShot> shots) {
        return shots.stream().mapToDouble(shot -> {
            if (pair.isEmpty()) {
                return variable.number(shot).orElse(Double.NaN);
            }
            String level = variable.level(shot).orElse("");
            return level.equals(pair.get().one()) ? 1 : level.equals(pair.get().other()) ? 0 : Double.NaN;
        }).toArray();
    }

    /** {@return whether it is the same change of the same variable, perhaps in another model} */
    boolean sameChange(Contrast other) {
        return variable.equals(other.variable) && at.equals(other.at) && pair.equals(other.pair)
                && step.equals(other.step);
    }

    /** {@return whether that effect is of this change} */
    boolean isOf(Effect effect) {
        return variable.equals(effect.variable()) && change.equals(effect.change()) && at.equals(effect.at());
    }

    private static double[] scaled(double[] contrast, double factor) {
        double[] scaled = contrast.clone();
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] *= factor;
        }
        return scaled;
    }
}
