package org.grenu.desktop.desk;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.grenu.app.study.ShotOrder;
import org.grenu.app.study.ShotsByTime;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.library.ShotSummary;

/** Which shot is being read, and which is asked for and on its way. */
final class Reading {

    private final StudyDesk desk;
    private final PendingSteps underWay;
    private final ReadOnlyObjectWrapper<OpenShot> open = new ReadOnlyObjectWrapper<>();
    private volatile long wanted = -1;
    private int asked;

    Reading(StudyDesk desk, PendingSteps underWay) {
        this.desk = desk;
        this.underWay = underWay;
    }

    ReadOnlyObjectProperty<OpenShot> property() {
        return open.getReadOnlyProperty();
    }

    /** {@return the shot being read; null while there is none} */
    OpenShot now() {
        return open.get();
    }

    /** {@return key of the shot being read, or already asked for; −1 while there is none} */
    long wanted() {
        return wanted;
    }

    /** {@return how often a shot was asked for: what began before the last time is not to lead elsewhere} */
    int asked() {
        return asked;
    }

    /** Opens the shot once its turn has come, unless another is wanted by then. */
    void select(long id) {
        if (wanted == id) {
            return;
        }
        wanted = id;
        asked++;
        List<RulePack> packs = desk.settingsProperty().get().packs();
        ShotsByTime order = desk.shown().byTime();
        desk.shown()
                .find(id)
                .ifPresent(summary -> desk.steps()
                        .inOrder(PendingSteps.Kind.LOOK, () -> wanted == id
                                ? OpenShot.of(desk.analyses().of(underWay.now(summary)), order.before(summary), packs)
                                : null, shot -> arrived(shot, id)));
    }

    private void arrived(OpenShot shot, long id) {
        if (shot != null && wanted == id) {
            underWay.forgetLatest();
            open.set(shot);
        }
    }

    /** Shows that shot at once. */
    void show(OpenShot shot) {
        wanted = shot.summary().id();
        open.set(shot);
    }

    /** Opens the newest, where the one that was read is gone. */
    void another() {
        wanted = -1;
        List<ShotSummary> shots = desk.shown().now();
        if (shots.isEmpty()) {
            underWay.forgetLatest();
            open.set(null);
        } else {
            select(ShotOrder.newestFirst(shots).get(0).id());
        }
    }

    /** Goes on with the shot that was read, as it has become; with another where it is gone. */
    void keep(Optional<ShotSummary> before, List<Long> gone) {
        if (gone.contains(wanted)) {
            another();
        } else if (!before.equals(desk.shown().find(wanted))) {
            long again = wanted;
            wanted = -1;
            select(again);
        }
    }

    /** By other schools the open shot is judged anew. */
    void judgeAnew(List<RulePack> packs) {
        if (open.get() != null) {
            open.set(open.get().judgedBy(packs, desk.shown().byTime().before(open.get().summary())));
        }
    }
}
