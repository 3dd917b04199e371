package org.grenu.core.rig;

import java.util.Collection;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * Pulls simulated shots: machine, bed, spouts, scale and refractometer together. The numbers are chosen for plausible
 * shots, not fitted to any coffee or machine. The same seed gives the same shot.
 */
public final class SimulatedRig {

    static final double LOG_STEP = 0.1;

    private final RandomGenerator random;
    private boolean logsSteps;
    private double channelSize;
    private SimulationGrid grid = SimulationGrid.SHOT;

    /** A rig whose every random number follows from the seed. */
    public SimulatedRig(long seed) {
        this.random = new Well19937c(seed);
    }

    /** Lets the machine log the number of the profile's step. {@return this rig} */
    public SimulatedRig loggingSteps() {
        logsSteps = true;
        return this;
    }

    /** Lets a channel open midway that adds that share to the flow, in [0, 2]. {@return this rig} */
    public SimulatedRig withChannel(double share) {
        channelSize = share;
        return this;
    }

    /**
     * Reckons coarsely, for curves that are shown while something is dragged: first drip and stop within 0.25 s of the
     * shot's, yield within 0.7 %. {@return this rig}
     */
    public SimulatedRig previewing() {
        grid = SimulationGrid.PREVIEW;
        return this;
    }

    /** {@return the shot, logged at 10 Hz, with strength read three times} */
    public SimulatedShot pull(RigRecipe recipe, Collection<LogFlaw> flaws) {
        RigPull pull = begin(recipe, flaws);
        while (pull.next()) {
            // Each sample is written as it comes.
        }
        return pull.shot();
    }

    /** {@return a shot about to begin, which goes on sample by sample} */
    public RigPull begin(RigRecipe recipe, Collection<LogFlaw> flaws) {
        double channel = channelSize;
        channelSize = 0;
        return new RigPull(random, recipe, flaws, new RigPull.Settings(logsSteps, channel, grid));
    }
}
