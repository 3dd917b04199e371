package org.grenu.core.rig;

import org.grenu.core.curve.RepairKind;

/** What may go wrong between a shot and its log. */
public enum LogFlaw {
    /** Drops of an earlier rinse were not tared away. */
    FORGOTTEN_TARE(RepairKind.TARE_OFFSET),
    /** The tared scale stood empty when the log began; the cup came a little later. */
    CUP_PLACED_LATE(RepairKind.CUP_PLACED),
    /** The scale is knocked while the cup fills. */
    KNOCKED_SCALE(RepairKind.SCALE_KNOCK),
    /** One sample of the scale is far off. */
    SCALE_SPIKE(RepairKind.SCALE_KNOCK),
    /** The cup is lifted for a moment and put back. */
    CUP_LIFTED(RepairKind.CUP_LIFTED),
    /** A second, tared cup takes over while the shot runs. */
    VESSEL_SWAP(RepairKind.VESSEL_SWAP),
    /** The scale sends one value again and again, then catches up. */
    SCALE_FROZEN(RepairKind.SCALE_FROZEN),
    /** The scale switches itself off and sends zeros from then on. */
    SCALE_TIMED_OUT(RepairKind.SCALE_TIMED_OUT),
    /** A sensor sends nothing for a moment. */
    DROPOUT(RepairKind.DROPOUT),
    /** The logger misses some seconds altogether. */
    GAP(RepairKind.GAP),
    /** Some rows repeat their time, some run backward. */
    TIME_DISORDER(RepairKind.TIME_ORDER),
    /** The logger's clock starts again from zero. */
    CLOCK_RESET(RepairKind.CLOCK_RESET),
    /** The pressure sensor cannot show more than its range. */
    CLIPPED_PRESSURE(RepairKind.CLIPPED),
    /** The pressure sensor shows some pressure when there is none. */
    PRESSURE_OFFSET(RepairKind.PRESSURE_OFFSET),
    /** One sample of the pressure is far off. */
    PRESSURE_SPIKE(RepairKind.PRESSURE_SPIKE),
    /** The scale's values reach the log more than a second late. */
    SCALE_LAG(RepairKind.SCALE_LAG);

    private final RepairKind repairedBy;

    LogFlaw(RepairKind repairedBy) {
        this.repairedBy = repairedBy;
    }

    /** {@return the kind of repair that is made for it} */
    public RepairKind repairedBy() {
        return repairedBy;
    }
}
