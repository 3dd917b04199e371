package org.grenu.core.entry;

/** How an entry of a record is typed and written. */
public enum FieldKind {
    TEXT, NAME_LIST, ARM_LIST, NUMBER, NUMBER_LIST, FLAG, MOMENT, DAY, CHOICE, ROWS, READING_LIST, SAMPLE_LIST,
    REPAIR_LIST, PROFILE,
    PHASE_LIST, MOMENT_NOTE_LIST;

    /** {@return whether it is words or names of the user's own, in no other form} */
    public boolean free() {
        return this == TEXT || this == NAME_LIST || this == ARM_LIST;
    }
}
