package org.grenu.desktop.desk;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.grenu.app.study.ShotsByTime;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.library.EditDepth;
import org.grenu.library.ShotSummary;
import org.grenu.library.StoredStep;

/** Makes steps of the library one after the other, beside the interface, and has the desk show what they did. */
final class Steps {

    private final StudyDesk desk;
    private final PendingSteps underWay;

    Steps(StudyDesk desk, PendingSteps underWay) {
        this.desk = desk;
        this.underWay = underWay;
    }

    /**
     * What a step did to what is shown.
     *
     * @param open  the shot to be read after it; empty when it stays as it is
     * @param shots as they are after it
     */
    record Made(StoredStep step, Optional<OpenShot> open, List<ShotSummary> shots, EditDepth depth) {
    }

    /** Undo and redo lead to their shot. No step calls back a reader who has gone on to another since. */
    void make(Supplier<Optional<StoredStep>> making, boolean leadsToShot, Consumer<StoredStep> then) {
        int asked = desk.reading().asked();
        List<RulePack> packs = desk.settingsProperty().get().packs();
        List<ShotSummary> shown = desk.shown().now();
        inOrder(PendingSteps.Kind.EDIT, () -> {
            Optional<StoredStep> made = making.get();
            return made.isEmpty() ? null : made(made.get(), shown, leadsToShot, packs);
        }, made -> {
            if (made != null) {
                desk.show(made, leadsToShot && asked == desk.reading().asked());
                then.accept(made.step);
            }
        });
    }

    /** Does the work when what was asked for before it is done, then hands over what came of it. */
    <T> void inOrder(PendingSteps.Kind kind, Callable<T> work, Consumer<T> then) {
        underWay.begin(kind);
        desk.background().run(work, done -> {
            underWay.end(kind);
            then.accept(done);
        }, failure -> {
            underWay.end(kind);
            desk.failed(failure);
        });
    }

    /** Runs on the worker. A shelf that changed may tell something new of any shot. */
    private Made made(StoredStep step, List<ShotSummary> shown, boolean leadsToShot, List<RulePack> packs) {
        underWay.made(step);
        List<ShotSummary> known = underWay.over(shown);
        List<ShotSummary> after = step.shelf().isEmpty() ? step.shots()
                : desk.library().write(tx -> tx.shots().refresh(known));
        underWay.made(after);
        long leading = leadsToShot && !step.shots().isEmpty() ? step.shots().get(0).id() : desk.wanted();
        Optional<OpenShot> opened = Stream.concat(step.shots().stream(), after.stream())
                .filter(shot -> shot.id() == leading)
                .findFirst()
                .map(shot -> OpenShot.of(desk.analyses().of(shot), ShotsByTime.of(known).before(shot), packs));
        return new Made(step, opened, after, desk.library().read(tx -> tx.journal().depth()));
    }
}
