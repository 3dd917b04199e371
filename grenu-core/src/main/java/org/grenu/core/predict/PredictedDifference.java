package org.grenu.core.predict;

import org.grenu.core.predict.ProfilePrediction.Numbers;
import org.grenu.core.predict.ProfilePrediction.Spread;

/**
 * What one shot by a profile is predicted to differ from one by another, both on the same puck.
 *
 * @param yield     points
 * @param time      s
 * @param firstDrip s
 */
public record PredictedDifference(Change yield, Change time, Change firstDrip) {

    /**
     * One number's difference.
     *
     * @param by   later less earlier
     * @param half half the width that holds 95 % of such differences; 0 where neither has bands
     */
    public record Change(double by, double half) {

        static Change of(Spread now, Spread before) {
            return new Change(now.middle() - before.middle(), Math.hypot(now.half(), before.half()));
        }

        /** {@return whether one shot of each is expected to show which way it goes} */
        public boolean told() {
            return half > 0 && Math.abs(by) > half;
        }
    }

    /** {@return what the first is predicted to differ from the second} */
    public static PredictedDifference of(Numbers now, Numbers before) {
        return new PredictedDifference(Change.of(now.yield(), before.yield()), Change.of(now.time(), before.time()),
                Change.of(now.firstDrip(), before.firstDrip()));
    }
}
