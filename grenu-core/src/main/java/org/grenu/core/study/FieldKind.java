package org.grenu.core.study;

/** How an entry of the record is typed and written. */
public enum FieldKind {
    TEXT, NUMBER, NUMBER_LIST, FLAG, MOMENT, DAY, REPAIR_LIST, PROFILE, PHASE_LIST, MOMENT_NOTE_LIST
}
