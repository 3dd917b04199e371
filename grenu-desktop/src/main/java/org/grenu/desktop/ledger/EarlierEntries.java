package org.grenu.desktop.ledger;

import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import javafx.beans.Observable;
import org.grenu.app.study.ShotOrder;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.ShotSummary;

/** What was entered on the study's shots and on the shelf, to be entered again. */
final class EarlierEntries {

    private final StudyDesk desk;
    private final Clock clock;
    /** Null when the shots have changed since. */
    private List<String> ownKeys;

    EarlierEntries(StudyDesk desk, Clock clock) {
        this.desk = desk;
        this.clock = clock;
        desk.shots().addListener((Observable o) -> ownKeys = null);
    }

    /** {@return what stands in that entry of any shot, or on the shelf; the most used first} */
    List<String> known(RecordField field) {
        Map<String, Integer> used = new HashMap<>();
        countOnShelf(field, used);
        if (field == RecordField.ARM) {
            armsNamed().forEach(arm -> used.merge(arm, 1, Integer::sum));
        }
        desk.shots()
                .forEach(shot -> (field == RecordField.STUDY ? shot.record().studies().stream()
                        : shot.record().text(field).stream())
                        .forEach(text -> used.merge(text, 1, Integer::sum)));
        return mostUsedFirst(used);
    }

    private void countOnShelf(RecordField field, Map<String, Integer> used) {
        ShelfKind.of(field)
                .ifPresent(kind -> desk.shelfProperty()
                        .get()
                        .of(kind)
                        .forEach(item -> used.merge(item.name(), 1, Integer::sum)));
    }

    private static List<String> mostUsedFirst(Map<String, Integer> used) {
        return used.entrySet()
                .stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder()))
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Of the studies that the open shot belongs to. */
    private List<String> armsNamed() {
        OpenShot open = desk.openProperty().get();
        return open == null ? List.of() : open.summary()
                .record()
                .studies()
                .stream()
                .flatMap(study -> desk.shelfProperty().get().find(ShelfKind.STUDY, study).stream())
                .flatMap(study -> study.entries().rows(ShelfField.ARMS).stream())
                .flatMap(arm -> arm.words(0).stream())
                .toList();
    }

    /** {@return what stood in that entry of the shots pulled last, the newest first, each once; a moment is now} */
    List<String> last(RecordField field) {
        return field.kind() == FieldKind.MOMENT
                ? List.of(
                        LedgerText.written(LocalDateTime.now(clock).truncatedTo(ChronoUnit.MINUTES).toString(), field))
                : last(shot -> desk.units()
                        .getValue()
                        .shown(field.unit(),
                                LedgerText.written(shot.written().entry(field).orElse(""), field)));
    }

    /** {@return likewise for an entry that the user made up} */
    List<String> lastOwn(String key) {
        return last(shot -> shot.written().extras().getOrDefault(key, ""));
    }

    private List<String> last(Function<ShotSummary, String> value) {
        return ShotOrder.newestFirst(desk.shots())
                .stream()
                .map(value)
                .filter(text -> !text.isEmpty())
                .distinct()
                .toList();
    }

    /** {@return names that the user made up for entries, on any shot of the library} */
    List<String> ownKeys() {
        if (ownKeys == null) {
            Set<String> keys = new TreeSet<>();
            desk.shots().forEach(shot -> keys.addAll(shot.record().extras().keySet()));
            ownKeys = List.copyOf(keys);
        }
        return ownKeys;
    }
}
