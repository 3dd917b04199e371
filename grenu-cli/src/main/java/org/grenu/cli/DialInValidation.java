package org.grenu.cli;

import java.util.Arrays;
import java.util.Locale;
import org.grenu.core.demo.dialin.DialInStudy;
import org.grenu.core.demo.dialin.DialInStudy.Result;
import org.grenu.core.demo.dialin.Held;
import org.grenu.core.demo.dialin.Physics;
import org.grenu.core.demo.dialin.Reliability;

/** Dialling in on coffees whose truth is known, as Markdown. */
final class DialInValidation {

    private static final double LIKELY = 0.5;

    private DialInValidation() {
    }

    static String run(int coffees, long seed) {
        StringBuilder text = new StringBuilder(String.format(Locale.ROOT, """
                # Dialling in

                Shots until the time is within ±%.0f s of %.0f s, the first one counted, for %d coffees of each \
                law from starts up to six notches off, made by `./grenu validate --dial-in %d --seed %d`. \
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
        StringBuilder text = new StringBuilder("## " + physics.title()
                + "\n\n| way | median | 90 % of coffees within |\n|---|---|---|\n");
        result.shots()
                .keySet()
                .forEach(way -> text.append(String.format(Locale.ROOT, "| %s | %d | %d |%n", way,
                        result.quantile(way, 0.5), result.quantile(way, 0.9))));
        text.append(String.format(Locale.ROOT, """

                Time **and** extraction yield (18–22 %%) in one shot, by grind, dose (17–19 g) and beverage mass \
                (36 ± 2 g), one at a time, of the %d coffees of %d that can be set so: learnt %s, by hand (seconds a \
                notch, then 2 g in the cup, then half a gram of dose) %s. Aiming at the time alone the yield was first \
                between 18 and 22 %% after %s.

                """, result.untilBoth().length, result.coffees(), told(result.untilBoth()), told(result.byHandBoth()),
                told(result.untilYield())));
        text.append("| within its 95 % interval | second shot | third | later | all |\n|---|---|---|---|---|\n")
                .append(held("time", result.timeHeld()))
                .append(held("extraction yield", result.yieldHeld()))
                .append('\n')
                .append(reliability("the time", result.time()))
                .append(reliability("time and extraction yield", result.both()));
        return text.append(String.format(Locale.ROOT, """
                Of the %d coffees that cannot be set so, %d were told to be out of reach; of the others, %d. Proposals \
                that the grinder cannot be set to: %d.

                """, result.coffees() - result.untilBoth().length, result.toldRightly(), result.toldWrongly(),
                result.beyond())).toString();
    }

    private static String held(String of, Held held) {
        StringBuilder row = new StringBuilder("| " + of);
        for (int place = 0; place < Held.PLACES; place++) {
            row.append(String.format(Locale.ROOT, " | %.1f %% of %d", 100 * held.share(place),
                    held.foretold()[place]));
        }
        return row.append(String.format(Locale.ROOT, " | %.1f %% |%n", 100 * held.share())).toString();
    }

    private static String reliability(String of, Reliability reliability) {
        StringBuilder text = new StringBuilder("| chance of " + of
                + " | proposals | said on average | came |\n|---|---|---|---|\n");
        for (Reliability.Bin bin : reliability.bins()) {
            text.append(String.format(Locale.ROOT, "| %.1f–%.1f | %d | %.2f | %.2f |%n", bin.from(), bin.from() + 0.1,
                    bin.count(), bin.said(), bin.came()));
        }
        Reliability likely = reliability.atLeast(LIKELY);
        return text.append(String.format(Locale.ROOT,
                "%nSlope of the logistic recalibration %.2f; where %.1f or more was said, %.2f on average, %.2f came."
                        + "%n%n",
                reliability.slope(), LIKELY, likely.said(), likely.came())).toString();
    }

    private static String told(int[] sorted) {
        int nine = Result.quantile(sorted, 0.9);
        long never = Arrays.stream(sorted).filter(shots -> shots >= DialInStudy.MOST_SHOTS).count();
        return "median " + Result.quantile(sorted, 0.5) + ", "
                + (nine < DialInStudy.MOST_SHOTS ? "90 % of coffees within " + nine
                        : String.format(Locale.ROOT, "%.0f %% of coffees not within %d", 100.0 * never / sorted.length,
                                DialInStudy.MOST_SHOTS));
    }
}
