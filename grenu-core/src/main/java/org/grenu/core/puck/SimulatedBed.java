package org.grenu.core.puck;

import java.util.Arrays;

/**
 * The bed of coffee in layers. A wetting front runs down; behind it liquid flows by Darcy's law through layers that
 * swell, are compacted, and erode; solids pass into the liquid and are carried with it (upwind). An optional channel
 * lets water past the bed. The layer that the front runs through stands for its wet part, so that the front's way
 * does
 * not hang on the number of layers: with 10 it takes as long as with 240, to 1 %.
 */
public final class SimulatedBed {

    private static final double CAPILLARY_BAR = 0.6;
    private static final double SCREEN_RESISTANCE = 0.02;
    private static final double COMPACTION_SECONDS = 0.4;
    private static final double REFERENCE_FLOW = 1.6;
    private static final double MOST_COLLAPSED = 0.9;

    private final double poreVolume;
    private final double unsettled;
    private final double settleSeconds;
    private final double compaction;
    private final double collapse;
    private final double erosion;
    private final double erosionVolume;
    private double openRate;
    private double coreRate;
    private final double saturation;
    private final int n;
    private final double capacity;
    private double layerResistance;
    private final double[] settled;
    private final double[] compacted;
    private final double[] collapsed;
    private double[] dissolved;
    private double[] spare;
    private final double[] open;
    private final double[] core;
    /** Resistance of the screen and of what is wet down to the middle of each layer's wet part, bar·s/mL. */
    private final double[] above;
    private final double mostDissolved;
    /** Resistance of the screen and of all that is wet, bar·s/mL. */
    private double wetResistance = SCREEN_RESISTANCE;
    private double wetVolume;
    private double eroded;
    private double channel;
    private double waterOut;
    private double solidsOut;

    /** A dry bed. */
    public SimulatedBed(BedParameters bed) {
        this.n = bed.layers();
        this.poreVolume = bed.poreVolume();
        this.capacity = poreVolume + bed.value(BedParameter.ABSORBED) / n;
        this.layerResistance = bed.layerResistance();
        this.unsettled = bed.value(BedParameter.UNSETTLED);
        this.settleSeconds = bed.value(BedParameter.SETTLE_TIME);
        this.compaction = bed.value(BedParameter.COMPACTION);
        this.collapse = bed.value(BedParameter.COLLAPSE);
        this.erosion = bed.value(BedParameter.EROSION);
        this.erosionVolume = bed.value(BedParameter.EROSION_VOLUME);
        this.openRate = bed.value(BedParameter.OPEN_RATE);
        this.coreRate = bed.value(BedParameter.CORE_RATE);
        this.saturation = bed.value(BedParameter.SATURATION);
        settled = new double[n];
        compacted = new double[n];
        collapsed = new double[n];
        dissolved = new double[n];
        spare = new double[n];
        open = filled(bed.value(BedParameter.OPEN_SOLIDS) / n);
        core = filled(bed.value(BedParameter.CORE_SOLIDS) / n);
        above = new double[n];
        mostDissolved = saturation * poreVolume;
    }

    /** Lets the water that comes be as hot as that bed's: it flows and dissolves as there. */
    public void heat(BedParameters bed) {
        layerResistance = bed.layerResistance();
        openRate = bed.value(BedParameter.OPEN_RATE);
        coreRate = bed.value(BedParameter.CORE_RATE);
    }

    private double[] filled(double value) {
        double[] values = new double[n];
        Arrays.fill(values, value);
        return values;
    }

    /** Opens a channel that lets that much water past the bed, mL/(bar·s). */
    public void channel(double conductance) {
        channel = conductance;
    }

    /** {@return whether the wetting front has reached the bottom} */
    public boolean wet() {
        return wetVolume >= n * capacity - 1e-12;
    }

    /** Number of layers that are wet throughout. */
    private int full() {
        return wet() ? n : (int) (wetVolume / capacity);
    }

    /** {@return flow into the bed under that pressure, mL/s} */
    public double flow(double bar) {
        return (wet() ? Math.max(0, bar) : bar + CAPILLARY_BAR) / wetResistance;
    }

    /** {@return flow past the bed through the channel, mL/s} */
    public double channelFlow(double bar) {
        return wet() ? channel * Math.max(0, bar) : 0;
    }

    /** Lets that flow run for a time; {@code bar} presses on the bed meanwhile. */
    public void advance(double flow, double bar, double seconds) {
        double volume = flow * seconds;
        wet(volume, bar);
        carry(volume);
        transfer(flow, seconds);
        settle(bar, seconds);
        if (wet()) {
            eroded += (1 - eroded) * Math.min(1, volume / erosionVolume);
            waterOut += channelFlow(bar) * seconds;
        }
    }

