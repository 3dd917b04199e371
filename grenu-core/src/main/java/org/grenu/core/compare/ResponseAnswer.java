package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;
import org.grenu.core.model.FTest;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.Variable;

/**
 * What the shots say of one response.
 *
 * @param response   the response
 * @param margin     half the zone in which a difference makes none in practice
 * @param found      what the variables do
 * @param fitted     the model that says so
 * @param rows       the shots that tell of it
 * @param leftOut    shots that do not, since it or a variable is unknown in them
 */
public record ResponseAnswer(Response response, double margin, Found found, Fitted fitted, List<RowResidual> rows,
        List<MeasuredShot> leftOut) {

    /**
     * What the variables do.
     *
     * @param effects     of the variables that changed
     * @param together    pairs that act together beyond chance, the surest first: their effects are told at each
     *                    other's levels
     * @param confounders what took the place of what is asked about
     * @param adjusted    what moved along in part and is taken out, the strongest first
     * @param notAdjusted what moved along too, and would need more shots
     */
    public record Found(List<Effect> effects, List<Question.Pair> together, List<Confounder> confounders,
            List<Characteristic> adjusted, List<Characteristic> notAdjusted) {

        static final Found NOTHING = new Found(List.of(), List.of(), List.of(), List.of(), List.of());

        public Found {
            effects = List.copyOf(effects);
            together = List.copyOf(together);
            confounders = List.copyOf(confounders);
            adjusted = List.copyOf(adjusted);
            notAdjusted = List.copyOf(notAdjusted);
        }
    }

    /**
     * The fitted model.
     *
     * @param residualDf degrees of freedom left to judge the spread by
     * @param deviation  spread of alike shots about it, in the response's unit; NaN when none is left to judge by
     * @param tests      of its terms, type II
     * @param lackOfFit  its misfit against replicates, where shots were repeated
     * @param means      by level
     * @param sources    where the spread comes from
     * @param words      the model in words
     */
    public record Fitted(int residualDf, double deviation, List<TermTest> tests, Optional<FTest> lackOfFit,
            List<LevelMean> means, Optional<SpreadSources> sources, String words) {

        public Fitted {
            tests = List.copyOf(tests);
            means = List.copyOf(means);
        }

        static Fitted none(String why) {
            return new Fitted(0, Double.NaN, List.of(), Optional.empty(), List.of(), Optional.empty(), why);
        }
    }

    public ResponseAnswer {
        rows = List.copyOf(rows);
        leftOut = List.copyOf(leftOut);
    }

    /** {@return degrees of freedom left to judge the spread by} */
    public int residualDf() {
        return fitted.residualDf;
    }

    /** {@return spread of alike shots about the model; NaN when none is left to judge by} */
    public double deviation() {
        return fitted.deviation;
    }

    /** {@return the effects of the variables that changed} */
    public List<Effect> effects() {
        return found.effects;
    }

    /** {@return pairs that act together beyond chance, the surest first} */
    public List<Question.Pair> together() {
        return found.together;
    }

    /** {@return what took the place of what is asked about} */
    public List<Confounder> confounders() {
        return found.confounders;
    }

    /** {@return what moved along in part and is taken out, the strongest first} */
    public List<Characteristic> adjusted() {
        return found.adjusted;
    }

    /** {@return what moved along too, and would need more shots to be taken out} */
    public List<Characteristic> notAdjusted() {
        return found.notAdjusted;
    }

    /** {@return tests of the model's terms, type II} */
    public List<TermTest> tests() {
        return fitted.tests;
    }

    /** {@return the model's misfit against replicates, where shots were repeated} */
    public Optional<FTest> lackOfFit() {
        return fitted.lackOfFit;
    }

    /** {@return means by level} */
    public List<LevelMean> means() {
        return fitted.means;
    }

    /** {@return where the spread comes from} */
    public Optional<SpreadSources> sources() {
        return fitted.sources;
    }

    /** {@return the model in words} */
    public String model() {
        return fitted.words;
    }

    /** {@return the shots that lie further from the others than chance explains} */
    public List<MeasuredShot> farOut() {
        return rows.stream().filter(RowResidual::farOut).map(RowResidual::shot).toList();
    }

    /** {@return the variable with which that one acts together beyond chance; of several the surest} */
    public Optional<Variable> together(Variable variable) {
        return together().stream()
                .filter(pair -> pair.first().equals(variable) || pair.second().equals(variable))
                .map(pair -> pair.first().equals(variable) ? pair.second() : pair.first())
                .findFirst();
    }

    /** {@return the p-value of those two acting together, where it was tested} */
    public Optional<Double> interaction(Variable one, Variable other) {
        return tests().stream()
                .filter(test -> test.term().equals(one.title() + " × " + other.title())
                        || test.term().equals(other.title() + " × " + one.title()))
                .findFirst()
                .flatMap(TermTest::test)
                .map(FTest::p);
    }

    ResponseAnswer with(List<Effect> effects) {
        return new ResponseAnswer(response, margin,
                new Found(effects, found.together, found.confounders, found.adjusted, found.notAdjusted), fitted, rows,
                leftOut);
    }

    /** {@return the effects of that variable; none when it did not change} */
    public List<Effect> effects(Variable variable) {
        return effects().stream().filter(effect -> effect.variable().equals(variable)).toList();
    }
}
