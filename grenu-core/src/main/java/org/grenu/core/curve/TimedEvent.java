package org.grenu.core.curve;

/**
 * A moment on the log's time axis.
 *
 * @param seconds when, s
 * @param u       its standard uncertainty, s
 * @param how     where it comes from, in words: {@code stated}, {@code pressure}, …
 */
public record TimedEvent(double seconds, double u, String how) {

    /** {@return a moment that the log or the user states} */
    public static TimedEvent stated(double seconds) {
        return new TimedEvent(seconds, 0, "stated");
    }
}
