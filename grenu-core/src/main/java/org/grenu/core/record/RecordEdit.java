package org.grenu.core.record;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.grenu.core.entry.RefusedEntry;

/**
 * A change of one entry, kept as data: it can be stored, shown, undone and redone.
 *
 * @param key    which entry: a field's, or one the user made up
 * @param before its text before, empty for unknown
 * @param after  its text after, empty for unknown
 */
public record RecordEdit(String key, String before, String after) {

    /**
     * {@return the edit that enters the text as typed}
     *
     * @throws RefusedEntry if the text is not a possible entry
     */
    public static RecordEdit of(ShotRecord record, RecordField field, String typed) {
        String after = record.with(field, typed).entry(field).orElse("");
        return new RecordEdit(field.key(), record.entry(field).orElse(""), after);
    }

    /**
     * {@return what changes when the text is typed for that entry: the entry, and with a beverage mass whether it is
     * an estimate; none when nothing does}
     *
     * @throws RefusedEntry if the text is not a possible entry
     */
    public static List<RecordEdit> typed(ShotRecord record, RecordField field, String typed) {
        ShotRecord before = field == RecordField.BEVERAGE ? record.with(RecordField.BEVERAGE_ESTIMATED, "") : record;
        ShotRecord after = before.with(field, typed);
        return Stream.of(field, RecordField.BEVERAGE_ESTIMATED)
                .distinct()
                .map(one -> new RecordEdit(one.key(), record.entry(one).orElse(""), after.entry(one).orElse("")))
                .filter(RecordEdit::changes)
                .toList();
    }

    /**
     * {@return the edit that enters the text under a name the user made up}
     *
     * @throws RefusedEntry if the name or the text is not possible
     */
    public static RecordEdit ofOwn(ShotRecord record, String key, String typed) {
        String after = record.withExtra(key, typed).extras().getOrDefault(key, "");
        return new RecordEdit(key, record.extras().getOrDefault(key, ""), after);
    }

    /** {@return the field it changes; empty when the user made the entry up} */
    public Optional<RecordField> field() {
        return RecordField.find(key);
    }

    /** {@return the entry's name on screen} */
    public String title() {
        return field().map(RecordField::title).orElse(key);
    }

    /** {@return what the record holds of that entry now, empty for unknown} */
    public String current(ShotRecord record) {
        return field().map(field -> record.entry(field).orElse(""))
                .orElseGet(() -> record.extras().getOrDefault(key, ""));
    }

    /** {@return the record after the edit} */
    public ShotRecord apply(ShotRecord record) {
        return field().map(field -> record.with(field, after)).orElseGet(() -> record.withExtra(key, after));
    }

    /** {@return the edit that takes this one back} */
    public RecordEdit inverse() {
        return new RecordEdit(key, after, before);
    }

    /** {@return whether it changes anything} */
    public boolean changes() {
        return !before.equals(after);
    }
}
