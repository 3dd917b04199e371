package org.grenu.library;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
import org.jdbi.v3.core.Handle;

/** Takes shots into the library, each once: a shot is known by its samples. */
final class ShotIntake {

    private final Handle handle;
    private final Tables tables;
    private final FileStore rawFiles;
    private final SampleRows samples;
    private final Changes changes;

    ShotIntake(Tables tables, FileStore rawFiles, SampleRows samples, Changes changes) {
        this.handle = tables.handle();
        this.tables = tables;
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

    /** So many samples a person may have read off and typed (common practice, no source). */
    private static final int FEW_SAMPLES = 40;
    private static final String ANOTHER = "#";
    private static final List<RecordField> TELLING = List.of(RecordField.FILE, RecordField.NAME, RecordField.PULLED_AT);

    private record Existing(long id, int number, String binned) {
    }

    /**
     * Stores the shot unless it is there; one in the bin is taken out. It keeps that number where it is free.
     *
     * @param met numbers of shots that others were found as or stored as: two that are written alike are not one
     */
    Taken take(String fileName, byte[] raw, Shot shot, int wantedNumber, Set<Integer> met, String now) {
        Optional<String> samplesDigest = shot.log().isEmpty() ? Optional.empty()
                : Optional.of(SampleBlob.digest(shot.log()));
        Optional<Existing> existing = samplesDigest.isEmpty() ? written(shot.record(), met)
                : few(shot.log()) ? withPoints(samplesDigest.get(), shot.record(), met) : withLog(samplesDigest.get());
        if (existing.isPresent()) {
            return again(existing.get());
        }
        Optional<String> digest = samplesDigest.map(this::free);
        int number = number(wantedNumber);
        Optional<Long> file = fileName.isEmpty() ? Optional.empty() : Optional.of(rawFiles.keep(fileName, raw, now));
        long id = ShotRows.insert(tables, number, ShotState.RECORDED, file, digest, now, shot.record());
        if (digest.isPresent()) {
            samples.insert(id, shot.log());
        }
        changes.made(made(id));
        return new Taken(id, number, false);
    }

    /** A shot without a log is known by all that is written of it. */
    private Optional<Existing> written(ShotRecord record, Set<Integer> met) {
        return handle.createQuery("SELECT id, number, binned_at, extras, " + ShotRows.FIELD_COLUMNS
                + " FROM shot WHERE log_digest IS NULL AND pulled_at IS :at AND dose_g IS :dose AND beverage_g IS "
                + ":beverage")
                .bind("at", record.entry(RecordField.PULLED_AT).orElse(null))
                .bind("dose", number(record, RecordField.DOSE))
                .bind("beverage", number(record, RecordField.BEVERAGE))
                .map((row, context) -> ShotRows.record(row, 4, tables.names()).equals(record)
                        ? Optional.of(new Existing(row.getLong(1), row.getInt(2), row.getString(3)))
                        : Optional.<Existing>empty())
                .stream()
                .flatMap(Optional::stream)
                .filter(shot -> !met.contains(shot.number))
                .findFirst();
    }

    private static Double number(ShotRecord record, RecordField field) {
        OptionalDouble number = record.number(field);
        return number.isPresent() ? number.getAsDouble() : null;
    }

    /** Stores a shot that has no log, or none yet. Two that say the same are two; {@return its key and number} */
    Taken write(ShotRecord record, ShotState state, int wantedNumber, String now) {
        int number = number(wantedNumber);
        return new Taken(ShotRows.insert(tables, number, state, Optional.empty(), Optional.empty(), now, record),
                number,
                false);
    }

    /**
     * {@return the change that gives the shot that log} Its samples and file are stored, and count when the change
     * is made.
     */
    Change log(long shot, String fileName, byte[] raw, ShotLog log, String now) {
        String digest = few(log) ? free(SampleBlob.digest(log)) : SampleBlob.digest(log);
        withLog(digest).ifPresent(other -> {
            throw new LibraryException(
                    "That log belongs to shot " + other.number + (other.binned.isEmpty() ? "" : ", which is in the bin")
                            + ". A log is of one shot: choose another file, or look at that shot.");
        });
        samples.insert(shot, log);
        handle.createUpdate("UPDATE shot SET raw_file_id = :raw WHERE id = :id")
                .bind("raw", rawFiles.keep(fileName, raw, now))
                .bind("id", shot)
                .execute();
        return new Change(Target.SHOT, shot, Change.LOG, "", digest);
    }

    /** {@return that a shot was made: what is not yet becomes} */
    static Change made(long shot) {
        return new Change(Target.SHOT, shot, Change.BINNED, Change.NEVER, "");
    }

    /** A few points read off a gauge may be the same for two shots; a sensor's samples never are. */
    private static boolean few(ShotLog log) {
        return log.size() <= FEW_SAMPLES;
    }

    /** One of few points that are the same, unless file, name or time say that it is another. */
    private Optional<Existing> withPoints(String digest, ShotRecord record, Set<Integer> met) {
        return handle.createQuery("SELECT id, number, binned_at, extras, " + ShotRows.FIELD_COLUMNS
                + " FROM shot WHERE log_digest = :digest OR log_digest LIKE :another")
                .bind("digest", digest)
                .bind("another", digest + ANOTHER + "%")
                .map((row, context) -> isAnother(record, ShotRows.record(row, 4, tables.names()))
                        ? Optional.<Existing>empty()
                        : Optional.of(new Existing(row.getLong(1), row.getInt(2), row.getString(3))))
                .stream()
                .flatMap(Optional::stream)
                .filter(shot -> !met.contains(shot.number))
                .findFirst();
    }

    private static boolean isAnother(ShotRecord one, ShotRecord other) {
        return TELLING.stream()
                .anyMatch(field -> one.has(field) && other.has(field)
                        && !one.entry(field).equals(other.entry(field)));
    }

    /** The digest, or with a number behind it where another shot has it. */
    private String free(String digest) {
        return Stream.iterate(1, i -> i + 1)
                .map(i -> i == 1 ? digest : digest + ANOTHER + i)
                .filter(one -> withLog(one).isEmpty())
                .findFirst()
                .orElseThrow();
    }

    private Optional<Existing> withLog(String digest) {
        return handle.createQuery("SELECT id, number, binned_at FROM shot WHERE log_digest = :digest")
                .bind("digest", digest)
                .map((row, context) -> new Existing(row.getLong(1), row.getInt(2), row.getString(3)))
                .findOne();
    }

    private int number(int wanted) {
        return free(wanted) ? wanted
                : handle.createQuery("SELECT coalesce(max(number), 0) + 1 FROM shot").mapTo(Integer.class).one();
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
                .bind("number", number)
                .mapTo(Integer.class)
                .one() == 0;
    }
}
