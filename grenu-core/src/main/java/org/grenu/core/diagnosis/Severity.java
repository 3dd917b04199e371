package org.grenu.core.diagnosis;

/** How much a finding asks of the reader. */
public enum Severity {
    /** Good to know; the numbers stand. */
    NOTE,
    /** Look at it before relying on the numbers. */
    CHECK,
    /** Something went wrong in the shot or its log. */
    FAULT
}
