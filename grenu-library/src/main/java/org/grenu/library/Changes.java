package org.grenu.library;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.entry.Field;
import org.jdbi.v3.core.Handle;

/** Makes changes take effect, and keeps them in the history. */
final class Changes {

    private static final String APPLIED = "applied";
    private static final String UNDONE = "undone";

    private final Tables tables;
    private final Handle handle;
    /** The newest step when this process opened the file: what is newer and not its own was made by another. */
    private long openedAt;
    /** Steps that this process made. */
    private final Set<Long> own = new HashSet<>();
    /** What the step under way has changed; null while every change is a step of its own. */
    private List<Change> together;

    Changes(Tables tables) {
        this.tables = tables;
        this.handle = tables.handle();
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
                .bind("before", stored(change, change.before()))
                .bind("after", stored(change, change.after()))
                .bind("reason", reason)
                .bind("now", now)
                .add());
        batch.execute();
    }

    private String stored(Change change, String text) {
        return stored(tables.names(), change, text);
    }

    /** {@return the text of a change as the history has it: with references for names} */
    static String stored(ShelfNames names, Change change, String text) {
        return change.target()
                .aggregate()
                .field(change.key())
                .map(field -> names.stored(field, text))
                .orElse(text);
    }

    /**
     * {@return the change in that row, by the names that things have now} Its target is in the column of that
     * place.
     */
    static Change shown(ShelfNames names, ResultSet row, int place) throws SQLException {
        Target target = Target.of(row.getString(place));
        String key = row.getString(place + 2);
        Optional<Field> field = target.aggregate().field(key);
        String before = row.getString(place + 3);
        String after = row.getString(place + 4);
        return new Change(target, row.getLong(place + 1), key, field.map(it -> names.shown(it, before)).orElse(before),
                field.map(it -> names.shown(it, after)).orElse(after));
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
                    return shown(tables.names(), row, 2);
                })
                .list();
        mark(number, to);
        return new Kept(words.get(0), changes);
    }

    private void mark(long step, String to) {
        handle.createUpdate("UPDATE history SET state = :to WHERE step = :step")
                .bind("to", to)
                .bind("step", step)
                .execute();
    }

    EditDepth depth() {
        return new EditDepth(steps(APPLIED).size(), steps(UNDONE).size());
    }

    /**
     * Makes the change.
     *
     * @throws LibraryException if the entry is not any more what the change starts from
     */
    private void make(Change change) {
        Aggregate kind = change.target().aggregate();
        if (change.key().equals(Change.BINNED)) {
            bin(change, kind);
        } else {
            Aggregate.Entry now = kind.entry(tables, change.id(), change.key());
            check(change, now.title(), now.text());
            kind.enter(tables, change.id(), change.key(), change.after());
        }
    }

    private void bin(Change change, Aggregate kind) {
        check(change, "The bin",
                handle.createQuery("SELECT binned_at FROM " + kind.table() + " WHERE id = :id")
                        .bind("id", change.id())
                        .mapTo(String.class)
                        .one());
        handle.createUpdate("UPDATE " + kind.table() + " SET binned_at = :at WHERE id = :id")
                .bind("at", change.after())
                .bind("id", change.id())
                .execute();
        if (change.after().isEmpty()) {
            kind.appeared(tables, change.id());
        }
    }

    private static void check(Change change, String what, String current) {
        if (!current.equals(change.before())) {
            throw new LibraryException(
                    what + " was changed by another window to “" + current + "”. Look at it again before changing it.");
        }
    }
}
