package org.grenu.library;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.ShotSheet;
import org.jdbi.v3.core.Handle;

/** Makes changes take effect, and keeps them in the history. */
final class Changes {

    private static final String APPLIED = "applied";
    private static final String UNDONE = "undone";

    private final Handle handle;
    private final ShelfRows shelf;
    /** The newest step when this process opened the file: what is newer and not its own was made by another. */
    private long openedAt;
    /** Steps that this process made. */
    private final Set<Long> own = new HashSet<>();
    /** What the step under way has changed; null while every change is a step of its own. */
    private List<Change> together;

    Changes(Handle handle, ShelfRows shelf) {
        this.handle = handle;
        this.shelf = shelf;
        begin();
    }

    /**
     * All steps that are there count as this process's from now on: the file was opened, or became another as a
     * whole.
     */
    void begin() {
        openedAt = newestStep();
        own.clear();
    }

    private long newestStep() {
        return handle.createQuery("SELECT coalesce(max(step), 0) FROM history").mapTo(Long.class).one();
    }

    /** A step that was kept. */
    record Kept(String words, List<Change> changes) {
    }

    /** Makes everything that the work changes one step. */
    void together(String words, String now, Runnable work) {
        together = new ArrayList<>();
        try {
            work.run();
            if (!together.isEmpty()) {
                keep(words, together, "", now);
            }
        } finally {
            together = null;
        }
    }

    /** Counts a change that was made elsewhere to the step under way; where there is none, who made it keeps it. */
    void made(Change change) {
        if (together != null) {
            together.add(change);
        }
    }

    /** Makes the changes and keeps them: in the step under way, or as a step of their own. */
    void store(String words, List<Change> changes, String reason, String now) {
        changes.forEach(this::make);
        if (together == null) {
            keep(words, changes, reason, now);
        } else {
            together.addAll(changes);
        }
    }

    /** Keeps the changes as one step; steps that were undone before can no longer be redone. */
    void keep(String words, List<Change> changes, String reason, String now) {
        handle.execute("UPDATE history SET state = 'replaced' WHERE state = 'undone'");
        long step = newestStep() + 1;
        own.add(step);
        var batch = handle.prepareBatch(
                "INSERT INTO history (step, words, target, target_id, field, before_text, after_text, reason, "
                        + "made_at, state) "
                        + "VALUES (:step, :words, :target, :id, :field, :before, :after, :reason, :now, 'applied')");
        changes.forEach(change -> batch.bind("step", step)
                .bind("words", words)
                .bind("target", change.target().key())
                .bind("id", change.id())
                .bind("field", change.key())
                .bind("before", change.before())
                .bind("after", change.after())
                .bind("reason", reason)
                .bind("now", now)
                .add());
        batch.execute();
    }

    private boolean mine(long step) {
        return step <= openedAt || own.contains(step);
    }

    private List<Long> steps(String state) {
        return handle.createQuery("SELECT DISTINCT step FROM history WHERE state = :state ORDER BY step")
                .bind("state", state)
                .mapTo(Long.class)
                .list()
                .stream()
                .filter(this::mine)
                .toList();
    }

    /** Takes the last applied step back, of this process or from before it; never what another has done since. */
    Optional<Kept> undo() {
        return steps(APPLIED).stream().reduce((first, second) -> second).map(step -> step(step, UNDONE)).map(kept -> {
            List<Change> back = new ArrayList<>();
            kept.changes.forEach(change -> back.add(0, change.inverse()));
            back.forEach(this::make);
            return new Kept(kept.words, back);
        });
    }

    /** Makes the step again that was undone last. */
    Optional<Kept> redo() {
        return steps(UNDONE).stream().findFirst().map(step -> step(step, APPLIED)).map(kept -> {
            kept.changes.forEach(this::make);
            return kept;
        });
    }

    private Kept step(long number, String to) {
        List<String> words = new ArrayList<>();
        List<Change> changes = handle.createQuery(
                "SELECT words, target, target_id, field, before_text, after_text FROM history WHERE step = :step "
                        + "ORDER BY id")
                .bind("step", number)
                .map((row, context) -> {
                    words.add(row.getString(1));
                    return new Change(Target.of(row.getString(2)), row.getLong(3), row.getString(4), row.getString(5),
                            row.getString(6));
                })
                .list();
        handle.createUpdate("UPDATE history SET state = :to WHERE step = :step")
                .bind("to", to)
                .bind("step", number)
                .execute();
        return new Kept(words.get(0), changes);
    }

    EditDepth depth() {
        return new EditDepth(steps(APPLIED).size(), steps(UNDONE).size());
    }

    /**
     * Makes the change.
     *
     * @throws LibraryException if the entry is not any more what the change starts from
     */
    void make(Change change) {
        if (change.key().equals(Change.BINNED)) {
            String table = switch (change.target()) {
                case SHOT -> "shot";
                case ITEM -> "shelf_item";
                case VERSION -> "shelf_version";
                case ATTACHMENT -> "attachment";
            };
            check(change, "The bin",
                    handle.createQuery("SELECT binned_at FROM " + table + " WHERE id = :id")
                            .bind("id", change.id())
                            .mapTo(String.class)
                            .one());
            handle.createUpdate("UPDATE " + table + " SET binned_at = :at WHERE id = :id")
                    .bind("at", change.after())
                    .bind("id", change.id())
                    .execute();
            return;
        }
        switch (change.target()) {
            case SHOT -> ofShot(change);
            case ITEM -> {
                check(change, "The name", shelf.itemName(change.id()));
                shelf.renameItem(change.id(), change.after());
            }
            case VERSION -> {
                check(change, "The entry", shelf.versionEntry(change.id(), change.key()));
                shelf.enterVersion(change.id(), change.key(), change.after());
            }
            case ATTACHMENT -> throw new IllegalArgumentException("an attachment has no entry " + change.key());
        }
    }

    private void ofShot(Change change) {
        switch (change.key()) {
            case Change.LOG -> {
                column(change, "log_digest", "The log");
                handle.execute("DELETE FROM curve_digest WHERE shot_id = ?", change.id());
            }
            case Change.STATE -> column(change, "state", "The state");
            default -> edit(change);
        }
    }

    private void column(Change change, String column, String what) {
        String current = handle.createQuery("SELECT coalesce(" + column + ", '') FROM shot WHERE id = :id")
                .bind("id", change.id())
                .mapTo(String.class)
                .one();
        check(change, what, current);
        handle.createUpdate("UPDATE shot SET " + column + " = nullif(:after, '') WHERE id = :id")
                .bind("after", change.after())
                .bind("id", change.id())
                .execute();
    }

    private void edit(Change change) {
        SheetEdit edit = change.edit();
        StoredRecord stored = handle
                .createQuery("SELECT number, extras, " + ShotRows.FIELD_COLUMNS + " FROM shot WHERE id = :id")
                .bind("id", change.id())
                .map((row, context) -> new StoredRecord(row.getInt("number"), ShotRows.sheet(row, 2)))
                .one();
        check(change, edit.title() + " of shot " + stored.number, edit.current(stored.sheet));
        ShotRows.update(handle, change.id(), edit.field(), edit.apply(stored.sheet));
    }

    private record StoredRecord(int number, ShotSheet sheet) {
    }

    private static void check(Change change, String what, String current) {
        if (!current.equals(change.before())) {
            throw new LibraryException(
                    what + " was changed by another window to “" + current + "”. Look at it again before changing it.");
        }
    }
}
