package org.grenu.cli;

import java.util.Arrays;
import java.util.Locale;
import org.grenu.core.demo.dialin.DialInStudy;
import org.grenu.core.demo.dialin.DialInStudy.Physics;
import org.grenu.core.demo.dialin.DialInStudy.Result;

/** Dialling in on coffees whose truth is known, as Markdown. */
final class DialInValidation {

    private DialInValidation() {
    }

    static String run(int coffees, long seed) {
        StringBuilder text = new StringBuilder(String.format(Locale.ROOT, """
                # Dialling in

                Shots until the time is within ±%.0f s of %.0f s, the first one counted, for %d coffees of each \
                physics from starts up to six notches off, made by `./grenu validate --dial-in %d --seed %d`. \
                Ten coffees follow each other on a grinder; learnt proposals begin each with what the ones before \
                taught, rules \
                by hand with nothing. Time alone is aimed at; where 15 shots were not enough, 15 is counted.

                """, DialInStudy.NEAR, DialInStudy.WANTED, coffees, coffees, seed));
        for (Physics physics : Physics.values()) {
            text.append(table(physics, DialInStudy.run(physics, coffees, seed)));
        }
        return text.toString();
    }

    private static String table(Physics physics, Result result) {
        StringBuilder text = new StringBuilder("## " + (physics == Physics.PUCK
                ? "The puck model that ships with the program"
                : "Another law: ln(time) bends with the notch, heavy tails, a fifth ground at the setting before")
                + "\n\n| way | median | 90 % of coffees within |\n|---|---|---|\n");
        result.shots()
                .keySet()
                .forEach(way -> text.append(String.format(Locale.ROOT, "| %s | %d | %d |%n", way,
                        result.quantile(way, 0.5), result.quantile(way, 0.9))));
        text.append(String.format(Locale.ROOT, """

                Time **and** extraction yield (18–22 %%) in one shot, by grind, dose and beverage mass, one at a time: \
                learnt %s, by hand (seconds a notch, then 4 g in the cup) %s. Aiming at the time alone the yield was \
                first between 18 and 22 %% after %s.

                Of %d shots pulled as proposed %.1f %% came within the 95 %% interval of their time; of %d where both \
                were wanted %.1f %% within that of their extraction yield. Proposals that the grinder cannot be set \
                to: %d.

                """, told(result.untilBoth()), told(result.byHandBoth()), told(result.untilYield()),
                result.times().foretold(), 100 * result.times().share(), result.yields().foretold(),
                100 * result.yields().share(), result.beyond()));
        return text.toString();
    }

    private static String told(int[] sorted) {
        int nine = sorted[(int) Math.ceil(0.9 * sorted.length) - 1];
        long never = Arrays.stream(sorted).filter(shots -> shots >= DialInStudy.MOST_SHOTS).count();
        return "median " + sorted[sorted.length / 2] + ", "
                + (nine < DialInStudy.MOST_SHOTS ? "90 % of coffees within " + nine
                        : String.format(Locale.ROOT, "%.0f %% of coffees not within %d", 100.0 * never / sorted.length,
                                DialInStudy.MOST_SHOTS));
    }
}
