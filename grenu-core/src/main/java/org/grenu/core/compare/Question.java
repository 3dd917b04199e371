package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Factor;

/**
 * What is to be compared, and how.
 *
 * @param variables    what may have changed the shots, in the order they are spoken of
 * @param interactions pairs of them that may act together
 * @param responses    what is asked about
 * @param basis        what is held equal
 * @param block        days or sessions whose own level is taken out, when the user wants that
 * @param judging      what counts as a difference, and how it is told
 * @param units        in which temperatures and pressures are told
 */
public record Question(List<Variable> variables, List<Pair> interactions, List<Response> responses,
        ComparisonBasis basis, Optional<Factor> block, Judging judging, DisplayUnits units) {

    /** Level of every test; intervals cover 1 − ALPHA. */
    public static final double ALPHA = 0.05;

    /**
     * What counts as a difference, and how it is told. Numbers are in canonical units.
     *
     * @param margins by response key: half the zone in which a difference makes none in practice; the usual one
     *                where missing
     * @param steps   by variable key: the change that a numeric effect is stated and judged for; the range used
     *                where missing
     * @param holm    whether the p-values of one response are corrected for asking about several variables
     */
    public record Judging(Map<String, Double> margins, Map<String, Double> steps, boolean holm) {

        /** The usual margins, the range used, uncorrected. */
        public static final Judging USUAL = new Judging(Map.of(), Map.of(), false);

        /** @throws IllegalArgumentException if a step is not above zero */
        public Judging {
            margins = Map.copyOf(margins);
            steps = Map.copyOf(steps);
            if (steps.values().stream().anyMatch(step -> !(step > 0))) {
                throw new IllegalArgumentException("a step must be above zero");
            }
        }

        private Judging stepping(String variable, double step) {
            Map<String, Double> all = new HashMap<>(steps);
            all.put(variable, step);
            return new Judging(margins, all, holm);
        }
    }

    /** Two variables of the question that may act together. */
    public record Pair(Variable first, Variable second) {
    }

    /** @throws IllegalArgumentException if an interaction is of variables that are not asked about */
    public Question {
        variables = variables.stream().distinct().toList();
        interactions = interactions.stream().distinct().toList();
        responses = responses.stream().distinct().toList();
        for (Pair pair : interactions) {
            if (!variables.contains(pair.first) || !variables.contains(pair.second) || pair.first.equals(pair.second)) {
                throw new IllegalArgumentException("an interaction needs two of the variables asked about");
            }
        }
    }

    /** {@return a question of those variables and responses, as the shots came} */
    public static Question of(List<Variable> variables, List<Response> responses) {
        return new Question(variables, List.of(), responses, ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                Judging.USUAL, DisplayUnits.CANONICAL);
    }

    /** {@return what it names: its variables, and what its blocks are of} */
    List<Variable> asked() {
        return Stream.concat(variables.stream(), block.map(Variable::of).stream()).toList();
    }

    /** {@return the margin of that response, in its unit} */
    public double margin(Response response) {
        Double chosen = judging.margins.get(response.key());
        return chosen == null ? response.usualMargin()
                : units.limit(chosen, response.in(DisplayUnits.CANONICAL).unit());
    }

    /** {@return the change that effects of that variable are stated for, in its unit; empty for the range used} */
    OptionalDouble step(Variable variable) {
        Double chosen = judging.steps.get(variable.key());
        return chosen == null ? OptionalDouble.empty()
                : OptionalDouble.of(units.limit(chosen, variable.in(DisplayUnits.CANONICAL).unit()));
    }

    /** {@return this question, told in those units} */
    public Question in(DisplayUnits others) {
        return new Question(variables.stream().map(one -> one.in(others)).toList(),
                interactions.stream().map(pair -> new Pair(pair.first.in(others), pair.second.in(others))).toList(),
                responses.stream().map(one -> one.in(others)).toList(), basis, block, judging, others);
    }

    /** {@return what may have differed beside what is asked about} */
    List<Characteristic> beside(List<MeasuredShot> shots) {
        boolean tasted = responses.stream().anyMatch(StandardResponse::isTasted);
        return Characteristic.beside(asked(), shots)
                .stream()
                .filter(one -> tasted || !one.ofTasting())
                .map(one -> one.in(units))
                .toList();
    }

    /** {@return this question on another basis} */
    public Question on(ComparisonBasis other) {
        return new Question(variables, interactions, responses, other, block, judging, units);
    }

    /** {@return this question with blocks, or without} */
    public Question inBlocks(Optional<Factor> other) {
        return new Question(variables, interactions, responses, basis, other, judging, units);
    }

    /** {@return this question of other responses} */
    public Question of(List<Response> other) {
        return new Question(variables, interactions, other, basis, block, judging, units);
    }

    /** {@return this question with effects stated for that step of that variable} */
    public Question stepping(Variable variable, double step) {
        return new Question(variables, interactions, responses, basis, block, judging.stepping(variable.key(), step),
                units);
    }

    /** {@return this question with those pairs acting together too} */
    Question together(List<Pair> more) {
        List<Pair> all = new ArrayList<>(interactions);
        all.addAll(more);
        return new Question(variables, all, responses, basis, block, judging, units);
    }

    /** {@return this question with one more variable in the model} */
    Question beside(Variable more) {
        List<Variable> all = new ArrayList<>(variables);
        all.add(more);
        return new Question(all, interactions, responses, basis, block, judging, units);
    }

    /** {@return the treatments asked about: what was set, not what came about} */
    public List<Variable> treatments() {
        return variables.stream().filter(variable -> !(variable instanceof Variable.Covariate)).toList();
    }

    /** {@return what enters the model for that response: the variables, and what the basis holds equal} */
    List<Variable> explaining(Response response, MatchedBasis ground) {
        List<Variable> all = new ArrayList<>(variables);
        ground.covariate(response).filter(covariate -> !all.contains(covariate)).ifPresent(all::add);
        all.removeIf(
                variable -> variable instanceof Variable.Covariate covariate && covariate.response().equals(response));
        return all;
    }
}
