package org.grenu.desktop.entry;

import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.beans.value.WeakChangeListener;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.quantity.DisplayUnits;

/** One entry of the record while it is edited: what stands there, and why the last attempt was refused. */
public final class EntryViewModel {

    private final String title;
    private final Supplier<String> reader;
    private final Predicate<String> writer;
    private Supplier<String> instead = () -> "";
    /** Null where nothing is ever on its way. */
    private Supplier<String> latest;
    private ObservableValue<DisplayUnits> units = new SimpleObjectProperty<>(DisplayUnits.CANONICAL);
    private String kept = "";
    private Supplier<Optional<Doubt>> doubt = Optional::empty;
    private final ReadOnlyObjectWrapper<Doubt> shownDoubt = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper shown = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper shownInstead = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper refusal = new ReadOnlyStringWrapper("");

    /** Held here because the desk, which outlives this entry, holds it weakly. */
    private final ChangeListener<Object> refreshing = (o, was, is) -> {
        clearRefusal();
        refresh();
    };

    /**
     * An entry that is read anew whenever that changes.
     *
     * @param reader gives the entry as it is stored
     * @param writer enters what was typed and says whether that changes anything; refuses with a {@link RefusedEntry}
     */
    public EntryViewModel(ObservableValue<?> changing, String title, Supplier<String> reader,
            Predicate<String> writer) {
        this.title = title;
        this.reader = reader;
        this.writer = writer;
        refresh();
        changing.addListener(new WeakChangeListener<>(refreshing));
    }

    /** {@return this entry, with what stands for it while it is empty} */
    public EntryViewModel instead(Supplier<String> words) {
        instead = words;
        refresh();
        return this;
    }

    /**
     * {@return this entry, which may be ahead of what is shown: with the edits that are on their way to the library}
     */
    public EntryViewModel latest(Supplier<String> reader) {
        latest = reader;
        return this;
    }

    /** {@return the entry with the edits that are on their way to the library} */
    public String standing() {
        return latest == null ? shown.get() : inUnits(latest.get());
    }

    /** {@return this entry, which is read anew when that changes too} */
    public EntryViewModel also(ObservableValue<?> changing) {
        changing.addListener(new WeakChangeListener<>(refreshing));
        return this;
    }

    /** {@return this entry, which is kept in that unit and shown and typed in the user's} */
    public EntryViewModel in(ObservableValue<DisplayUnits> shownUnits, String unit) {
        units = shownUnits;
        kept = unit;
        units.addListener(new WeakChangeListener<>(refreshing));
        refresh();
        return this;
    }

    /** {@return what stands for the entry while it is empty, such as what its gear tells; may be empty} */
    public ReadOnlyStringProperty insteadProperty() {
        return shownInstead.getReadOnlyProperty();
    }

    /**
     * A question about what is entered.
     *
     * @param question in words
     * @param meant    what was perhaps meant, as it would be typed
     */
    public record Doubt(String question, Optional<String> meant) {
    }

    /** {@return this entry, with the question that it may raise} */
    public EntryViewModel doubting(Supplier<Optional<Doubt>> question) {
        doubt = question;
        refresh();
        return this;
    }

    /** {@return the question that the entry raises; null when it raises none} */
    public ReadOnlyObjectProperty<Doubt> doubtProperty() {
        return shownDoubt.getReadOnlyProperty();
    }

    /** {@return the entry's name} */
    public String title() {
        return title;
    }

    /** {@return the entry as it is stored} */
    public ReadOnlyStringProperty shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** {@return why the last attempt was refused; empty when it was not} */
    public ReadOnlyStringProperty refusalProperty() {
        return refusal.getReadOnlyProperty();
    }

    /** What became of what was typed. */
    public enum Outcome { STORED, UNCHANGED, REFUSED }

    /** Enters the text; where it is refused the old value stays and the refusal says why. */
    public Outcome enter(String typed) {
        try {
            boolean changes = !typed.strip().equals(standing()) && writer.test(units.getValue().meant(kept, typed));
            clearRefusal();
            return changes ? Outcome.STORED : Outcome.UNCHANGED;
        } catch (RefusedEntry refused) {
            String kept = shown.get().isEmpty() ? "" : " " + shown.get() + " stays.";
            refusal.set(refused.getMessage() + kept);
            return Outcome.REFUSED;
        }
    }

    /** Forgets the refusal. */
    public void clearRefusal() {
        refusal.set("");
    }

    private void refresh() {
        shown.set(inUnits(reader.get()));
        shownInstead.set(inUnits(instead.get()));
        shownDoubt.set(doubt.get()
                .map(asked -> new Doubt(asked.question(), asked.meant().map(this::inUnits)))
                .orElse(null));
    }

    private String inUnits(String text) {
        String there = units.getValue().shown(kept, text);
        return there.equals(text) ? text : there.replace('-', '\u2212');
    }
}
