package org.grenu.figures.read;

/**
 * A moment marked across the strips.
 *
 * @param at     on the axis
 * @param name   such as {@code first drip}
 * @param detail such as {@code 9.4 ±0.2 s}
 * @param kind   what is drawn at its head
 */
public record Moment(double at, String name, String detail, Kind kind) {

    /** Kinds of moment. */
    public enum Kind {
        DRIP, PUMP, NOTE
    }
}
