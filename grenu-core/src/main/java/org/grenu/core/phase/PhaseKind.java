package org.grenu.core.phase;

import java.util.Locale;
import java.util.Optional;

/** The parts of a shot, in their usual order; a shot need not have all of them. */
public enum PhaseKind {
    /** The pump runs, there is no pressure yet: the headspace fills. */
    WETTING("wetting", "Wetting"),
    /** Low pressure is held while the bed fills with water. */
    SOAK("soak", "Soak"),
    /** The pressure rises to its height. */
    RAMP("ramp", "Ramp"),
    /** The pressure is held, or falls no faster than the puck makes it. */
    MAIN("main", "Main"),
    /** The pressure is brought down while the pump runs. */
    TAPER("taper", "Taper"),
    /** The pump has stopped; what is in the puck and the spouts drips out. */
    DRIP_OUT("drip_out", "Drip-out");

    private final String key;
    private final String title;

    PhaseKind(String key, String title) {
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

    /** {@return the phase that a profile's step is meant to be, by its name; any other name is a main phase} */
    public static PhaseKind ofStep(String stepName) {
        return find(stepName.toLowerCase(Locale.ROOT).replace('-', '_').replace(' ', '_')).orElse(MAIN);
    }

    /** {@return the kind with that name in files} */
    public static Optional<PhaseKind> find(String key) {
        for (PhaseKind kind : values()) {
            if (kind.key.equals(key)) {
                return Optional.of(kind);
            }
        }
        return Optional.empty();
    }
}
