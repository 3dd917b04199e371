package org.grenu.core.entry;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/**
 * The name that somebody may have meant. Distance is the number of slips: a character too many, missing or wrong, or
 * two that
 * changed places (F. J. Damerau, Communications of the ACM 7, 1964, 171–176).
 */
public final class NearName {

    private NearName() {
    }

    /**
     * {@return the known name nearest to the one written, if no more than a third of its letters differ} Of several
     * the shortest.
     */
    public static Optional<String> of(String written, Collection<String> known) {
        return known.stream()
                .filter(name -> distance(written, name) <= Math.max(1, Math.max(written.length(), name.length()) / 3))
                .min(Comparator.<String>comparingInt(name -> distance(written, name))
                        .thenComparing(String::length)
                        .thenComparing(Comparator.naturalOrder()));
    }

    private static int distance(String one, String other) {
        int[][] slips = new int[one.length() + 1][other.length() + 1];
        for (int i = 0; i <= one.length(); i++) {
            for (int j = 0; j <= other.length(); j++) {
                if (i == 0 || j == 0) {
                    slips[i][j] = i + j;
                    continue;
                }
                int wrong = slips[i - 1][j - 1] + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1);
                slips[i][j] = Math.min(wrong, Math.min(slips[i - 1][j], slips[i][j - 1]) + 1);
                if (i > 1 && j > 1 && one.charAt(i - 1) == other.charAt(j - 2)
                        && one.charAt(i - 2) == other.charAt(j - 1)) {
                    slips[i][j] = Math.min(slips[i][j], slips[i - 2][j - 2] + 1);
                }
            }
        }
        return slips[one.length()][other.length()];
    }
}
