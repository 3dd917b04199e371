package org.grenu.core.entry;

/** An entry that the record does not take; the message says why, in words for the person who typed it. */
public final class RefusedEntry extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /** Refuses with that reason. */
    public RefusedEntry(String reason) {
        super(reason);
    }
}
