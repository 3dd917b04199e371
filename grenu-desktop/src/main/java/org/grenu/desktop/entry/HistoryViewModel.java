package org.grenu.desktop.entry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.beans.value.WeakChangeListener;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.grenu.core.entry.Field;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.HistoryEntry;
import org.grenu.library.Target;

/** What was corrected about something, the newest first, read anew whenever that changes. */
public final class HistoryViewModel {

    private final StudyDesk desk;
    private final Function<String, Optional<? extends Field>> fields;
    private final Supplier<List<Subject>> subjects;
    private final ObservableList<HistoryEntry> entries = FXCollections.observableArrayList();
    /** Held here because what changes outlives this history, and holds it weakly. */
    private final ChangeListener<Object> changing = (o, was, is) -> read();

    /** Whose history is read. */
    public record Subject(Target target, long id) {
    }

    /**
     * The history of what the subjects name when it is read.
     *
     * @param fields finds the entry with that key; empty for one that the user made up
     */
    public HistoryViewModel(StudyDesk desk, ObservableValue<?> changes,
            Function<String, Optional<? extends Field>> fields,
            Supplier<List<Subject>> subjects) {
        this.desk = desk;
        this.fields = fields;
        this.subjects = subjects;
        changes.addListener(new WeakChangeListener<>(changing));
        read();
    }

    /** {@return the corrections that stand} */
    public ObservableList<HistoryEntry> entries() {
        return entries;
    }

    /** {@return the name of the entry that was corrected} */
    String title(HistoryEntry entry) {
        return fields.apply(entry.change().key()).map(Field::title).orElse(entry.change().key());
    }

    /** {@return a value of the entry that was corrected, in the units that are shown} */
    String shown(HistoryEntry entry, String text) {
        String unit = fields.apply(entry.change().key()).map(Field::unit).orElse("");
        return desk.units().getValue().shown(unit, text);
    }

    /** Enters the old value again. */
    void revert(HistoryEntry entry, String when) {
        desk.change(title(entry) + " reverted", List.of(entry.change().inverse()),
                "reverted the correction of " + when);
    }

    /** {@return whether it can be reverted: it changed an entry, and nobody has changed that since} */
    boolean revertible(HistoryEntry entry) {
        return entry.change().ofEntry() && entries.stream()
                .filter(other -> other.change().target() == entry.change().target()
                        && other.change().id() == entry.change().id()
                        && other.change().key().equals(entry.change().key()))
                .findFirst()
                .filter(entry::equals)
                .isPresent();
    }

    /** Says why the correction was made. */
    void giveReason(HistoryEntry entry, String reason) {
        desk.background().run(() -> {
            desk.library().store(tx -> tx.history().giveReason(entry.id(), reason));
            return reason;
        }, given -> read(), desk::failed);
    }

    private void read() {
        List<Subject> wanted = subjects.get();
        desk.background().run(() -> history(wanted), found -> {
            if (wanted.equals(subjects.get())) {
                entries.setAll(found);
            }
        }, desk::failed);
    }

    private List<HistoryEntry> history(List<Subject> wanted) {
        List<HistoryEntry> found = new ArrayList<>();
        wanted.forEach(
                subject -> found.addAll(desk.library().read(tx -> tx.history().of(subject.target, subject.id))));
        found.removeIf(HistoryEntry::undone);
        found.sort(Comparator.comparing(HistoryEntry::id).reversed());
        return found;
    }
}
