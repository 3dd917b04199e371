package org.grenu.core.study;

/**
 * A change of one entry, kept as data: it can be stored, shown, undone and redone.
 *
 * @param field  which entry
 * @param before its text before, empty for unknown
 * @param after  its text after, empty for unknown
 */
public record SheetEdit(SheetField field, String before, String after) {

    /**
     * {@return the edit that enters the text as typed}
     *
     * @throws RefusedEntry if the text is not a possible entry
     */
    public static SheetEdit of(ShotSheet sheet, SheetField field, String typed) {
        String after = sheet.with(field, typed).entry(field).orElse("");
        return new SheetEdit(field, sheet.entry(field).orElse(""), after);
    }

    /** {@return the record after the edit} */
    public ShotSheet apply(ShotSheet sheet) {
        return sheet.with(field, after);
    }

    /** {@return the edit that takes this one back} */
    public SheetEdit inverse() {
        return new SheetEdit(field, after, before);
    }

    /** {@return whether it changes anything} */
    public boolean changes() {
        return !before.equals(after);
    }
}
