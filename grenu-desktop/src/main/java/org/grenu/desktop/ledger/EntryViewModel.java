package org.grenu.desktop.ledger;

import java.util.function.Predicate;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.desktop.desk.StudyDesk;

/** One entry of the record while it is edited: what stands there, and why the last attempt was refused. */
final class EntryViewModel {

    private final String title;
    private final Supplier<String> reader;
    private final Predicate<String> writer;
    private final ReadOnlyStringWrapper shown = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper refusal = new ReadOnlyStringWrapper("");

    /** Held here because the desk, which outlives this entry, holds it weakly. */
    private final ChangeListener<Object> refreshing = (o, was, is) -> {
        clearRefusal();
        refresh();
    };

    EntryViewModel(StudyDesk desk, String title, Supplier<String> reader, Predicate<String> writer) {
        this.title = title;
        this.reader = reader;
        this.writer = writer;
        refresh();
        desk.openProperty().addListener(new WeakChangeListener<>(refreshing));
    }

    /** {@return the entry's name} */
    String title() {
        return title;
    }

    /** {@return the entry as it is stored} */
    ReadOnlyStringProperty shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** {@return why the last attempt was refused; empty when it was not} */
    ReadOnlyStringProperty refusalProperty() {
        return refusal.getReadOnlyProperty();
    }

    /** What became of what was typed. */
    enum Outcome { STORED, UNCHANGED, REFUSED }

    /** Enters the text; where it is refused the old value stays and the refusal says why. */
    Outcome enter(String typed) {
        try {
            boolean changes = !typed.strip().equals(shown.get()) && writer.test(typed);
            clearRefusal();
            return changes ? Outcome.STORED : Outcome.UNCHANGED;
        } catch (RefusedEntry refused) {
            String kept = shown.get().isEmpty() ? "" : " " + shown.get() + " stays.";
            refusal.set(refused.getMessage() + kept);
            return Outcome.REFUSED;
        }
    }

    /** Forgets the refusal. */
    void clearRefusal() {
        refusal.set("");
    }

    private void refresh() {
        shown.set(reader.get());
    }
}
