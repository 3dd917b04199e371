package org.grenu.core.entry;

/** How an entry of a record is typed and written. */
public enum FieldKind {
    TEXT, NUMBER, NUMBER_LIST, FLAG, MOMENT, DAY, CHOICE, ROWS, READING_LIST, REPAIR_LIST, PROFILE, PHASE_LIST,
    MOMENT_NOTE_LIST
}
