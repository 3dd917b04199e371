package org.grenu.library;

import java.util.Optional;

/** The files that shots came from, as they were. */
public final class FileStore {

    private final Transactions within;

    FileStore(Transactions within) {
        this.within = within;
    }

    /** Keeps the file; one that holds several shots is kept once. */
    long keep(String name, byte[] raw, String now) {
        String digest = Digests.sha256(raw);
        return within.reading()
                .createQuery("SELECT id FROM raw_file WHERE digest = :digest AND name = :name")
                .bind("digest", digest)
                .bind("name", name)
                .mapTo(Long.class)
                .findFirst()
                .orElseGet(() -> add(name, digest, raw, now));
    }

    private long add(String name, String digest, byte[] raw, String now) {
        return within.writing()
                .createUpdate(
                        "INSERT INTO raw_file (name, digest, bytes, imported_at) VALUES (:name, :digest, "
                                + ":bytes, :now)")
                .bind("name", name)
                .bind("digest", digest)
                .bind("bytes", raw)
                .bind("now", now)
                .executeAndReturnGeneratedKeys("id")
                .mapTo(Long.class)
                .one();
    }

    /** {@return the file the shot's log came from} */
    public Optional<RawFile> of(long shot) {
        return within.reading()
                .createQuery(
                        "SELECT r.name, r.bytes FROM raw_file r JOIN shot s ON s.raw_file_id = r.id WHERE s.id = :id")
                .bind("id", shot)
                .map((row, context) -> new RawFile(row.getString(1), row.getBytes(2)))
                .findOne();
    }
}
