package org.grenu.library;

import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.Samples;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotSheet;
import org.jdbi.v3.core.Handle;

/**
 * A user's shots in one SQLite file. What a method has returned from is on the disk: a process killed after that loses
 * nothing of it, and one killed before leaves nothing half done. All methods throw {@link LibraryException}.
 */
public final class Library implements AutoCloseable {

    private static final String TIME = "time";
    /** Entries that change what the log says. */
    private static final Set<SheetField> CURVE_FIELDS =
            EnumSet.of(SheetField.REPAIRS_OFF, SheetField.PUMP_ON, SheetField.PUMP_OFF, SheetField.SCALE_RESOLUTION);

    private final Path path;
    private final Clock clock;
    private final Handle handle;

    private Library(Path path, Clock clock, Handle handle) {
        this.path = path;
        this.clock = clock;
        this.handle = handle;
    }

    /** {@return the library in that file, made when it does not exist and brought up to date when it is older} */
    public static Library open(Path path) {
        return open(path, Clock.systemUTC());
    }

    /** {@return the library in that file, which takes the time of edits from the clock} */
    public static Library open(Path path, Clock clock) {
        return new Library(path.toAbsolutePath(), clock, new LibraryFile(path).open());
    }

    /** {@return the library's file} */
    public Path path() {
        return path;
    }

    /** Stores a shot with the file it came from, unless one with the same samples is there already. */
    public synchronized AddOutcome add(String fileName, byte[] raw, Shot shot) {
        String digest = SampleBlob.digest(shot.log());
        return Storing.inTransaction(handle, "store a shot", () -> {
            Optional<Integer> existing = handle.createQuery("SELECT number FROM shot WHERE log_digest = :digest")
                    .bind("digest", digest).mapTo(Integer.class).findOne();
            if (existing.isPresent()) {
                return new AddOutcome.Duplicate(existing.get());
            }
            int number = handle.createQuery("SELECT coalesce(max(number), 0) + 1 FROM shot").mapTo(Integer.class).one();
            long rawFile = rawFile(fileName, raw);
            long id = ShotRows.insert(handle, number, rawFile, digest, now(), shot.sheet());
            insertSamples(id, TIME, shot.log().time());
            shot.log().channels().forEach((channel, samples) -> insertSamples(id, channel.key(), samples));
            CurveDigest curve = CurveDigest.of(CurveMeasures.of(shot.log(), shot.sheet().curveSettings()));
            ShotRows.store(handle, id, curve);
            return new AddOutcome.Added(new ShotSummary(id, number, shot.sheet(), curve));
        });
    }

    /** A file that holds several shots is kept once. */
    private long rawFile(String fileName, byte[] raw) {
        String digest = sha256(raw);
        return handle.createQuery("SELECT id FROM raw_file WHERE digest = :digest AND name = :name").bind("digest", digest).bind("name", fileName)
                .mapTo(Long.class).findFirst().orElseGet(() -> handle
                        .createUpdate("INSERT INTO raw_file (name, digest, bytes, imported_at) VALUES (:name, :digest, :bytes, :now)")
                        .bind("name", fileName).bind("digest", digest).bind("bytes", raw).bind("now", now())
                        .executeAndReturnGeneratedKeys("id").mapTo(Long.class).one());
    }

    /** {@return all shots in the order of their numbers} */
    public synchronized List<ShotSummary> summaries() {
        return Storing.inTransaction(handle, "read the shots", () -> {
            List<Row> rows = handle.createQuery(ShotRows.selectSummaries() + " ORDER BY shot.number").map((row, context) ->
                    new Row(row.getLong("id"), row.getInt("number"), ShotRows.sheet(row), ShotRows.digest(row))).list();
            List<ShotSummary> summaries = new ArrayList<>(rows.size());
            rows.forEach(row -> summaries.add(summary(row)));
            return summaries;
        });
    }

    /** {@return the shot's log} */
    public synchronized ShotLog log(long id) {
        return Storing.inTransaction(handle, "read a log", () -> readLog(id));
    }

    /** {@return the file the shot came from} */
    public synchronized RawFile rawFile(long id) {
        return Storing.inTransaction(handle, "read a file", () -> handle
                .createQuery("SELECT r.name, r.bytes FROM raw_file r JOIN shot s ON s.raw_file_id = r.id WHERE s.id = :id")
                .bind("id", id).map((row, context) -> new RawFile(row.getString(1), row.getBytes(2))).one());
    }

    /** Stores an edit; edits that were undone before it can no longer be redone. */
    public synchronized StoredEdit apply(long id, SheetEdit edit) {
        return Storing.inTransaction(handle, "store an edit", () -> {
            StoredEdit stored = change(id, edit);
            handle.execute("UPDATE edit SET state = 'replaced' WHERE state = 'undone'");
            handle.createUpdate("INSERT INTO edit (shot_id, field, before_text, after_text, made_at, state) "
                    + "VALUES (:shot, :field, :before, :after, :now, 'applied')").bind("shot", id).bind("field", edit.key())
                    .bind("before", edit.before()).bind("after", edit.after()).bind("now", now()).execute();
            return stored;
        });
    }

