package org.grenu.library;

import java.time.Instant;
import java.util.List;
import org.jdbi.v3.core.Handle;

/** The corrections in the file as they are read; {@link Changes} makes them. */
final class HistoryRows {

    private static final String COLUMNS = "SELECT id, target, target_id, field, before_text, after_text, reason, "
            + "made_at, state FROM history ";

    private final Handle handle;

    HistoryRows(Handle handle) {
        this.handle = handle;
    }

    /** What was changed of a thing, the newest first. */
    List<HistoryEntry> of(Target target, long id) {
        return read(COLUMNS + "WHERE target = '" + target.key() + "' AND target_id = " + id + " ORDER BY id DESC");
    }

    /** All corrections that stand, the oldest first. */
    List<HistoryEntry> standing() {
        return read(COLUMNS + "WHERE state IN ('applied', 'kept') ORDER BY id");
    }

    private List<HistoryEntry> read(String query) {
        return handle.createQuery(query)
                .map((row, context) -> new HistoryEntry(row.getLong(1),
                        new Change(Target.of(row.getString(2)), row.getLong(3), row.getString(4), row.getString(5),
                                row.getString(6)),
                        row.getString(7),
                        Instant.parse(row.getString(8)), List.of("undone", "replaced").contains(row.getString(9))))
                .list();
    }

    /** Keeps corrections that were made in another library and are not here yet; {@return how many those were} */
    int keep(List<HistoryEntry> entries) {
        int kept = 0;
        for (HistoryEntry entry : entries) {
            Change change = entry.change();
            kept += handle.createUpdate(
                    "INSERT INTO history (step, words, target, target_id, field, before_text, after_text, reason, "
                            + "made_at, state) "
                            + "SELECT 0, '', :target, :id, :field, :before, :after, :reason, :at, 'kept' WHERE NOT "
                            + "EXISTS (SELECT 1 FROM history WHERE target = :target "
                            + "AND target_id = :id AND field = :field AND before_text = :before AND after_text = "
                            + ":after AND made_at = :at)")
                    .bind("target", change.target().key())
                    .bind("id", change.id())
                    .bind("field", change.key())
                    .bind("before", change.before())
                    .bind("after", change.after())
                    .bind("reason", entry.reason())
                    .bind("at", entry.madeAt().toString())
                    .execute();
        }
        return kept;
    }

    void giveReason(long entry, String reason) {
        handle.createUpdate("UPDATE history SET reason = :reason WHERE id = :id")
                .bind("reason", reason.strip())
                .bind("id", entry)
                .execute();
    }
}
