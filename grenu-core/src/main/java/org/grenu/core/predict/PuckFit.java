package org.grenu.core.predict;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.profile.Profile;
import org.grenu.core.puck.Puck;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;

/**
 * A puck of the simulator that behaves like a coffee's shots: its grind is set so that the profile they were pulled by
 * takes as long, its soluble share so that as much is extracted. Two numbers fitted to two numbers: how the shots by
 * other profiles go is the simulator's word.
 *
 * @param puck        in the basket
 * @param beverage    in the cup, g
 * @param timeSpread  of a shot, as a share of its time
 * @param yieldSpread of a shot, points
 * @param shots       that it was fitted to; 0 where it is the simulator's own coffee
 */
public record PuckFit(Puck puck, double beverage, double timeSpread, double yieldSpread, int shots) {

    private static final double FINEST = 0.2;
    private static final double COARSEST = 6;
    private static final double USUAL_GRIND = 2.4;
    private static final double LONGEST_SECONDS = 150;
    private static final double USUAL_TIME_SPREAD = 0.035;
    private static final double USUAL_YIELD_SPREAD = 0.35;
    /** What still drips out when the pump stops, g; each simulated shot is stopped that much before its target. */
    private static final double STILL_TO_COME = 2.3;
    private static final int HALVINGS = 14;

    /**
     * What the coffee's shots came to.
     *
     * @param profile     that they were pulled by
     * @param seconds     how long they take, s
     * @param timeSpread  of a shot, as a share of its time
     * @param yield       %, as dosed; empty where none was read
     * @param yieldSpread of a shot, points
     * @param shots       how many
     */
    public record Known(Profile profile, double seconds, double timeSpread, OptionalDouble yield, double yieldSpread,
            int shots) {
    }

    /** {@return the simulator's own coffee, where nothing is known of the real one} */
    public static PuckFit usual(double dose, double beverage, double celsius, double days) {
        return new PuckFit(new Puck(SimulatedCoffee.REFERENCE, days, dose, USUAL_GRIND, celsius), beverage,
                USUAL_TIME_SPREAD, USUAL_YIELD_SPREAD, 0);
    }

    /** {@return the same puck made to behave like those shots, as near as the simulator can} */
    public PuckFit like(Known known) {
        double grind = halved(FINEST, COARSEST,
                at -> known.seconds - truth(known.profile, ground(at)).pumpOffSeconds());
        PuckFit timed = new PuckFit(ground(grind), beverage, known.timeSpread, known.yieldSpread, known.shots);
        if (known.yield.isEmpty()) {
            return timed;
        }
        double share = halved(0.12, 0.4, at -> timed.truth(known.profile, timed.dissolving(at))
                .yieldPercent(puck.doseGrams()) - known.yield.getAsDouble());
        return new PuckFit(timed.dissolving(share), beverage, known.timeSpread, known.yieldSpread, known.shots);
    }

    private Puck ground(double grind) {
        return new Puck(puck.coffee(), puck.ageDays(), puck.doseGrams(), grind, puck.celsius());
    }

    private Puck dissolving(double share) {
        return puck.of(new SimulatedCoffee(share, puck.coffee().drag(), puck.coffee().hardness()));
    }

    /** Where that, which rises, is nought; the nearer end where it is nowhere. */
    private static double halved(double low, double high, DoubleUnaryOperator rising) {
        double from = low;
        double to = high;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (from + to) / 2;
            if (rising.applyAsDouble(middle) > 0) {
                to = middle;
            } else {
                from = middle;
            }
        }
        return (from + to) / 2;
    }

    private SimulatedShot.Truth truth(Profile profile, Puck of) {
        return pull(profile, of, 1, true).truth();
    }

    /** {@return the log of a middling shot of it by that profile} */
    public ShotLog log(Profile profile) {
        return pull(profile, puck, 1, false).log();
    }

    /**
     * {@return one shot of it by that profile}
     *
     * @param drag   of this one puck, of that of others
     * @param coarse whether it is reckoned coarsely, for what is shown while something is dragged
     */
    SimulatedShot pull(Profile profile, double drag, long seed, boolean coarse) {
        SimulatedCoffee coffee = puck.coffee();
        return pull(profile, puck.of(new SimulatedCoffee(coffee.solubleShare(), coffee.drag() * drag,
                coffee.hardness())), seed, coarse);
    }

    private SimulatedShot pull(Profile profile, Puck of, long seed, boolean coarse) {
        SimulatedRig rig = new SimulatedRig(seed).loggingSteps();
        return (coarse ? rig.previewing() : rig).pull(
                new RigRecipe(of, profile, Math.max(1, beverage - STILL_TO_COME), LONGEST_SECONDS), List.of());
    }
}
