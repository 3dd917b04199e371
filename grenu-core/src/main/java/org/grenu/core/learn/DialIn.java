package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Chooses the next shot of a ladder: the one thing whose move has the largest chance of meeting all that is wanted per
 * gram of coffee, all else held; a repeat, a bracket or an end where those tell more (handbook §§9, 17). Never what the
 * set-up cannot be set to.
 *
 * @param beliefs of this coffee, the ladder's shots included
 */
public record DialIn(Beliefs beliefs, Reach reach, Aim aim) {

    /** Once what is wanted is met, a change that raises the chance by less is not worth its coffee (handbook §17). */
    private static final double LEAST_GAIN = 0.02;
    /** Below that, chances are those of a distribution's tails, which say nothing of where to go. */
    private static final double HOPELESS = 0.05;
    /** At the end of the range a chance below this is no aim to be met there. */
    private static final double HARDLY = 0.5;
    /** The difference of two shots by their spread alone stays below this, in spreads, 19 times in 20. */
    private static final double APART = 1.96 * Math.sqrt(2);
    private static final int MOST_STEPS = 2;
    /** Two moves are looked at when together they raise the chance by a quarter over the best single one. */
    private static final double WORTH_TWO = 1.25;
    /** Chosen on both physics of DialInStudy. */
    private static final double NOT_MUCH_LESS = 0.5;
    private static final int AHEAD = 4;
    private static final int NOTCHES = 3;
    private static final int BETWEEN = 4;
    private static final int CORRECTIONS = 4;
    private static final double NEAR_ENOUGH = 0.15;

    /**
     * {@return the next shot after those; the first one when there are none}
     *
     * @param ladder how long its shots took, the newest last
     * @param held   what stays as it is but for what is moved; the newest shot's
     * @param met    whether the newest shot met what is wanted besides its time
     */
    public NextShot after(List<LearntShot> ladder, ShotInputs held, boolean met) {
        ShotInputs now = ladder.isEmpty() ? held : held.at(last(ladder, 0).inputs().finer());
        if (reach.left().isPresent() && reach.left().getAsDouble() < now.dose()) {
            return new NextShot.Limit(now, chance(now), NextShot.End.BAG, List.of());
        }
        ShotInputs ground = held.at(bestGrind(now));
        Optional<NextShot> beyond = met && !ladder.isEmpty() && aim.time().holds(last(ladder, 0).value())
                ? Optional.empty() : outOfReach(ladder, now, ground);
        if (beyond.isPresent()) {
            return beyond.get();
        }
        if (ladder.isEmpty()) {
            return change(Slope.GRIND, ground, NextShot.Why.LIKELIEST);
        }
        if (toldNothing(ladder)) {
            return new NextShot.Repeat(now, chance(now), NextShot.Why.TOLD_NOTHING);
        }
        Optional<NextShot> between = between(ladder, held, now);
        return between.orElseGet(() -> likeliest(now, ground, last(ladder, 0).value(), met));
    }

    private Optional<NextShot> between(List<LearntShot> ladder, ShotInputs held, ShotInputs now) {
        if (!toAndFro(ladder)) {
            return Optional.empty();
        }
        double before = last(ladder, 1).inputs().finer();
        double between = reach.grind().onStep((now.finer() + before) / 2, now.finer());
        return between != now.finer() && between != before
                ? Optional.of(change(Slope.GRIND, held.at(between), NextShot.Why.BETWEEN_THE_LAST_TWO))
                : Optional.empty();
    }

    private NextShot likeliest(ShotInputs now, ShotInputs ground, double seconds, boolean metBesides) {
        boolean met = metBesides && aim.time().holds(seconds);
        NextShot.Move best = best(now, ground);
        double gain = chance(best.inputs()) - chance(now);
        boolean moves = !best.inputs().equals(now);
        Optional<NextShot.Move> first = met || !beliefs.tellBeyondTime(aim) ? Optional.empty() : firstOfTwo(now, best);
        if (first.isPresent() && affordable(now, first.get().inputs())) {
            return change(first.get().lever(), first.get().inputs(), NextShot.Why.FIRST_OF_TWO);
        }
        if (moves && affordable(now, best.inputs()) && (!met || gain >= LEAST_GAIN)) {
            return best.lever() == Slope.GRIND && atEnd(best.inputs().finer()) && chance(best.inputs()) < HARDLY
                    ? limit(best.inputs())
                    : change(best.lever(), best.inputs(), NextShot.Why.LIKELIEST);
        }
        if (met) {
            return new NextShot.Enough(now, chance(now), Math.max(0, gain));
        }
        return atEnd(now.finer()) && chance(now) < HARDLY ? limit(now)
                : towards(now, seconds)
                        .orElseGet(() -> new NextShot.Repeat(now, chance(now), NextShot.Why.LIKELIEST));
    }

