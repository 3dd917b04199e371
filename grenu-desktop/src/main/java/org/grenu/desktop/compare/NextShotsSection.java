package org.grenu.desktop.compare;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.Verdict;
import org.grenu.core.quantity.Title;
import org.grenu.desktop.control.Styles;

/** What to pull next so that an open question is settled. */
final class NextShotsSection extends AnswerSection {

    NextShotsSection(CompareViewModel model) {
        super("Next", model);
        getStyleClass().add(Styles.NEXT);
        setId("next-shots");
    }

    @Override
    void show(Comparison comparison) {
        clear();
        List<Effect> first = comparison.answers().stream().findFirst().map(ResponseAnswer::effects).orElse(List.of());
        Optional<Effect> open = firstOpen(first);
        if (open.isPresent()) {
            open(open.get(), (Verdict.CannotSay) open.get().verdict());
            return;
        }
        Optional<String> unlike = first.stream()
                .flatMap(effect -> unlikeThese(effect.verdict()).stream())
                .findFirst();
        advise(comparison, unlike);
    }

    private static Optional<Effect> firstOpen(List<Effect> effects) {
        return effects.stream()
                .filter(effect -> effect.verdict() instanceof Verdict.CannotSay cannot && cannot.more() > 0)
                .findFirst();
    }

    private void advise(Comparison comparison, Optional<String> unlike) {
        boolean once = comparison.answers()
                .stream()
                .flatMap(answer -> answer.effects().stream())
                .anyMatch(effect -> effect.verdict() instanceof Verdict.SeenOnce);
        getChildren().add(prose(unlike.map(words -> "More shots like these cannot settle it. " + words)
                .orElse(once
                        ? "Repeat both shots, in turn, at least three times: only repeats show the spread that a "
                                + "verdict rests on."
                        : "Nothing is open on the first response. A repeat on another day would show whether it "
                                + "holds.")));
    }

    private void open(Effect effect, Verdict.CannotSay cannot) {
        getChildren().add(prose((cannot.likely() ? "About " + cannot.more() + " more shots settle "
                : "Even " + cannot.more() + " more shots are not likely to settle ")
                + Title.inSentence(effect.variable().title()) + ", if its effect is as large as it seems."));
        if (!cannot.repeat().isEmpty() && cannot.likely()) {
            Map<String, Long> times = cannot.repeat()
                    .stream()
                    .collect(Collectors.groupingBy(name -> name, LinkedHashMap::new, Collectors.counting()));
            getChildren().add(remark("Pull the recipe of " + times.entrySet()
                    .stream()
                    .map(e -> "shot " + e.getKey() + (e.getValue() > 1 ? " " + e.getValue() + " times" : ""))
                    .collect(Collectors.joining(", ")) + " again, in random order."));
        }
    }

    /** What other shots would tell where more of the same cannot. */
    private static Optional<String> unlikeThese(Verdict verdict) {
        if (verdict instanceof Verdict.Confounded confounded) {
            return Optional.of("Pull some in which it changes while " + confounded.with()
                    + " stays as it is, in random order.");
        }
        return verdict instanceof Verdict.Mediated mediated
                ? Optional.of("Ask at equal setting, or pull some in which " + mediated.through() + " stays equal.")
                : Optional.empty();
    }
}
