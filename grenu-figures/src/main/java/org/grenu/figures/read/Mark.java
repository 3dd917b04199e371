package org.grenu.figures.read;

import org.grenu.core.curve.Channel;

/**
 * Something found on one strip.
 *
 * @param channel whose strip
 * @param from    on the axis
 * @param to      on the axis
 * @param name    such as {@code knock on the scale bridged}
 * @param detail  such as {@code 13.1 s · 0.6 s}
 * @param alarm   whether it asks to be looked at
 */
public record Mark(Channel channel, double from, double to, String name, String detail, boolean alarm) {
}
