package org.grenu.core.rig;

/**
 * The constants of a simulated machine: a vibration pump with a relief valve.
 *
 * @param freeFlow      what the pump gives against no pressure, mL/s (common practice: about 7)
 * @param stallBar      pressure at which it gives nothing, bar
 * @param reliefBar     pressure at which the relief valve opens, bar
 * @param headspace     volume above an 18 g bed that fills before pressure can build, mL
 * @param compliance    volume that group and hoses take up, mL/bar
 * @param controlSeconds how fast the controller closes in on a pressure, s
 */
record MachineSettings(double freeFlow, double stallBar, double reliefBar, double headspace, double compliance,
        double controlSeconds) {

    /** The profiling pump of the demo laboratory. */
    static final MachineSettings RIG_1 = new MachineSettings(7.2, 14, 11, 13, 0.7, 0.35);

    /** {@return the most that the pump gives against that pressure, mL/s} */
    double most(double bar) {
        return freeFlow * StrictMath.sqrt(Math.max(0, 1 - bar / stallBar));
    }
}
