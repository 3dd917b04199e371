package org.grenu.desktop.desk;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.record.ShotRecord;
import org.grenu.library.ShotSummary;
import org.grenu.library.StoredStep;

/**
 * Steps that are on their way through the library and not shown yet. A step is asked for with the shots as they are
 * shown, but
 * made after those before it: what they have become is kept here until none is under way.
 */
final class PendingSteps {

    private int count;
    private int edits;
    private ShotRecord latest;
    private final Map<Long, ShotSummary> made = new HashMap<>();
    private final Set<Long> gone = new HashSet<>();

    /** What is on its way: something that may change the open shot's record, or that only reads. */
    enum Kind {
        EDIT, LOOK
    }

    /** One more is asked for. */
    synchronized void begin(Kind kind) {
        count++;
        edits += kind == Kind.EDIT ? 1 : 0;
    }

    /** One is shown, or failed. The record that edits expect outlives none of them, however long the rest takes. */
    synchronized void end(Kind kind) {
        count--;
        edits -= kind == Kind.EDIT ? 1 : 0;
        latest = edits == 0 ? null : latest;
        if (count == 0) {
            made.clear();
            gone.clear();
        }
    }

    /** What one has done to the shots, before it is shown. */
    synchronized void made(StoredStep step) {
        made(step.shots());
        made(step.naming());
        gone.addAll(step.gone());
    }

    /** What shots have become, before it is shown. */
    synchronized void made(List<ShotSummary> shots) {
        shots.forEach(shot -> {
            made.put(shot.id(), shot);
            gone.remove(shot.id());
        });
    }

    /** {@return those shots as the steps have left them that are not shown yet} */
    synchronized List<ShotSummary> over(List<ShotSummary> shown) {
        return shown.stream().filter(shot -> !gone.contains(shot.id())).map(this::now).toList();
    }

    /** {@return that shot as they have left it} */
    synchronized ShotSummary now(ShotSummary shown) {
        return Objects.requireNonNullElse(made.get(shown.id()), shown);
    }

    /**
     * {@return the open shot's record with the edits under way, which the next edit starts from; empty when none
     * touched it}
     */
    synchronized Optional<ShotRecord> latest() {
        return Optional.ofNullable(latest);
    }

    /** The open shot's record will be so. */
    synchronized void expect(ShotRecord record) {
        latest = record;
    }

    /** Another shot is open. */
    synchronized void forgetLatest() {
        latest = null;
    }
}