    /** Where nothing that can be set together has a chance worth a shot: what comes nearest. */
    private Optional<NextShot> outOfReach(List<LearntShot> ladder, ShotInputs now, ShotInputs ground) {
        // What is extracted far off the time that is wanted tells little of what would be at it.
        boolean near = ladder.stream()
                .anyMatch(shot -> Math.abs(Math.log(shot.value() / aim.time().middle())) < NEAR_ENOUGH);
        Aim judged = near ? aim : Aim.ofTime(aim.time());
        if (chance(ground) >= HOPELESS || chance(now) >= HOPELESS || beliefs.mayMeet(ground, judged)) {
            return Optional.empty();
        }
        List<ShotInputs> all = List.of(now);
        for (Map.Entry<Slope, SettingRange> other : reach.others().entrySet()) {
            if (other.getKey() != Slope.TEMPERATURE || beliefs.tellBeyondTime(aim)) {
                all = all.stream().flatMap(one -> settings(one, other.getKey(), other.getValue()).stream()).toList();
            }
        }
        ShotInputs nearest = now;
        double most = 0;
        for (ShotInputs one : all) {
            ShotInputs there = one.at(bestGrind(one));
            double chance = chance(there);
            if (chance >= HOPELESS || beliefs.mayMeet(there, judged)) {
                return Optional.empty();
            }
            nearest = chance > most ? there : nearest;
            most = Math.max(most, chance);
        }
        return Optional.of(new NextShot.Limit(nearest, most, NextShot.End.TARGET, List.of()));
    }

    /** Where it is, the ends, and between them. */
    private static List<ShotInputs> settings(ShotInputs now, Slope lever, SettingRange range) {
        List<ShotInputs> settings = new ArrayList<>(List.of(now));
        for (int i = 0; i <= BETWEEN; i++) {
            settings.add(now.with(lever, range.low() + i * (range.high() - range.low()) / BETWEEN));
        }
        return settings;
    }

    /**
     * After a miss, a step of the grinder towards what is wanted, where that is not much less likely than a repeat:
     * that the line itself may be wrong is in no chance, and a step finds it out.
     */
    private Optional<NextShot> towards(ShotInputs now, double seconds) {
        if (aim.time().holds(seconds)) {
            return likeliestMove(now);
        }
        double way = Math.signum(Math.log(aim.time().middle() / seconds));
        ShotInputs there = now.at(reach.grind().onStep(now.finer() + way * reach.grind().step(), now.finer()));
        boolean possible = there.finer() != now.finer() && affordable(now, there);
        return possible && chance(there) >= NOT_MUCH_LESS * chance(now)
                ? Optional.of(change(Slope.GRIND, there, NextShot.Why.TOWARDS_THE_AIM)) : Optional.empty();
    }

    /** Where the time is met and the rest is not: the likeliest move of any lever, on the same terms. */
    private Optional<NextShot> likeliestMove(ShotInputs now) {
        return moves(now, MOST_STEPS).stream()
                .filter(move -> affordable(now, move.inputs()))
                .max(Comparator.comparingDouble(move -> chance(move.inputs())))
                .filter(move -> chance(move.inputs()) >= NOT_MUCH_LESS * chance(now))
                .map(move -> change(move.lever(), move.inputs(), NextShot.Why.TOWARDS_THE_AIM));
    }

    private static LearntShot last(List<LearntShot> ladder, int before) {
        return ladder.get(ladder.size() - 1 - before);
    }

    private double chance(ShotInputs inputs) {
        return beliefs.chance(inputs, aim);
    }

    private NextShot change(Slope lever, ShotInputs inputs, NextShot.Why why) {
        return new NextShot.Change(lever, inputs, chance(inputs), why);
    }

    private NextShot limit(ShotInputs there) {
        boolean finest = reach.grind().finest() - there.finer() < reach.grind().step();
        return new NextShot.Limit(there, chance(there), finest ? NextShot.End.FINEST : NextShot.End.COARSEST,
                couldMove(there));
    }

    /** The best move of each lever but the grind, where it helps. */
    private List<NextShot.Move> couldMove(ShotInputs there) {
        Map<Slope, NextShot.Move> best = new EnumMap<>(Slope.class);
        for (NextShot.Move move : moves(there, AHEAD)) {
            NextShot.Move told = new NextShot.Move(move.lever(), move.inputs(), chance(move.inputs()));
            if (move.lever() != Slope.GRIND && told.chance() > chance(there) + LEAST_GAIN) {
                best.merge(move.lever(), told, (one, other) -> one.chance() >= other.chance() ? one : other);
            }
        }
        return best.values().stream().sorted(Comparator.comparingDouble(NextShot.Move::chance).reversed()).toList();
    }

    private boolean atEnd(double finer) {
        GrinderRange range = reach.grind();
        return range.finest() - finer < range.step() - 1e-9 || finer - range.coarsest() < range.step() - 1e-9;
    }

    private boolean affordable(ShotInputs now, ShotInputs next) {
        return reach.left().isEmpty() || reach.left().getAsDouble() >= reach.cost(now, next);
    }

