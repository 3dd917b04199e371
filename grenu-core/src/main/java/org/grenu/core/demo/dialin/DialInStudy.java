package org.grenu.core.demo.dialin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.Beliefs;
import org.grenu.core.learn.DialIn;
import org.grenu.core.learn.GrinderRange;
import org.grenu.core.learn.LearntShot;
import org.grenu.core.learn.NextShot;
import org.grenu.core.learn.Practice;
import org.grenu.core.learn.Reach;
import org.grenu.core.learn.ResponseBelief;
import org.grenu.core.learn.ResponsePrior;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * How many shots it takes until the time is met within two seconds, from starts up to six notches off: proposals that
 * are learnt from the log against rules kept by hand, on the same coffees. Ten coffees follow each other on a grinder,
 * of which the later ones begin with what the earlier ones taught; the rules by hand learn nothing from them.
 */
public final class DialInStudy {

    /** The time that is wanted, s. */
    public static final double WANTED = Recipe.SECONDS;
    /** How near it counts, on either side, s. */
    public static final double NEAR = Recipe.NEAR;
    /** A coffee that is not there by then counts as that many. */
    public static final int MOST_SHOTS = 15;
    private static final int OFF = 6;
    private static final int COFFEES_A_GRINDER = 10;
    private static final ShotInputs HELD = UnknownCoffee.USUAL;

    /**
     * What came of it.
     *
     * @param shots      until near, the first one counted, by way: sorted; the most that were tried where it never was
     * @param untilYield likewise until the extraction yield was as wanted, by the proposals for the time alone
     * @param untilBoth  likewise until one shot had both, by proposals for both: by grind, dose and beverage mass; of
     *                   the coffees that can meet both
     * @param byHandBoth likewise by hand
     * @param coffees    of how many
     * @param timeHeld   how often the interval of the time held, where the time alone is wanted
     * @param yieldHeld  likewise of the extraction yield, where both are wanted
     * @param time       what chances of the time came to
     * @param both       what chances of both came to
     * @param beyond     proposals that the grinder cannot be set to
     * @param toldRightly coffees of which it was told that both are out of reach, and they are
     * @param toldWrongly and they are not
     */
    public record Result(Map<String, int[]> shots, int[] untilYield, int[] untilBoth, int[] byHandBoth, int coffees,
            Held timeHeld, Held yieldHeld, Reliability time, Reliability both, int beyond, int toldRightly,
            int toldWrongly) {

        /** {@return so many shots or fewer in that share of the coffees} */
        public int quantile(String way, double share) {
            return quantile(shots.get(way), share);
        }

        /** {@return likewise of sorted counts} */
        public static int quantile(int[] sorted, double share) {
            return sorted[(int) Math.ceil(share * sorted.length) - 1];
        }
    }

