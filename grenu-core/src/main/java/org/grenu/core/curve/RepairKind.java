package org.grenu.core.curve;

import java.util.Optional;

/** The faults of a log that Grenu finds, each reversibly: one that is switched off leaves the curve as logged. */
public enum RepairKind {
    /**
     * Repeated times keep the last sample; short steps backward are put between their neighbours. Off: such samples
     * are left out.
     */
    TIME_ORDER("time_order", "timestamps put in order"),
    /** The clock started again; time goes on from where it was. Off: what came after it is left out. */
    CLOCK_RESET("clock_reset", "clock reset continued"),
    /** A sensor fell silent for a moment; a straight line bridges it. */
    DROPOUT("dropout", "dropout bridged"),
    /** The logger missed some time altogether; straight lines bridge it. */
    GAP("gap", "gap in the log bridged"),
    /** A sensor stands at the end of its range; nothing is changed, but the values are lower limits. */
    CLIPPED("clipped", "clipped sensor marked"),
    /** Single values of the pressure far off its course are bridged. */
    PRESSURE_SPIKE("pressure_spike", "pressure spike bridged"),
    /** The pressure shown at rest is subtracted. */
    PRESSURE_OFFSET("pressure_offset", "pressure offset removed"),
    /** The scale sent zeros, or one value, until the end: the cup mass from there on is unknown. */
    SCALE_TIMED_OUT("scale_timed_out", "cup mass left open after the scale switched off"),
    /** The scale sent one value again and again, then caught up; the way there follows the pump. */
    SCALE_FROZEN("scale_frozen", "frozen scale bridged"),
    /** The cup was lifted and put back; the time between is bridged. */
    CUP_LIFTED("cup_lifted", "lifted cup bridged"),
    /** A cup came onto the scale before the first drip; the scale's reading before it is put level. */
    CUP_PLACED("cup_placed", "late cup put level"),
    /** Another cup took over while coffee flowed; the pieces are stitched together. */
    VESSEL_SWAP("vessel_swap", "cup swap stitched"),
    /** Cup or scale were taken away and nothing flowed after that; what it showed last is held. */
    CUP_TAKEN("cup_taken", "cup mass held after the cup was taken away"),
    /** A short excursion of the cup mass that returns to its course is bridged by a straight line. */
    SCALE_KNOCK("scale_knock", "knock on the scale bridged"),
    /** The scale's reading before the first drip is subtracted. */
    TARE_OFFSET("tare_offset", "tare offset removed"),
    /** The cup mass follows the pump too late, or by a delay that was entered; it is moved forward. */
    SCALE_LAG("scale_lag", "scale delay removed");

    private final String key;
    private final String title;

    RepairKind(String key, String title) {
        this.key = key;
        this.title = title;
    }

    /** {@return the name in files} */
    public String key() {
        return key;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }

    /** {@return the channel on whose strip it is marked; empty when it concerns all} */
    public Optional<Channel> channel() {
        return switch (this) {
            case TIME_ORDER, CLOCK_RESET, GAP, DROPOUT -> Optional.empty();
            case CLIPPED, PRESSURE_SPIKE, PRESSURE_OFFSET -> Optional.of(Channel.PRESSURE);
            default -> Optional.of(Channel.CUP_MASS);
        };
    }

    /** {@return the kind with that name in files} */
    public static Optional<RepairKind> find(String key) {
        for (RepairKind kind : values()) {
            if (kind.key.equals(key)) {
                return Optional.of(kind);
            }
        }
        return Optional.empty();
    }
}
