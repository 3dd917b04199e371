package org.grenu.core.otherlab;

import java.util.List;
import java.util.Set;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;

/**
 * A shot of the other laboratory with its truth, s on the log's axis.
 *
 * @param machine      what kind of machine pulled it
 * @param log          as it was written
 * @param flaws        repairs that are right for it
 * @param pumpOn       when the pump began
 * @param pumpOff      when it stopped
 * @param firstDrip    when 0.05 g had fallen into the cup; NaN when nothing did
 * @param beverage     in the cup when nothing falls any more, g
 * @param phases       where they begin
 * @param openTo       phases that may as well begin somewhere else and are not judged
 * @param opened       when the bed broke open; NaN when it did not
 * @param lost         share of the resistance lost by that
 * @param seconds      times of the true resistance
 * @param resistance   of the bed while it streams, bar·s/g
 */
public record OtherShot(String machine, ShotLog log, Set<RepairKind> flaws, double pumpOn, double pumpOff,
        double firstDrip, double beverage,
        List<PhaseBorder> phases, List<PhaseKind> openTo, double opened, double lost,
        double[] seconds, double[] resistance) {
}
