package org.grenu.core.learn;

import java.util.List;

/**
 * Chooses the next shot of a ladder: the setting on the grinder's own steps with the largest chance of the time that is
 * wanted, all else held; a repeat, a bracket or an end where those tell more (handbook §§9, 17). Never what the grinder
 * cannot be set to.
 *
 * @param belief of this coffee, the ladder's shots included
 */
public record DialIn(TimeBelief belief, GrinderRange range, TimeAim aim) {

    /** Once the time is met, a change that raises the chance by less is not worth its coffee (handbook §17). */
    private static final double LEAST_GAIN = Double.parseDouble(System.getProperty("gain", "0.02"));
    /** Below that, chances are those of a distribution's tails, which say nothing of where to go. */
    private static final double HOPELESS = 0.05;
    /** At the end of the range a chance below this is no aim to be met there. */
    private static final double HARDLY = 0.5;
    /** The difference of two shots by their spread alone stays below this, in spreads, 19 times in 20. */
    private static final double APART = 1.96 * Math.sqrt(2);

    /** {@return the next shot after those, the newest last; the first one when there are none} */
    public NextShot after(List<TimedShot> ladder, ShotInputs held) {
        ShotInputs now = ladder.isEmpty() ? held : held.at(last(ladder, 0).inputs().finer());
        double best = best(now);
        double gain = chance(held, best) - chance(now, now.finer());
        if (ladder.isEmpty()) {
            return change(held, best, NextShot.Why.LIKELIEST);
        }
        if (toldNothing(ladder)) {
            return repeat(now, NextShot.Why.TOLD_NOTHING);
        }
        if (toAndFro(ladder)) {
            double before = last(ladder, 1).inputs().finer();
            double between = range.onStep((now.finer() + before) / 2, now.finer());
            if (between != now.finer() && between != before) {
                return change(held, between, NextShot.Why.BETWEEN_THE_LAST_TWO);
            }
        }
        boolean met = aim.holds(last(ladder, 0).seconds());
        if (best != now.finer() && (!met || gain >= LEAST_GAIN)) {
            return atEnd(best) && chance(held, best) < HARDLY ? limit(held, best)
                    : change(held, best, NextShot.Why.LIKELIEST);
        }
        if (met) {
            return new NextShot.Enough(now.finer(), chance(now, now.finer()), Math.max(0, gain));
        }
        return atEnd(now.finer()) && chance(held, now.finer()) < HARDLY ? limit(held, now.finer())
                : repeat(now, NextShot.Why.LIKELIEST);
    }

    private static TimedShot last(List<TimedShot> ladder, int before) {
        return ladder.get(ladder.size() - 1 - before);
    }

    private double chance(ShotInputs held, double finer) {
        return belief.chance(held.at(finer), aim.low(), aim.high());
    }

    private NextShot change(ShotInputs held, double finer, NextShot.Why why) {
        return new NextShot.Change(finer, belief.shot(held.at(finer)), chance(held, finer), why);
    }

    private NextShot repeat(ShotInputs now, NextShot.Why why) {
        return new NextShot.Repeat(now.finer(), belief.shot(now), chance(now, now.finer()), why);
    }

    private NextShot limit(ShotInputs held, double finer) {
        return new NextShot.Limit(finer, belief.shot(held.at(finer)), chance(held, finer),
                range.finest() - finer < range.step());
    }

    private boolean atEnd(double finer) {
        return range.finest() - finer < range.step() - 1e-9 || finer - range.coarsest() < range.step() - 1e-9;
    }

    /** The likeliest setting; where far off all chances are next to nothing, the one nearest in time. */
    private double best(ShotInputs now) {
        double slope = belief.notch().location();
        double wanted = now.finer() + (Math.log(aim.middle()) - belief.fit(now).location()) / slope;
        double centre = slope > 0 ? range.onStep(wanted, now.finer()) : now.finer();
        double best = centre;
        for (int k = -3; k <= 3; k++) {
            double finer = range.onStep(centre + k * range.step(), now.finer());
            best = chance(now, finer) > chance(now, best) + 1e-12 ? finer : best;
        }
        return chance(now, best) < HOPELESS ? centre : best;
    }

    /** The last step went the other way than it should, by no more than the spread of a shot can make. */
    private boolean toldNothing(List<TimedShot> ladder) {
        if (ladder.size() < 2) {
            return false;
        }
        double moved = last(ladder, 0).inputs().finer() - last(ladder, 1).inputs().finer();
        double told = Math.log(last(ladder, 0).seconds() / last(ladder, 1).seconds());
        return moved * told < 0 && Math.abs(told) < APART * belief.spread() && !aim.holds(last(ladder, 0).seconds());
    }

    /** Finer, coarser, finer or the other way round. */
    private static boolean toAndFro(List<TimedShot> ladder) {
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