    /** Takes the last applied edit back; empty when there is none. */
    public synchronized Optional<StoredEdit> undo() {
        return Storing.inTransaction(handle, "undo", () -> step("applied", "DESC", "undone"));
    }

    /** Applies the edit again that was undone last; empty when there is none. */
    public synchronized Optional<StoredEdit> redo() {
        return Storing.inTransaction(handle, "redo", () -> step("undone", "ASC", "applied"));
    }

    /** {@return how many edits can be undone and how many redone} */
    public synchronized EditDepth editDepth() {
        return Storing.inTransaction(handle, "read the edits", () -> handle
                .createQuery("SELECT count(*) FILTER (WHERE state = 'applied'), count(*) FILTER (WHERE state = 'undone') FROM edit")
                .map((row, context) -> new EditDepth(row.getInt(1), row.getInt(2))).one());
    }

    /** {@return what the user chose for this library, by key} */
    public synchronized Map<String, String> settings() {
        Map<String, String> settings = new TreeMap<>();
        handle.createQuery("SELECT key, value FROM setting").map((row, context) -> Map.entry(row.getString("key"), row.getString("value")))
                .forEach(entry -> settings.put(entry.getKey(), entry.getValue()));
        return settings;
    }

    /** Keeps those choices; a blank one is forgotten. */
    public synchronized void keep(Map<String, String> settings) {
        Storing.inTransaction(handle, "store the settings", () -> {
            settings.forEach((key, value) -> {
                if (value.isBlank()) {
                    handle.execute("DELETE FROM setting WHERE key = ?", key);
                } else {
                    handle.execute("INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)", key, value);
                }
            });
            return null;
        });
    }

    @Override
    public synchronized void close() {
        handle.close();
    }

    private Optional<StoredEdit> step(String from, String order, String to) {
        Optional<EditRow> row = handle.createQuery("SELECT id, shot_id, field, before_text, after_text FROM edit WHERE state = :from ORDER BY id "
                + order + " LIMIT 1").bind("from", from).map((r, context) -> new EditRow(r.getLong(1), r.getLong(2),
                new SheetEdit(r.getString(3), r.getString(4), r.getString(5)))).findOne();
        return row.map(found -> {
            SheetEdit edit = to.equals("undone") ? found.edit.inverse() : found.edit;
            StoredEdit stored = change(found.shot, edit);
            handle.createUpdate("UPDATE edit SET state = :to WHERE id = :id").bind("to", to).bind("id", found.id).execute();
            return stored;
        });
    }

    private StoredEdit change(long id, SheetEdit edit) {
        Row row = row(id);
        String current = edit.current(row.sheet);
        if (!current.equals(edit.before())) {
            throw new LibraryException(edit.title() + " of shot " + row.number + " was changed by another window to “" + current
                    + "”. Look at it again before changing it.");
        }
        ShotSheet sheet = edit.apply(row.sheet);
        ShotRows.update(handle, id, edit.field(), sheet);
        Row changed = new Row(id, row.number, sheet, edit.field().filter(CURVE_FIELDS::contains).isPresent() ? Optional.empty() : row.digest);
        return new StoredEdit(summary(changed), edit);
    }

    private Row row(long id) {
        return handle.createQuery(ShotRows.selectSummaries() + " WHERE shot.id = :id").bind("id", id).map((row, context) ->
                new Row(row.getLong("id"), row.getInt("number"), ShotRows.sheet(row), ShotRows.digest(row))).one();
    }

    private ShotSummary summary(Row row) {
        CurveDigest digest = row.digest.orElseGet(() -> {
            CurveDigest made = CurveDigest.of(CurveMeasures.of(readLog(row.id), row.sheet.curveSettings()));
            ShotRows.store(handle, row.id, made);
            return made;
        });
        return new ShotSummary(row.id, row.number, row.sheet, digest);
    }

    private ShotLog readLog(long id) {
        Map<String, Samples> columns = handle.createQuery("SELECT channel, count, data FROM samples WHERE shot_id = :id").bind("id", id)
                .reduceResultSet(new HashMap<String, Samples>(), (map, row, context) -> {
                    map.put(row.getString(1), SampleBlob.unpack(row.getBytes(3), row.getInt(2)));
                    return map;
                });
        Samples time = columns.remove(TIME);
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        columns.forEach((key, samples) -> Channel.find(key).ifPresent(channel -> channels.put(channel, samples)));
        return new ShotLog(time, channels);
    }

    private void insertSamples(long id, String channel, Samples samples) {
        handle.createUpdate("INSERT INTO samples (shot_id, channel, count, data) VALUES (:id, :channel, :count, :data)")
                .bind("id", id).bind("channel", channel).bind("count", samples.size()).bind("data", SampleBlob.pack(samples)).execute();
    }

    private String now() {
        return Instant.now(clock).truncatedTo(ChronoUnit.MILLIS).toString();
    }

    private static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private record Row(long id, int number, ShotSheet sheet, Optional<CurveDigest> digest) {
    }

    private record EditRow(long id, long shot, SheetEdit edit) {
    }
}
