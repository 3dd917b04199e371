package org.grenu.desktop.plan;

import java.util.List;
import java.util.Optional;
import org.grenu.app.advice.AdviceWords;
import org.grenu.app.advice.Causes;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.app.advice.LadderLine;
import org.grenu.app.advice.LeverTable;
import org.grenu.app.advice.SchoolAnswers;
import org.grenu.app.advice.TargetRecipe;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.figures.plan.LearntCurve;
import org.grenu.figures.shelf.BagFigure;

/**
 * What the dial-in shows of a coffee.
 *
 * @param coffee  that is asked about
 * @param target  what is wanted of it
 * @param outcome the advice, or why there is none
 * @param lines   of the ladder, the newest first
 * @param curves  what was learnt, the time first
 * @param causes  why the newest shot missed, if it did
 * @param schools what the schools answer to how it tasted; empty where nothing unwanted was tasted
 * @param levers  what each lever would do
 * @param bag     that the newest shot came from; empty where it is not on the shelf
 * @param units   in which it is told
 */
public record DialInAnswer(String coffee, TargetRecipe target, CoffeeAdvice.Outcome outcome, List<LadderLine> lines,
        List<LearntCurve> curves, Optional<Causes> causes, Optional<SchoolAnswers> schools, LeverTable levers,
        Optional<BagFigure> bag, DisplayUnits units) {

    public DialInAnswer {
        lines = List.copyOf(lines);
        curves = List.copyOf(curves);
    }

    /** {@return the advice, where one could be given} */
    public Optional<CoffeeAdvice> given() {
        return outcome instanceof CoffeeAdvice.Given given ? Optional.of(given.advice()) : Optional.empty();
    }

    /** {@return it in words} */
    public Optional<AdviceWords> words() {
        return given().map(given -> new AdviceWords(given, units));
    }
}
