package org.grenu.core.demo.dialin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.Beliefs;
import org.grenu.core.learn.DialIn;
import org.grenu.core.learn.GrinderRange;
import org.grenu.core.learn.NextShot;
import org.grenu.core.learn.Practice;
import org.grenu.core.learn.Prediction;
import org.grenu.core.learn.Reach;
import org.grenu.core.learn.SettingRange;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.ResponseBelief;
import org.grenu.core.learn.ResponsePrior;
import org.grenu.core.learn.LearntShot;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * How many shots it takes until the time is met within two seconds, from starts up to six notches off: proposals that
 * are learnt from the log against rules kept by hand, on the same coffees. Ten coffees follow each other on a grinder,
 * of which the later ones begin with what the earlier ones taught; the rules by hand learn nothing from them.
 */
public final class DialInStudy {

    /** The time that is wanted, s, and how near it counts. */
    public static final double WANTED = 29;
    /** On either side, s. */
    public static final double NEAR = 2;
    private static final double LEAST_YIELD = 18;
    private static final double MOST_YIELD = 22;
    private static final double FOUR_GRAMS = 4;
    private static final int OFF = 6;
    private static final int COFFEES_A_GRINDER = 10;
    /** A coffee that is not there by then counts as that many. */
    public static final int MOST_SHOTS = 15;
    private static final ShotInputs HELD = UnknownCoffee.USUAL;

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
     * @param untilYield  likewise until the extraction yield was between 18 and 22 %, by the proposals for the time
     *                    alone
     * @param untilBoth   likewise until one shot had both, by proposals for both: by grind, dose and beverage mass
     * @param byHandBoth  likewise by hand: seconds a notch, and four grams more or less in the cup where the time is
     *                    met
     * @param times       how often the interval of the time held
     * @param yields      likewise of the extraction yield, where both are wanted
     * @param beyond      proposals that the grinder cannot be set to
     */
    public record Result(Map<String, int[]> shots, int[] untilYield, int[] untilBoth, int[] byHandBoth, Held times,
            Held yields, int beyond) {

        /** {@return so many shots or fewer in that share of the coffees} */
        public int quantile(String way, double share) {
            int[] sorted = shots.get(way);
            return sorted[(int) Math.ceil(share * sorted.length) - 1];
        }
    }

    /**
     * How often what was foretold came.
     *
     * @param foretold shots pulled as proposed
     * @param within   of them within their 95 % interval
     */
    public record Held(int foretold, int within) {

        private Held and(Prediction foreseen, double came) {
            boolean held = came >= foreseen.quantile(0.025) && came <= foreseen.quantile(0.975);
            return new Held(foretold + 1, within + (held ? 1 : 0));
        }

        /** {@return of those foretold, from 0 to 1} */
        public double share() {
            return within / (double) foretold;
        }
    }

    private final RandomGenerator random;
    private final Physics physics;
    private final List<Integer> learnt = new ArrayList<>();
    private final List<Integer> untilYield = new ArrayList<>();
    private final List<Integer> untilBoth = new ArrayList<>();
    private final List<Integer> byHandBoth = new ArrayList<>();
    private final Map<HandRule, List<Integer>> byHand = new EnumMap<>(HandRule.class);
    private Held times = new Held(0, 0);
    private Held yields = new Held(0, 0);
    private int beyond;

    private DialInStudy(long seed, Physics physics) {
        this.random = new Well19937c(seed);
        this.physics = physics;
        Arrays.stream(HandRule.values()).forEach(rule -> byHand.put(rule, new ArrayList<>()));
    }

    /** {@return what came of so many coffees} The same seed gives the same. */
    public static Result run(Physics physics, int coffees, long seed) {
        DialInStudy study = new DialInStudy(seed, physics);
        Taught taught = Taught.NOTHING;
        double grinder = 0;
        for (int i = 0; i < coffees; i++) {
            if (i % COFFEES_A_GRINDER == 0) {
                taught = Taught.NOTHING;
                grinder = 0.12 * Math.exp(0.35 * study.random.nextGaussian());
            }
            taught = study.dialIn(taught, grinder);
        }
        return study.result();
    }

    /** What the coffees before on a grinder taught. */
    private record Taught(ResponsePrior time, ResponsePrior both, ResponsePrior yield) {

        static final Taught NOTHING = new Taught(Practice.TIME.prior(), Practice.TIME.prior(),
                Practice.EXTRACTION.prior());
    }

    private Taught dialIn(Taught taught, double grinder) {
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
        byHandBoth.add(byHandBoth(again.apply(1, seed), start, range));
        ResponsePrior time = learnt(again.apply(2, seed), taught.time, start, range);
        return both(again.apply(2, seed), new Taught(time, taught.both, taught.yield), start, range);
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
        List<LearntShot> shots = new ArrayList<>();
        double finer = start;
        for (int pulled = 1; pulled < MOST_SHOTS; pulled++) {
            double seconds = coffee.pull(finer).seconds();
            if (near(seconds)) {
                return pulled;
            }
            shots.add(new LearntShot(HELD.at(finer), seconds));
            finer = Math.max(Math.ceil(range.coarsest()),
                    Math.min(Math.floor(range.finest()), rule.next(shots, WANTED)));
        }
        return MOST_SHOTS;
    }

