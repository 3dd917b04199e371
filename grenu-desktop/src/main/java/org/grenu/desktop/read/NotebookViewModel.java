package org.grenu.desktop.read;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.value.ObservableValue;
import org.grenu.app.importing.LateLog;
import org.grenu.app.importing.ShotSource;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.ShotsByHand;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.library.Change;

/** The open shot while it has no log: what a notebook says of it, and how it gets a log. */
public final class NotebookViewModel {

    private final StudyDesk desk;
    private final ShotsByHand byHand;
    private final BooleanBinding unlogged;
    private final ReadOnlyLongWrapper begun = new ReadOnlyLongWrapper();
    /** The shot that was begun and is not open yet; 0 for none. */
    private long awaited;

    /** Of whatever shot the desk has open. */
    public NotebookViewModel(StudyDesk desk, ShotsByHand byHand) {
        this.desk = desk;
        this.byHand = byHand;
        this.unlogged = Bindings.createBooleanBinding(
                () -> desk.openProperty().get() != null && !desk.openProperty().get().summary().logged(),
                desk.openProperty());
        desk.openProperty().addListener((o, was, is) -> {
            if (is != null && is.summary().id() == awaited) {
                awaited = 0;
                begun.set(begun.get() + 1);
            }
        });
    }

    /** {@return counts the shots that were begun here and are open now, to be written down} */
    ReadOnlyLongProperty begunProperty() {
        return begun.getReadOnlyProperty();
    }

    /** {@return whether the open shot has no log} */
    public BooleanBinding unloggedProperty() {
        return unlogged;
    }

    /** {@return an entry of its record} */
    EntryViewModel entry(RecordField field) {
        return new EntryViewModel(desk.openProperty(), field.title(),
                () -> open() == null ? ""
                        : open().summary().written().entry(field).map(entry -> shown(field, entry)).orElse(""),
                typed -> desk.enter(field, typed)).in(desk.units(), field.unit());
    }

    /** {@return the units that are shown} */
    ObservableValue<DisplayUnits> units() {
        return desk.units();
    }

    private static String shown(RecordField field, String entry) {
        return field == RecordField.PULLED_AT ? entry.replace('T', ' ') : entry;
    }

    /** {@return the time as a stopwatch gave it, which counts as that from pump on to pump off} */
    EntryViewModel time() {
        return new EntryViewModel(desk.openProperty(), "Time, pump on to pump off", this::shownTime, this::enterTime);
    }

    private String shownTime() {
        OptionalDouble seconds = open() == null ? OptionalDouble.empty()
                : TimeConvention.PUMP_ON_TO_PUMP_OFF.of(open().summary().digest().times());
        return seconds.isPresent() ? DecimalText.exact(seconds.getAsDouble()) : "";
    }

    private boolean enterTime(String typed) {
        if (!typed.isBlank() && !(DecimalText.parse(typed).orElse(-1) > 0)) {
            throw new RefusedEntry("The time must be a number of seconds above 0.");
        }
        ShotRecord now = desk.latestRecord();
        List<Change> changes = Stream
                .of(RecordEdit.of(now, RecordField.PUMP_ON, typed.isBlank() ? "" : "0"),
                        RecordEdit.of(now, RecordField.PUMP_OFF, typed))
                .filter(RecordEdit::changes)
                .map(edit -> Change.of(open().summary().id(), edit))
                .toList();
        desk.change("Time", changes, "");
        return !changes.isEmpty();
    }

    /** Begins a shot by hand. */
    public void begin() {
        byHand.begin(shot -> awaited = shot.id());
    }

    /** Takes that file's log for the open shot. */
    public void giveLog(ShotSource file) {
        byHand.giveLog(open().summary(), () -> LateLog.of(desk.library(), file));
    }

    /** Takes typed points for the open shot's log. */
    void givePoints(String text) {
        byHand.giveLog(open().summary(), () -> LateLog.typed(text));
    }

    private OpenShot open() {
        return desk.openProperty().get();
    }
}
