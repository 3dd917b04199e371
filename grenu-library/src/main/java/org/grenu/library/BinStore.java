package org.grenu.library;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jdbi.v3.core.Handle;

/** What is in the bin: it lies with everything else and has the moment it was put there. */
public final class BinStore {

    /** Neither in use nor only undone. */
    private static final String BINNED = "binned_at NOT IN ('', 'never')";

    private final Transactions within;
    private final Journal journal;
    private final Tables tables;

    BinStore(Transactions within, Journal journal, Tables tables) {
        this.within = within;
        this.journal = journal;
        this.tables = tables;
    }

    /** {@return what is in it, the newest first} */
    public List<Binned> list() {
        return within.reading()
                .createQuery(Arrays.stream(Target.values())
                        .map(BinStore::named)
                        .collect(Collectors.joining(" UNION ALL ", "", " ORDER BY 4 DESC, 2 DESC")))
                .map((row, context) -> new Binned(Target.of(row.getString(1)), row.getLong(2), row.getString(3),
                        Instant.parse(row.getString(4))))
                .list();
    }

    private static String named(Target target) {
        Aggregate kind = target.aggregate();
        return "SELECT '" + target.key() + "', it.id, " + kind.name() + ", it.binned_at FROM " + kind.table()
                + " it WHERE it." + BINNED;
    }

    /** Puts things into it, from where they can be taken out again. */
    public StoredStep put(Target target, List<Long> ids, String words) {
        String now = journal.now();
        return journal.make(words, ids.stream().map(id -> new Change(target, id, Change.BINNED, "", now)).toList(), "");
    }

    /** Takes something out of it. */
    public StoredStep restore(Binned binned) {
        return journal.make("Out of the bin: " + binned.words(),
                List.of(new Change(binned.target(), binned.id(), Change.BINNED, binned.since().toString(), "")), "");
    }

    /** {@return what emptying it would lose} */
    public BinLoss loss() {
        Map<Target, Integer> things = new EnumMap<>(Target.class);
        for (Target target : Target.values()) {
            String apart = target.aggregate()
                    .owner()
                    .filter(owner -> !owner.countedApart())
                    .map(owner -> " AND " + owner.column() + " NOT IN " + gone(owner.target()))
                    .orElse("");
            things.put(target, count(target.aggregate().table() + " WHERE id IN " + gone(target) + apart));
        }
        return new BinLoss(things, count("shot WHERE log_digest IS NOT NULL AND id IN " + gone(Target.SHOT)));
    }

    private int count(String what) {
        return within.reading().createQuery("SELECT count(*) FROM " + what).mapTo(Integer.class).one();
    }

    /** {@return the keys of what goes: what is in the bin itself, and parts of what is} */
    private static String gone(Target target) {
        Aggregate kind = target.aggregate();
        return "(SELECT id FROM " + kind.table() + " WHERE " + BINNED
                + kind.owner().map(owner -> " OR " + owner.column() + " IN " + gone(owner.target())).orElse("") + ")";
    }

    /**
     * Takes all of it out of the file for good, with its history; what refers to a thing goes before it. No step of
     * it
     * can be undone afterwards.
     */
    public void empty() {
        Handle handle = within.writing();
        for (Target target : Target.values()) {
            target.aggregate().leaving(tables);
        }
        for (Target target : Target.values()) {
            handle.execute(
                    "DELETE FROM history WHERE target = '" + target.key() + "' AND target_id IN " + gone(target));
        }
        emptyTables(handle);
        handle.execute(
                "DELETE FROM raw_file WHERE id NOT IN (SELECT raw_file_id FROM shot WHERE raw_file_id IS NOT NULL)");
    }

    private void emptyTables(Handle handle) {
        List<Target> partsFirst = new ArrayList<>(List.of(Target.values()));
        partsFirst.sort((a, b) -> Boolean.compare(a.aggregate().owner().isEmpty(), b.aggregate().owner().isEmpty()));
        for (Target target : partsFirst) {
            for (Aggregate.Part part : target.aggregate().parts()) {
                handle.execute("DELETE FROM " + part.table() + " WHERE " + part.column() + " IN " + gone(target));
            }
            handle.execute("DELETE FROM " + target.aggregate().table() + " WHERE id IN " + gone(target));
        }
    }
}
