package org.grenu.library;

import java.time.Instant;
import java.util.List;
import org.jdbi.v3.core.Handle;

/** What is in the bin: it lies with everything else and has the moment it was put there. */
final class BinRows {

    /** Neither in use nor only undone. */
    private static final String BINNED = "binned_at NOT IN ('', 'never')";
    private static final String SHOTS = "(SELECT id FROM shot WHERE " + BINNED + ")";
    private static final String ITEMS = "(SELECT id FROM shelf_item WHERE " + BINNED + ")";
    private static final String VERSIONS = "(SELECT id FROM shelf_version WHERE " + BINNED + " OR item_id IN " + ITEMS
            + ")";
    private static final String ATTACHMENTS = "(SELECT id FROM attachment WHERE " + BINNED + " OR shot_id IN " + SHOTS
            + ")";

    private final Handle handle;

    BinRows(Handle handle) {
        this.handle = handle;
    }

    /** {@return what is in it, the newest first} */
    List<Binned> list() {
        return handle.createQuery(
                "SELECT 'shot' AS target, id, 'Shot ' || number || coalesce(' · ' || coffee, '') AS words, binned_at "
                        + "FROM shot WHERE "
                        + BINNED
                        + " UNION ALL SELECT 'item', id, name, binned_at FROM shelf_item WHERE " + BINNED
                        + " UNION ALL SELECT 'version', v.id, 'v' || v.number || ' of ' || i.name, v.binned_at FROM "
                        + "shelf_version v JOIN shelf_item i ON i.id = v.item_id "
                        + "WHERE v." + BINNED
                        + " UNION ALL SELECT 'attachment', a.id, a.name || ' of shot ' || s.number, a.binned_at FROM "
                        + "attachment a JOIN shot s ON s.id = a.shot_id "
                        + "WHERE a." + BINNED + " ORDER BY 4 DESC, 2 DESC")
                .map((row, context) -> new Binned(Target.of(row.getString(1)), row.getLong(2), row.getString(3),
                        Instant.parse(row.getString(4))))
                .list();
    }

    /** {@return what emptying it would lose} */
    BinLoss loss() {
        return new BinLoss(count("shot WHERE id IN " + SHOTS),
                count("shot WHERE log_digest IS NOT NULL AND id IN " + SHOTS),
                count("attachment WHERE id IN " + ATTACHMENTS), count("shelf_item WHERE id IN " + ITEMS),
                count("shelf_version WHERE " + BINNED + " AND item_id NOT IN " + ITEMS));
    }

    private int count(String what) {
        return handle.createQuery("SELECT count(*) FROM " + what).mapTo(Integer.class).one();
    }

    /** Takes all of it out of the file, with its history; what refers to a thing comes before it. */
    void empty() {
        handle.execute("DELETE FROM history WHERE target = 'shot' AND target_id IN " + SHOTS
                + " OR target = 'attachment' AND target_id IN " + ATTACHMENTS
                + " OR target = 'item' AND target_id IN " + ITEMS + " OR target = 'version' AND target_id IN "
                + VERSIONS);
        handle.execute("DELETE FROM attachment WHERE id IN " + ATTACHMENTS);
        for (String ofShots : List.of("samples", "curve_digest", "shot_finding")) {
            handle.execute("DELETE FROM " + ofShots + " WHERE shot_id IN " + SHOTS);
        }
        handle.execute("DELETE FROM shot WHERE " + BINNED);
        handle.execute(
                "DELETE FROM raw_file WHERE id NOT IN (SELECT raw_file_id FROM shot WHERE raw_file_id IS NOT NULL)");
        handle.execute("DELETE FROM shelf_version WHERE id IN " + VERSIONS);
        handle.execute("DELETE FROM shelf_item WHERE " + BINNED);
    }
}
