package org.grenu.core.compare;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.quantity.Title;

/**
 * What to pull next so that an open question is settled.
 *
 * @param advice a sentence or two
 * @param how    which shots to repeat; empty where that is not to be said
 */
public record NextShots(String advice, Optional<String> how) {

    /** {@return what to pull after that comparison} */
    public static NextShots after(Comparison comparison) {
        List<Effect> first = comparison.answers().stream().findFirst().map(ResponseAnswer::effects).orElse(List.of());
        return first.stream()
                .flatMap(effect -> open(effect).stream())
                .findFirst()
                .or(() -> first.stream().flatMap(effect -> unlikeThese(effect.verdict()).stream()).findFirst())
                .orElseGet(() -> new NextShots(seenOnce(comparison)
                        ? "Repeat both shots, in turn, at least three times: only repeats show the spread that a "
                                + "verdict rests on."
                        : "Nothing is open on the first response. A repeat on another day would show whether it "
                                + "holds.",
                        Optional.empty()));
    }

    private static Optional<NextShots> open(Effect effect) {
        if (!(effect.verdict() instanceof Verdict.CannotSay cannot) || cannot.more() <= 0) {
            return Optional.empty();
        }
        String advice = (cannot.likely() ? "About " + cannot.more() + " more shots settle "
                : "Even " + cannot.more() + " more shots are not likely to settle ")
                + Title.inSentence(effect.variable().title()) + ", if its effect is as large as it seems.";
        return Optional.of(new NextShots(advice,
                cannot.repeat().isEmpty() || !cannot.likely() ? Optional.empty() : Optional.of(again(cannot))));
    }

    private static String again(Verdict.CannotSay cannot) {
        Map<String, Long> times = cannot.repeat()
                .stream()
                .collect(Collectors.groupingBy(name -> name, LinkedHashMap::new, Collectors.counting()));
        return "Pull the recipe of " + times.entrySet()
                .stream()
                .map(e -> "shot " + e.getKey() + (e.getValue() > 1 ? " " + e.getValue() + " times" : ""))
                .collect(Collectors.joining(", ")) + " again, in random order.";
    }

    /** What other shots would tell where more of the same cannot. */
    private static Optional<NextShots> unlikeThese(Verdict verdict) {
        Optional<String> others = Optional.empty();
        if (verdict instanceof Verdict.Confounded confounded) {
            others = Optional.of("Pull some in which it changes while " + confounded.with()
                    + " stays as it is, in random order.");
        } else if (verdict instanceof Verdict.Mediated mediated) {
            others = Optional.of("Ask at equal setting, or pull some in which " + mediated.through()
                    + " stays equal.");
        }
        return others.map(words -> new NextShots("More shots like these cannot settle it. " + words, Optional.empty()));
    }

    private static boolean seenOnce(Comparison comparison) {
        return comparison.answers()
                .stream()
                .flatMap(answer -> answer.effects().stream())
                .anyMatch(effect -> effect.verdict() instanceof Verdict.SeenOnce);
    }
}
