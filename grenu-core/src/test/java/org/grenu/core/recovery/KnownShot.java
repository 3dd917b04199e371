package org.grenu.core.recovery;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.numbers.StraightLine;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;

/**
 * A log and its truth, s on the log's axis.
 *
 * @param kind       of machine or profile
 * @param log        what the analysis may see
 * @param flaws      repairs that are right
 * @param timedOut   whether the scale switched itself off, so that the beverage cannot be known
 * @param pumpOn     when the pump began
 * @param pumpOff    when it stopped
 * @param firstDrip  when 0.05 g were in the cup
 * @param beverage   in the cup when nothing falls any more, g
 * @param phases     where they begin
 * @param openTo     phases that may as well begin elsewhere
 * @param opened     when the bed broke open; NaN when it did not
 * @param lost       share of the resistance lost by that
 * @param seconds    of the true resistance
 * @param resistance of the bed while it streams; NaN before
 */
record KnownShot(String kind, ShotLog log, Set<RepairKind> flaws, boolean timedOut, double pumpOn, double pumpOff,
        double firstDrip, double beverage, List<PhaseBorder> phases, List<PhaseKind> openTo, double opened, double lost,
        double[] seconds, double[] resistance) {

    /** {@return whether the log goes on after the stop, so that it can show it} */
    boolean showsStop() {
        return log.time().get(log.size() - 1) > pumpOff + 0.7;
    }

    boolean broken() {
        return lost > 0 && Double.isFinite(opened);
    }

    boolean sound() {
        return flaws.isEmpty();
    }

    /** {@return the same shot, its log written no longer than that} */
    KnownShot until(double end) {
        double[] time = log.time().toArray();
        int n = (int) Arrays.stream(time).filter(t -> t <= end).count();
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        log.channels().forEach((c, s) -> channels.put(c, Samples.of(Arrays.copyOf(s.toArray(), n))));
        return new KnownShot(kind, new ShotLog(Samples.of(Arrays.copyOf(time, n)), channels), flaws, timedOut, pumpOn,
                pumpOff, firstDrip, beverage, phases, openTo, opened, lost, seconds, resistance);
    }

    /** {@return the index of the largest true resistance; −1 when it never streamed} */
    int peak() {
        int top = -1;
        for (int i = 0; i < resistance.length; i++) {
            if (Double.isFinite(resistance[i]) && seconds[i] < pumpOff
                    && (top < 0 || resistance[i] > resistance[top])) {
                top = i;
            }
        }
        return top;
    }

    /** {@return how fast the true resistance falls from its peak to the stop, % per second; NaN in under 4 s} */
    double erosion() {
        int from = peak();
        if (from < 0 || !(pumpOff - seconds[from] > 4.5)) {
            return Double.NaN;
        }
        StraightLine line = new StraightLine();
        for (int i = from; i < resistance.length && seconds[i] < pumpOff; i++) {
            line.add(seconds[i] - seconds[from], Math.log(resistance[i]));
        }
        return -100 * line.slope();
    }
}
