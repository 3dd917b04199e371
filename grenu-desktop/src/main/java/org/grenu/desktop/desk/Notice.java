package org.grenu.desktop.desk;

/**
 * Something to tell the user, shown until it is closed or overtaken.
 *
 * @param kind whether something failed
 * @param text what happened and what to do
 */
public record Notice(Kind kind, String text) {

    /** Whether something failed. */
    public enum Kind { DONE, FAILED }

    /** {@return a notice that something was done} */
    public static Notice done(String text) {
        return new Notice(Kind.DONE, text);
    }

    /** {@return a notice that something failed} */
    public static Notice failed(String text) {
        return new Notice(Kind.FAILED, text);
    }
}
