package org.grenu.library;

import java.util.Map;
import java.util.TreeMap;

/** What the user chose for a library. */
public final class SettingStore {

    private final Transactions within;

    SettingStore(Transactions within) {
        this.within = within;
    }

    /** {@return what the user chose for this library, by key} */
    public Map<String, String> all() {
        Map<String, String> settings = new TreeMap<>();
        within.reading()
                .createQuery("SELECT key, value FROM setting")
                .map((row, context) -> Map.entry(row.getString(1), row.getString(2)))
                .forEach(entry -> settings.put(entry.getKey(), entry.getValue()));
        return settings;
    }

    /** Keeps those choices; a blank one is forgotten. */
    public void keep(Map<String, String> settings) {
        settings.forEach((key, value) -> {
            if (value.isBlank()) {
                within.writing().execute("DELETE FROM setting WHERE key = ?", key);
            } else {
                within.writing().execute("INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)", key, value);
            }
        });
    }
}
