package org.grenu.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.app.advice.AdviceWords;
import org.grenu.app.advice.Causes;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.app.advice.SchoolAnswers;
import org.grenu.app.advice.TargetRecipe;
import org.grenu.core.learn.Advice;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.learn.NextShot;
import org.grenu.core.learn.Prediction;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;
import org.grenu.core.learn.StudentT;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.quantity.Title;
import org.grenu.core.record.RecordField;

/**
 * The next shot with what it rests on and what is doubtful of it, as JSON or text.
 *
 * @param target  where what is wanted is from
 * @param schools what the schools answer to an unwanted taste; empty where none was noted
 */
record AdvicePrint(CoffeeAdvice given, TargetRecipe target, Optional<SchoolAnswers> schools) {

    private static final ObjectMapper JSON = new ObjectMapper();

    private Advice advice() {
        return given.advice();
    }

    private GrinderDial dial() {
        return given.setUp().dial();
    }

    private AdviceWords words() {
        return new AdviceWords(given);
    }

    String json() {
        ObjectNode root = JSON.createObjectNode();
        root.put("coffee", given.coffee()).put("grinder", given.grinder());
        aim(root.putObject("aim"));
        recipe(root);
        ArrayNode rungs = root.putArray("rungs");
        advice().ladder().rungs().forEach(rung -> rung(rungs.addObject(), rung));
        StudentT notch = advice().beliefs().time().slope(Slope.GRIND);
        root.putObject("learnt")
                .put("notch", dial().notch())
                .put("notch_finer_pct", percent(notch.location()))
                .put("notch_finer_low_pct", percent(notch.quantile(0.025)))
                .put("notch_finer_high_pct", percent(notch.quantile(0.975)))
                .put("spread_pct", 100 * advice().beliefs().time().spread())
                .put("shots", advice().shots().size())
                .put("shots_read", advice().read())
                .put("coffees_before", advice().coffeesBefore());
        next(root.putObject("next"));
        Causes.of(given).ifPresent(causes -> causes(root.putObject("missed"), causes));
        schools.ifPresent(answers -> schools(root.putObject("schools"), answers));
        ArrayNode doubts = root.putArray("doubts");
        words().doubts().forEach(doubts::add);
        ArrayNode kept = root.putArray("assumed");
        given.setUp().assumed().forEach(kept::add);
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static void rung(ObjectNode node, Rung rung) {
        node.put("shot", rung.shot().name());
        rung.shot().record().number(RecordField.GRIND).ifPresent(grind -> node.put("grind", grind));
        rung.seconds().ifPresent(seconds -> node.put("time_s", seconds));
        node.put("step", rung.step().name().toLowerCase(Locale.ROOT));
        rung.kept().ifPresent(grind -> node.put("not_purged_from_grind", grind));
        ArrayNode changed = node.putArray("changed");
        rung.changed()
                .forEach(one -> changed.addObject()
                        .put("factor", one.key())
                        .put("from", one.before())
                        .put("to", one.now()));
    }

    private void aim(ObjectNode node) {
        range(node, "time", "s", given.aim().time());
        given.aim().yield().ifPresent(range -> range(node, "yield", "pct", range));
        given.aim().strength().ifPresent(range -> range(node, "strength", "pct", range));
    }

    private void recipe(ObjectNode root) {
        target.recipe().ifPresent(recipe -> {
            ObjectNode node = root.putObject("recipe");
            node.put("name", recipe.name()).put("version", recipe.newest().number());
            recipe.entries().texts().forEach((field, text) -> node.put(field.key(), text));
        });
        root.put("aim_source", target.source());
    }

    private static void causes(ObjectNode node, Causes causes) {
        node.put("shot", causes.shot()).put("missed", causes.ofTime() ? "time" : "extraction");
        node.put(causes.ofTime() ? "longer_than_expected_pct" : "more_extracted_than_expected_points",
                causes.ofTime() ? 100 * causes.off() : causes.off());
        ArrayNode all = node.putArray("causes");
        causes.causes()
                .forEach(cause -> all.addObject()
                        .put("cause", cause.title())
                        .put("share", cause.share())
                        .put("for", cause.speaks())
                        .put("against", cause.against())
                        .put("check", cause.check()));
    }

    private static void schools(ObjectNode node, SchoolAnswers answers) {
        node.put("shot", answers.shot()).put("note", answers.note().key()).put("disagree", answers.disagree());
        ArrayNode all = node.putArray("answers");
        for (SchoolAnswers.Answer answer : answers.answers()) {
            ObjectNode one = all.addObject().put("school", answer.school().school());
            one.put("says", answer.rule().words().toTry()).put("contradicted_by_this_log", answer.contradicted());
            ArrayNode levers = one.putArray("levers");
            for (SchoolAnswers.Evidence lever : answer.levers()) {
                ObjectNode told = levers.addObject().put("move", lever.move().words());
                told.put("verdict", lever.verdict().name().toLowerCase(Locale.ROOT))
                        .put("shots_tasted", lever.tasted())
                        .put("share_learnt", lever.learnt());
                lever.taste().ifPresent(effect -> effect(told, "taste", effect));
                lever.yield().ifPresent(effect -> effect(told, "yield_points", effect));
            }
        }
    }

    private static void effect(ObjectNode node, String what, StudentT effect) {
        node.put(what, effect.location())
                .put(what + "_low", effect.quantile(0.025))
                .put(what + "_high", effect.quantile(0.975));
    }

    private static void range(ObjectNode node, String what, String unit, AimRange range) {
        node.put(what + "_low_" + unit, range.low()).put(what + "_high_" + unit, range.high());
    }

    private void next(ObjectNode node) {
        NextShot next = advice().next();
        ShotInputs inputs = next.inputs();
        node.put("kind", kind(next))
                .put("grind", dial().number(next.finer()))
                .put("dose_g", inputs.dose())
                .put("beverage_g", inputs.beverage())
                .put("temperature_c", inputs.celsius())
                .put("chance", next.chance());
        ArrayNode unmeasured = node.putArray("chance_leaves_out");
        words().leftOut().forEach(unmeasured::add);
        if (next instanceof NextShot.Change change) {
            node.put("moved", change.lever().name().toLowerCase(Locale.ROOT));
        }
        foretold(node, "time", "s", advice().beliefs().time().shot(inputs));
        advice().beliefs().yield().ifPresent(yield -> foretold(node, "yield", "pct", yield.shot(inputs)));
        node.put("cost_g", given.setUp().reach().cost(advice().held(), inputs));
        given.setUp().reach().left().ifPresent(left -> node.put("left_in_bag_g", left));
        node.put("words", sentence());
    }

    private static void foretold(ObjectNode node, String what, String unit, Prediction shot) {
        node.put(what + "_" + unit, shot.median())
                .put(what + "_low_" + unit, shot.quantile(0.025))
                .put(what + "_high_" + unit, shot.quantile(0.975));
    }

    private String sentence() {
        return words().next() + ": " + words().expected() + ". " + words().why() + " " + words().cost();
    }

    private static String kind(NextShot next) {
        if (next instanceof NextShot.Change change) {
            return change.why() == NextShot.Why.BETWEEN_THE_LAST_TWO ? "bracket" : "change";
        }
        return next instanceof NextShot.Repeat ? "repeat" : next instanceof NextShot.Enough ? "enough"
                : next instanceof NextShot.Limit limit && limit.end() == NextShot.End.TARGET ? "out_of_reach" : "limit";
    }

    private static double percent(double logarithm) {
        return 100 * Math.expm1(logarithm);
    }

    String table() {
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of("shot", "grind", "time s", "step"));
        List<String> changed = new ArrayList<>(List.of("changed"));
        for (Rung rung : advice().ladder().rungs()) {
            rows.add(List.of(rung.shot().name(), rung.shot().record().entry(RecordField.GRIND).orElse("–"),
                    rung.seconds().isPresent() ? String.format(Locale.ROOT, "%.1f", rung.seconds().getAsDouble()) : "–",
                    step(rung.step())));
            changed.add(rung.changed()
                    .stream()
                    .map(one -> (Title.inSentence(one.title()) + " " + one.before() + " → " + one.now() + " "
                            + one.unit()).strip())
                    .collect(Collectors.joining(", ")));
        }
        String[] lines = TextTable.aligned(rows).split("\n");
        Arrays.setAll(lines, i -> (lines[i] + "  " + changed.get(i)).stripTrailing());
        StudentT notch = advice().beliefs().time().slope(Slope.GRIND);
        StringBuilder text = new StringBuilder(
                given.coffee() + (given.grinder().isEmpty() ? "" : " on " + given.grinder())
                        + ", " + words().wanted() + " wanted (" + target.source() + ")\n\n" + String.join("\n", lines)
                        + "\n\n");
        text.append(String.format(Locale.ROOT,
                "Learnt from %s and %s before on this grinder: one notch (%s) finer takes %s %% longer "
                        + "(95 %%: %s to %s); a shot spreads by %.1f %%.%n",
                counted(advice().shots().size(), "shot"), counted(advice().coffeesBefore(), "coffee"),
                DecimalText.exact(dial().notch()), signed(notch.location()), signed(notch.quantile(0.025)),
                signed(notch.quantile(0.975)), 100 * advice().beliefs().time().spread()));
        text.append("Next: ").append(sentence()).append('\n');
        Causes.of(given)
                .ifPresent(causes -> causes.causes()
                        .forEach(cause -> text.append("Shot " + causes.shot() + " missed its "
                                + (causes.ofTime() ? "time" : "extraction") + "; of the causes looked at "
                                + cause.percent() + ": "
                                + cause.title() + ". " + cause.why() + "\n")));
        schools.ifPresent(answers -> answers.answers().forEach(answer -> text.append(said(answers, answer))));
        words().doubts().forEach(doubt -> text.append("But: ").append(doubt).append('\n'));
        if (!given.setUp().assumed().isEmpty()) {
            text.append("Assumed, since not written down: ")
                    .append(String.join("; ", given.setUp().assumed()))
                    .append(".\n");
        }
        return text.toString();
    }

