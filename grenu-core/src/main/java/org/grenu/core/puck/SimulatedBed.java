package org.grenu.core.puck;

import java.util.Arrays;

/**
 * The bed of coffee in layers. A wetting front runs down; behind it liquid flows by Darcy's law through layers that
 * swell, are compacted, and erode; solids pass into the liquid and are carried with it (upwind). An optional channel
 * lets water past the bed.
 */
public final class SimulatedBed {

    private static final double CAPILLARY_BAR = 0.6;
    private static final double SCREEN_RESISTANCE = 0.02;
    private static final double COMPACTION_SECONDS = 0.4;
    private static final double REFERENCE_FLOW = 1.6;

    private final double poreVolume;
    private final double unsettled;
    private final double settleSeconds;
    private final double compaction;
    private final double collapse;
    private final double erosion;
    private final double erosionVolume;
    private final double openRate;
    private final double coreRate;
    private final double saturation;
    private final int n;
    private final double capacity;
    private final double layerResistance;
    private final double[] settled;
    private final double[] compacted;
    private final double[] collapsed;
    private final double[] dissolved;
    private final double[] open;
    private final double[] core;
    private final double[] resistance;
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
        open = filled(bed.value(BedParameter.OPEN_SOLIDS) / n);
        core = filled(bed.value(BedParameter.CORE_SOLIDS) / n);
        resistance = new double[n];
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
        double sum = SCREEN_RESISTANCE;
        double front = wetVolume / capacity;
        int full = full();
        for (int i = 0; i < full; i++) {
            sum += resistance[i];
        }
        if (full < n) {
            double part = front - full;
            return (bar + CAPILLARY_BAR) / (sum + part * layerResistance / unsettled);
        }
        return Math.max(0, bar) / sum;
    }

    /** {@return flow past the bed through the channel, mL/s} */
    public double channelFlow(double bar) {
        return wet() ? channel * Math.max(0, bar) : 0;
    }

    /** Lets that flow run for a time; {@code bar} presses on the bed meanwhile. */
    public void advance(double flow, double bar, double seconds) {
        double volume = flow * seconds;
        wet(volume);
        carry(volume);
        transfer(flow, seconds);
        settle(bar, seconds);
        if (wet()) {
            eroded += (1 - eroded) * Math.min(1, volume / erosionVolume);
            waterOut += channelFlow(bar) * seconds;
        }
    }

    private void wet(double volume) {
        double room = n * capacity - wetVolume;
        wetVolume += Math.min(room, volume);
        // What the last layer cannot hold leaves at the bottom.
        waterOut += Math.max(0, volume - room);
    }

    /** Upwind: each layer passes on liquid as strong as its own. The front's layer only receives. */
    private void carry(double volume) {
        double front = wetVolume / capacity;
        int last = Math.min(n - 1, (int) front);
        double arriving = 0;
        double share = Math.min(1, volume / poreVolume);
        for (int i = 0; i <= last; i++) {
            double leaving = i == last && !wet() ? 0 : dissolved[i] * share;
            dissolved[i] += arriving - leaving;
            arriving = leaving;
        }
        solidsOut += wet() ? arriving : 0;
    }

    /**
     * Cores give their solids faster to liquid that runs faster past them, as the cube root (film theory, from
     * memory).
     */
    private void transfer(double flow, double seconds) {
        double stirred = coreRate * StrictMath.cbrt(Math.max(0, flow) / REFERENCE_FLOW);
        double front = wetVolume / capacity;
        for (int i = 0; i < n && i < front; i++) {
            double liquid = poreVolume * Math.min(1, front - i);
            double most = saturation * liquid;
            // Liquid that grains soak up takes its solids along.
            double soakedUp = Math.max(0, dissolved[i] - most);
            core[i] += soakedUp;
            dissolved[i] -= soakedUp;
            double driving = Math.max(0, 1 - dissolved[i] / most);
            double room = Math.max(0, most - dissolved[i]);
            double fromOpen = open[i] * part(openRate * driving * seconds);
            double fromCore = core[i] * part(stirred * driving * seconds);
            double scale = fromOpen + fromCore > room ? room / (fromOpen + fromCore) : 1;
            open[i] -= fromOpen * scale;
            core[i] -= fromCore * scale;
            dissolved[i] += (fromOpen + fromCore) * scale;
        }
    }

    /** The implicit step of a first-order loss: right for small steps, stable and complete for large ones. */
    private static double part(double x) {
        return x / (1 + x);
    }

    /**
     * Swelling, compaction under the pressure lost above a layer, collapse of what was pressed too early, erosion.
     */
    private void settle(double bar, double seconds) {
        int full = full();
        double total = SCREEN_RESISTANCE;
        for (int i = 0; i < full; i++) {
            total += resistance[i] > 0 ? resistance[i] : layerResistance;
        }
        double above = SCREEN_RESISTANCE;
        for (int i = 0; i < full; i++) {
            above += resistance[i] > 0 ? resistance[i] : layerResistance;
            double stress = Math.max(0, bar) * above / total / 9;
            settled[i] += (1 - settled[i]) * part(seconds / settleSeconds);
            compacted[i] += (compaction * stress - compacted[i]) * part(seconds / COMPACTION_SECONDS);
            collapsed[i] = Math.max(collapsed[i], Math.min(0.9, collapse * stress * (1 - settled[i])));
            double tighter = (1 - compacted[i]) * (1 - collapsed[i]);
            double open = 1 + (unsettled - 1) * (1 - settled[i]);
            double looser = 1 + erosion * eroded;
            resistance[i] = layerResistance / (tighter * tighter * tighter * open * looser);
        }
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
