package org.grenu.library;

import java.util.List;

/** Photos and other files that are kept with shots. */
public final class AttachmentStore {

    private final Transactions within;
    private final Changes changes;
    private final Journal journal;

    AttachmentStore(Transactions within, Changes changes, Journal journal) {
        this.within = within;
        this.changes = changes;
        this.journal = journal;
    }

    /** Keeps a file with a shot. */
    public StoredStep attach(long shot, String name, byte[] bytes) {
        long id = add(shot, name, bytes, journal.now());
        return journal.make("Attached " + name, List.of(made(id)), "");
    }

    /**
     * Keeps a file that came with a shot from another library, unless the shot has it; {@return whether it was
     * missing}
     */
    public boolean keep(long shot, String name, byte[] bytes) {
        if (has(shot, name, bytes)) {
            return false;
        }
        long id = add(shot, name, bytes, journal.now());
        within.writing().execute("UPDATE attachment SET binned_at = '' WHERE id = ?", id);
        changes.made(made(id));
        return true;
    }

    private static Change made(long id) {
        return new Change(Target.ATTACHMENT, id, Change.BINNED, Change.NEVER, "");
    }

    /** {@return the key of a new file, which is not there until a change takes it out of nothing} */
    private long add(long shot, String name, byte[] bytes, String now) {
        return within.writing()
                .createUpdate(
                        "INSERT INTO attachment (shot_id, name, digest, bytes, added_at, binned_at) VALUES (:shot, "
                                + ":name, "
                                + ":digest, :bytes, :now, 'never')")
                .bind("shot", shot)
                .bind("name", name)
                .bind("digest", Digests.sha256(bytes))
                .bind("bytes", bytes)
                .bind("now", now)
                .executeAndReturnGeneratedKeys("id")
                .mapTo(Long.class)
                .one();
    }

    private boolean has(long shot, String name, byte[] bytes) {
        return within.reading()
                .createQuery(
                        "SELECT count(*) FROM attachment WHERE shot_id = :shot AND name = :name AND digest = :digest "
                                + "AND "
                                + "binned_at <> 'never'")
                .bind("shot", shot)
                .bind("name", name)
                .bind("digest", Digests.sha256(bytes))
                .mapTo(Integer.class)
                .one() > 0;
    }

    /** {@return the files kept with a shot, in the order they were added} */
    public List<Attachment> of(long shot) {
        return within.reading()
                .createQuery(
                        "SELECT id, name, length(bytes) FROM attachment WHERE shot_id = :shot AND binned_at = '' "
                                + "ORDER BY id")
                .bind("shot", shot)
                .map((row, context) -> new Attachment(row.getLong(1), shot, row.getString(2), row.getLong(3)))
                .list();
    }

    /** {@return the bytes of a file} */
    public byte[] bytes(long id) {
        return within.reading()
                .createQuery("SELECT bytes FROM attachment WHERE id = :id")
                .bind("id", id)
                .mapTo(byte[].class)
                .one();
    }
}
