package org.grenu.figures.read;

/**
 * A phase in the ribbon.
 *
 * @param name    such as {@code Soak}
 * @param from    on the axis
 * @param to      on the axis
 * @param length  such as {@code 5.6 s}
 * @param ending  why it ended; empty when unknown
 * @param alarmed whether it ended by its time limit
 * @param main    whether it is the main phase
 */
public record PhaseSpan(String name, double from, double to, String length, String ending, boolean alarmed,
        boolean main) {
}
