package org.grenu.core.puck;

/**
 * The two grain families of ground coffee and how they follow the grinder's setting. The sizes are plausible, not
 * measured on any grinder; the structure (fines and coarse grains, solids near the surface and in the core) follows
 * published espresso models: Moroney et al. 2015, Cameron et al. 2020 (from memory).
 *
 * @param finesShare     mass share of fines, in (0, 1)
 * @param finesDiameter  µm
 * @param coarseDiameter µm
 */
record Grains(double finesShare, double finesDiameter, double coarseDiameter) {

    /** The setting that the other numbers are given at. */
    static final double REFERENCE_SETTING = 2.4;
    /** One notch of the simulated grinder's dial. */
    static final double NOTCH = 0.2;
    /** Solids within this depth of a grain's surface dissolve at once, since grinding has opened the cells there. */
    private static final double OPENED_MICROMETRES = 42;

    /** {@return the grains at that setting; lower is finer} */
    static Grains at(double setting) {
        double coarser = setting - REFERENCE_SETTING;
        return new Grains(Math.min(0.6, 0.16 * StrictMath.exp(-0.38 * coarser)), 40,
                380 * StrictMath.exp(0.18 * coarser));
    }

    /** {@return the Sauter mean diameter, which a bed's surface and hence its drag go by, m} */
    double sauterDiameter() {
        return 1e-6 / (finesShare / finesDiameter + (1 - finesShare) / coarseDiameter);
    }

    /** {@return the share of the solids that dissolves at once: the fines and the shells of the coarse grains} */
    double openShare() {
        double core = 1 - 2 * OPENED_MICROMETRES / coarseDiameter;
        return finesShare + (1 - finesShare) * (1 - core * core * core);
    }
}
