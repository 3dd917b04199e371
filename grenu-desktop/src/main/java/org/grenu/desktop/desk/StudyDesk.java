package org.grenu.desktop.desk;

import java.nio.file.Path;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
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
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.library.Change;
import org.grenu.library.EditDepth;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;
import org.grenu.library.StoredStep;
import org.grenu.library.Target;

/**
 * A library's shots, which one is being read, and its edits. An edit is shown once it is stored, never before: what
 * the
 * window shows is on the disk.
 */
public final class StudyDesk implements AutoCloseable {

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss");

    private final OpenLibrary opened;
    private final Library library;
    private final Background background;
    private final ShownShots shots = new ShownShots();
    private final Turns turns;
    private final DerivedValues derived = new DerivedValues();
    private final ReadOnlyObjectWrapper<Shelf> shelf = new ReadOnlyObjectWrapper<>(Shelf.EMPTY);
    private final ReadOnlyObjectWrapper<EditDepth> editDepth = new ReadOnlyObjectWrapper<>(new EditDepth(0, 0));
    private final ReadOnlyStringWrapper stored = new ReadOnlyStringWrapper("");
    private final ReadOnlyBooleanWrapper loaded = new ReadOnlyBooleanWrapper();
    private final KeptChoices choices = new KeptChoices(this);
    private final ObjectProperty<Notice> notice = new SimpleObjectProperty<>();
    private final PendingSteps underWay = new PendingSteps();
    private final Steps steps = new Steps(this, underWay);
    private final Elsewhere elsewhere = new Elsewhere(this, underWay);
    private final Arrival arrival = new Arrival(this);
    private final Reading reading = new Reading(this, underWay);

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

    /** {@return how what follows from all shots is done without holding up a frame} */
    public Turns turns() {
        return turns;
    }

    /** {@return the shot being read; null while there is none} */
    public ReadOnlyObjectProperty<OpenShot> openProperty() {
        return reading.property();
    }

    /** {@return key of the shot being read, or already asked for and on its way; −1 while there is none} */
    public long wanted() {
        return reading.wanted();
    }

    /** {@return which shot is read} */
    Reading reading() {
        return reading;
    }

    /** {@return steps in the order they were asked for} */
    Steps steps() {
        return steps;
    }

    /** {@return the shots as they are shown} */
    ShownShots shown() {
        return shots;
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
        return choices.property();
    }

    /** {@return the units of temperatures and pressures that the user wants} */
    public ObservableValue<DisplayUnits> units() {
        return choices.units();
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
        if (!found.isEmpty() && reading.now() == null) {
            select(ShotOrder.newestFirst(found).get(0).id());
        }
    }

    private void readBesideShots() {
        background.run(() -> library.read(tx -> tx.shelf().all()), shelf::set, this::failed);
        background.run(() -> library.read(tx -> tx.journal().depth()), editDepth::set, this::failed);
        background.run(() -> StudySettings.of(library.read(tx -> tx.settings().all())), choices::apply, this::failed);
    }

    /** {@return how the shots come that {@link #load} was not given} */
    public Arrival arrival() {
        return arrival;
    }

    /** Shows the library anew after it was changed as a whole. */
    public void reload(List<ShotSummary> found) {
        opened.analyses().forget();
        shots.list().setAll(found);
        readBesideShots();
        reading.another();
        markStored();
    }

    /**
     * Takes in what another process has done to the library, when it has done anything. Its steps are not this
     * window's to undo.
     */
    public void lookElsewhere() {
        elsewhere.look();
    }

    /** Opens the shot for reading. */
    public void select(long id) {
        reading.select(id);
    }

    /**
     * Enters a value in the open shot's record; the entry is checked at once, stored in the background.
     *
     * @return whether that changes anything
     * @throws org.grenu.core.entry.RefusedEntry if it is not a possible entry; nothing is changed
     */
    public boolean enter(RecordField field, String typed) {
        return reading.now() != null && enter(RecordEdit.typed(latestRecord(), field, typed));
    }

    /**
     * Enters a value under a name that the user made up; as {@link #enter(RecordField, String)}.
     *
     * @throws org.grenu.core.entry.RefusedEntry if the name or the entry is not possible; nothing is changed
     */
    public boolean enterOwn(String key, String typed) {
        return reading.now() != null && enter(
                Stream.of(RecordEdit.ofOwn(latestRecord(), key, typed)).filter(RecordEdit::changes).toList());
    }

    private boolean enter(List<RecordEdit> edits) {
        long shot = reading.now().summary().id();
        edits.forEach(edit -> underWay.expect(edit.apply(latestRecord())));
        if (!edits.isEmpty()) {
            steps.make(() -> Optional.of(library.write(tx -> edits.size() == 1 ? tx.journal().make(shot, edits.get(0))
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
                .orElseGet(() -> reading.now() == null ? ShotRecord.EMPTY : reading.now().summary().written());
    }

    /** Takes the last step back, whatever it was made on, and shows the shot it was made on. */
    public void undo() {
        steps.make(() -> library.write(tx -> tx.journal().undo()), true, step -> tell("Undone", step));
    }

    /** Makes the step again that was undone last, and shows its shot. */
    public void redo() {
        steps.make(() -> library.write(tx -> tx.journal().redo()), true, step -> tell("Redone", step));
    }

    /** Stores changes that belong together, of shots or of the shelf. */
    public void change(String words, List<Change> changes, String reason) {
        if (!changes.isEmpty()) {
            OpenShot shot = reading.now();
            changes.stream()
                    .filter(change -> shot != null && change.target() == Target.SHOT
                            && change.id() == shot.summary().id() && change.ofEntry())
                    .forEach(change -> underWay.expect(change.edit().apply(latestRecord())));
            steps.make(() -> Optional.of(library.write(tx -> tx.journal().make(words, changes, reason))), false,
                    step -> {});
        }
    }

    /** Makes any step of the library. */
    public void step(Supplier<StoredStep> step, Consumer<StoredStep> then) {
        steps.make(() -> Optional.of(step.get()), false, then);
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
        steps.inOrder(PendingSteps.Kind.LOOK, () -> {
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
        choices.choose(chosen);
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
        return Optional.ofNullable(reading.now()).flatMap(shot -> shots.byTime().presumablyBefore(shot.summary()));
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
     * What a step did, in all that is shown.
     *
     * @param leads whether it leads to its shot; else the shot that is wanted by now stays
     */
    void show(Steps.Made made, boolean leads) {
        made.step().shelf().ifPresent(shelf::set);
        shots.change(Stream.concat(made.shots().stream(), made.step().shots().stream()).toList(), made.step().gone());
        made.open().filter(shot -> leads || shot.summary().id() == reading.wanted()).ifPresent(reading::show);
        if (made.step().gone().contains(reading.wanted())) {
            reading.another();
        }
        editDepth.set(made.depth());
        markStored();
    }

    /** What another window or program has made of the library. */
    void show(Elsewhere.Found found) {
        Set<Long> there = found.shots().stream().map(ShotSummary::id).collect(Collectors.toSet());
        List<Long> gone = shots.now().stream().map(ShotSummary::id).filter(id -> !there.contains(id)).toList();
        Optional<ShotSummary> before = shots.find(reading.wanted());
        shelf.set(found.shelf());
        shots.change(found.shots(), gone);
        editDepth.set(found.depth());
        reading.keep(before, gone);
        notice.set(Notice.done("Another window or program changed this library. What it did is shown here."));
    }

    private void markStored() {
        stored.set("Stored " + LocalTime.now().format(CLOCK));
    }
}
