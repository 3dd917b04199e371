package org.grenu.desktop.records;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.beans.Observable;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.ObjectBinding;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;

/** Entries of many shots, entered at once and undone at once. */
public final class BulkViewModel {

    /** One of the entries: which, and what is entered. */
    final class Row {
        private final StringProperty entry = new SimpleStringProperty("");
        private final StringProperty value = new SimpleStringProperty("");

        private Row() {
            entry.addListener((o, was, is) -> plan.invalidate());
            value.addListener((o, was, is) -> plan.invalidate());
        }

        /** {@return which entry: a field's name on screen or key, or a name that the user made up} */
        StringProperty entryProperty() {
            return entry;
        }

        /** {@return what is entered; blank makes it unknown} */
        StringProperty valueProperty() {
            return value;
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

        private boolean blank() {
            return entry.get().isBlank();
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

        private RecordEdit edit(ShotSummary shot) {
            return field().map(field -> RecordEdit.of(shot.written(), field, value.get()))
                    .orElseGet(() -> RecordEdit.ofOwn(shot.written(), entry.get().strip(), value.get()));
        }
    }

    private final StudyDesk desk;
    private final ObjectProperty<List<ShotSummary>> shots = new SimpleObjectProperty<>(List.of());
    private final StringProperty reason = new SimpleStringProperty("");
    private final ObservableList<Row> rows = FXCollections.observableArrayList();
    private final ObjectBinding<Plan> plan = Bindings.createObjectBinding(this::plan, shots, rows);

    /**
     * What would happen.
     *
     * @param changes  the edits
     * @param changing how many shots they change
     * @param already  how many shots stay as they are
     * @param replaced entries that would be replaced by another
     * @param refusal  why it is not possible; empty when it is
     */
    record Plan(List<Change> changes, int changing, int already, int replaced, String refusal) {

        private static Plan refused(String why) {
            return new Plan(List.of(), 0, 0, 0, why);
        }

        /** {@return that in words} */
        String words() {
            if (!refusal.isEmpty()) {
                return refusal;
            }
            String rest = (already > 0 ? ", " + already + (already == 1 ? " stays as it is" : " stay as they are") : "")
                    + (replaced > 0 ? "; " + replaced + (replaced == 1 ? " entry is" : " entries are")
                            + " replaced, which the history keeps" : "");
            return changing == 1 ? "1 shot changes" + rest + "." : changing + " shots change" + rest + ".";
        }
    }

    /** Edits shots of that desk. */
    public BulkViewModel(StudyDesk desk) {
        this.desk = desk;
        rows.add(new Row());
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

    /** {@return the entries, at least one} */
    ObservableList<Row> rows() {
        return rows;
    }

    /** Another entry beside those there are. */
    void addRow() {
        rows.add(new Row());
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

    /** {@return whether anything was changed} */
    boolean apply() {
        Plan now = plan.get();
        if (!now.refusal.isEmpty() || now.changes.isEmpty()) {
            return false;
        }
        List<Row> used = used();
        String what = used.size() == 1 ? used.get(0).title() : used.size() + " entries";
        desk.change(what + " of " + now.changing + " shots", now.changes, reason.get().strip());
        reason.set("");
        rows.setAll(List.of(rows.get(0)));
        return true;
    }

    private List<Row> used() {
        return rows.stream().filter(row -> !row.blank()).toList();
    }

    private Plan plan() {
        List<Row> used = used();
        if (used.isEmpty()) {
            return Plan.refused("Choose an entry, or write the name of a new one.");
        }
        Set<String> titles = new HashSet<>();
        for (Row row : used) {
            if (!titles.add(row.title())) {
                return Plan.refused(row.title() + " stands twice: an entry has one value.");
            }
        }
        try {
            return planned(used);
        } catch (RefusedEntry refused) {
            return Plan.refused(refused.getMessage());
        }
    }

    private Plan planned(List<Row> used) {
        List<Change> changes = new ArrayList<>();
        int changing = 0;
        int replaced = 0;
        for (ShotSummary shot : shots.get()) {
            List<RecordEdit> edits = used.stream().map(row -> row.edit(shot)).filter(RecordEdit::changes).toList();
            changing += edits.isEmpty() ? 0 : 1;
            replaced += (int) edits.stream().filter(edit -> !edit.before().isEmpty()).count();
            edits.forEach(edit -> changes.add(Change.of(shot.id(), edit)));
        }
        return new Plan(List.copyOf(changes), changing, shots.get().size() - changing, replaced, "");
    }
}