    private final RandomGenerator random;
    private final Physics physics;
    private final List<Integer> learnt = new ArrayList<>();
    private final List<Integer> untilYield = new ArrayList<>();
    private final List<Integer> untilBoth = new ArrayList<>();
    private final List<Integer> byHandBoth = new ArrayList<>();
    private final Map<HandRule, List<Integer>> byHand = new EnumMap<>(HandRule.class);
    private final List<Reliability.Stated> ofTime = new ArrayList<>();
    private final List<Reliability.Stated> ofBoth = new ArrayList<>();
    private Held timeHeld = new Held();
    private Held yieldHeld = new Held();
    private int beyond;
    /** Told to be out of reach: those that are, those that are not. */
    private final int[] told = new int[2];

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
        return study.result(coffees);
    }

    /** What the coffees before on a grinder taught. */
    private record Taught(ResponsePrior time, ResponsePrior both, ResponsePrior yield) {

        static final Taught NOTHING = new Taught(Practice.TIME.prior(), Practice.TIME.prior(),
                Practice.EXTRACTION.prior());
    }

    private Taught dialIn(Taught taught, double grinder) {
        long seed = random.nextLong();
        Supplier<UnknownCoffee> again = () -> physics.coffee(new Well19937c(seed), grinder);
        double right = right(again.get());
        double start = Math.rint(right) + random.nextInt(2 * OFF + 1) - OFF;
        // Stops of the grinder lie so that the right setting can be reached.
        GrinderRange range = new GrinderRange(Math.min(start, Math.floor(right)) - 2 - random.nextInt(8),
                Math.max(start, Math.ceil(right)) + 2 + random.nextInt(8), 1);
        for (HandRule rule : HandRule.values()) {
            byHand.get(rule).add(byHand(again.get(), rule, start, range));
        }
        boolean counts = Recipe.reachable(again.get(), start, range);
        if (counts) {
            byHandBoth.add(byHandBoth(again.get(), start, range));
        }
        ResponsePrior time = learnt(again.get(), taught.time, start, range);
        return both(again.get(), new Taught(time, taught.both, taught.yield), start, range, counts);
    }

    /** Where a shot takes the time that is wanted, by halving. */
    private static double right(UnknownCoffee coffee) {
        double low = -12;
        double high = 12;
        for (int i = 0; i < 12; i++) {
            double middle = (low + high) / 2;
            if (coffee.expected(HELD.at(middle)).seconds() < WANTED) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static int byHand(UnknownCoffee coffee, HandRule rule, double start, GrinderRange range) {
        List<LearntShot> shots = new ArrayList<>();
        double finer = start;
        for (int pulled = 1; pulled < MOST_SHOTS; pulled++) {
            double seconds = coffee.pull(HELD.at(finer)).seconds();
            if (Recipe.TIME.holds(seconds)) {
                return pulled;
            }
            shots.add(new LearntShot(HELD.at(finer), seconds));
            finer = within(range, rule.next(shots, WANTED));
        }
        return MOST_SHOTS;
    }

    private static double within(GrinderRange range, double finer) {
        return Math.max(Math.ceil(range.coarsest()), Math.min(Math.floor(range.finest()), finer));
    }

    private ResponsePrior learnt(UnknownCoffee coffee, ResponsePrior prior, double start, GrinderRange range) {
        Aim aim = Aim.ofTime(Recipe.TIME);
        List<LearntShot> shots = new ArrayList<>();
        ResponseBelief belief = ResponseBelief.before(prior, HELD.at(start), WANTED);
        double finer = start;
        double before = start;
        int yielded = MOST_SHOTS;
        int pulled = 0;
        boolean met = false;
        while (!met && ++pulled < MOST_SHOTS) {
            UnknownCoffee.Pulled shot = coffee.pull(HELD.at(finer));
            met = Recipe.TIME.holds(shot.seconds());
            if (pulled > 1) {
                timeHeld = timeHeld.and(pulled, belief.shot(HELD.at(finer).keeping(before)), shot.seconds());
                ofTime.add(
                        new Reliability.Stated(belief.shot(HELD.at(finer).keeping(before)).chance(Recipe.TIME), met));
            }
            yielded = Recipe.YIELD.holds(shot.yield()) ? Math.min(yielded, pulled) : yielded;
            shots.add(new LearntShot(HELD.at(finer).keeping(before), shot.seconds()));
            before = finer;
            belief = ResponseBelief.before(prior, HELD.at(finer), WANTED).givenNear(WANTED, shots);
            finer = new DialIn(Beliefs.ofTime(belief), Reach.of(range), aim).after(shots, HELD.keeping(before), true)
                    .finer();
            beyond += range.holds(finer) ? 0 : 1;
        }
        learnt.add(pulled);
        untilYield.add(yielded);
        return belief.forNextCoffee();
    }

    /** Both at once: by grind, dose and beverage mass, one of them at a time. */
    private Taught both(UnknownCoffee coffee, Taught taught, double start, GrinderRange range, boolean counts) {
        Aim aim = Recipe.both();
        Reach reach = Recipe.reach(range);
        ResponseBelief time = ResponseBelief.before(taught.both, HELD.at(start), WANTED);
        ResponseBelief yield = ResponseBelief.before(taught.yield, HELD.at(start), Recipe.YIELD.middle());
        List<LearntShot> timed = new ArrayList<>();
        List<LearntShot> read = new ArrayList<>();
        Beliefs beliefs = new Beliefs(time, Optional.empty(), Optional.of(yield), Map.of());
        ShotInputs set = HELD.at(start);
        int pulled = 0;
        boolean met = false;
        boolean toldBeyond = false;
        while (!met && !toldBeyond && ++pulled < MOST_SHOTS) {
            UnknownCoffee.Pulled shot = coffee.pull(set);
            met = Recipe.meets(shot);
            if (pulled > 1) {
                yieldHeld = yieldHeld.and(pulled, beliefs.yield().orElseThrow().shot(set), shot.yield());
                ofBoth.add(new Reliability.Stated(beliefs.chance(set, aim), met));
            }
            timed.add(new LearntShot(set, shot.seconds()));
            read.add(new LearntShot(set, shot.yield()).near(Practice.EXTRACTION, shot.seconds(), WANTED));
            time = ResponseBelief.before(taught.both, set, WANTED).givenNear(WANTED, timed);
            yield = ResponseBelief.before(taught.yield, set, Recipe.YIELD.middle()).given(read);
            beliefs = new Beliefs(time, Optional.empty(), Optional.of(yield), Map.of());
            NextShot next = new DialIn(beliefs, reach, aim).after(timed, set.keeping(set.finer()),
                    Recipe.YIELD.holds(shot.yield()));
            toldBeyond = next instanceof NextShot.Limit limit && limit.end() == NextShot.End.TARGET;
            set = next.inputs();
            beyond += range.holds(set.finer()) ? 0 : 1;
        }
        told[counts ? 1 : 0] += toldBeyond && !met ? 1 : 0;
        if (counts) {
            untilBoth.add(met ? pulled : MOST_SHOTS);
        }
        return new Taught(taught.time, beliefs.time().forNextCoffee(), beliefs.yield().orElseThrow().forNextCoffee());
    }

    /** Seconds a notch; where the time is met the cup and then the dose, which is ground for anew. */
    private static int byHandBoth(UnknownCoffee coffee, double start, GrinderRange range) {
        ShotInputs set = HELD.at(start);
        List<LearntShot> shots = new ArrayList<>();
        for (int pulled = 1; pulled < MOST_SHOTS; pulled++) {
            UnknownCoffee.Pulled shot = coffee.pull(set);
            if (Recipe.meets(shot)) {
                return pulled;
            }
            if (Recipe.TIME.holds(shot.seconds())) {
                double more = shot.yield() < Recipe.YIELD.low() ? 1 : -1;
                double cup = set.beverage() + more * Recipe.BEVERAGE_STEP;
                double dose = set.dose() - more * Recipe.DOSE_STEP;
                set = Recipe.BEVERAGE.holds(cup) ? set.with(Slope.BEVERAGE, cup)
                        : Recipe.DOSE.holds(dose) ? set.with(Slope.DOSE, dose) : set;
            } else {
                shots.add(new LearntShot(set, shot.seconds()));
                set = set.at(within(range, HandRule.SECONDS_A_NOTCH.next(shots, WANTED)));
            }
        }
        return MOST_SHOTS;
    }

    private Result result(int coffees) {
        Map<String, int[]> shots = new LinkedHashMap<>();
        shots.put("learnt", sorted(learnt));
        byHand.forEach((rule, counts) -> shots.put(rule.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                sorted(counts)));
        return new Result(shots, sorted(untilYield), sorted(untilBoth), sorted(byHandBoth), coffees, timeHeld,
                yieldHeld, new Reliability(ofTime), new Reliability(ofBoth), beyond, told[0], told[1]);
    }

    private static int[] sorted(List<Integer> counts) {
        return counts.stream().mapToInt(Integer::intValue).sorted().toArray();
    }
}
