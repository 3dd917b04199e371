package org.grenu.core.rig;

/**
 * How finely a shot is reckoned.
 *
 * @param layers of the bed
 * @param step   in time, s, a whole part of the log's
 */
record SimulationGrid(int layers, double step) {

    /** First drip and stop within 0.05 s of the finest grid's. */
    static final SimulationGrid SHOT = new SimulationGrid(30, 0.02);
    static final SimulationGrid PREVIEW = new SimulationGrid(8, 0.1);
}
