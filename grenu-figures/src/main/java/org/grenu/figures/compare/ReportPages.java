package org.grenu.figures.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.BalanceNote;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.TermTest;
import org.grenu.core.compare.Wording;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.model.FTest;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordField;
import org.grenu.figures.export.Sheet;
import org.grenu.figures.paint.Words;

/**
 * The pages of a comparison's report after its figures: question, method, effects, guard, shots, limits, versions.
 */
public final class ReportPages {

    private static final List<Double> EFFECT_STARTS = List.of(0.0, 190.0, 345.0, 425.0, 482.0, 532.0, 590.0);

    private static final double GAP = 6;

    private final Comparison comparison;
    private final List<ReportLine> lines = new ArrayList<>();

    private ReportPages(Comparison comparison) {
        this.comparison = comparison;
    }

    /**
     * {@return all pages, figures first}
     *
     * @param figures the sheet of the figures
     * @param version of the program
     */
    public static List<Sheet> of(CompareSheet figures, String version) {
        ReportPages pages = new ReportPages(figures.comparison());
        pages.question();
        pages.effects();
        pages.method();
        pages.balance();
        pages.shots();
        pages.limits(version);
        List<Sheet> all = new ArrayList<>(List.of(figures));
        all.addAll(ReportPage.broken(pages.lines));
        return all;
    }

    private void question() {
        heading("Question");
        prose("What changed: "
                + comparison.question().variables().stream().map(Variable::title).collect(Collectors.joining(", "))
                + ". Asked about: "
                + comparison.question().responses().stream().map(r -> r.title()).collect(Collectors.joining(", "))
                + ".");
        prose("Basis: " + comparison.question().basis().words()
                + (Double.isFinite(comparison.ground().at())
                        ? ", curves read at " + Reported.fixed(comparison.ground().at(), 1)
                                + (comparison.question()
                                        .basis()
                                        .heldEqual()
                                        .filter(held -> held == StandardResponse.BEVERAGE)
                                        .isPresent() ? " g" : " s")
                        : "")
                + ". Blocks: "
                + comparison.question().block().map(block -> block.title().toLowerCase(Locale.ROOT)).orElse("none")
                + ".");
        prose("A difference makes none in practice within: " + comparison.answers()
                .stream()
                .map(answer -> answer.response().title() + " ±" + DecimalText.exact(answer.margin()) + " "
                        + answer.response().differenceUnit())
                .collect(Collectors.joining("; ")) + ".");
        heading("Answer");
        prose(comparison.sentence().text());
    }

    private void effects() {
        heading("What each change did");
        row(true, EFFECT_STARTS, "change", "response", "effect", "unit", "p", "by ranks", "verdict");
        for (ResponseAnswer answer : comparison.answers()) {
            for (Effect effect : answer.effects()) {
                effect(answer, effect);
            }
        }
        lines.add(new ReportLine.Gap());
        explainEffects();
    }

    private void explainEffects() {
        quiet("± is the 95 % interval; among several levels it holds for all their pairs (Tukey). A numeric change "
                + "is judged over the range used unless a step was named. “Differs”: p at most 5 %. “Same in "
                + "practice”: two one-sided tests at 5 %"
                + " within the margin. “Cannot say”: neither; the number of shots would settle it four times in five "
                + "if the effect is as large as it seems."
                + (comparison.question().judging().holm() ? " p corrected after Holm." : ""));
    }

    /** What does not fit into its cell goes on below: a verdict without what it cannot be told from would be none. */
    private void effect(ResponseAnswer answer, Effect effect) {
        List<String> change = Words.wrapped(effect.variable().title() + " " + effect.words(), ReportPage.CELL,
                EFFECT_STARTS.get(1) - GAP);
        List<String> verdict = Words.wrapped(effect.verdict().words(), ReportPage.CELL,
                ReportPage.ROOM - EFFECT_STARTS.get(6) - GAP);
        for (int i = 0; i < Math.max(change.size(), verdict.size()); i++) {
            String what = i < change.size() ? change.get(i) : "";
            String said = i < verdict.size() ? verdict.get(i) : "";
            if (i == 0) {
                row(false, EFFECT_STARTS, what, answer.response().title(),
                        effect.estimate().isPresent() ? Wording.signed(effect) : "–",
                        answer.response().differenceUnit(),
                        p(effect.p()), effect.rankP().isPresent() ? p(effect.rankP().getAsDouble()) : "–", said);
            } else {
                row(false, EFFECT_STARTS, what, "", "", "", "", "", said);
            }
        }
    }

