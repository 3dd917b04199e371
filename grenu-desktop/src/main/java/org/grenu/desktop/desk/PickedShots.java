package org.grenu.desktop.desk;

import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableSet;
import org.grenu.library.ShotSummary;

/** The shots that are picked for comparing. */
public final class PickedShots {

    private final StudyDesk desk;
    private final ObservableSet<Long> ids = FXCollections.observableSet(new HashSet<>());

    private final ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();

    /** None picked yet. */
    public PickedShots(StudyDesk desk) {
        this.desk = desk;
    }

    /** {@return their keys in the library} */
    public ObservableSet<Long> ids() {
        return ids;
    }

    /** {@return counts up once the picks have changed, also where many changed together} */
    public ReadOnlyLongProperty changesProperty() {
        return changes.getReadOnlyProperty();
    }

    /** {@return the picked shots, by number} */
    public List<ShotSummary> shots() {
        return desk.shots().stream().filter(shot -> ids.contains(shot.id())).toList();
    }

    /** {@return whether the shot is picked} */
    public boolean contains(ShotSummary shot) {
        return ids.contains(shot.id());
    }

    /** Picks the shot, or puts it back. */
    public void toggle(ShotSummary shot) {
        if (!ids.remove(shot.id())) {
            ids.add(shot.id());
        }
        changes.set(changes.get() + 1);
    }

    /** Picks those and no others. */
    public void pickOnly(Collection<ShotSummary> shots) {
        Set<Long> wanted = new HashSet<>();
        shots.forEach(shot -> wanted.add(shot.id()));
        ids.retainAll(wanted);
        ids.addAll(wanted);
        changes.set(changes.get() + 1);
    }

    /** Where nothing is picked yet: the study of the shot being read, or all shots. */
    public void beginWithTheStudy() {
        if (ids.isEmpty()) {
            List<String> studies = Optional.ofNullable(desk.openProperty().get())
                    .map(open -> open.summary().record().studies())
                    .orElse(List.of());
            pickOnly(desk.shots()
                    .stream()
                    .filter(shot -> studies.isEmpty() || !Collections.disjoint(shot.record().studies(), studies))
                    .toList());
        }
    }
}
