package org.grenu.library;

import java.util.HashMap;
import java.util.Map;

/** What was found in shots, kept so that a search need not judge them again. */
public final class FindingStore {

    private final Transactions within;

    FindingStore(Transactions within) {
        this.within = within;
    }

    /** {@return what was found in each shot on that basis, in words, by the shot's key} */
    public Map<Long, String> on(String basis) {
        Map<Long, String> found = new HashMap<>();
        within.reading()
                .createQuery("SELECT shot_id, words FROM shot_finding WHERE basis = :basis")
                .bind("basis", basis)
                .map((row, context) -> found.put(row.getLong(1), row.getString(2)))
                .list();
        return found;
    }

    /** Keeps what was found in shots on that basis. */
    public void keep(String basis, Map<Long, String> found) {
        found.forEach((id, words) -> within.writing()
                .execute(
                        "INSERT OR REPLACE INTO shot_finding (shot_id, basis, words) VALUES (?, ?, ?)", id, basis,
                        words));
    }

    void forget(long shot) {
        within.writing().execute("DELETE FROM shot_finding WHERE shot_id = ?", shot);
    }
}
