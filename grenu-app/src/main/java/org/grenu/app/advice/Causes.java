package org.grenu.app.advice;

import java.util.List;
import java.util.Optional;
import org.grenu.core.quantity.Reported;

/**
 * Why the newest shot missed its time, or its extraction: each possible cause with what speaks for it and against it,
 * and the cheapest check. They are ranked by how well what they would do explains what was seen; beforehand all are
 * taken as equally likely (assumed).
 *
 * @param shot   that missed
 * @param ofTime whether it missed its time; else its extraction
 * @param off    how far it lies above what its setting lets expect: as a share of the time, or in points of extraction
 * @param causes the likeliest first
 */
public record Causes(String shot, boolean ofTime, double off, List<Cause> causes) {

    /**
     * A possible cause.
     *
     * @param title   such as “Dose off by +0.4 g”
     * @param speaks  for it
     * @param against it
     * @param check   the cheapest way to see
     * @param share   of the likelihood among those that are listed, in [0, 1]
     */
    public record Cause(String title, String speaks, String against, String check, double share) {

        /** {@return its share in words, such as “60 %”} */
        public String percent() {
            return (share < 0.005 ? "under 1" : Reported.fixed(100 * share, 0)) + " %";
        }

        /** {@return what speaks for it and against it, and how to see} */
        public String why() {
            return "For: " + speaks + "." + (against.isEmpty() ? "" : " Against: " + against + ".") + " Check: "
                    + check;
        }
    }

    public Causes {
        causes = List.copyOf(causes);
    }

    /** {@return the causes, where the newest shot that can be learnt from missed what is wanted} */
    public static Optional<Causes> of(CoffeeAdvice given) {
        return given.advice()
                .ladder()
                .newest(given.setUp().dial())
                .flatMap(newest -> Miss.of(given, newest)
                        .map(miss -> new CauseSearch(given.setUp().dial(), newest, miss).found()));
    }
}
