package org.grenu.core.study;

import java.util.Optional;
import org.grenu.core.entry.RefusedEntry;

/**
 * A change of one entry, kept as data: it can be stored, shown, undone and redone.
 *
 * @param key    which entry: a field's, or one the user made up
 * @param before its text before, empty for unknown
 * @param after  its text after, empty for unknown
 */
public record SheetEdit(String key, String before, String after) {

    /**
     * {@return the edit that enters the text as typed}
     *
     * @throws RefusedEntry if the text is not a possible entry
     */
    public static SheetEdit of(ShotSheet sheet, SheetField field, String typed) {
        String after = sheet.with(field, typed).entry(field).orElse("");
        return new SheetEdit(field.key(), sheet.entry(field).orElse(""), after);
    }

    /**
     * {@return the edit that enters the text under a name the user made up}
     *
     * @throws RefusedEntry if the name or the text is not possible
     */
    public static SheetEdit ofOwn(ShotSheet sheet, String key, String typed) {
        String after = sheet.withExtra(key, typed).extras().getOrDefault(key, "");
        return new SheetEdit(key, sheet.extras().getOrDefault(key, ""), after);
    }

    /** {@return the field it changes; empty when the user made the entry up} */
    public Optional<SheetField> field() {
        return SheetField.find(key);
    }

    /** {@return the entry's name on screen} */
    public String title() {
        return field().map(SheetField::title).orElse(key);
    }

    /** {@return what the record holds of that entry now, empty for unknown} */
    public String current(ShotSheet sheet) {
        return field().map(field -> sheet.entry(field).orElse(""))
                .orElseGet(() -> sheet.extras().getOrDefault(key, ""));
    }

    /** {@return the record after the edit} */
    public ShotSheet apply(ShotSheet sheet) {
        return field().map(field -> sheet.with(field, after)).orElseGet(() -> sheet.withExtra(key, after));
    }

    /** {@return the edit that takes this one back} */
    public SheetEdit inverse() {
        return new SheetEdit(key, after, before);
    }

    /** {@return whether it changes anything} */
    public boolean changes() {
        return !before.equals(after);
    }
}
