package org.grenu.library;

import java.util.Optional;
import org.grenu.core.study.Shot;
import org.jdbi.v3.core.Handle;

/** Takes shots into the library, each once: a shot is known by its samples. */
final class ShotIntake {

    private final Handle handle;
    private final RawFileRows rawFiles;
    private final SampleRows samples;
    private final Changes changes;

    ShotIntake(Handle handle, RawFileRows rawFiles, SampleRows samples, Changes changes) {
        this.handle = handle;
        this.rawFiles = rawFiles;
        this.samples = samples;
        this.changes = changes;
    }

    /**
     * What became of a shot.
     *
     * @param id     its key
     * @param number its number
     * @param known  whether it was there before, so that nothing was stored
     */
    record Taken(long id, int number, boolean known) {
    }

    private record Existing(long id, int number, String binned) {
    }

    /** Stores the shot unless it is there; one in the bin is taken out. It keeps that number where it is free. */
    Taken take(String fileName, byte[] raw, Shot shot, int wantedNumber, String now) {
        String digest = SampleBlob.digest(shot.log());
        Optional<Existing> existing = handle
                .createQuery("SELECT id, number, binned_at FROM shot WHERE log_digest = :digest")
                .bind("digest", digest)
                .map((row, context) -> new Existing(row.getLong(1), row.getInt(2), row.getString(3))).findOne();
        if (existing.isPresent()) {
            return again(existing.get());
        }
        int number = free(wantedNumber) ? wantedNumber
                : handle.createQuery("SELECT coalesce(max(number), 0) + 1 FROM shot").mapTo(Integer.class).one();
        long id = ShotRows.insert(handle, number, rawFiles.keep(fileName, raw, now), digest, now, shot.sheet());
        samples.insert(id, shot.log());
        changes.made(new Change(Target.SHOT, id, Change.BINNED, Change.NEVER, ""));
        return new Taken(id, number, false);
    }

    private Taken again(Existing existing) {
        if (existing.binned.isEmpty()) {
            return new Taken(existing.id, existing.number, true);
        }
        handle.execute("UPDATE shot SET binned_at = '' WHERE id = ?", existing.id);
        changes.made(new Change(Target.SHOT, existing.id, Change.BINNED, existing.binned, ""));
        return new Taken(existing.id, existing.number, false);
    }

    private boolean free(int number) {
        return number > 0 && handle.createQuery("SELECT count(*) FROM shot WHERE number = :number")
                .bind("number", number).mapTo(Integer.class).one() == 0;
    }
}
