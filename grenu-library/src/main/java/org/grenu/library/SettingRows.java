package org.grenu.library;

import java.util.Map;
import java.util.TreeMap;
import org.jdbi.v3.core.Handle;

/** What the user chose for a library. */
final class SettingRows {

    private final Handle handle;

    SettingRows(Handle handle) {
        this.handle = handle;
    }

    Map<String, String> all() {
        Map<String, String> settings = new TreeMap<>();
        handle.createQuery("SELECT key, value FROM setting")
                .map((row, context) -> Map.entry(row.getString(1), row.getString(2)))
                .forEach(entry -> settings.put(entry.getKey(), entry.getValue()));
        return settings;
    }

    /** A blank choice is forgotten. */
    void keep(Map<String, String> settings) {
        settings.forEach((key, value) -> {
            if (value.isBlank()) {
                handle.execute("DELETE FROM setting WHERE key = ?", key);
            } else {
                handle.execute("INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)", key, value);
            }
        });
    }
}
