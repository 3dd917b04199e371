package org.grenu.core.demo.dialin;

import java.util.List;
import org.grenu.core.learn.LearntShot;

/** Careful rules that people dial in by without a computer (common practice, no source). */
enum HandRule {

    /** So many seconds a notch. */
    SECONDS_A_NOTCH {
        @Override
        double next(List<LearntShot> shots, double wanted) {
            LearntShot last = shots.get(shots.size() - 1);
            return last.inputs().finer() + atLeastOne((wanted - last.value()) / SECONDS);
        }
    },
    /** Four notches at a time until the time lies between two shots, then half way between the nearest two. */
    HALVING {
        @Override
        double next(List<LearntShot> shots, double wanted) {
            double tooFast = Double.NEGATIVE_INFINITY;
            double tooSlow = Double.POSITIVE_INFINITY;
            for (LearntShot shot : shots) {
                if (shot.value() < wanted) {
                    tooFast = Math.max(tooFast, shot.inputs().finer());
                } else {
                    tooSlow = Math.min(tooSlow, shot.inputs().finer());
                }
            }
            return Double.isInfinite(tooFast) ? tooSlow - STRIDE
                    : Double.isInfinite(tooSlow) ? tooFast + STRIDE : Math.rint((tooFast + tooSlow) / 2);
        }
    },
    /** A line through the last two shots that differ. */
    TWO_POINTS {
        @Override
        double next(List<LearntShot> shots, double wanted) {
            LearntShot last = shots.get(shots.size() - 1);
            for (int i = shots.size() - 2; i >= 0; i--) {
                double moved = last.inputs().finer() - shots.get(i).inputs().finer();
                double slope = (last.value() - shots.get(i).value()) / moved;
                if (moved != 0 && slope > LEAST_SLOPE) {
                    double far = Math.max(-MOST, Math.min(MOST, (wanted - last.value()) / slope));
                    return last.inputs().finer() + atLeastOne(far);
                }
            }
            return SECONDS_A_NOTCH.next(shots, wanted);
        }
    };

    private static final double SECONDS = 3.5;
    private static final double STRIDE = 4;
    private static final double LEAST_SLOPE = 0.3;
    private static final double MOST = 8;

    /** {@return where to set the grinder after those shots, none of which was near enough} */
    abstract double next(List<LearntShot> shots, double wanted);

    /** Who is not there yet moves. */
    private static double atLeastOne(double notches) {
        double whole = Math.rint(notches);
        return whole == 0 ? Math.signum(notches) : whole;
    }
}