    /**
     * Time alone is a matter of the grind, and so is a coffee of which nothing else was measured yet; where more is
     * wanted and known, whatever gets there for the least coffee.
     */
    private NextShot.Move best(ShotInputs now, ShotInputs ground) {
        NextShot.Move best = new NextShot.Move(Slope.GRIND, ground, chance(ground));
        if (!beliefs.tellBeyondTime(aim)) {
            return best;
        }
        for (NextShot.Move move : moves(now, MOST_STEPS)) {
            best = worth(now, move) > worth(now, best) ? move : best;
        }
        return best;
    }

    /** Where no single move gets there, the first of two that would together: one thing a shot all the same. */
    private Optional<NextShot.Move> firstOfTwo(ShotInputs now, NextShot.Move single) {
        double least = Math.max(score(now), score(single.inputs()));
        NextShot.Move first = null;
        double together = least > 0 ? WORTH_TWO * least : least;
        for (NextShot.Move one : moves(now, AHEAD)) {
            for (NextShot.Move two : moves(one.inputs(), AHEAD)) {
                if (two.lever().compareTo(one.lever()) > 0 && score(two.inputs()) > together) {
                    together = score(two.inputs());
                    NextShot.Move other = new NextShot.Move(two.lever(),
                            now.with(two.lever(), two.inputs().setting(two.lever())), 0);
                    // The one that gets nearer by itself: the other way round they would take each other back.
                    first = score(one.inputs()) >= score(other.inputs()) ? one : other;
                }
            }
        }
        return Optional.ofNullable(first);
    }

    private double worth(ShotInputs now, NextShot.Move move) {
        double score = score(move.inputs());
        return score > 0 ? score / reach.cost(now, move.inputs()) : score;
    }

    /** The chance; below what is worth comparing, how far off the middle is, as a negative number. */
    private double score(ShotInputs inputs) {
        double chance = chance(inputs);
        return chance >= HOPELESS ? chance : -beliefs.off(inputs, aim);
    }

    /** What one lever could be moved to, the grind first. */
    private List<NextShot.Move> moves(ShotInputs now, int steps) {
        List<NextShot.Move> moves = new ArrayList<>();
        double centre = reach.grind().onStep(centre(now), now.finer());
        for (int k = -NOTCHES; k <= NOTCHES; k++) {
            for (double from : new double[] {centre, now.finer()}) {
                double finer = reach.grind().onStep(from + k * reach.grind().step(), now.finer());
                if (finer != now.finer()) {
                    moves.add(new NextShot.Move(Slope.GRIND, now.at(finer), 0));
                }
            }
        }
        reach.others().forEach((lever, range) -> {
            for (int k = -steps; k <= steps; k++) {
                double setting = now.setting(lever) + k * range.step();
                if (k != 0 && range.holds(setting)) {
                    moves.add(new NextShot.Move(lever, now.with(lever, setting), 0));
                }
            }
        });
        return moves;
    }

    /** Where the middle of the time is as wanted: the line bends, so that it takes a few steps to get there. */
    private double centre(ShotInputs now) {
        double slope = beliefs.time().slope(Slope.GRIND).location();
        if (!(slope > 0)) {
            return now.finer();
        }
        double finer = now.finer();
        for (int i = 0; i < CORRECTIONS; i++) {
            double late = Math.log(aim.time().middle()) - beliefs.time().fit(now.at(finer)).centre();
            finer = Math.max(reach.grind().coarsest(), Math.min(reach.grind().finest(), finer + late / slope));
        }
        return finer;
    }

    /** The likeliest setting; where far off all chances are next to nothing, the one nearest in time. */
    private double bestGrind(ShotInputs now) {
        GrinderRange range = reach.grind();
        double centre = range.onStep(centre(now), now.finer());
        double best = centre;
        for (int k = -3; k <= 3; k++) {
            double finer = range.onStep(centre + k * range.step(), now.finer());
            best = chance(now.at(finer)) > chance(now.at(best)) + 1e-12 ? finer : best;
        }
        return chance(now.at(best)) < HOPELESS ? centre : best;
    }

    /** The last step went the other way than it should, by no more than the spread of a shot can make. */
    private boolean toldNothing(List<LearntShot> ladder) {
        if (ladder.size() < 2) {
            return false;
        }
        double moved = last(ladder, 0).inputs().finer() - last(ladder, 1).inputs().finer();
        double told = Math.log(last(ladder, 0).value() / last(ladder, 1).value());
        return moved * told < 0 && Math.abs(told) < APART * beliefs.time().spread()
                && !aim.time().holds(last(ladder, 0).value());
    }

    /** Finer, coarser, finer or the other way round. */
    private static boolean toAndFro(List<LearntShot> ladder) {
        if (ladder.size() < 4) {
            return false;
        }
        double[] moved = new double[3];
        for (int i = 0; i < 3; i++) {
            moved[i] = last(ladder, i).inputs().finer() - last(ladder, i + 1).inputs().finer();
        }
        return moved[0] * moved[1] < 0 && moved[1] * moved[2] < 0;
    }
}
