package org.grenu.app.advice;

import org.grenu.core.diagnosis.NextStep;
import org.grenu.core.diagnosis.NextStep.Rank;
import org.grenu.core.quantity.DisplayUnits;

/** What stands as the next step beside a shot that is read: what the shot itself asks for, or its coffee's advice. */
public final class ShotNext {

    private ShotNext() {
    }

    /**
     * {@return the next step beside that shot} A question, a missing number or a fault of its own comes first; else it
     * is the advice for its coffee, which room and command line give too, with what a school says of this shot.
     *
     * @param shot   its name
     * @param own    what the shot asks for by itself
     * @param coffee what was answered of its coffee
     */
    public static NextStep of(String shot, NextStep own, CoffeeAdvice.Outcome coffee, DisplayUnits units) {
        if (own.rank() == Rank.BEFORE_ADVICE || coffee instanceof CoffeeAdvice.NotYet) {
            return own;
        }
        if (coffee instanceof CoffeeAdvice.Held held) {
            return new NextStep(held.change(), held.reason(), "", Rank.BEFORE_ADVICE);
        }
        AdviceWords words = new AdviceWords(((CoffeeAdvice.Given) coffee).advice(), units);
        String after = words.given().heldLike().equals(shot) ? ""
                : "After shot " + words.given().heldLike() + ", the newest of this coffee. ";
        String school = own.rank() == Rank.OF_A_SCHOOL
                ? " By itself this shot asks for “" + own.change() + "” (" + own.school() + ")." : "";
        return new NextStep(words.next(), after + words.why() + " " + words.chance() + "." + school, "", own.rank());
    }
}
