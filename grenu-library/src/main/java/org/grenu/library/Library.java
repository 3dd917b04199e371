package org.grenu.library;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.Samples;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.entry.Field;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotSheet;
import org.jdbi.v3.core.Handle;

/**
 * A user's shots and shelf in one SQLite file. What a method has returned from is on the disk: a process killed after that
 * loses nothing of it, and one killed before leaves nothing half done. All methods throw {@link LibraryException}.
 */
public final class Library implements AutoCloseable {

    private static final String TIME = "time";

    private final Path path;
    private final Clock clock;
    private final Handle handle;
    private final ShelfRows shelfRows;
    private final Changes changes;
    private final AttachmentRows attachments;
    /** As the file has it; read again when another window has written to the file since. */
    private Shelf shelf;
    private int shelfRead;

    private Library(Path path, Clock clock, Handle handle) {
        this.path = path;
        this.clock = clock;
        this.handle = handle;
        this.shelfRows = new ShelfRows(handle);
        this.changes = new Changes(handle, shelfRows);
        this.attachments = new AttachmentRows(handle);
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

    /**
     * Looks a large library through, which opening it leaves out; takes seconds and holds nobody up.
     *
     * @throws LibraryException if it is damaged
     */
    public void check() {
        new LibraryFile(path).checkLarge();
    }

    // Shots

    /** Stores a shot with the file it came from, unless one with the same samples is there already; one in the bin is taken out. */
    public synchronized AddOutcome add(String fileName, byte[] raw, Shot shot) {
        return add(fileName, raw, shot, 0);
    }

    /** As {@link #add(String, byte[], Shot)}; the shot keeps that number where it is free. */
    public synchronized AddOutcome add(String fileName, byte[] raw, Shot shot, int wantedNumber) {
        String digest = SampleBlob.digest(shot.log());
        return Storing.inTransaction(handle, "store a shot", () -> {
            Optional<Existing> existing = handle.createQuery("SELECT id, number, binned_at FROM shot WHERE log_digest = :digest").bind("digest", digest)
                    .map((row, context) -> new Existing(row.getLong(1), row.getInt(2), row.getString(3))).findOne();
            if (existing.isPresent() && existing.get().binned.isEmpty()) {
                return new AddOutcome.Duplicate(existing.get().number);
            }
            if (existing.isPresent()) {
                handle.execute("UPDATE shot SET binned_at = '' WHERE id = ?", existing.get().id);
                return new AddOutcome.Added(summary(existing.get().id));
            }
            int number = free(wantedNumber) ? wantedNumber : handle.createQuery("SELECT coalesce(max(number), 0) + 1 FROM shot").mapTo(Integer.class).one();
            long id = ShotRows.insert(handle, number, rawFile(fileName, raw), digest, now(), shot.sheet());
            insertSamples(id, TIME, shot.log().time());
            shot.log().channels().forEach((channel, samples) -> insertSamples(id, channel.key(), samples));
            return new AddOutcome.Added(summary(new Row(id, number, shot.sheet(), complete(shot.sheet()), Optional.empty())));
        });
    }

    private boolean free(int number) {
        return number > 0 && handle.createQuery("SELECT count(*) FROM shot WHERE number = :number").bind("number", number).mapTo(Integer.class).one() == 0;
    }

    private record Existing(long id, int number, String binned) {
    }

    /** Keeps that those shots were added together, so that adding them can be undone. */
    public synchronized void addedTogether(List<Long> ids, String words) {
        Storing.inTransaction(handle, "store what was added", () -> {
            changes.keep(words, ids.stream().map(id -> new Change(Target.SHOT, id, Change.BINNED, Change.NEVER, "")).toList(), "", now());
            return null;
        });
    }

    /** A file that holds several shots is kept once. */
    private long rawFile(String fileName, byte[] raw) {
        String digest = Digests.sha256(raw);
        return handle.createQuery("SELECT id FROM raw_file WHERE digest = :digest AND name = :name").bind("digest", digest).bind("name", fileName)
                .mapTo(Long.class).findFirst().orElseGet(() -> handle
                        .createUpdate("INSERT INTO raw_file (name, digest, bytes, imported_at) VALUES (:name, :digest, :bytes, :now)")
                        .bind("name", fileName).bind("digest", digest).bind("bytes", raw).bind("now", now())
                        .executeAndReturnGeneratedKeys("id").mapTo(Long.class).one());
    }

    /** {@return all shots that are not in the bin, in the order of their numbers} */
    public synchronized List<ShotSummary> summaries() {
        return Storing.inTransaction(handle, "read the shots", () -> summaries(ShotRows.selectSummaries()
                + " WHERE shot.binned_at = '' ORDER BY shot.number"));
    }

    /** {@return the newest shots by number, so many at most, in the order of their numbers} */
    public synchronized List<ShotSummary> newest(int most) {
        return Storing.inTransaction(handle, "read the shots", () -> summaries(ShotRows.selectSummaries()
                + " WHERE shot.number IN (SELECT number FROM shot WHERE binned_at = '' ORDER BY number DESC LIMIT " + most + ") ORDER BY shot.number"));
    }

    private List<ShotSummary> summaries(String query) {
        Shelf gear = shelf();
        List<Row> rows = handle.createQuery(query).map((row, context) -> {
            ShotSheet recorded = ShotRows.sheet(row, ShotRows.EXTRAS);
            ShotSheet complete = gear.complete(recorded);
            return new Row(row.getLong(1), row.getInt(2), recorded, complete, ShotRows.digest(row, complete.curveSettings()));
        }).list();
        List<ShotSummary> summaries = new ArrayList<>(rows.size());
        rows.forEach(row -> summaries.add(summary(row)));
        return summaries;
    }

    /** {@return the shots as the shelf tells of them now, which may have changed since they were read} What was found in those that did is forgotten. */
    public synchronized List<ShotSummary> refreshed(List<ShotSummary> shots) {
        return Storing.inTransaction(handle, "read the shots", () -> shots.stream().map(shot -> {
            ShotSummary now = shot.on(shelf());
            if (!now.equals(shot)) {
                handle.execute("DELETE FROM shot_finding WHERE shot_id = ?", shot.id());
            }
            return now.sheet().curveSettings().equals(shot.sheet().curveSettings()) ? now : summary(shot.id());
        }).toList());
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

    // Shelf

    /** {@return what stands on the shelf} */
    public synchronized Shelf shelf() {
        int version = handle.createQuery("PRAGMA data_version").mapTo(Integer.class).one();
        if (shelf == null || version != shelfRead) {
            shelf = Storing.inTransaction(handle, "read the shelf", shelfRows::read);
            shelfRead = version;
        }
        return shelf;
    }

    /** Puts a thing on the shelf. */
    public synchronized StoredStep addItem(ShelfKind kind, String name, Map<Field, String> entries) {
        return Storing.inTransaction(handle, "put something on the shelf", () -> {
            long id = shelfRows.addItem(kind, name, now());
            shelfRows.addVersion(id, 1, "", "", entries, "");
            return store("New " + kind.one() + " " + name, List.of(new Change(Target.ITEM, id, Change.BINNED, Change.NEVER, "")), "");
        });
    }

    /** Puts things with all their versions on the shelf, as one step. */
    public synchronized StoredStep addItems(List<ShelfItem> items, String words) {
        return Storing.inTransaction(handle, "put things on the shelf", () -> {
            List<Change> made = new ArrayList<>();
            for (ShelfItem item : items) {
                long id = shelfRows.addItem(item.kind(), item.name(), now());
                item.versions().forEach(version -> shelfRows.addVersion(id, version.number(), version.since().map(LocalDate::toString).orElse(""),
                        version.changed(), version.entries().texts(), ""));
                made.add(new Change(Target.ITEM, id, Change.BINNED, Change.NEVER, ""));
            }
            return store(words, made, "");
        });
    }

    /** Begins a new version of a thing whose parts were changed; it starts from those entries. */
    public synchronized StoredStep addVersion(long item, LocalDate since, String changed, Map<Field, String> entries) {
        return Storing.inTransaction(handle, "store a version", () -> {
            int number = handle.createQuery("SELECT coalesce(max(number), 0) + 1 FROM shelf_version WHERE item_id = :item AND binned_at = ''")
                    .bind("item", item).mapTo(Integer.class).one();
            long id = shelfRows.addVersion(item, number, since.toString(), changed, entries, Change.NEVER);
            return store("Version " + number + " of " + shelfRows.itemName(item), List.of(new Change(Target.VERSION, id, Change.BINNED, Change.NEVER, "")), "");
        });
    }

    // Attachments

    /** Keeps a file with a shot. */
    public synchronized StoredStep attach(long shot, String name, byte[] bytes) {
        return Storing.inTransaction(handle, "keep a file", () -> {
            long id = attachments.add(shot, name, bytes, now());
            return store("Attached " + name, List.of(new Change(Target.ATTACHMENT, id, Change.BINNED, Change.NEVER, "")), "");
        });
    }

    /** Keeps a file that came with a shot from another library; no step of its own. */
    public synchronized void keepAttachment(long shot, String name, byte[] bytes) {
        Storing.inTransaction(handle, "keep a file", () -> handle.execute("UPDATE attachment SET binned_at = '' WHERE id = ?", attachments.add(shot, name, bytes, now())));
    }

    /** {@return the files kept with a shot, in the order they were added} */
    public synchronized List<Attachment> attachments(long shot) {
        return Storing.inTransaction(handle, "read the attachments", () -> attachments.of(shot));
    }

    /** {@return the bytes of an attachment} */
    public synchronized byte[] attachmentBytes(long id) {
        return Storing.inTransaction(handle, "read an attachment", () -> attachments.bytes(id));
    }

    // History

    /** Stores an edit of a shot's record. */
    public synchronized StoredStep apply(long shot, SheetEdit edit) {
        return apply(edit.title(), List.of(Change.of(shot, edit)), "");
    }

    /**
     * Stores changes that belong together; steps that were undone before can no longer be redone.
     *
     * @param words  what they do, for the history
     * @param reason why, in the user's words; may be empty
     */
    public synchronized StoredStep apply(String words, List<Change> wanted, String reason) {
        return Storing.inTransaction(handle, "store an edit", () -> store(words, wanted, reason));
    }

    /** Puts things into the bin, from where they can be taken out again. */
    public synchronized StoredStep bin(Target target, List<Long> ids, String words) {
        return apply(words, ids.stream().map(id -> new Change(target, id, Change.BINNED, "", now())).toList(), "");
    }

    /** Takes something out of the bin. */
    public synchronized StoredStep restore(Binned binned) {
        return apply("Out of the bin: " + binned.words(), List.of(new Change(binned.target(), binned.id(), Change.BINNED, binned.since().toString(), "")), "");
    }

    /** {@return what is in the bin, the newest first} */
    public synchronized List<Binned> bin() {
        return Storing.inTransaction(handle, "read the bin", () -> handle.createQuery(
                "SELECT 'shot' AS target, id, 'Shot ' || number || coalesce(' · ' || coffee, '') AS words, binned_at FROM shot WHERE binned_at NOT IN ('', 'never') "
                + "UNION ALL SELECT 'item', id, name, binned_at FROM shelf_item WHERE binned_at NOT IN ('', 'never') "
                + "UNION ALL SELECT 'version', v.id, 'v' || v.number || ' of ' || i.name, v.binned_at FROM shelf_version v JOIN shelf_item i ON i.id = v.item_id "
                + "WHERE v.binned_at NOT IN ('', 'never') "
                + "UNION ALL SELECT 'attachment', a.id, a.name || ' of shot ' || s.number, a.binned_at FROM attachment a JOIN shot s ON s.id = a.shot_id "
                + "WHERE a.binned_at NOT IN ('', 'never') ORDER BY 4 DESC, 2 DESC")
                .map((row, context) -> new Binned(Target.of(row.getString(1)), row.getLong(2), row.getString(3), Instant.parse(row.getString(4)))).list());
    }

    /** Takes the last step back; empty when there is none. */
    public synchronized Optional<StoredStep> undo() {
        return Storing.inTransaction(handle, "undo", () -> changes.undo().map(this::took));
    }

    /** Makes the step again that was undone last; empty when there is none. */
    public synchronized Optional<StoredStep> redo() {
        return Storing.inTransaction(handle, "redo", () -> changes.redo().map(this::took));
    }

    /** {@return how many steps can be undone and how many redone} */
    public synchronized EditDepth editDepth() {
        return Storing.inTransaction(handle, "read the edits", changes::depth);
    }

    /** {@return what was changed of a thing, the newest first} */
    public synchronized List<HistoryEntry> history(Target target, long id) {
        return Storing.inTransaction(handle, "read the history", () -> handle.createQuery("SELECT id, field, before_text, after_text, reason, made_at, state "
                + "FROM history WHERE target = :target AND target_id = :id ORDER BY id DESC").bind("target", target.key()).bind("id", id)
                .map((row, context) -> new HistoryEntry(row.getLong(1), new Change(target, id, row.getString(2), row.getString(3), row.getString(4)),
                        row.getString(5), Instant.parse(row.getString(6)), row.getString(7).equals("undone") || row.getString(7).equals("replaced"))).list());
    }

    /** {@return all corrections that stand, the oldest first} */
    public synchronized List<HistoryEntry> history() {
        return Storing.inTransaction(handle, "read the history", () -> handle.createQuery("SELECT id, target, target_id, field, before_text, after_text, reason, made_at "
                + "FROM history WHERE state IN ('applied', 'kept') ORDER BY id").map((row, context) -> new HistoryEntry(row.getLong(1),
                        new Change(Target.of(row.getString(2)), row.getLong(3), row.getString(4), row.getString(5), row.getString(6)), row.getString(7),
                        Instant.parse(row.getString(8)), false)).list());
    }

    /** Keeps corrections that were made in another library; they are shown, and cannot be undone here. */
    public synchronized void keepHistory(List<HistoryEntry> entries) {
        Storing.inTransaction(handle, "keep the history", () -> {
            entries.forEach(entry -> handle.execute("INSERT INTO history (step, words, target, target_id, field, before_text, after_text, reason, made_at, state) "
                    + "VALUES (0, '', ?, ?, ?, ?, ?, ?, ?, 'kept')", entry.change().target().key(), entry.change().id(), entry.change().key(), entry.change().before(),
                    entry.change().after(), entry.reason(), entry.madeAt().toString()));
            return null;
        });
    }

    // Copies

    /**
     * Writes a copy of the whole library, then opens the copy and checks that it holds the same.
     *
     * @throws LibraryException if the file exists, cannot be written, or the copy is not equal
     */
    public synchronized void backUp(Path copy) {
        new LibraryCopy(handle, path).write(copy);
    }

    /**
     * Takes this library back to a backup. What it holds now is first copied beside it, whose path is returned.
     *
     * @throws LibraryException if the backup is damaged, no library, or of another version; nothing is changed then
     */
    public synchronized Path restoreFrom(Path backup) {
        Path before = new LibraryCopy(handle, path).restore(backup);
        shelf = null;
        return before;
    }

    /** Says why a correction was made, after it was. */
    public synchronized void giveReason(long historyEntry, String reason) {
        Storing.inTransaction(handle, "store a reason", () -> handle.createUpdate("UPDATE history SET reason = :reason WHERE id = :id")
                .bind("reason", reason.strip()).bind("id", historyEntry).execute());
    }

    private StoredStep store(String words, List<Change> wanted, String reason) {
        wanted.forEach(changes::make);
        changes.keep(words, wanted, reason, now());
        return took(new Changes.Kept(words, wanted));
    }

    private StoredStep took(Changes.Kept kept) {
        boolean shelfChanged = kept.changes().stream().anyMatch(change -> change.target() == Target.ITEM || change.target() == Target.VERSION);
        if (shelfChanged) {
            shelf = shelfRows.read();
        }
        Set<Long> touched = kept.changes().stream().filter(change -> change.target() == Target.SHOT).map(Change::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        touched.forEach(id -> handle.execute("DELETE FROM shot_finding WHERE shot_id = ?", id));
        Set<Long> gone = handle.createQuery("SELECT id FROM shot WHERE binned_at <> ''").mapTo(Long.class).set();
        return new StoredStep(kept.words(), kept.changes(), touched.stream().filter(id -> !gone.contains(id)).map(this::summary).toList(),
                touched.stream().filter(gone::contains).toList(), shelfChanged ? Optional.of(shelf) : Optional.empty());
    }

    // Settings and findings

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

    /** {@return what was found in each shot on that basis, in words, by the shot's key} */
    public synchronized Map<Long, String> findings(String basis) {
        return Storing.inTransaction(handle, "read the findings", () -> {
            Map<Long, String> found = new HashMap<>();
            handle.createQuery("SELECT shot_id, words FROM shot_finding WHERE basis = :basis").bind("basis", basis)
                    .map((row, context) -> found.put(row.getLong(1), row.getString(2))).list();
            return found;
        });
    }

    /** Keeps what was found in shots on that basis. */
    public synchronized void keepFindings(String basis, Map<Long, String> found) {
        Storing.inTransaction(handle, "store the findings", () -> {
            found.forEach((id, words) -> handle.execute("INSERT OR REPLACE INTO shot_finding (shot_id, basis, words) VALUES (?, ?, ?)", id, basis, words));
            return null;
        });
    }

    @Override
    public synchronized void close() {
        handle.close();
    }

    private ShotSheet complete(ShotSheet recorded) {
        return shelf().complete(recorded);
    }

    private ShotSummary summary(long id) {
        return summaries(ShotRows.selectSummaries() + " WHERE shot.id = " + id).get(0);
    }

    private ShotSummary summary(Row row) {
        CurveDigest digest = row.digest.orElseGet(() -> {
            CurveDigest made = CurveDigest.of(CurveMeasures.of(readLog(row.id), row.complete.curveSettings()));
            ShotRows.store(handle, row.id, row.complete.curveSettings(), made);
            return made;
        });
        return new ShotSummary(row.id, row.number, row.recorded, row.complete, digest);
    }

    private ShotLog readLog(long id) {
        Map<String, Samples> columns = handle.createQuery("SELECT channel, count, data FROM samples WHERE shot_id = :id").bind("id", id)
                .reduceResultSet(new LinkedHashMap<String, Samples>(), (map, row, context) -> {
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

    private record Row(long id, int number, ShotSheet recorded, ShotSheet complete, Optional<CurveDigest> digest) {
    }
}
