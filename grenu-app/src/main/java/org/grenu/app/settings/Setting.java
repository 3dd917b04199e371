package org.grenu.app.settings;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Something the user chose, kept as text under a key of its own.
 *
 * @param read  from the text; empty for one that this version does not understand
 * @param write as text
 * @param usual while nothing is kept that can be understood
 */
record Setting<T>(String key, Function<String, Optional<T>> read, Function<T, String> write, T usual) {

    /** {@return what is kept} */
    T in(Map<String, String> kept) {
        return Optional.ofNullable(kept.get(key)).flatMap(read).orElse(usual);
    }

    /** Keeps that. */
    void put(Map<String, String> kept, T value) {
        kept.put(key, write.apply(value));
    }
}
