package org.grenu.formats.mapping;

import java.util.Optional;

/**
 * Where one shot ends and the next begins.
 *
 * @param kind    by what
 * @param seconds for {@link Kind#GAP}: a longer pause begins a new shot
 */
public record ShotSplit(Kind kind, double seconds) {

    /** The whole table is one shot. */
    public static final ShotSplit NONE = new ShotSplit(Kind.NONE, 0);

    /** Ways to tell shots apart. */
    public enum Kind {
        NONE("none", "one shot"), ID("id", "shot number column"), GAP("gap", "a pause longer than"),
        RESET("reset", "time starts again");

        private final String key;
        private final String title;

        Kind(String key, String title) {
            this.key = key;
            this.title = title;
        }

        /** {@return the name in mapping files} */
        public String key() {
            return key;
        }

        /** {@return the name on screen} */
        public String title() {
            return title;
        }

        static Optional<Kind> find(String key) {
            for (Kind kind : values()) {
                if (kind.key.equals(key)) {
                    return Optional.of(kind);
                }
            }
            return Optional.empty();
        }
    }

    /** @throws IllegalArgumentException if a gap has no length */
    public ShotSplit {
        if (kind == Kind.GAP && !(seconds > 0)) {
            throw new IllegalArgumentException("The pause that begins a new shot must be longer than 0 s.");
        }
    }
}
