package org.grenu.library;

import java.util.Optional;
import org.jdbi.v3.core.Handle;

/** The files that shots came from, as they were. */
final class RawFileRows {

    private final Handle handle;

    RawFileRows(Handle handle) {
        this.handle = handle;
    }

    /** Keeps the file; one that holds several shots is kept once. */
    long keep(String name, byte[] raw, String now) {
        String digest = Digests.sha256(raw);
        return handle.createQuery("SELECT id FROM raw_file WHERE digest = :digest AND name = :name")
                .bind("digest", digest)
                .bind("name", name)
                .mapTo(Long.class)
                .findFirst()
                .orElseGet(() -> handle
                        .createUpdate(
                                "INSERT INTO raw_file (name, digest, bytes, imported_at) VALUES (:name, :digest, "
                                        + ":bytes, :now)")
                        .bind("name", name)
                        .bind("digest", digest)
                        .bind("bytes", raw)
                        .bind("now", now)
                        .executeAndReturnGeneratedKeys("id")
                        .mapTo(Long.class)
                        .one());
    }

    Optional<RawFile> of(long shot) {
        return handle
                .createQuery(
                        "SELECT r.name, r.bytes FROM raw_file r JOIN shot s ON s.raw_file_id = r.id WHERE s.id = :id")
                .bind("id", shot)
                .map((row, context) -> new RawFile(row.getString(1), row.getBytes(2)))
                .findOne();
    }
}
