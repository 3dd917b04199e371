package org.grenu.desktop.records;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.Observable;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.ObjectBinding;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;

/** One entry of many shots, entered at once and undone at once. */
public final class BulkViewModel {

    private final StudyDesk desk;
    private final ObjectProperty<List<ShotSummary>> shots = new SimpleObjectProperty<>(List.of());
    private final StringProperty entry = new SimpleStringProperty("");
    private final StringProperty value = new SimpleStringProperty("");
    private final StringProperty reason = new SimpleStringProperty("");
    private final ObjectBinding<Plan> plan = Bindings.createObjectBinding(this::plan, shots, entry, value);

    /**
     * What would happen.
     *
     * @param changes  the edits
     * @param already  shots that have the entry so already
     * @param replaced shots whose other entry would be replaced
     * @param refusal  why it is not possible; empty when it is
     */
    record Plan(List<Change> changes, int already, int replaced, String refusal) {

        /** {@return that in words} */
        String words() {
            if (!refusal.isEmpty()) {
                return refusal;
            }
            String rest = (already > 0 ? ", " + already + " stay as they are" : "") + (replaced > 0
                    ? "; " + replaced + (replaced == 1 ? " loses another entry, which" : " lose another entry, which")
                            + " the history keeps"
                    : "");
            return changes.size() == 1 ? "1 shot changes" + rest + "." : changes.size() + " shots change" + rest + ".";
        }
    }

    /** Edits shots of that desk. */
    public BulkViewModel(StudyDesk desk) {
        this.desk = desk;
        desk.shots()
                .addListener((Observable o) -> shots.set(shots.get()
                        .stream()
                        .map(shot -> desk.shots()
                                .stream()
                                .filter(other -> other.id() == shot.id())
                                .findFirst()
                                .orElse(null))
                        .filter(Objects::nonNull)
                        .toList()));
    }

    /** {@return the shots to edit} */
    public ObjectProperty<List<ShotSummary>> shotsProperty() {
        return shots;
    }

    /** {@return which entry: a field's name on screen or key, or a name that the user made up} */
    StringProperty entryProperty() {
        return entry;
    }

    /** {@return what is entered; blank makes it unknown} */
    StringProperty valueProperty() {
        return value;
    }

    /** {@return why, for the history} */
    StringProperty reasonProperty() {
        return reason;
    }

    /** {@return what would happen} */
    ObjectBinding<Plan> planProperty() {
        return plan;
    }

    /** {@return names of entries: fields by their titles, then what the user made up} */
    List<String> entries() {
        List<String> own = desk.shots()
                .stream()
                .flatMap(shot -> shot.written().extras().keySet().stream())
                .distinct()
                .sorted()
                .toList();
        return Stream.concat(Arrays.stream(RecordField.values()).map(RecordField::title), own.stream()).toList();
    }

    /** {@return values that shots have in that entry} */
    List<String> values() {
        return desk.shots()
                .stream()
                .flatMap(shot -> field().map(field -> shot.written().entry(field))
                        .orElseGet(() -> Optional.ofNullable(shot.written().extras().get(entry.get().strip())))
                        .stream())
                .distinct()
                .sorted()
                .toList();
    }

    /** {@return whether anything was changed} */
    boolean apply() {
        Plan now = plan.get();
        if (!now.refusal.isEmpty() || now.changes.isEmpty()) {
            return false;
        }
        desk.change(title() + " of " + now.changes.size() + " shots", now.changes, reason.get().strip());
        reason.set("");
        return true;
    }

    private String title() {
        return field().map(RecordField::title).orElse(entry.get().strip());
    }

    private Optional<RecordField> field() {
        String wanted = entry.get().strip();
        return Arrays.stream(RecordField.values())
                .filter(field -> field.title().equalsIgnoreCase(wanted) || field.key().equalsIgnoreCase(wanted))
                .findFirst();
    }

    private Plan plan() {
        if (entry.get().isBlank()) {
            return new Plan(List.of(), 0, 0, "Choose an entry, or write the name of a new one.");
        }
        List<Change> changes = new ArrayList<>();
        int already = 0;
        int replaced = 0;
        try {
            for (ShotSummary shot : shots.get()) {
                RecordEdit edit = field().map(field -> RecordEdit.of(shot.written(), field, value.get()))
                        .orElseGet(() -> RecordEdit.ofOwn(shot.written(), entry.get().strip(), value.get()));
                already += edit.changes() ? 0 : 1;
                replaced += edit.changes() && !edit.before().isEmpty() ? 1 : 0;
                if (edit.changes()) {
                    changes.add(Change.of(shot.id(), edit));
                }
            }
        } catch (RefusedEntry refused) {
            return new Plan(List.of(), 0, 0, refused.getMessage());
        }
        return new Plan(List.copyOf(changes), already, replaced, "");
    }
}
