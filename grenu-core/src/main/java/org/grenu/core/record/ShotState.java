package org.grenu.core.record;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** How far a shot's life has come. What is in the bin is a matter of its own: a plan can be thrown away, too. */
public enum ShotState {
    /** Thought out and not pulled yet. */
    PLANNED,
    /** Being pulled. */
    RUNNING,
    /** Pulled, with or without a log of it. */
    RECORDED;

    /** {@return the name in files} */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** {@return the state of that name} */
    public static Optional<ShotState> find(String key) {
        return Arrays.stream(values()).filter(state -> state.key().equals(key)).findFirst();
    }
}
