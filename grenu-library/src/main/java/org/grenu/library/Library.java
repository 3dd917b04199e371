package org.grenu.library;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.entry.Field;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotSheet;
import org.grenu.core.study.ShotState;
import org.jdbi.v3.core.Handle;

/**
 * A user's shots and shelf in one SQLite file. What a method has returned from is on the disk: a process killed after
 * that
 * loses nothing of it, and one killed before leaves nothing half done. All methods throw {@link LibraryException}.
 */
public final class Library implements AutoCloseable {

    private final Path path;
    private final Clock clock;
    private final Handle handle;
    private final ShelfRows shelfRows;
    private final Changes changes;
    private final AttachmentRows attachments;
    private final SampleRows samples;
    private final HistoryRows history;
    private final BinRows bin;
    private final FindingRows findings;
    private final RawFileRows rawFiles;
    private final SettingRows settings;
    private final Transactions transactions;
    private final boolean readOnly;
    private final SummaryRows summaryRows;
    private final ShotIntake intake;
    private final LogKeeper keeper;
    private Path scratch;
    /** As the file has it; read again when another window has written to the file since. */
    private Shelf shelf;
    private int shelfRead;
    /** As it was when it was last asked whether another process has written. */
    private int seen;

    private Library(Path path, Clock clock, LogDigests digests, Handle handle, boolean readOnly) {
        this.path = path;
        this.readOnly = readOnly;
        this.clock = clock;
        this.handle = handle;
        this.shelfRows = new ShelfRows(handle);
        this.changes = new Changes(handle, shelfRows);
        this.attachments = new AttachmentRows(handle);
        this.samples = new SampleRows(handle);
        this.history = new HistoryRows(handle);
        this.bin = new BinRows(handle);
        this.findings = new FindingRows(handle);
        this.rawFiles = new RawFileRows(handle);
        this.settings = new SettingRows(handle);
        this.transactions = new Transactions(handle);
        this.intake = new ShotIntake(handle, rawFiles, samples, changes);
        this.summaryRows = new SummaryRows(handle, samples, transactions, digests, readOnly);
        this.seen = dataVersion();
        this.keeper = readOnly ? LogKeeper.none() : LogKeeper.of(handle, this);
    }

    /** {@return the library in that file, made when it does not exist and brought up to date when it is older} */
    public static Library open(Path path) {
        return open(path, Clock.systemUTC(), LogDigests.MEASURED_ANEW);
    }

    /**
     * {@return the library in that file; one that cannot be written is read}
     *
     * @param clock   gives the time of edits
     * @param digests measures the logs that come in
     */
    public static Library open(Path path, Clock clock, LogDigests digests) {
        LibraryFile file = new LibraryFile(path);
        return file.readOnly() ? read(path, clock, digests, file)
                : new Library(path.toAbsolutePath(), clock, digests, file.open(), false);
    }

    /**
     * {@return the library in that file, of which nothing is changed} What another process has written to its log
     * counts. An
     * older one is read from a copy beside that path, which goes when the library is closed.
     *
     * @param copiesBeside a file in a folder that can be written
     */
    public static Library openForReading(Path path, Path copiesBeside) {
        LibraryFile file = new LibraryFile(path);
        Handle handle = file.openForReading();
        if (file.versionOf(handle) == LibraryFile.CURRENT_VERSION) {
            return new Library(path.toAbsolutePath(), Clock.systemUTC(), LogDigests.MEASURED_ANEW, handle, true);
        }
        handle.close();
        Path scratch = LibraryCopy.scratch(copiesBeside, path);
        try {
            Library copied = new Library(path.toAbsolutePath(), Clock.systemUTC(), LogDigests.MEASURED_ANEW,
                    new LibraryFile(scratch).openScratch(), true);
            copied.scratch = scratch;
            return copied;
        } catch (LibraryException refused) {
            LibraryCopy.discard(scratch);
            throw new LibraryException(refused.getMessage().replace(scratch.toString(), path.toString()), refused);
        }
    }

    private static Library read(Path path, Clock clock, LogDigests digests, LibraryFile file) {
        Handle handle = file.openForReading();
        if (file.versionOf(handle) != LibraryFile.CURRENT_VERSION) {
            handle.close();
            throw new LibraryException("The library " + path
                    + " cannot be written where it lies, and is of an older version that has to be brought up to date."
                    + " Copy it to a place that can be written, and open it there.");
        }
        return new Library(path.toAbsolutePath(), clock, digests, handle, true);
    }

