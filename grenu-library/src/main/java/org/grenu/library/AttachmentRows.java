package org.grenu.library;

import java.util.List;
import org.jdbi.v3.core.Handle;

/** How attachments lie in their table. */
final class AttachmentRows {

    private final Handle handle;

    AttachmentRows(Handle handle) {
        this.handle = handle;
    }

    /** {@return the key of a new file, which is not there until a change takes it out of nothing} */
    long add(long shot, String name, byte[] bytes, String now) {
        return handle.createUpdate(
                "INSERT INTO attachment (shot_id, name, digest, bytes, added_at, binned_at) VALUES (:shot, :name, "
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

    boolean has(long shot, String name, byte[] bytes) {
        return handle.createQuery(
                "SELECT count(*) FROM attachment WHERE shot_id = :shot AND name = :name AND digest = :digest AND "
                        + "binned_at <> 'never'")
                .bind("shot", shot)
                .bind("name", name)
                .bind("digest", Digests.sha256(bytes))
                .mapTo(Integer.class)
                .one() > 0;
    }

    List<Attachment> of(long shot) {
        return handle.createQuery(
                "SELECT id, name, length(bytes) FROM attachment WHERE shot_id = :shot AND binned_at = '' ORDER BY id")
                .bind("shot", shot)
                .map((row, context) -> new Attachment(row.getLong(1), shot, row.getString(2), row.getLong(3)))
                .list();
    }

    byte[] bytes(long id) {
        return handle.createQuery("SELECT bytes FROM attachment WHERE id = :id")
                .bind("id", id)
                .mapTo(byte[].class)
                .one();
    }
}
