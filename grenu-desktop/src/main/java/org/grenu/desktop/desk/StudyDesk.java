package org.grenu.desktop.desk;

import java.nio.file.Path;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotSheet;
import org.grenu.library.EditDepth;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;
import org.grenu.library.StoredEdit;

/**
 * A library's shots, which one is being read, and its edits. An edit is shown once it is stored, never before: what the
 * window shows is on the disk.
 */
public final class StudyDesk implements AutoCloseable {

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss");

    private final Library library;
    private final Background background;
    private final ObservableList<ShotSummary> shots = FXCollections.observableArrayList();
    private final ReadOnlyObjectWrapper<OpenShot> open = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<EditDepth> editDepth = new ReadOnlyObjectWrapper<>(new EditDepth(0, 0));
    private final ReadOnlyStringWrapper stored = new ReadOnlyStringWrapper("");
    private final ReadOnlyBooleanWrapper loaded = new ReadOnlyBooleanWrapper();
    private final ReadOnlyObjectWrapper<StudySettings> settings = new ReadOnlyObjectWrapper<>(StudySettings.USUAL);
    private final ObjectProperty<Notice> notice = new SimpleObjectProperty<>();
    private volatile long wanted = -1;
    /** The record with edits under way: what the next edit starts from, though not yet what is shown. */
    private ShotSheet latest;
    private int underWay;

    /** The desk for that library; {@link #load} fills it. */
    public StudyDesk(Library library, Executor interfaceThread) {
        this.library = library;
        this.background = new Background("grenu-library", interfaceThread);
    }

    // Observables

    /** {@return the library's shots by number} */
    public ObservableList<ShotSummary> shots() {
        return shots;
    }

    /** {@return the shot being read; null while there is none} */
    public ReadOnlyObjectProperty<OpenShot> openProperty() {
        return open.getReadOnlyProperty();
    }

    /** {@return how many edits can be undone and redone} */
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

    /** {@return the library's file} */
    public Path path() {
        return library.path();
    }

    // Actions

    /** Shows the library's shots as they were read when it was opened, and opens the newest. */
    public void load(List<ShotSummary> found) {
        shots.setAll(found);
        loaded.set(true);
        background.run(library::editDepth, editDepth::set, this::failed);
        background.run(() -> StudySettings.of(library.settings()), this::apply, this::failed);
        if (!found.isEmpty() && open.get() == null) {
            select(ShotOrder.newestFirst(found).get(0).id());
        }
    }

    /** Opens the shot for reading. */
    public void select(long id) {
        if (wanted == id) {
            return;
        }
        wanted = id;
        List<RulePack> packs = settings.get().packs();
        find(id).ifPresent(summary -> background.run(() -> wanted == id ? OpenShot.of(summary, library.log(id), before(summary), packs) : null, shot -> {
            if (shot != null && wanted == id) {
                latest = null;
                open.set(shot);
            }
        }, this::failed));
    }

    /**
     * Enters a value in the open shot's record; the entry is checked at once, stored in the background.
     *
     * @return whether that changes anything
     * @throws org.grenu.core.entry.RefusedEntry if it is not a possible entry; nothing is changed
     */
    public boolean enter(SheetField field, String typed) {
        return open.get() != null && enter(SheetEdit.of(latestSheet(), field, typed));
    }

    /**
     * Enters a value under a name that the user made up; as {@link #enter(SheetField, String)}.
     *
     * @throws org.grenu.core.entry.RefusedEntry if the name or the entry is not possible; nothing is changed
     */
    public boolean enterOwn(String key, String typed) {
        return open.get() != null && enter(SheetEdit.ofOwn(latestSheet(), key, typed));
    }

    private boolean enter(SheetEdit edit) {
        OpenShot shot = open.get();
        if (edit.changes()) {
            ShotLog log = shot.log();
            latest = edit.apply(latestSheet());
            change(() -> Optional.of(library.apply(shot.summary().id(), edit)), log, false);
        }
        return edit.changes();
    }

    /** {@return the open shot's record with the edits that are still on their way to the library; empty while none is open} */
    public ShotSheet latestSheet() {
        return latest != null ? latest : open.get() == null ? ShotSheet.EMPTY : open.get().summary().sheet();
    }

    /** Takes the last edit back, whichever shot it was made on, and shows that shot. */
    public void undo() {
        change(library::undo, null, true);
    }

    /** Makes the edit again that was undone last, and shows its shot. */
    public void redo() {
        change(library::redo, null, true);
    }

    /** Adds shots that an import has stored. */
    public void added(List<ShotSummary> summaries) {
        shots.addAll(summaries);
        markStored();
    }

    /** Keeps other choices and shows by them at once. */
    public void choose(StudySettings chosen) {
        if (!chosen.equals(settings.get())) {
            apply(chosen);
            background.run(() -> {
                library.keep(chosen.kept());
                return chosen;
            }, kept -> { }, this::failed);
        }
    }

    private void apply(StudySettings chosen) {
        boolean others = !chosen.packs().equals(settings.get().packs());
        settings.set(chosen);
        OpenShot shot = open.get();
        if (others && shot != null) {
            open.set(shot.judgedBy(chosen.packs(), before(shot.summary())));
        }
    }

    /** The record of the shot that was pulled just before, on whatever gear. */
    private Optional<ShotSheet> before(ShotSummary shot) {
        return shot.sheet().pulledAt().flatMap(at -> List.copyOf(shots).stream().map(ShotSummary::sheet)
                .filter(sheet -> sheet.pulledAt().filter(other -> other.isBefore(at)).isPresent())
                .max(Comparator.comparing(sheet -> sheet.pulledAt().orElseThrow())));
    }

    /** {@return the library, for work that brings its own thread} */
    public Library library() {
        return library;
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

    private interface Change {
        Optional<StoredEdit> make();
    }

    private record Changed(StoredEdit edit, OpenShot shot, EditDepth depth) {
    }

    /** Undo and redo lead to their shot; an edit does not call back a reader who has gone on to another. */
    private void change(Change change, ShotLog knownLog, boolean leadsToShot) {
        underWay++;
        List<RulePack> packs = settings.get().packs();
        background.run(() -> {
            Optional<StoredEdit> edit = change.make();
            if (edit.isEmpty()) {
                return null;
            }
            ShotSummary summary = edit.get().shot();
            ShotLog log = knownLog != null ? knownLog : library.log(summary.id());
            return new Changed(edit.get(), OpenShot.of(summary, log, before(summary), packs), library.editDepth());
        }, changed -> {
            settled();
            if (changed != null) {
                show(changed, leadsToShot);
            }
        }, failure -> {
            settled();
            failed(failure);
        });
    }

    private void settled() {
        underWay--;
        latest = underWay == 0 ? null : latest;
    }

    private void show(Changed changed, boolean leadsToShot) {
        ShotSummary summary = changed.edit.shot();
        for (int i = 0; i < shots.size(); i++) {
            if (shots.get(i).id() == summary.id()) {
                shots.set(i, summary);
            }
        }
        if (leadsToShot || wanted == summary.id()) {
            wanted = summary.id();
            open.set(changed.shot);
        }
        editDepth.set(changed.depth);
        markStored();
    }

    private void markStored() {
        stored.set("Stored " + LocalTime.now().format(CLOCK));
    }

    private Optional<ShotSummary> find(long id) {
        return shots.stream().filter(shot -> shot.id() == id).findFirst();
    }
}
