package org.grenu.core.curve;

import java.util.Optional;

/** What curves are lined up along. */
public enum AxisKind {
    PUMP_ON("pump_on", "pump on"), PRESSURE_ONSET("pressure_onset", "first pressure"),
    FIRST_DRIP("first_drip", "first drip"),
    CUP_MASS("cup_mass", "by cup mass");

    private final String key;
    private final String title;

    AxisKind(String key, String title) {
        this.key = key;
        this.title = title;
    }

    /** {@return the name under which the choice is kept} */
    public String key() {
        return key;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }

    /** {@return the kind with that name} */
    public static Optional<AxisKind> find(String key) {
        for (AxisKind kind : values()) {
            if (kind.key.equals(key)) {
                return Optional.of(kind);
            }
        }
        return Optional.empty();
    }
}