    private ResponsePrior learnt(UnknownCoffee coffee, ResponsePrior prior, double start, GrinderRange range) {
        ResponseBelief before = ResponseBelief.before(prior, HELD.at(start), WANTED);
        Aim aim = Aim.ofTime(new AimRange(WANTED - NEAR, WANTED + NEAR));
        List<LearntShot> shots = new ArrayList<>();
        ResponseBelief belief = before;
        double finer = start;
        int yielded = MOST_SHOTS;
        int pulled = 0;
        boolean met = false;
        while (!met && ++pulled < MOST_SHOTS) {
            UnknownCoffee.Pulled shot = coffee.pull(finer);
            if (pulled > 1) {
                times = times.and(belief.shot(HELD.at(finer)), shot.seconds());
            }
            boolean within = shot.yield() >= LEAST_YIELD && shot.yield() <= MOST_YIELD;
            yielded = within ? Math.min(yielded, pulled) : yielded;
            shots.add(new LearntShot(HELD.at(finer), shot.seconds()));
            belief = before.givenNear(WANTED, shots);
            met = near(shot.seconds());
            NextShot next = new DialIn(Beliefs.ofTime(belief), Reach.of(range), aim).after(shots, HELD, true);
            beyond += range.holds(next.finer()) ? 0 : 1;
            finer = next.finer();
        }
        learnt.add(pulled);
        untilYield.add(yielded);
        return belief.forNextCoffee();
    }

    /** Both at once: by grind, dose and beverage mass, one of them at a time. */
    private Taught both(UnknownCoffee coffee, Taught taught, double start, GrinderRange range) {
        Aim aim = new Aim(new AimRange(WANTED - NEAR, WANTED + NEAR),
                Optional.of(new AimRange(LEAST_YIELD, MOST_YIELD)),
                Optional.empty(), Map.of());
        Reach reach = new Reach(range, Map.of(Slope.DOSE, new SettingRange(17, 19, 0.5), Slope.BEVERAGE,
                new SettingRange(18, 72, 2)), 2, OptionalDouble.empty());
        ResponseBelief time = ResponseBelief.before(taught.both, HELD.at(start), WANTED);
        ResponseBelief yield = ResponseBelief.before(taught.yield, HELD.at(start), (LEAST_YIELD + MOST_YIELD) / 2);
        List<LearntShot> timed = new ArrayList<>();
        List<LearntShot> read = new ArrayList<>();
        Beliefs beliefs = new Beliefs(time, Optional.empty(), Optional.of(yield), Map.of());
        ShotInputs set = HELD.at(start);
        int pulled = 0;
        boolean met = false;
        while (!met && ++pulled < MOST_SHOTS) {
            UnknownCoffee.Pulled shot = coffee.pull(set);
            if (pulled > 1) {
                yields = yields.and(beliefs.yield().orElseThrow().shot(set), shot.yield());
            }
            timed.add(new LearntShot(set, shot.seconds()));
            read.add(new LearntShot(set, shot.yield()).less(ResponseBelief.nearness(shot.seconds(), WANTED)));
            beliefs = new Beliefs(time.givenNear(WANTED, timed), Optional.empty(), Optional.of(yield.given(read)),
                    Map.of());
            boolean extracted = shot.yield() >= LEAST_YIELD && shot.yield() <= MOST_YIELD;
            met = near(shot.seconds()) && extracted;
            set = new DialIn(beliefs, reach, aim).after(timed, set, extracted).inputs();
            beyond += range.holds(set.finer()) ? 0 : 1;
        }
        untilBoth.add(pulled);
        return new Taught(taught.time, beliefs.time().forNextCoffee(), beliefs.yield().orElseThrow().forNextCoffee());
    }

    private static int byHandBoth(UnknownCoffee coffee, double start, GrinderRange range) {
        ShotInputs set = HELD.at(start);
        List<LearntShot> shots = new ArrayList<>();
        for (int pulled = 1; pulled < MOST_SHOTS; pulled++) {
            UnknownCoffee.Pulled shot = coffee.pull(set);
            boolean extracted = shot.yield() >= LEAST_YIELD && shot.yield() <= MOST_YIELD;
            if (near(shot.seconds()) && extracted) {
                return pulled;
            }
            if (near(shot.seconds())) {
                set = set.with(Slope.BEVERAGE,
                        set.beverage() + (shot.yield() < LEAST_YIELD ? FOUR_GRAMS : -FOUR_GRAMS));
            } else {
                shots.add(new LearntShot(set, shot.seconds()));
                set = set.at(Math.max(Math.ceil(range.coarsest()), Math.min(Math.floor(range.finest()),
                        HandRule.SECONDS_A_NOTCH.next(shots, WANTED))));
            }
        }
        return MOST_SHOTS;
    }

    private Result result() {
        Map<String, int[]> shots = new LinkedHashMap<>();
        shots.put("learnt", sorted(learnt));
        byHand.forEach((rule, counts) -> shots.put(rule.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                sorted(counts)));
        return new Result(shots, sorted(untilYield), sorted(untilBoth), sorted(byHandBoth), times, yields, beyond);
    }

    private static int[] sorted(List<Integer> counts) {
        return counts.stream().mapToInt(Integer::intValue).sorted().toArray();
    }
}
