package org.grenu.core.rig;

import java.util.List;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.phase.PhaseBorder;

/**
 * A simulated shot with its truth.
 *
 * @param log      as the rig logged it
 * @param readings strength readings of the simulated refractometer, %; none when nothing came
 * @param zero     its zero check, %
 * @param truth    what only the simulator knows
 */
public record SimulatedShot(ShotLog log, List<Double> readings, double zero, Truth truth) {

    /**
     * What no analysis may look at, except to be judged.
     *
     * @param beverageGrams in the cup, g
     * @param solidsGrams dissolved in it, g
     * @param moments when what happened
     * @param waterPumped mL
     * @param waterInPuck mL
     * @param resistance of the bed at 10 Hz while the pump runs, pressure over what leaves it, bar·s/g; NaN until it
     * is wet
     * @param flaws what went wrong with the log
     */
    public record Truth(double beverageGrams, double solidsGrams, Moments moments, double waterPumped,
            double waterInPuck, UniformCurve resistance, List<LogFlaw> flaws) {

        /**
         * When what happened.
         *
         * @param firstDripSeconds when the first drop, 0.05 g, had reached the cup, s; NaN if none did
         * @param pumpOffSeconds when the pump stopped, s
         * @param channelSeconds when a channel opened, s; NaN if none did
         * @param phases where each phase began, in order
         */
        public record Moments(double firstDripSeconds, double pumpOffSeconds, double channelSeconds,
                List<PhaseBorder> phases) {
        }

        /** {@return when the first drop, 0.05 g, had reached the cup, s; NaN if none did} */
        public double firstDripSeconds() {
            return moments.firstDripSeconds;
        }

        /** {@return when the pump stopped, s} */
        public double pumpOffSeconds() {
            return moments.pumpOffSeconds;
        }

        /** {@return where each phase began, in order} */
        public List<PhaseBorder> phases() {
            return moments.phases;
        }

        /** {@return mass share of solids in the beverage, %; NaN when next to nothing came} */
        public double strengthPercent() {
            return beverageGrams < 1 ? Double.NaN : 100 * solidsGrams / beverageGrams;
        }

        /** {@return extraction yield as dosed, %} */
        public double yieldPercent(double doseGrams) {
            return 100 * solidsGrams / doseGrams;
        }
    }
}
