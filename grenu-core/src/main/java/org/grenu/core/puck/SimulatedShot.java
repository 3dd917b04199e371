package org.grenu.core.puck;

import java.util.List;
import org.grenu.core.curve.ShotLog;

/**
 * A simulated shot with its truth.
 *
 * @param log              as the rig logged it
 * @param readings         strength readings of the simulated refractometer, %
 * @param zero             its zero check, %
 * @param beverageGrams    true mass in the cup, g
 * @param strengthPercent  true strength, %
 * @param firstDripSeconds when coffee truly left the puck, s; NaN if it never did
 * @param pumpOffSeconds   when the pump truly stopped, s
 */
public record SimulatedShot(ShotLog log, List<Double> readings, double zero, double beverageGrams,
                            double strengthPercent, double firstDripSeconds, double pumpOffSeconds) {
}
