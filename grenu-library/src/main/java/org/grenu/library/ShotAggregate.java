package org.grenu.library;

import java.util.List;
import java.util.Optional;
import org.grenu.core.entry.Field;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.ShotRecord;

/** Shots: the entries of their records, which log each has, and how far its life has come. */
final class ShotAggregate implements Aggregate {

    @Override
    public String table() {
        return "shot";
    }

    @Override
    public Plural called() {
        return new Plural("shot", "shots");
    }

    @Override
    public String name() {
        // A coffee that is on the shelf is referred to, one that is not is named.
        return "'Shot ' || it.number || coalesce(' · ' || coalesce((SELECT name FROM shelf_item WHERE '#' || id = it"
                + ".coffee), it.coffee), '')";
    }

    @Override
    public List<Part> parts() {
        return List.of(new Part("samples", "shot_id"), new Part("curve_digest", "shot_id"),
                new Part("shot_finding", "shot_id"));
    }

    @Override
    public Optional<Field> field(String key) {
        return RecordField.find(key).map(field -> field);
    }

    @Override
    public Entry entry(Tables tables, long id, String key) {
        return switch (key) {
            case Change.LOG -> new Entry("The log", column(tables, id, "log_digest"));
            case Change.STATE -> new Entry("The state", column(tables, id, "state"));
            default -> {
                RecordEdit edit = new RecordEdit(key, "", "");
                yield new Entry(edit.title() + " of shot " + column(tables, id, "number"),
                        edit.current(record(tables, id)));
            }
        };
    }

    @Override
    public void enter(Tables tables, long id, String key, String text) {
        switch (key) {
            case Change.LOG -> {
                column(tables, id, "log_digest", text);
                tables.handle().execute("DELETE FROM curve_digest WHERE shot_id = ?", id);
            }
            case Change.STATE -> column(tables, id, "state", text);
            default -> {
                RecordEdit edit = new RecordEdit(key, "", text);
                ShotRows.update(tables, id, edit.field(), edit.apply(record(tables, id)));
            }
        }
    }

    private static ShotRecord record(Tables tables, long id) {
        return tables.handle()
                .createQuery("SELECT extras, " + ShotRows.FIELD_COLUMNS + " FROM shot WHERE id = :id")
                .bind("id", id)
                .map((row, context) -> ShotRows.record(row, 1, tables.names()))
                .one();
    }

    private static String column(Tables tables, long id, String column) {
        return tables.handle()
                .createQuery("SELECT coalesce(" + column + ", '') FROM shot WHERE id = :id")
                .bind("id", id)
                .mapTo(String.class)
                .one();
    }

    private static void column(Tables tables, long id, String column, String text) {
        tables.handle()
                .createUpdate("UPDATE shot SET " + column + " = nullif(:text, '') WHERE id = :id")
                .bind("text", text)
                .bind("id", id)
                .execute();
    }
}
