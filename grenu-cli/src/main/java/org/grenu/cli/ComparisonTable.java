package org.grenu.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.BalanceNote;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.Wording;
import org.grenu.core.response.MeasuredShot;

/** The text of {@code compare}, for people: the sentence, the effects, the models, what else differed. */
final class ComparisonTable {

    private ComparisonTable() {
    }

    static String write(Comparison comparison) {
        StringBuilder out = new StringBuilder();
        out.append(comparison.sentence().headline()).append('\n');
        comparison.sentence().rest().forEach(sentence -> out.append(sentence).append('\n'));
        out.append('\n').append(TextTable.aligned(effects(comparison)));
        out.append("\nModels\n");
        comparison.answers()
                .forEach(answer -> out.append("  ").append(answer.model()).append(leftOut(answer)).append('\n'));
        out.append("\nWhere the spread comes from\n");
        comparison.answers()
                .forEach(answer -> answer.sources()
                        .ifPresent(sources -> out.append("  ")
                                .append(answer.response().title())
                                .append(": ")
                                .append(sources.byName()
                                        .entrySet()
                                        .stream()
                                        .map(e -> e.getKey() + " " + Wording.digits(Math.sqrt(e.getValue())))
                                        .collect(Collectors.joining(", ")))
                                .append(' ')
                                .append(answer.response().differenceUnit())
                                .append('\n')));
        out.append("\nWhat else differed\n");
        comparison.balance().forEach(note -> out.append("  ").append(balance(note)).append('\n'));
        return out.append("\n± is the 95 % interval; between several levels it holds for all pairs at once (Tukey).\n")
                .toString();
    }

    private static List<List<String>> effects(Comparison comparison) {
        List<List<String>> rows = new ArrayList<>(List.of(List.of("change", "response", "effect", "unit", "same within",
                "p", "p by ranks", "verdict", "evidence")));
        for (ResponseAnswer answer : comparison.answers()) {
            for (Effect effect : answer.effects()) {
                rows.add(row(answer, effect));
            }
        }
        return rows;
    }

    private static List<String> row(ResponseAnswer answer, Effect effect) {
        return List.of(Wording.what(effect), answer.response().title(),
                effect.estimate().isPresent() ? Wording.signed(effect) : "–",
                answer.response().differenceUnit(),
                Wording.margin(effect.margin()), p(effect.p()),
                effect.rankP().isPresent() ? p(effect.rankP().getAsDouble()) : "–",
                effect.verdict().words(), effect.evidence());
    }

    private static String p(double p) {
        return Double.isNaN(p) ? "–" : p < 0.001 ? "<0.001" : String.format(Locale.ROOT, "%.3f", p);
    }

    private static String leftOut(ResponseAnswer answer) {
        return answer.leftOut().isEmpty() ? ""
                : " Without " + answer.leftOut().stream().map(MeasuredShot::name).collect(Collectors.joining(", "))
                        + ": something asked about is unknown there, or it was tasted in another form.";
    }

    private static String balance(BalanceNote note) {
        return note.title() + ": " + note.words() + "." + note.sensitivity().map(s -> " " + s.words()).orElse("");
    }
}