    private static String said(SchoolAnswers answers, SchoolAnswers.Answer answer) {
        return "Shot " + answers.shot() + " was " + answers.note().key() + "; “" + answer.school().school() + "” says: "
                + answer.rule().words().toTry() + " This log of its levers: "
                + answer.levers()
                        .stream()
                        .map(lever -> lever.move().words() + " " + lever.taste()
                                .map(effect -> Reported.signed(effect.location(), 1) + " ("
                                        + Reported.signed(effect.quantile(0.025), 1) + " to "
                                        + Reported.signed(effect.quantile(0.975), 1) + " of 10)")
                                .orElse("not tasted with a number")
                                + ", " + lever.verdict().name().toLowerCase(Locale.ROOT).replace('_', ' ')
                                + (lever.taste().isPresent() && lever.mostlyAssumed() ? ", mostly assumed" : ""))
                        .collect(Collectors.joining("; "))
                + ".\n";
    }

    private static String counted(int count, String what) {
        return count + " " + what + (count == 1 ? "" : "s");
    }

    private static String signed(double logarithm) {
        return String.format(Locale.ROOT, "%.1f", percent(logarithm)).replace('-', '\u2212');
    }

    private static String step(Step step) {
        return switch (step) {
            case FIRST -> "first";
            case REPEAT -> "a repeat";
            case ONE_THING -> "one thing";
            case SEVERAL_THINGS -> "several: cause unclear";
            case APART -> "faulty: left out";
        };
    }
}