    /**
     * Moves the front. What it has just wetted has neither swollen nor been compacted, and bears the whole pressure for
     * a moment, since all of it is lost above.
     */
    private void wet(double volume, double bar) {
        double room = n * capacity - wetVolume;
        double front = wetVolume / capacity;
        wetVolume += Math.min(room, volume);
        double reached = wetVolume / capacity;
        double collapsing = Math.min(MOST_COLLAPSED, collapse * Math.max(0, bar) / 9);
        for (int i = (int) front; i < n && i < reached; i++) {
            double kept = Math.max(0, front - i) / Math.min(1, reached - i);
            settled[i] *= kept;
            compacted[i] *= kept;
            collapsed[i] = kept * collapsed[i] + (1 - kept) * collapsing;
        }
        // What the last layer cannot hold leaves at the bottom.
        waterOut += Math.max(0, volume - room);
    }

    /** Upwind: each layer passes on liquid as strong as its own. The front's layer only receives. */
    private void carry(double volume) {
        double share = Math.min(1, volume / poreVolume);
        int last = Math.min(n - 1, (int) (wetVolume / capacity));
        double leaving = wet() ? dissolved[last] * share : 0;
        solidsOut += leaving;
        if (last > 0) {
            double[] before = dissolved;
            double[] after = spare;
            after[0] = before[0] - before[0] * share;
            for (int i = 1; i < last; i++) {
                after[i] = before[i] + (before[i - 1] * share - before[i] * share);
            }
            after[last] = before[last] + (before[last - 1] * share - leaving);
            dissolved = after;
            spare = before;
        } else {
            dissolved[0] -= leaving;
        }
    }

    /**
     * Cores give their solids faster to liquid that runs faster past them, as the cube root (film theory, from
     * memory).
     */
    private void transfer(double flow, double seconds) {
        double openPart = openRate * seconds;
        double corePart = coreRate * StrictMath.cbrt(Math.max(0, flow) / REFERENCE_FLOW) * seconds;
        int full = full();
        dissolve(0, full, mostDissolved, openPart, corePart);
        double part = wetVolume / capacity - full;
        if (full < n && part > 0) {
            dissolve(full, full + 1, saturation * poreVolume * part, openPart, corePart);
        }
    }

    /**
     * The innermost loop, hence one division for both implicit steps, x / (1 + x), of open solids and of cores. Such a
     * step is right when small, stable and complete when large.
     */
    private void dissolve(int from, int to, double most, double openPart, double corePart) {
        double share = 1 / most;
        for (int i = from; i < to; i++) {
            double liquid = dissolved[i];
            double inCores = core[i];
            if (liquid > most) {
                // Liquid that grains soak up takes its solids along.
                inCores += liquid - most;
                liquid = most;
            }
            double room = most - liquid;
            double x = openPart * room * share;
            double y = corePart * room * share;
            double both = 1 / ((1 + x) * (1 + y));
            double fromOpen = open[i] * x * (1 + y) * both;
            double fromCore = inCores * y * (1 + x) * both;
            if (fromOpen + fromCore > room) {
                double fitting = room / (fromOpen + fromCore);
                fromOpen *= fitting;
                fromCore *= fitting;
            }
            open[i] -= fromOpen;
            core[i] = inCores - fromCore;
            dissolved[i] = liquid + (fromOpen + fromCore);
        }
    }

    /**
     * Swelling, compaction under the pressure lost above a layer, collapse of what was pressed too early, erosion.
     */
    private void settle(double bar, double seconds) {
        double front = wet() ? n : wetVolume / capacity;
        double stressOfAll = Math.max(0, bar) / (9 * wetResistance);
        double swelling = part(seconds / settleSeconds);
        double compacting = part(seconds / COMPACTION_SECONDS);
        double looser = 1 + erosion * eroded;
        double down = SCREEN_RESISTANCE;
        for (int i = 0; i < front; i++) {
            double stress = stressOfAll * above[i];
            settled[i] += (1 - settled[i]) * swelling;
            double loose = 1 - settled[i];
            compacted[i] += (compaction * stress - compacted[i]) * compacting;
            double collapsing = collapse * stress * loose;
            if (collapsing > collapsed[i]) {
                collapsed[i] = Math.min(MOST_COLLAPSED, collapsing);
            }
            double tighter = (1 - compacted[i]) * (1 - collapsed[i]);
            double whole = layerResistance
                    / (tighter * tighter * tighter * (1 + (unsettled - 1) * loose) * looser);
            double own = i + 1 <= front ? whole : whole * (front - i);
            above[i] = down + own / 2;
            down += own;
        }
        wetResistance = down;
    }

    private static double part(double x) {
        return x / (1 + x);
    }

    /** {@return water that has left the bed since the start, mL} */
    public double waterOut() {
        return waterOut;
    }

    /** {@return solids that have left the bed since the start, g} */
    public double solidsOut() {
        return solidsOut;
    }

    /** {@return water in the bed, mL} */
    public double waterHeld() {
        return wetVolume;
    }

    /** {@return solids still in grains and liquid, g} */
    public double solidsHeld() {
        double sum = 0;
        for (int i = 0; i < n; i++) {
            sum += open[i] + core[i] + dissolved[i];
        }
        return sum;
    }
}