    /** {@return whether it can only be read where it lies} */
    public boolean readOnly() {
        return readOnly;
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

    /**
     * Stores a shot with the file it came from, unless one with the same samples is there already; one in the bin
     * is taken out.
     */
    public synchronized AddOutcome add(String fileName, byte[] raw, Shot shot) {
        return add(fileName, raw, shot, 0);
    }

    /** As {@link #add(String, byte[], Shot)}; the shot keeps that number where it is free. */
    public synchronized AddOutcome add(String fileName, byte[] raw, Shot shot, int wantedNumber) {
        return transactions.write("store a shot", () -> {
            ShotIntake.Taken taken = intake.take(fileName, raw, shot, wantedNumber, now());
            return taken.known() ? new AddOutcome.Duplicate(taken.number()) : new AddOutcome.Added(summary(taken.id()));
        });
    }

    /**
     * Stores a shot that has no log, or none yet, as a step of its own.
     *
     * @param wantedNumber its number where that is free; 0 for the next
     */
    public synchronized StoredStep write(ShotSheet sheet, ShotState state, int wantedNumber) {
        return transactions.write("store a shot", () -> {
            ShotIntake.Taken taken = intake.write(sheet, state, wantedNumber, now());
            handle.execute("UPDATE shot SET binned_at = ? WHERE id = ?", Change.NEVER, taken.id());
            return store("New shot " + taken.number(), List.of(ShotIntake.made(taken.id())), "");
        });
    }

    /**
     * Gives a shot the log it was pulled with, as a step of its own.
     *
     * @param beside changes of its record that come with the log
     * @throws LibraryException if it has one, or the log is another shot's
     */
    public synchronized StoredStep giveLog(ShotSummary shot, String fileName, byte[] raw, ShotLog log,
            List<Change> beside) {
        return transactions.write("store a log", () -> {
            if (logged(shot.id())) {
                throw new LibraryException(
                        "Shot " + shot.number() + " has a log. Import the file as a shot of its own.");
            }
            List<Change> all = new ArrayList<>(beside);
            all.add(intake.log(shot.id(), fileName, raw, log, now()));
            return store("Log of shot " + shot.number(), all, "");
        });
    }

    private boolean logged(long id) {
        return handle.createQuery("SELECT log_digest IS NOT NULL FROM shot WHERE id = :id")
                .bind("id", id)
                .mapTo(Boolean.class)
                .one();
    }

    /** Keeps that those shots were added together, so that adding them can be undone. */
    public synchronized void addedTogether(List<Long> ids, String words) {
        transactions.write("store what was added", () -> changes.keep(words,
                ids.stream().map(id -> new Change(Target.SHOT, id, Change.BINNED, Change.NEVER, "")).toList(), "",
                now()));
    }

    /** Makes everything that the work stores one step: all of it is stored or nothing, and it is undone together. */
    public synchronized void inOneStep(String words, Runnable work) {
        try {
            transactions.write("store that", () -> changes.together(words, now(), work));
        } finally {
            shelf = null;
        }
    }

    /** {@return all shots that are not in the bin, in the order of their numbers} */
    public synchronized List<ShotSummary> summaries() {
        return summaryRows.read("WHERE shot.binned_at = '' ORDER BY shot.number", this::shelf);
    }

    /** {@return the shot of that number, when it is not in the bin} */
    public synchronized Optional<ShotSummary> summaryOf(int number) {
        return summaryRows.read("WHERE shot.binned_at = '' AND shot.number = " + number, this::shelf)
                .stream()
                .findFirst();
    }

    /** {@return the newest shots by number, so many at most, in the order of their numbers} */
    public synchronized List<ShotSummary> newest(int most) {
        return summaryRows
                .read("WHERE shot.number IN (SELECT number FROM shot WHERE binned_at = '' ORDER BY number DESC LIMIT "
                        + most + ") ORDER BY shot.number", this::shelf);
    }

    /**
     * {@return the shots as the shelf tells of them now, which may have changed since they were read} What was
     * found in those that did is forgotten.
     */
    public synchronized List<ShotSummary> refreshed(List<ShotSummary> shots) {
        Shelf told = shelf();
        List<Long> changed = new ArrayList<>();
        List<ShotSummary> now = summaryRows.measuring(() -> shots.stream().map(shot -> {
            ShotSummary on = shot.on(told);
            if (!on.equals(shot)) {
                changed.add(shot.id());
            }
            return on.sheet().curveSettings().equals(shot.sheet().curveSettings()) ? on : summary(shot.id());
        }).toList());
        if (!changed.isEmpty()) {
            transactions.write("forget findings", () -> changed.forEach(findings::forget));
        }
        return now;
    }

    /** {@return the shot's log; {@link ShotLog#NONE} where it has none} */
    public synchronized ShotLog log(long id) {
        return transactions.read("read a log", () -> logged(id) ? samples.read(id) : ShotLog.NONE);
    }

    /** {@return the file the shot's log came from} */
    public synchronized Optional<RawFile> rawFile(long id) {
        return transactions.read("read a file", () -> rawFiles.of(id));
    }

    // Shelf

    /** {@return whether another process has written to the file since this was last asked} */
    public synchronized boolean changedElsewhere() {
        int version = dataVersion();
        boolean changed = version != seen;
        seen = version;
        return changed;
    }

    /** Counts up when another connection has written to the file. */
    private int dataVersion() {
        return handle.createQuery("PRAGMA data_version").mapTo(Integer.class).one();
    }

    /** {@return what stands on the shelf} */
    public synchronized Shelf shelf() {
        int version = dataVersion();
        if (shelf == null || version != shelfRead) {
            shelf = transactions.read("read the shelf", shelfRows::read);
            shelfRead = version;
        }
        return shelf;
    }

    /** Puts a thing on the shelf. */
    public synchronized StoredStep addItem(ShelfKind kind, String name, Map<Field, String> entries) {
        return transactions.write("put something on the shelf", () -> {
            long id = shelfRows.addItem(kind, name, now());
            shelfRows.addVersion(id, 1, "", "", entries, "");
            return store("New " + kind.one() + " " + name,
                    List.of(new Change(Target.ITEM, id, Change.BINNED, Change.NEVER, "")), "");
        });
    }

    /** Puts things with all their versions on the shelf, as one step. */
    public synchronized StoredStep addItems(List<ShelfItem> items, String words) {
        return transactions.write("put things on the shelf", () -> {
            List<Change> made = new ArrayList<>();
            for (ShelfItem item : items) {
                long id = shelfRows.addItem(item.kind(), item.name(), now());
                item.versions()
                        .forEach(version -> shelfRows.addVersion(id, version.number(),
                                version.since().map(LocalDate::toString).orElse(""),
                                version.changed(), version.entries().texts(), ""));
                made.add(new Change(Target.ITEM, id, Change.BINNED, Change.NEVER, ""));
            }
            return store(words, made, "");
        });
    }

    /** Begins a new version of a thing whose parts were changed; it starts from those entries. */
    public synchronized StoredStep addVersion(long item, LocalDate since, String changed, Map<Field, String> entries) {
        return transactions.write("store a version", () -> {
            int number = handle.createQuery(
                    "SELECT coalesce(max(number), 0) + 1 FROM shelf_version WHERE item_id = :item AND binned_at = ''")
                    .bind("item", item)
                    .mapTo(Integer.class)
                    .one();
            long id = shelfRows.addVersion(item, number, since.toString(), changed, entries, Change.NEVER);
            return store("Version " + number + " of " + shelfRows.itemName(item),
                    List.of(new Change(Target.VERSION, id, Change.BINNED, Change.NEVER, "")), "");
        });
    }

    // Attachments

    /** Keeps a file with a shot. */
    public synchronized StoredStep attach(long shot, String name, byte[] bytes) {
        return transactions.write("keep a file", () -> {
            long id = attachments.add(shot, name, bytes, now());
            return store("Attached " + name,
                    List.of(new Change(Target.ATTACHMENT, id, Change.BINNED, Change.NEVER, "")), "");
        });
    }

    /**
     * Keeps a file that came with a shot from another library, unless the shot has it; {@return whether it was
     * missing}
     */
    public synchronized boolean keepAttachment(long shot, String name, byte[] bytes) {
        return transactions.write("keep a file", () -> {
            if (attachments.has(shot, name, bytes)) {
                return false;
            }
            long id = attachments.add(shot, name, bytes, now());
            handle.execute("UPDATE attachment SET binned_at = '' WHERE id = ?", id);
            changes.made(new Change(Target.ATTACHMENT, id, Change.BINNED, Change.NEVER, ""));
            return true;
        });
    }

    /** {@return the files kept with a shot, in the order they were added} */
    public synchronized List<Attachment> attachments(long shot) {
        return transactions.read("read the attachments", () -> attachments.of(shot));
    }

    /** {@return the bytes of an attachment} */
    public synchronized byte[] attachmentBytes(long id) {
        return transactions.read("read an attachment", () -> attachments.bytes(id));
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
        return transactions.write("store an edit", () -> store(words, wanted, reason));
    }

    /** Puts things into the bin, from where they can be taken out again. */
    public synchronized StoredStep bin(Target target, List<Long> ids, String words) {
        return apply(words, ids.stream().map(id -> new Change(target, id, Change.BINNED, "", now())).toList(), "");
    }

    /** Takes something out of the bin. */
    public synchronized StoredStep restore(Binned binned) {
        return apply("Out of the bin: " + binned.words(),
                List.of(new Change(binned.target(), binned.id(), Change.BINNED, binned.since().toString(), "")), "");
    }

    /** {@return what is in the bin, the newest first} */
    public synchronized List<Binned> bin() {
        return transactions.read("read the bin", bin::list);
    }

    /** {@return what emptying the bin would lose} */
    public synchronized BinLoss binLoss() {
        return transactions.read("read the bin", bin::loss);
    }

    /**
     * Takes what is in the bin out of the library for good, with its history. No step of it can be undone
     * afterwards.
     */
    public synchronized void emptyBin() {
        transactions.write("empty the bin", bin::empty);
    }

    /** Takes the last step back; empty when there is none. */
    public synchronized Optional<StoredStep> undo() {
        return transactions.write("undo", () -> changes.undo().map(this::took));
    }

    /** Makes the step again that was undone last; empty when there is none. */
    public synchronized Optional<StoredStep> redo() {
        return transactions.write("redo", () -> changes.redo().map(this::took));
    }

    /** {@return how many steps can be undone and how many redone} */
    public synchronized EditDepth editDepth() {
        return transactions.read("read the edits", changes::depth);
    }

    /** {@return what was changed of a thing, the newest first} */
    public synchronized List<HistoryEntry> history(Target target, long id) {
        return transactions.read("read the history", () -> history.of(target, id));
    }

    /** {@return all corrections that stand, the oldest first} */
    public synchronized List<HistoryEntry> history() {
        return transactions.read("read the history", history::standing);
    }

    /**
     * Keeps corrections that were made in another library, those that are not here yet; they are shown, and cannot
     * be undone here. {@return how many those were}
     */
    public synchronized int keepHistory(List<HistoryEntry> entries) {
        return transactions.write("keep the history", () -> history.keep(entries));
    }

    /** Says why a correction was made, after it was. */
    public synchronized void giveReason(long historyEntry, String reason) {
        transactions.write("store a reason", () -> history.giveReason(historyEntry, reason));
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
        if (readOnly) {
            throw new LibraryException("The library " + path
                    + " is open for reading only: nothing can be restored into it. Choose another with --library.");
        }
        Path before = new LibraryCopy(handle, path).restore(backup);
        changes.begin();
        seen = dataVersion();
        shelf = null;
        return before;
    }

    private StoredStep store(String words, List<Change> wanted, String reason) {
        changes.store(words, wanted, reason, now());
        return took(new Changes.Kept(words, wanted));
    }

    private StoredStep took(Changes.Kept kept) {
        boolean shelfChanged = kept.changes()
                .stream()
                .anyMatch(change -> change.target() == Target.ITEM || change.target() == Target.VERSION);
        if (shelfChanged) {
            shelf = shelfRows.read();
        }
        Set<Long> touched = kept.changes()
                .stream()
                .filter(change -> change.target() == Target.SHOT)
                .map(Change::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        touched.forEach(findings::forget);
        Set<Long> gone = handle.createQuery("SELECT id FROM shot WHERE binned_at <> ''").mapTo(Long.class).set();
        return new StoredStep(kept.words(), kept.changes(),
                touched.stream().filter(id -> !gone.contains(id)).map(this::summary).toList(),
                touched.stream().filter(gone::contains).toList(), shelfChanged ? Optional.of(shelf) : Optional.empty());
    }

    // Settings and findings

    /** {@return what the user chose for this library, by key} */
    public synchronized Map<String, String> settings() {
        return transactions.read("read the settings", settings::all);
    }

    /** Keeps those choices; a blank one is forgotten. */
    public synchronized void keep(Map<String, String> chosen) {
        transactions.write("store the settings", () -> settings.keep(chosen));
    }

    /** {@return what was found in each shot on that basis, in words, by the shot's key} */
    public synchronized Map<Long, String> findings(String basis) {
        return transactions.read("read the findings", () -> findings.on(basis));
    }

    /** Keeps what was found in shots on that basis. */
    public synchronized void keepFindings(String basis, Map<Long, String> found) {
        transactions.write("store the findings", () -> findings.keep(basis, found));
    }

    @Override
    public void close() {
        keeper.close();
        synchronized (this) {
            handle.close();
            if (scratch != null) {
                LibraryCopy.discard(scratch);
            }
        }
    }

    private ShotSummary summary(long id) {
        return summaryRows.within("WHERE shot.id = " + id, shelf()).get(0);
    }

    private String now() {
        return Instant.now(clock).truncatedTo(ChronoUnit.MILLIS).toString();
    }
}
