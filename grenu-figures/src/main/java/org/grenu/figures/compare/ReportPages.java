package org.grenu.figures.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.BalanceNote;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.TermTest;
import org.grenu.core.compare.Wording;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.model.FTest;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.Assumed;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.figures.export.Sheet;
import org.grenu.figures.paint.Words;

/**
 * The pages of a comparison's report: title, question, answer and effects, then the figures, then method, guard, shots,
 * limits and versions.
 */
public final class ReportPages {

    /** More columns than so many changes and responses no longer read well on a page. */
    private static final int MOST_CHANGES = 4;
    private static final int MOST_RESPONSES = 5;
    /** A value and its ± are not parted over two lines. */
    private static final char TOGETHER = '\u00A0';

    private final Comparison comparison;
    private final List<ReportLine> lines = new ArrayList<>();

    private ReportPages(Comparison comparison) {
        this.comparison = comparison;
    }

    /**
     * {@return all pages; the figures are the second}
     *
     * @param figures the sheet of the figures
     * @param head    what stands over it
     */
    public static List<Sheet> of(CompareSheet figures, ReportHead head) {
        ReportPages pages = new ReportPages(figures.comparison());
        pages.head(head);
        pages.question();
        pages.effects();
        pages.method();
        pages.assumed();
        pages.balance();
        pages.shots();
        pages.limits(head.version());
        List<Sheet> all = new ArrayList<>(ReportPage.broken(pages.lines));
        all.add(1, figures);
        return all;
    }

    private void head(ReportHead head) {
        Words.wrapped(ReportHead.title(comparison), ReportPage.TITLE, ReportPage.ROOM)
                .forEach(line -> lines.add(new ReportLine.Title(line)));
        quiet(head.line(comparison));
    }

    /** What an answer has to be held against stands in it, so that it goes wherever the answer is copied. */
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
                .map(answer -> (answer.response().title() + " " + Wording.margin(answer.margin()) + " "
                        + (answer.margin() > 0 ? answer.response().differenceUnit() : "")).strip())
                .collect(Collectors.joining("; ")) + ".");
        heading("Answer");
        prose(comparison.sentence().text());
    }

    private void effects() {
        heading("What each change did");
        ReportTable table = new ReportTable(
                List.of("change", "response", "effect", "unit", "p", "by ranks", "verdict"));
        for (ResponseAnswer answer : comparison.answers()) {
            answer.effects().forEach(effect -> table.row(effect(answer, effect)));
        }
        lines.addAll(table.lines());
        lines.add(new ReportLine.Gap());
        explainEffects();
    }

    private void explainEffects() {
        quiet("± is the 95 % interval; among several levels it holds for all their pairs (Tukey). A numeric change "
                + "is judged over the range used unless a step was named. “Differs”: p at most 5 %. “Same in "
                + "practice”: two one-sided tests at 5 %"
                + " within the margin. “Cannot say”: neither; the number of shots would settle it four times in five "
                + "if the effect is as large as it seems."
                + (comparison.question().judging().holm() ? " p corrected after Holm."
                        : comparison.answers().size() > 2 ? " p on the responses after the first is corrected after "
                                + "Holm among them." : ""));
    }

    private static List<String> effect(ResponseAnswer answer, Effect effect) {
        return List.of(effect.variable().title() + " " + effect.words(), answer.response().title(),
                effect.estimate().isPresent() ? Wording.signed(effect) : "–", answer.response().differenceUnit(),
                p(effect.p()), effect.rankP().isPresent() ? p(effect.rankP().getAsDouble()) : "–",
                effect.verdict().words());
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

    /** Where an uncertainty rests on numbers that nobody wrote down the reader is told which. */
    private void assumed() {
        Map<String, Long> shots = comparison.shots()
                .stream()
                .map(shot -> Assumed.words(Assumed.in(shot.record())))
                .filter(words -> !words.isEmpty())
                .collect(Collectors.groupingBy(words -> words, TreeMap::new, Collectors.counting()));
        shots.forEach((words, count) -> quiet(
                "Uncertainties of " + count + " of " + comparison.shots().size() + " shots. " + words));
    }

    private void balance() {
        heading("What else differed");
        for (BalanceNote note : comparison.balance()) {
            prose(note.title() + ": " + note.words() + "." + note.sensitivity().map(s -> " " + s.words()).orElse(""));
        }
    }

    private void shots() {
        heading("Shots");
        List<Variable> variables = comparison.question().variables().stream().limit(MOST_CHANGES).toList();
        List<Response> responses = comparison.answers()
                .stream()
                .limit(MOST_RESPONSES)
                .map(ResponseAnswer::response)
                .toList();
        boolean coffeeAsked = variables.stream().anyMatch(variable -> variable.key().equals(RecordFactor.COFFEE.key()));
        List<String> heading = new ArrayList<>(List.of("shot", "pulled"));
        if (!coffeeAsked) {
            heading.add("coffee");
        }
        variables.forEach(variable -> heading.add(variable.title().toLowerCase(Locale.ROOT)));
        responses.forEach(response -> heading
                .add((ResponseTitle.of(response, response.unit()).name() + " " + response.unit()).strip()));
        ReportTable table = new ReportTable(heading);
        for (MeasuredShot shot : comparison.shots()) {
            List<String> cells = new ArrayList<>(List.of(shot.name(),
                    shot.record().entry(RecordField.PULLED_AT).map(moment -> moment.replace('T', ' ')).orElse("–")));
            if (!coffeeAsked) {
                cells.add(shot.record().text(RecordField.COFFEE).orElse("–"));
            }
            variables.forEach(variable -> cells.add(variable.level(shot).orElse("–")));
            responses.forEach(response -> cells
                    .add(response.of(shot).map(value -> Reported.of(value).text().replace(' ', TOGETHER)).orElse("–")));
            table.row(cells);
        }
        lines.addAll(table.lines());
        int left = comparison.answers().size() - responses.size() + comparison.question().variables().size()
                - variables.size();
        quiet("± is the expanded uncertainty of the shot's own measurement, k = 2."
                + (left > 0 ? " " + left + " more columns are in the data package." : ""));
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
