package org.grenu.core.demo.dialin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiFunction;
import org.grenu.core.learn.DialIn;
import org.grenu.core.learn.GrinderRange;
import org.grenu.core.learn.NextShot;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.StudentT;
import org.grenu.core.learn.TimeAim;
import org.grenu.core.learn.TimeBelief;
import org.grenu.core.learn.TimePrior;
import org.grenu.core.learn.TimedShot;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * How many shots it takes until the time is met within two seconds, from starts up to six notches off: proposals learnt
 * from the log against rules kept by hand, on the same coffees. Ten coffees follow each other on a grinder, of which the
 * later ones begin with what the earlier ones taught; the rules by hand learn nothing from them.
 */
public final class DialInStudy {

    /** The time that is wanted, s, and how near it counts. */
    public static final double WANTED = 29;
    /** On either side, s. */
    public static final double NEAR = 2;
    private static final double LEAST_YIELD = 18;
    private static final double MOST_YIELD = 22;
    private static final int OFF = 6;
    private static final int COFFEES_A_GRINDER = 10;
    private static final int MOST_SHOTS = 15;
    private static final ShotInputs HELD = new ShotInputs(0, 18, 36, 93, 14);

    /** The physics that the coffees follow. */
    public enum Physics {
        /** The puck model that ships with the program. */
        PUCK,
        /** Another law, which the learnt model does not know. */
        CURVED
    }

    /**
     * What came of it.
     *
     * @param shots       until near, the first one counted, by way: sorted; the most that were tried where it never was
     * @param untilYield  likewise until the extraction yield was between 18 and 22 %, by the proposals
     * @param foretold    shots pulled as proposed
     * @param held        of them within their 95 % interval
     * @param beyond      proposals that the grinder cannot be set to
     */
    public record Result(Map<String, int[]> shots, int[] untilYield, int foretold, int held, int beyond) {

        /** {@return so many shots or fewer in that share of the coffees} */
        public int quantile(String way, double share) {
            int[] sorted = shots.get(way);
            return sorted[(int) Math.ceil(share * sorted.length) - 1];
        }
    }

    private final RandomGenerator random;
    private final Physics physics;
    private final List<Integer> learnt = new ArrayList<>();
    private final List<Integer> untilYield = new ArrayList<>();
    private final Map<HandRule, List<Integer>> byHand = new EnumMap<>(HandRule.class);
    private int foretold;
    private int held;
    private int beyond;

    private DialInStudy(long seed, Physics physics) {
        this.random = new Well19937c(seed);
        this.physics = physics;
        Arrays.stream(HandRule.values()).forEach(rule -> byHand.put(rule, new ArrayList<>()));
    }

    /** {@return what came of so many coffees} The same seed gives the same. */
    public static Result run(Physics physics, int coffees, long seed) {
        DialInStudy study = new DialInStudy(seed, physics);
        TimePrior prior = TimePrior.COMMON_PRACTICE;
        double grinder = 0;
        for (int i = 0; i < coffees; i++) {
            if (i % COFFEES_A_GRINDER == 0) {
                prior = TimePrior.COMMON_PRACTICE;
                grinder = 0.12 * Math.exp(0.35 * study.random.nextGaussian());
            }
            prior = study.dialIn(prior, grinder);
        }
        return study.result();
    }

    private TimePrior dialIn(TimePrior prior, double grinder) {
        long seed = random.nextLong();
        BiFunction<Integer, Long, UnknownCoffee> again = (way, own) -> {
            Well19937c same = new Well19937c(own);
            return physics == Physics.PUCK ? new PuckCoffee(same) : new CurvedCoffee(same, grinder);
        };
        UnknownCoffee coffee = again.apply(0, seed);
        double right = right(coffee);
        double start = Math.rint(right) + random.nextInt(2 * OFF + 1) - OFF;
        // Stops of the grinder lie so that the right setting can be reached.
        GrinderRange range = new GrinderRange(Math.min(start, Math.floor(right)) - 2 - random.nextInt(8),
                Math.max(start, Math.ceil(right)) + 2 + random.nextInt(8), 1);
        for (HandRule rule : HandRule.values()) {
            byHand.get(rule).add(byHand(again.apply(1, seed), rule, start, range));
        }
        return learnt(again.apply(2, seed), prior, start, range);
    }

    /** Where a shot takes the time that is wanted, by halving. */
    private static double right(UnknownCoffee coffee) {
        double low = -12;
        double high = 12;
        for (int i = 0; i < 12; i++) {
            double middle = (low + high) / 2;
            if (coffee.expected(middle) < WANTED) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static boolean near(double seconds) {
        return Math.abs(seconds - WANTED) <= NEAR;
    }

    private static int byHand(UnknownCoffee coffee, HandRule rule, double start, GrinderRange range) {
        List<TimedShot> shots = new ArrayList<>();
        double finer = start;
        for (int pulled = 1; pulled < MOST_SHOTS; pulled++) {
            double seconds = coffee.pull(finer).seconds();
            if (near(seconds)) {
                return pulled;
            }
            shots.add(new TimedShot(HELD.at(finer), seconds));
            finer = Math.max(Math.ceil(range.coarsest()),
                    Math.min(Math.floor(range.finest()), rule.next(shots, WANTED)));
        }
        return MOST_SHOTS;
    }

    private TimePrior learnt(UnknownCoffee coffee, TimePrior prior, double start, GrinderRange range) {
        TimeBelief before = TimeBelief.before(prior, HELD.at(start), WANTED);
        TimeAim aim = new TimeAim(WANTED - NEAR, WANTED + NEAR);
        List<TimedShot> shots = new ArrayList<>();
        TimeBelief belief = before;
        double finer = start;
        int yielded = MOST_SHOTS;
        int pulled = 0;
        boolean met = false;
        while (!met && ++pulled < MOST_SHOTS) {
            UnknownCoffee.Pulled shot = coffee.pull(finer);
            if (pulled > 1) {
                count(belief.shot(HELD.at(finer)), Math.log(shot.seconds()));
            }
            boolean within = shot.yield() >= LEAST_YIELD && shot.yield() <= MOST_YIELD;
            yielded = within ? Math.min(yielded, pulled) : yielded;
            shots.add(new TimedShot(HELD.at(finer), shot.seconds()));
            belief = before.givenNear(WANTED, shots);
            met = near(shot.seconds());
            NextShot next = new DialIn(belief, range, aim).after(shots, HELD);
            beyond += range.holds(next.finer()) ? 0 : 1;
            finer = next.finer();
        }
        learnt.add(pulled);
        untilYield.add(yielded);
        return belief.forNextCoffee();
    }

    private void count(StudentT foreseen, double logSeconds) {
        foretold++;
        held += logSeconds >= foreseen.quantile(0.025) && logSeconds <= foreseen.quantile(0.975) ? 1 : 0;
    }

    private Result result() {
        Map<String, int[]> shots = new LinkedHashMap<>();
        shots.put("learnt", sorted(learnt));
        byHand.forEach((rule, counts) -> shots.put(rule.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                sorted(counts)));
        return new Result(shots, sorted(untilYield), foretold, held, beyond);
    }

    private static int[] sorted(List<Integer> counts) {
        return counts.stream().mapToInt(Integer::intValue).sorted().toArray();
    }
}
