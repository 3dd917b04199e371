package org.grenu.core.curve;

import java.util.Optional;

/** The faults of a log that Grenu repairs, each reversibly: a repair that is switched off leaves the curve as logged. */
public enum RepairKind {
    /** Repeated times keep the last sample; after a clock reset time goes on. Off: such samples are left out. */
    TIME_ORDER("time_order", "clock put in order"),
    /** The scale's reading before the first drip is subtracted. */
    TARE_OFFSET("tare_offset", "tare offset removed"),
    /** A short excursion of the cup mass that returns to its course is bridged by a straight line. */
    SCALE_KNOCK("scale_knock", "knock on the scale bridged");

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
