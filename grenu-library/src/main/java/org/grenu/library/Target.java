package org.grenu.library;

import java.util.Locale;

/** What a change is of. */
public enum Target {
    SHOT, ITEM, VERSION, ATTACHMENT;

    String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Target of(String key) {
        return valueOf(key.toUpperCase(Locale.ROOT));
    }
}
