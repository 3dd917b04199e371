package org.grenu.desktop.rack;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The last word of a filter while what it asks is not all there: {@code ey>}, {@code coffee:}, {@code grind:2.2-}.
 *
 * @param name     what it asks about
 * @param compares whether a number is to follow
 */
record HalfTyped(String name, boolean compares) {

    private static final Pattern OPEN = Pattern
            .compile("(?:^|.*\\s)-?([\\p{L}_][\\p{L}\\d_.]*)(:|>=?|<=?|=)(?:\"|[\\d.,]+-)?$", Pattern.DOTALL);

    /** {@return the word that is half typed; empty while all is whole} */
    static Optional<HalfTyped> in(String typed) {
        Matcher open = OPEN.matcher(typed);
        return open.matches() ? Optional.of(new HalfTyped(open.group(1), !open.group(2).equals(":")
                || typed.endsWith("-"))) : Optional.empty();
    }
}
