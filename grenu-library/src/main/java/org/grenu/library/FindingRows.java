package org.grenu.library;

import java.util.HashMap;
import java.util.Map;
import org.jdbi.v3.core.Handle;

/** What was found in shots, kept so that a search need not judge them again. */
final class FindingRows {

    private final Handle handle;

    FindingRows(Handle handle) {
        this.handle = handle;
    }

    Map<Long, String> on(String basis) {
        Map<Long, String> found = new HashMap<>();
        handle.createQuery("SELECT shot_id, words FROM shot_finding WHERE basis = :basis")
                .bind("basis", basis)
                .map((row, context) -> found.put(row.getLong(1), row.getString(2)))
                .list();
        return found;
    }

    void keep(String basis, Map<Long, String> found) {
        found.forEach((id, words) -> handle.execute(
                "INSERT OR REPLACE INTO shot_finding (shot_id, basis, words) VALUES (?, ?, ?)", id, basis, words));
    }

    void forget(long shot) {
        handle.execute("DELETE FROM shot_finding WHERE shot_id = ?", shot);
    }
}
