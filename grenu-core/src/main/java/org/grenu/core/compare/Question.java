package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.study.Factor;

/**
 * What is to be compared, and how.
 *
 * @param variables    what may have changed the shots, in the order they are spoken of
 * @param interactions pairs of them that may act together
 * @param responses    what is asked about
 * @param basis        what is held equal
 * @param block        days or sessions whose own level is taken out, when the user wants that
 * @param margins      by response key: half the zone in which a difference makes none in practice; the usual one where missing
 * @param holm         whether the p-values of one response are corrected for asking about several variables
 */
public record Question(List<Variable> variables, List<Pair> interactions, List<Response> responses, ComparisonBasis basis,
                       Optional<Factor> block, Map<String, Double> margins, boolean holm) {

    /** Level of every test; intervals cover 1 − ALPHA. */
    public static final double ALPHA = 0.05;

    /** Two variables of the question that may act together. */
    public record Pair(Variable first, Variable second) {
    }

    /** @throws IllegalArgumentException if an interaction is of variables that are not asked about */
    public Question {
        variables = variables.stream().distinct().toList();
        interactions = interactions.stream().distinct().toList();
        responses = responses.stream().distinct().toList();
        margins = Map.copyOf(margins);
        for (Pair pair : interactions) {
            if (!variables.contains(pair.first) || !variables.contains(pair.second) || pair.first.equals(pair.second)) {
                throw new IllegalArgumentException("an interaction needs two of the variables asked about");
            }
        }
    }

    /** {@return a question of those variables and responses, as the shots came} */
    public static Question of(List<Variable> variables, List<Response> responses) {
        return new Question(variables, List.of(), responses, ComparisonBasis.EQUAL_SETTING, Optional.empty(), Map.of(), false);
    }

    /** {@return the margin of that response, in its unit} */
    public double margin(Response response) {
        return margins.getOrDefault(response.key(), response.usualMargin());
    }

    /** {@return this question on another basis} */
    public Question on(ComparisonBasis other) {
        return new Question(variables, interactions, responses, other, block, margins, holm);
    }

    /** {@return this question with blocks, or without} */
    public Question inBlocks(Optional<Factor> other) {
        return new Question(variables, interactions, responses, basis, other, margins, holm);
    }

    /** {@return this question of other responses} */
    public Question of(List<Response> other) {
        return new Question(variables, interactions, other, basis, block, margins, holm);
    }

    /** {@return what enters the model for that response: the variables, and what the basis holds equal} */
    List<Variable> explaining(Response response, CommonGround ground) {
        List<Variable> all = new ArrayList<>(variables);
        ground.covariate(response).filter(covariate -> !all.contains(covariate)).ifPresent(all::add);
        all.removeIf(variable -> variable instanceof Variable.Covariate covariate && covariate.response().equals(response));
        return all;
    }
}
