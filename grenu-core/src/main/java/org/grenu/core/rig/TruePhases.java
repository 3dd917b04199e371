package org.grenu.core.rig;

import java.util.List;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;

/**
 * Where the main phase truly began, from the pressure without noise: at 95 % of the height at which the ramp's rise
 * came
 * to its end, below 0.2 bar a second.
 */
final class TruePhases {

    private static final double STILL_RISING = 0.2;
    private static final double SLOPE_SECONDS = 0.3;
    private static final double REACHED = 0.95;

    private TruePhases() {
    }

    static void addMain(List<PhaseBorder> phases, double[] pressures, double step, double pumpOff) {
        int ramp = -1;
        for (int i = 0; i < phases.size(); i++) {
            ramp = phases.get(i).kind() == PhaseKind.RAMP ? i : ramp;
        }
        if (ramp < 0) {
            return;
        }
        double until = ramp + 1 < phases.size() ? phases.get(ramp + 1).seconds() : pumpOff;
        int from = (int) Math.ceil(phases.get(ramp).seconds() / step);
        int to = Math.min(pressures.length - 1, (int) Math.floor(until / step));
        int back = (int) Math.round(SLOPE_SECONDS / step);
        double highest = 0;
        for (int i = from; i <= to; i++) {
            highest = Math.max(highest, pressures[i]);
        }
        for (int i = from + back; i <= to; i++) {
            double slope = (pressures[i] - pressures[i - back]) / SLOPE_SECONDS;
            if (slope < STILL_RISING && pressures[i] > 0.6 * highest) {
                int reached = from;
                while (pressures[reached] < REACHED * pressures[i]) {
                    reached++;
                }
                phases.add(ramp + 1, new PhaseBorder(PhaseKind.MAIN, reached * step));
                return;
            }
        }
    }
}