    private void method() {
        heading("Method");
        for (ResponseAnswer answer : comparison.answers()) {
            prose(answer.model());
            tests(answer);
        }
    }

    private void tests(ResponseAnswer answer) {
        String tests = answer.tests()
                .stream()
                .filter(test -> test.test().isPresent())
                .map(ReportPages::words)
                .collect(Collectors.joining("; "));
        quiet((tests.isEmpty() ? "" : "Type II: " + tests + ". ")
                + answer.lackOfFit().map(test -> "Lack of fit " + words(test) + ". ").orElse("")
                + (Double.isFinite(answer.deviation()) ? "Spread of alike shots "
                        + Wording.digits(answer.deviation()) + " " + answer.response().differenceUnit() + "."
                        : ""));
    }

    private void balance() {
        heading("What else differed");
        for (BalanceNote note : comparison.balance()) {
            prose(note.title() + ": " + note.words() + "." + note.sensitivity().map(s -> " " + s.words()).orElse(""));
        }
    }

    private void shots() {
        heading("Shots");
        List<Variable> variables = comparison.question().variables().stream().limit(3).toList();
        List<Double> starts = new ArrayList<>(List.of(0.0, 90.0, 230.0));
        variables.forEach(variable -> starts.add(starts.get(starts.size() - 1) + 125));
        comparison.answers()
                .stream()
                .limit(3)
                .forEach(answer -> starts
                        .add(starts.get(starts.size() - 1) + (starts.size() == 3 + variables.size() ? 60 : 90)));
        List<String> heading = new ArrayList<>(List.of("shot", "pulled", "coffee"));
        variables.forEach(variable -> heading.add(variable.title().toLowerCase(Locale.ROOT)));
        comparison.answers()
                .stream()
                .limit(3)
                .forEach(answer -> heading.add((ResponseTitle.of(answer.response(), answer.response().unit()).name()
                        + " " + answer.response().unit()).strip()));
        row(true, starts, heading.toArray(String[]::new));
        for (MeasuredShot shot : comparison.shots()) {
            List<String> cells = new ArrayList<>(List.of(shot.name(),
                    shot.record().pulledAt().map(moment -> moment.toString().replace('T', ' ')).orElse("–"),
                    shot.record().text(RecordField.COFFEE).orElse("–")));
            variables.forEach(variable -> cells.add(variable.level(shot).orElse("–")));
            comparison.answers()
                    .stream()
                    .limit(3)
                    .forEach(answer -> cells
                            .add(answer.response().of(shot).map(value -> Reported.of(value).text()).orElse("–")));
            row(false, starts, cells.toArray(String[]::new));
        }
    }

    private void limits(String version) {
        heading("Limits and versions");
        prose("This speaks of these shots, on this gear and these coffees. What moved along unseen with what changed "
                + "cannot be told from it. Rules of thumb named “usual” are common practice,"
                + " not measured here. Shots marked faulty stayed out of every average.");
        boolean simulated = comparison.shots().stream().anyMatch(shot -> shot.record().flag(RecordField.SIMULATED));
        if (simulated) {
            prose("Some of these shots are simulated.");
        }
        quiet("Grenu " + version + ", curve analysis version " + CurveMeasures.ALGORITHM_VERSION + ".");
    }

    private void heading(String words) {
        lines.add(new ReportLine.Heading(words));
    }

    private void prose(String words) {
        Words.wrapped(words, ReportPage.PROSE, ReportPage.ROOM)
                .forEach(line -> lines.add(new ReportLine.Prose(line, false)));
    }

    private void quiet(String words) {
        if (!words.isBlank()) {
            Words.wrapped(words.strip(), ReportPage.PROSE, ReportPage.ROOM)
                    .forEach(line -> lines.add(new ReportLine.Prose(line, true)));
        }
    }

    private void row(boolean heading, List<Double> starts, String... cells) {
        lines.add(new ReportLine.Row(List.of(cells), starts, heading));
    }

    private static String words(TermTest test) {
        return test.term().toLowerCase(Locale.ROOT) + " " + words(test.test().orElseThrow());
    }

    private static String words(FTest test) {
        return String.format(Locale.ROOT, "F(%.0f, %.1f) = %.2f, p %s", test.df1(), test.df2(), test.f(), p(test.p()));
    }

    private static String p(double p) {
        return Double.isNaN(p) ? "–" : p < 0.001 ? "<0.001" : String.format(Locale.ROOT, "%.3f", p);
    }
}
