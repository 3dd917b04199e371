package org.grenu.figures.read;

/**
 * A moment marked across the strips.
 *
 * @param seconds when
 * @param name    such as {@code first drip}
 * @param detail  such as {@code 9.4 ±0.2 s}
 * @param drop    whether a drop is drawn at its head
 */
public record Moment(double seconds, String name, String detail, boolean drop) {
}
