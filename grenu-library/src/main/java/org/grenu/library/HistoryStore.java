package org.grenu.library;

import java.time.Instant;
import java.util.List;

/** The corrections in the file as they are read; {@link Journal} makes them. */
public final class HistoryStore {

    private static final String COLUMNS = "SELECT id, target, target_id, field, before_text, after_text, reason, "
            + "made_at, state FROM history ";

    private final Transactions within;
    private final ShelfNames names;

    HistoryStore(Transactions within, ShelfNames names) {
        this.within = within;
        this.names = names;
    }

    /** {@return what was changed of a thing, the newest first} */
    public List<HistoryEntry> of(Target target, long id) {
        return read(COLUMNS + "WHERE target = '" + target.key() + "' AND target_id = " + id + " ORDER BY id DESC");
    }

    /** {@return all corrections that stand, the oldest first} */
    public List<HistoryEntry> standing() {
        return read(COLUMNS + "WHERE state IN ('applied', 'kept') ORDER BY id");
    }

    private List<HistoryEntry> read(String query) {
        return within.reading()
                .createQuery(query)
                .map((row, context) -> new HistoryEntry(row.getLong(1),
                        Changes.shown(names, row, 2),
                        row.getString(7),
                        Instant.parse(row.getString(8)), List.of("undone", "replaced").contains(row.getString(9))))
                .list();
    }

    /**
     * Keeps corrections that were made in another library, those that are not here yet; they are shown, and cannot be
     * undone here. {@return how many those were}
     */
    public int keep(List<HistoryEntry> entries) {
        int kept = 0;
        for (HistoryEntry entry : entries) {
            Change change = entry.change();
            kept += within.writing()
                    .createUpdate(
                            "INSERT INTO history (step, words, target, target_id, field, before_text, after_text, "
                                    + "reason, "
                                    + "made_at, state) "
                                    + "SELECT 0, '', :target, :id, :field, :before, :after, :reason, :at, 'kept' "
                                    + "WHERE NOT "
                                    + "EXISTS (SELECT 1 FROM history WHERE target = :target "
                                    + "AND target_id = :id AND field = :field AND before_text = :before AND "
                                    + "after_text = "
                                    + ":after AND made_at = :at)")
                    .bind("target", change.target().key())
                    .bind("id", change.id())
                    .bind("field", change.key())
                    .bind("before", Changes.stored(names, change, change.before()))
                    .bind("after", Changes.stored(names, change, change.after()))
                    .bind("reason", entry.reason())
                    .bind("at", entry.madeAt().toString())
                    .execute();
        }
        return kept;
    }

    /** Says why a correction was made, after it was. */
    public void giveReason(long entry, String reason) {
        within.writing()
                .createUpdate("UPDATE history SET reason = :reason WHERE id = :id")
                .bind("reason", reason.strip())
                .bind("id", entry)
                .execute();
    }
}
