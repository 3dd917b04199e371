package org.grenu.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Doubt;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.BalanceNote;
import org.grenu.core.compare.LevelMean;
import org.grenu.core.compare.PathPart;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.RowResidual;
import org.grenu.core.compare.TermTest;
import org.grenu.core.compare.Verdict;
import org.grenu.core.model.Estimate;
import org.grenu.core.model.FTest;
import org.grenu.core.response.Variable;

/** The JSON of {@code compare}. Field names are part of the interface: add, never rename; see docs/cli.md. */
final class ComparisonJson {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final double COVERAGE = 0.95;

    private ComparisonJson() {
    }

    static String write(Comparison comparison) {
        ObjectNode root = JSON.createObjectNode();
        sentence(root, comparison);
        question(root, comparison);
        comparison.shots().forEach(shot -> ((ArrayNode) root.withArray("shots")).add(shot.name()));
        ArrayNode faulty = root.putArray("left_out_as_faulty");
        comparison.faulty().forEach(shot -> faulty.add(shot.name()));
        root.put("pair", comparison.pair().map(pair -> pair.words()).orElse(null));
        ArrayNode answers = root.putArray("responses");
        comparison.answers().forEach(answer -> answer(answers.addObject(), answer));
        ArrayNode guard = root.putArray("guard");
        comparison.balance().forEach(note -> balance(guard.addObject(), note));
        return pretty(root);
    }

    private static void sentence(ObjectNode root, Comparison comparison) {
        root.put("sentence", comparison.sentence().headline());
        comparison.sentence().doubts().stream().map(Doubt::words).forEach(root.putArray("doubts")::add);
        comparison.sentence().further().forEach(root.putArray("further")::add);
    }

    private static void question(ObjectNode root, Comparison comparison) {
        root.put("basis", comparison.question().basis().key());
        AnalysisJson.put(root, "basis_at", OptionalDouble.of(comparison.ground().at()));
        root.put("block", comparison.question().block().map(block -> block.key()).orElse(null));
        comparison.question().variables().stream().map(Variable::key).forEach(root.putArray("factors")::add);
    }

