package org.grenu.desktop.desk;

import java.nio.file.Path;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.Observable;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.collections.ObservableList;
import org.grenu.app.OpenLibrary;
import org.grenu.app.analysis.DerivedValues;
import org.grenu.app.analysis.ShotAnalyses;
import org.grenu.app.importing.ShotImport;
import org.grenu.app.settings.StudySettings;
import org.grenu.app.study.ShotOrder;
import org.grenu.app.study.ShotsByTime;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.library.Change;
import org.grenu.library.EditDepth;
import org.grenu.library.Library;
import org.grenu.library.LibraryException;
import org.grenu.library.ShotSummary;
import org.grenu.library.StoredStep;
import org.grenu.library.Target;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A library's shots, which one is being read, and its edits. An edit is shown once it is stored, never before: what
 * the
 * window shows is on the disk.
 */
public final class StudyDesk implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(StudyDesk.class);
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss");

    private final OpenLibrary opened;
    private final Library library;
    private final Background background;
    private volatile Consumer<List<ShotSummary>> beforeArrival = all -> {};
    private final ShownShots shots = new ShownShots();
    private final Turns turns;
    private final DerivedValues derived = new DerivedValues();
    private final ReadOnlyObjectWrapper<OpenShot> open = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Shelf> shelf = new ReadOnlyObjectWrapper<>(Shelf.EMPTY);
    private final ReadOnlyObjectWrapper<EditDepth> editDepth = new ReadOnlyObjectWrapper<>(new EditDepth(0, 0));
    private final ReadOnlyStringWrapper stored = new ReadOnlyStringWrapper("");
    private final ReadOnlyBooleanWrapper loaded = new ReadOnlyBooleanWrapper();
    private final ReadOnlyObjectWrapper<StudySettings> settings = new ReadOnlyObjectWrapper<>(StudySettings.USUAL);
    private final ObjectProperty<Notice> notice = new SimpleObjectProperty<>();
    private final ObservableValue<DisplayUnits> units = settings.map(StudySettings::units);
    private volatile long wanted = -1;
    private final PendingSteps underWay = new PendingSteps();

    /** The desk for that library; {@link #load} fills it. */
    public StudyDesk(OpenLibrary opened, Executor interfaceThread) {
        this.opened = opened;
        this.library = opened.library();
        this.background = new Background("grenu-library", interfaceThread);
        this.turns = new Turns(shots.list(), interfaceThread);
    }

    // Observables

    /** {@return the library's shots by number} */
    public ObservableList<ShotSummary> shots() {
        return shots.list();
    }

    /**
     * {@return what has that done, where there are many shots in a turn of its own} For what follows from all of them:
     * together it would hold up a frame.
     */
    public Runnable inTurn(Runnable what) {
        return turns.of(what);
    }

    /** {@return what counts up when the shots have changed, where there are many in a turn of its own} */
    public ReadOnlyLongProperty shotsInTurn() {
        ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();
        Runnable count = inTurn(() -> changes.set(changes.get() + 1));
        shots.list().addListener((Observable o) -> count.run());
        return changes.getReadOnlyProperty();
    }

    /** {@return the shot being read; null while there is none} */
    public ReadOnlyObjectProperty<OpenShot> openProperty() {
        return open.getReadOnlyProperty();
    }

    /** {@return key of the shot being read, or already asked for and on its way; −1 while there is none} */
    public long wanted() {
        return wanted;
    }

    /** {@return how things are put on the shelf} */
    public ShelfSteps onShelf() {
        return new ShelfSteps(this);
    }

    /** {@return how things go into the bin and out of it} */
    public BinSteps inBin() {
        return new BinSteps(this);
    }

    /** {@return what stands on the shelf} */
    public ReadOnlyObjectProperty<Shelf> shelfProperty() {
        return shelf.getReadOnlyProperty();
    }

    /** {@return how many steps can be undone and redone} */
    public ReadOnlyObjectProperty<EditDepth> editDepthProperty() {
        return editDepth.getReadOnlyProperty();
    }

    /** {@return whether the library's shots have been read} */
    public ReadOnlyBooleanProperty loadedProperty() {
        return loaded.getReadOnlyProperty();
    }

    /** {@return when something was last stored, in words; empty before} */
    public ReadOnlyStringProperty storedProperty() {
        return stored.getReadOnlyProperty();
    }

    /** {@return what to tell the user; null when there is nothing} */
    public ObjectProperty<Notice> noticeProperty() {
        return notice;
    }

    /** {@return what the user chose for this library} */
    public ReadOnlyObjectProperty<StudySettings> settingsProperty() {
        return settings.getReadOnlyProperty();
    }

    /** {@return the units of temperatures and pressures that the user wants} */
    public ObservableValue<DisplayUnits> units() {
        return units;
    }

    /** {@return what follows from the shots' records} */
    public DerivedValues derived() {
        return derived;
    }

    /** {@return whether nothing that is entered will be stored} */
    public boolean readOnly() {
        return library.readOnly();
    }

    /** {@return the library's file} */
    public Path path() {
        return library.path();
    }

    // Actions

    /** Shows the library's shots as they were read when it was opened, and opens the newest. */
    public void load(List<ShotSummary> found) {
        shots.list().setAll(found);
        loaded.set(true);
        readBesideShots();
        if (!found.isEmpty() && open.get() == null) {
            select(ShotOrder.newestFirst(found).get(0).id());
        }
    }

    private void readBesideShots() {
        background.run(() -> library.read(tx -> tx.shelf().all()), shelf::set, this::failed);
        background.run(() -> library.read(tx -> tx.journal().depth()), editDepth::set, this::failed);
        background.run(() -> StudySettings.of(library.read(tx -> tx.settings().all())), this::apply, this::failed);
    }

    /** Has that done with all shots of a large library, on another thread, before they are shown. */
    public void beforeArrival(Consumer<List<ShotSummary>> what) {
        beforeArrival = what;
    }

    /** Reads the shots that {@link #load} was not given, and looks a large library through. */
    public void loadTheRest() {
        background.run(() -> {
            List<ShotSummary> all = library.read(tx -> tx.shots().all());
            all.forEach(derived::of);
            beforeArrival.accept(all);
            return all;
        }, all -> {
            shots.list().setAll(all);
            LOG.info("All {} shots are there", all.size());
        }, this::failed);
        lookThrough();
    }

    private void lookThrough() {
        CompletableFuture.runAsync(library::check).whenComplete((done, failure) -> {
            if (failure != null) {
                background.onInterface(() -> failed(new LibraryException(
                        failure.getCause() == null ? failure.getMessage() : failure.getCause().getMessage())));
            }
        });
    }

    /** Shows the library anew after it was changed as a whole. */
    public void reload(List<ShotSummary> found) {
        opened.analyses().forget();
        shots.list().setAll(found);
        readBesideShots();
        openAnother();
        markStored();
    }

    /**
     * Takes in what another process has done to the library, when it has done anything. Its steps are not this
     * window's to undo.
     */
    public void lookElsewhere() {
        stepping(PendingSteps.Kind.LOOK, this::elsewhere, found -> {
            if (found != null) {
                takeIn(found);
            }
        });
    }

    /** {@return the library as it is now; null while no other process has changed it} */
    private Elsewhere elsewhere() {
        if (!library.changedElsewhere()) {
            return null;
        }
        Elsewhere found = library
                .read(tx -> new Elsewhere(tx.shots().all(), tx.shelf().all(), tx.journal().depth()));
        underWay.made(found.shots);
        return found;
    }

    /** The library as another process has left it. */
    private record Elsewhere(List<ShotSummary> shots, Shelf shelf, EditDepth depth) {
    }

    private void takeIn(Elsewhere found) {
        Set<Long> there = found.shots.stream().map(ShotSummary::id).collect(Collectors.toSet());
        List<Long> gone = shots.now().stream().map(ShotSummary::id).filter(id -> !there.contains(id)).toList();
        Optional<ShotSummary> before = shots.find(wanted);
        shelf.set(found.shelf);
        shots.change(found.shots, gone);
        editDepth.set(found.depth);
        keepReading(before, gone);
        notice.set(Notice.done("Another window or program changed this library. What it did is shown here."));
    }

    private void keepReading(Optional<ShotSummary> before, List<Long> gone) {
        if (gone.contains(wanted)) {
            openAnother();
        } else if (!before.equals(shots.find(wanted))) {
            long again = wanted;
            wanted = -1;
            select(again);
        }
    }

    /** Opens the shot for reading. */
    public void select(long id) {
        if (wanted == id) {
            return;
        }
        wanted = id;
        List<RulePack> packs = settings.get().packs();
        ShotsByTime order = shots.byTime();
        shots.find(id)
                .ifPresent(summary -> stepping(PendingSteps.Kind.LOOK,
                        () -> wanted == id
                                ? OpenShot.of(analyses().of(underWay.now(summary)), order.before(summary), packs)
                                : null,
                        shot -> showOpen(shot, id)));
    }

    private void showOpen(OpenShot shot, long id) {
        if (shot != null && wanted == id) {
            underWay.forgetLatest();
            open.set(shot);
        }
    }

    /**
     * Enters a value in the open shot's record; the entry is checked at once, stored in the background.
     *
     * @return whether that changes anything
     * @throws org.grenu.core.entry.RefusedEntry if it is not a possible entry; nothing is changed
     */
    public boolean enter(RecordField field, String typed) {
        return open.get() != null && enter(RecordEdit.typed(latestRecord(), field, typed));
    }

    /**
     * Enters a value under a name that the user made up; as {@link #enter(RecordField, String)}.
     *
     * @throws org.grenu.core.entry.RefusedEntry if the name or the entry is not possible; nothing is changed
     */
    public boolean enterOwn(String key, String typed) {
        return open.get() != null && enter(
                Stream.of(RecordEdit.ofOwn(latestRecord(), key, typed)).filter(RecordEdit::changes).toList());
    }

    private boolean enter(List<RecordEdit> edits) {
        long shot = open.get().summary().id();
        edits.forEach(edit -> underWay.expect(edit.apply(latestRecord())));
        if (!edits.isEmpty()) {
            change(() -> Optional.of(library.write(tx -> edits.size() == 1 ? tx.journal().make(shot, edits.get(0))
                    : tx.journal()
                            .make(edits.get(0).title(), edits.stream().map(edit -> Change.of(shot, edit)).toList(),
                                    ""))),
                    false, step -> {});
        }
        return !edits.isEmpty();
    }

    /**
     * {@return the open shot's record with the edits that are still on their way to the library; empty while none
     * is open}
     */
    public ShotRecord latestRecord() {
        return underWay.latest()
                .orElseGet(() -> open.get() == null ? ShotRecord.EMPTY : open.get().summary().written());
    }

    /** Takes the last step back, whatever it was made on, and shows the shot it was made on. */
    public void undo() {
        change(() -> library.write(tx -> tx.journal().undo()), true, step -> tell("Undone", step));
    }

    /** Makes the step again that was undone last, and shows its shot. */
    public void redo() {
        change(() -> library.write(tx -> tx.journal().redo()), true, step -> tell("Redone", step));
    }

    /** Stores changes that belong together, of shots or of the shelf. */
    public void change(String words, List<Change> changes, String reason) {
        if (!changes.isEmpty()) {
            OpenShot shot = open.get();
            changes.stream()
                    .filter(change -> shot != null && change.target() == Target.SHOT
                            && change.id() == shot.summary().id() && change.ofEntry())
                    .forEach(change -> underWay.expect(change.edit().apply(latestRecord())));
            change(() -> Optional.of(library.write(tx -> tx.journal().make(words, changes, reason))), false,
                    step -> {});
        }
    }

    /** Makes any step of the library. */
    public void step(Supplier<StoredStep> step, Consumer<StoredStep> then) {
        change(() -> Optional.of(step.get()), false, then);
    }

    /** The history was shortened: fewer steps can be undone. */
    void shortened(EditDepth depth) {
        editDepth.set(depth);
        markStored();
    }

    private void tell(String what, StoredStep step) {
        if (step.shots().size() != 1 && !step.words().isEmpty()) {
            notice.set(Notice.done(what + ": " + step.words()));
        }
    }

    /** Adds shots that an import has stored. */
    public void added(List<ShotSummary> summaries) {
        shots.add(summaries);
        markStored();
        // The shelf may have changed while they were on their way.
        stepping(PendingSteps.Kind.LOOK, () -> {
            List<ShotSummary> now = library.write(tx -> tx.shots().refresh(underWay.over(summaries)));
            underWay.made(now);
            return now;
        }, now -> shots.change(now, List.of()));
    }

    /** Keeps that those shots came together, so that their import is undone as one step. */
    public void addedTogether(List<ShotSummary> together) {
        List<ShotSummary> added = List.copyOf(together);
        background.run(() -> {
            ShotImport.keepTogether(library, added);
            return library.read(tx -> tx.journal().depth());
        }, editDepth::set, this::failed);
    }

    /** Keeps other choices and shows by them at once. */
    public void choose(StudySettings chosen) {
        if (!chosen.equals(settings.get())) {
            apply(chosen);
            background.run(() -> {
                library.store(tx -> tx.settings().keep(chosen.kept()));
                return chosen;
            }, kept -> {}, this::failed);
        }
    }

    private void apply(StudySettings chosen) {
        boolean others = !chosen.packs().equals(settings.get().packs());
        settings.set(chosen);
        OpenShot shot = open.get();
        if (others && shot != null) {
            open.set(shot.judgedBy(chosen.packs(), shots.byTime().before(shot.summary())));
        }
    }

    /** {@return the library, for work that brings its own thread} */
    public Library library() {
        return library;
    }

    /** {@return the library with what is measured of its shots} */
    public OpenLibrary opened() {
        return opened;
    }

    /** {@return its shots with what is measured of them} */
    public ShotAnalyses analyses() {
        return opened.analyses();
    }

    /** {@return the shot that was pulled before the open one, or that of the number before; on whatever gear} */
    public Optional<ShotSummary> beforeOpen() {
        return Optional.ofNullable(open.get()).flatMap(shot -> shots.byTime().presumablyBefore(shot.summary()));
    }

    /** {@return the worker on which the library is read and written} */
    public Background background() {
        return background;
    }

    /** Tells the user what went wrong. */
    public void failed(Exception failure) {
        notice.set(Notice.failed(failure.getMessage() == null ? failure.toString() : failure.getMessage()));
    }

    @Override
    public void close() {
        background.close();
        library.close();
    }

    /**
     * What a step did to what is shown.
     *
     * @param open  the shot to be read after it; empty when it stays as it is
     * @param shots as they are after it
     */
    private record Changed(StoredStep step, Optional<OpenShot> open, List<ShotSummary> shots, EditDepth depth) {
    }

    /** Undo and redo lead to their shot; an edit does not call back a reader who has gone on to another. */
    private void change(Supplier<Optional<StoredStep>> making, boolean leadsToShot, Consumer<StoredStep> then) {
        List<RulePack> packs = settings.get().packs();
        List<ShotSummary> shown = shots.now();
        stepping(PendingSteps.Kind.EDIT, () -> {
            Optional<StoredStep> made = making.get();
            return made.isEmpty() ? null : changed(made.get(), shown, leadsToShot, packs);
        }, changed -> {
            if (changed != null) {
                show(changed);
                then.accept(changed.step);
            }
        });
    }

    private <T> void stepping(PendingSteps.Kind kind, Callable<T> work, Consumer<T> then) {
        underWay.begin(kind);
        background.run(work, done -> {
            underWay.end(kind);
            then.accept(done);
        }, failure -> {
            underWay.end(kind);
            failed(failure);
        });
    }

    /** Runs on the worker. A shelf that changed may tell something new of any shot. */
    private Changed changed(StoredStep step, List<ShotSummary> shown, boolean leadsToShot, List<RulePack> packs) {
        underWay.made(step);
        List<ShotSummary> known = underWay.over(shown);
        List<ShotSummary> after = step.shelf().isEmpty() ? step.shots()
                : library.write(tx -> tx.shots().refresh(known));
        underWay.made(after);
        long leading = leadsToShot && !step.shots().isEmpty() ? step.shots().get(0).id() : wanted;
        Optional<OpenShot> opened = Stream.concat(step.shots().stream(), after.stream())
                .filter(shot -> shot.id() == leading)
                .findFirst()
                .map(shot -> OpenShot.of(analyses().of(shot), ShotsByTime.of(known).before(shot), packs));
        return new Changed(step, opened, after, library.read(tx -> tx.journal().depth()));
    }

    private void show(Changed changed) {
        changed.step.shelf().ifPresent(shelf::set);
        shots.change(Stream.concat(changed.shots.stream(), changed.step.shots().stream()).toList(),
                changed.step.gone());
        changed.open.ifPresent(shot -> {
            wanted = shot.summary().id();
            open.set(shot);
        });
        if (changed.step.gone().contains(wanted)) {
            openAnother();
        }
        editDepth.set(changed.depth);
        markStored();
    }

    private void openAnother() {
        wanted = -1;
        if (shots.list().isEmpty()) {
            underWay.forgetLatest();
            open.set(null);
        } else {
            select(ShotOrder.newestFirst(shots.now()).get(0).id());
        }
    }

    private void markStored() {
        stored.set("Stored " + LocalTime.now().format(CLOCK));
    }
}
