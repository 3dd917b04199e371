package org.grenu.core.thirdlab;

import java.util.List;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;

/**
 * A drawn shot with its truth, s on the log's axis.
 *
 * @param kind       what made the pressure
 * @param log        as it was written
 * @param pumpOn     when pressing began
 * @param pumpOff    when it ended
 * @param firstDrip  when 0.05 g were in the cup
 * @param beverage   in the cup when nothing falls any more, g
 * @param phases     where they begin
 * @param openTo     phases that may as well begin somewhere else
 * @param opened     when the bed broke open; NaN when it did not
 * @param lost       share of the resistance lost by that
 * @param seconds    of the resistance
 * @param resistance of the bed while it streams, bar·s/g
 */
public record ThirdShot(String kind, ShotLog log, double pumpOn, double pumpOff, double firstDrip, double beverage,
        List<PhaseBorder> phases, List<PhaseKind> openTo, double opened, double lost, double[] seconds,
        double[] resistance) {
}