    private static String pretty(ObjectNode root) {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static void answer(ObjectNode node, ResponseAnswer answer) {
        node.put("response", answer.response().key())
                .put("title", answer.response().title())
                .put("unit", answer.response().differenceUnit())
                .put("margin", answer.margin())
                .put("model", answer.model())
                .put("shots", answer.rows().size())
                .put("residual_df", answer.residualDf());
        AnalysisJson.put(node, "spread", OptionalDouble.of(answer.deviation()));
        ArrayNode effects = node.putArray("effects");
        answer.effects().forEach(effect -> effect(effects.addObject(), effect));
        ArrayNode confounders = node.putArray("confounders");
        answer.confounders()
                .forEach(one -> confounders.addObject().put("factor", one.asked().key()).put("with", one.what().key()));
        answer.adjusted().forEach(one -> node.withArray("adjusted_for").add(one.variable().key()));
        answer.notAdjusted().forEach(one -> node.withArray("not_adjusted_for").add(one.variable().key()));
        ArrayNode tests = node.putArray("tests");
        for (TermTest test : answer.tests()) {
            test(tests.addObject().put("term", test.term()), test.test());
        }
        test(node.putObject("lack_of_fit"), answer.lackOfFit());
        shots(node, answer);
        ObjectNode sources = node.putObject("variance_from");
        answer.sources()
                .ifPresent(s -> sources.put("reading", s.reading())
                        .put("weighing", s.weighing())
                        .put("shot_to_shot", s.shotToShot())
                        .put("day_to_day", s.dayToDay()));
    }

    private static void shots(ObjectNode node, ResponseAnswer answer) {
        ArrayNode means = node.putArray("means");
        for (LevelMean mean : answer.means()) {
            ObjectNode one = means.addObject().put("factor", mean.variable().key()).put("level", mean.level());
            estimate(one, mean.mean(), mean.mean().map(e -> e.halfWidth(COVERAGE)).orElse(Double.NaN));
        }
        points(node, answer);
        ArrayNode leftOut = node.putArray("left_out");
        answer.leftOut().forEach(shot -> leftOut.add(shot.name()));
    }

    private static void points(ObjectNode node, ResponseAnswer answer) {
        ArrayNode points = node.putArray("points");
        for (RowResidual row : answer.rows()) {
            points.addObject()
                    .put("shot", row.shot().name())
                    .put("value", row.value())
                    .put("residual", row.residual())
                    .put("leverage", row.leverage())
                    .put("far_out", row.farOut())
                    .put("block", row.block().orElse(null));
        }
    }

    private static void effect(ObjectNode node, Effect effect) {
        node.put("factor", effect.variable().key()).put("change", effect.change()).put("at", effect.at());
        estimate(node, effect.estimate(), effect.halfWidth());
        AnalysisJson.put(node, "p", OptionalDouble.of(effect.p()));
        AnalysisJson.put(node, "p_by_ranks", effect.rankP());
        node.put("margin", effect.margin())
                .put("evidence", effect.evidence())
                .put("spread", effect.spread().name().toLowerCase(Locale.ROOT));
        effect.paths().forEach(path -> path(node.withArray("paths").addObject(), path));
        Verdict verdict = effect.verdict();
        node.put("verdict", verdict(verdict));
        details(node, verdict);
    }

    private static void path(ObjectNode node, PathPart path) {
        node.put("through", path.path().variable().key()).put("counts_as_set", path.set());
        part(node.putObject("moved"), path.moved());
        part(node.putObject("total"), path.total());
        part(node.putObject("through_it"), path.through());
        part(node.putObject("left"), path.left());
    }

    private static void part(ObjectNode node, Estimate estimate) {
        estimate(node, Optional.of(estimate), estimate.halfWidth(COVERAGE));
    }

    private static void details(ObjectNode node, Verdict verdict) {
        if (verdict instanceof Verdict.CannotSay cannot) {
            node.put("more_shots", cannot.more()).put("more_shots_likely_to_do", cannot.likely());
            cannot.repeat().forEach(node.putArray("repeat")::add);
        } else if (verdict instanceof Verdict.Confounded confounded) {
            node.put("confounded_with", confounded.with());
        } else if (verdict instanceof Verdict.AtLeast least) {
            node.put("at_least", least.least()).put("confounded_with", least.with());
        } else if (verdict instanceof Verdict.Mediated mediated) {
            node.put("mediated_through", mediated.through());
        } else if (verdict instanceof Verdict.SameInPractice same) {
            node.put("detectable", same.detectable());
        } else if (verdict instanceof Verdict.SeenOnce once) {
            node.put("beyond_measuring", once.beyondMeasuring());
        }
    }

    private static String verdict(Verdict verdict) {
        if (verdict instanceof Verdict.Differs) {
            return "differs";
        } else if (verdict instanceof Verdict.SameInPractice) {
            return "same_in_practice";
        } else if (verdict instanceof Verdict.AtLeast) {
            return "at_least";
        } else if (verdict instanceof Verdict.Confounded) {
            return "confounded";
        } else if (verdict instanceof Verdict.Mediated) {
            return "mediated";
        }
        return verdict instanceof Verdict.SeenOnce ? "seen_once" : "cannot_say";
    }

    private static void estimate(ObjectNode node, Optional<Estimate> estimate, double halfWidth) {
        AnalysisJson.put(node, "estimate",
                estimate.isPresent() ? OptionalDouble.of(estimate.get().value()) : OptionalDouble.empty());
        AnalysisJson.put(node, "interval_half_width", OptionalDouble.of(halfWidth));
        AnalysisJson.put(node, "se",
                estimate.isPresent() ? OptionalDouble.of(estimate.get().se()) : OptionalDouble.empty());
        AnalysisJson.put(node, "df",
                estimate.isPresent() ? OptionalDouble.of(estimate.get().df()) : OptionalDouble.empty());
    }

    private static void test(ObjectNode node, Optional<FTest> test) {
        AnalysisJson.put(node, "f", test.isPresent() ? OptionalDouble.of(test.get().f()) : OptionalDouble.empty());
        AnalysisJson.put(node, "df1", test.isPresent() ? OptionalDouble.of(test.get().df1()) : OptionalDouble.empty());
        AnalysisJson.put(node, "df2", test.isPresent() ? OptionalDouble.of(test.get().df2()) : OptionalDouble.empty());
        AnalysisJson.put(node, "p", test.isPresent() ? OptionalDouble.of(test.get().p()) : OptionalDouble.empty());
    }

    private static void balance(ObjectNode node, BalanceNote note) {
        node.put("kind", note.kind().name().toLowerCase(Locale.ROOT))
                .put("title", note.title())
                .put("words", note.words());
        note.sensitivity().ifPresent(sensitivity -> {
            ObjectNode without = node.putObject("sensitivity")
                    .put("words", sensitivity.words())
                    .put("stands", sensitivity.stands());
            ArrayNode shots = without.putArray("without");
            sensitivity.without().forEach(shot -> shots.add(shot.name()));
        });
    }
}
