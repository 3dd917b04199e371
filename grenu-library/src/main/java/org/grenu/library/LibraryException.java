package org.grenu.library;

/** The library could not be opened, read or written; the message says what, where and what to do. */
public final class LibraryException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /** Says what is wrong and what to do. */
    public LibraryException(String message) {
        super(message);
    }

    /** Says what is wrong and what to do, with what caused it. */
    public LibraryException(String message, Throwable cause) {
        super(message, cause);
    }
}
