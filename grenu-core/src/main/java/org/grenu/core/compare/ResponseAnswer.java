package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;
import org.grenu.core.model.FTest;

/**
 * What the shots say of one response.
 *
 * @param response   the response
 * @param margin     half the zone in which a difference makes none in practice
 * @param residualDf degrees of freedom left to judge the spread by
 * @param deviation  spread of alike shots about the model, in the response's unit; NaN when none is left to judge by
 * @param effects    of the variables that changed
 * @param tests      of the model's terms, type II
 * @param lackOfFit  the model's misfit against replicates, where shots were repeated
 * @param means      by level
 * @param rows       the shots that tell of it
 * @param leftOut    shots that do not, since it or a variable is unknown in them
 * @param sources    where the spread comes from
 * @param model      the model in words
 */
public record ResponseAnswer(Response response, double margin, int residualDf, double deviation, List<Effect> effects, List<TermTest> tests,
                             Optional<FTest> lackOfFit, List<LevelMean> means, List<RowResidual> rows, List<ComparedShot> leftOut,
                             Optional<SpreadSources> sources, String model) {

    public ResponseAnswer {
        effects = List.copyOf(effects);
        tests = List.copyOf(tests);
        means = List.copyOf(means);
        rows = List.copyOf(rows);
        leftOut = List.copyOf(leftOut);
    }

    /** {@return the effects of that variable; none when it did not change} */
    public List<Effect> effects(Variable variable) {
        return effects.stream().filter(effect -> effect.variable().equals(variable)).toList();
    }
}
