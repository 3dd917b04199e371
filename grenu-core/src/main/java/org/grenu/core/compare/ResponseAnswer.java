package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;
import org.grenu.core.model.FTest;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.Variable;

/**
 * What the shots say of one response.
 *
 * @param response   the response
 * @param margin     half the zone in which a difference makes none in practice
 * @param residualDf degrees of freedom left to judge the spread by
 * @param deviation  spread of alike shots about the model, in the response's unit; NaN when none is left to judge by
 * @param effects    of the variables that changed
 * @param together   pairs that act together beyond chance, the surest first: their effects are told at each other's
 *                   levels
 * @param confounders what moved along with what is asked about
 * @param tests      of the model's terms, type II
 * @param lackOfFit  the model's misfit against replicates, where shots were repeated
 * @param means      by level
 * @param rows       the shots that tell of it
 * @param leftOut    shots that do not, since it or a variable is unknown in them
 * @param sources    where the spread comes from
 * @param model      the model in words
 */
public record ResponseAnswer(Response response, double margin, int residualDf, double deviation, List<Effect> effects,
        List<Question.Pair> together, List<Confounder> confounders, List<TermTest> tests,
        Optional<FTest> lackOfFit, List<LevelMean> means, List<RowResidual> rows, List<MeasuredShot> leftOut,
        Optional<SpreadSources> sources, String model) {

    public ResponseAnswer {
        effects = List.copyOf(effects);
        together = List.copyOf(together);
        confounders = List.copyOf(confounders);
        tests = List.copyOf(tests);
        means = List.copyOf(means);
        rows = List.copyOf(rows);
        leftOut = List.copyOf(leftOut);
    }

    /** {@return the shots that lie further from the others than chance explains} */
    public List<MeasuredShot> farOut() {
        return rows.stream().filter(RowResidual::farOut).map(RowResidual::shot).toList();
    }

    /** {@return the variable with which that one acts together beyond chance; of several the surest} */
    public Optional<Variable> together(Variable variable) {
        return together.stream()
                .filter(pair -> pair.first().equals(variable) || pair.second().equals(variable))
                .map(pair -> pair.first().equals(variable) ? pair.second() : pair.first())
                .findFirst();
    }

    /** {@return the p-value of those two acting together, where it was tested} */
    public Optional<Double> interaction(Variable one, Variable other) {
        return tests.stream()
                .filter(test -> test.term().equals(one.title() + " × " + other.title())
                        || test.term().equals(other.title() + " × " + one.title()))
                .findFirst()
                .flatMap(TermTest::test)
                .map(FTest::p);
    }

    /** {@return the effects of that variable; none when it did not change} */
    public List<Effect> effects(Variable variable) {
        return effects.stream().filter(effect -> effect.variable().equals(variable)).toList();
    }
}
