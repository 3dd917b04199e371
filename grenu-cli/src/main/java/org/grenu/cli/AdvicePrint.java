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
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.grenu.core.learn.Advice;
import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.learn.NextShot;
import org.grenu.core.learn.StudentT;
import org.grenu.core.learn.TimeAim;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Title;
import org.grenu.core.record.RecordField;

/**
 * The next shot with what it rests on and what is doubtful of it, as JSON or text.
 *
 * @param assumed what nobody wrote down
 */
record AdvicePrint(String coffee, String grinder, GrinderDial dial, TimeAim aim, List<String> assumed, Advice advice) {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int MOST_LISTED = 6;

    String json() {
        ObjectNode root = JSON.createObjectNode();
        root.put("coffee", coffee).put("grinder", grinder);
        root.putObject("aim").put("time_low_s", aim.low()).put("time_high_s", aim.high());
        ArrayNode rungs = root.putArray("rungs");
        advice.ladder().rungs().forEach(rung -> rung(rungs.addObject(), rung));
        StudentT notch = advice.belief().notch();
        root.putObject("learnt")
                .put("notch", dial.notch())
                .put("notch_finer_pct", percent(notch.location()))
                .put("notch_finer_low_pct", percent(notch.quantile(0.025)))
                .put("notch_finer_high_pct", percent(notch.quantile(0.975)))
                .put("spread_pct", 100 * advice.belief().spread())
                .put("shots", advice.shots().size())
                .put("coffees_before", advice.coffeesBefore());
        next(root.putObject("next"));
        ArrayNode doubts = root.putArray("doubts");
        doubts().forEach(doubts::add);
        ArrayNode kept = root.putArray("assumed");
        assumed.forEach(kept::add);
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
        node.put("step", rung.step().name().toLowerCase(Locale.ROOT)).put("weight", rung.weight());
        ArrayNode changed = node.putArray("changed");
        rung.changed()
                .forEach(one -> changed.addObject()
                        .put("factor", one.key())
                        .put("from", one.before())
                        .put("to", one.now()));
    }

    private void next(ObjectNode node) {
        NextShot next = advice.next();
        node.put("kind", kind(next)).put("grind", dial.number(next.finer())).put("chance", next.chance());
        StudentT time = time(next);
        node.put("time_s", Math.exp(time.location()))
                .put("time_low_s", Math.exp(time.quantile(0.025)))
                .put("time_high_s", Math.exp(time.quantile(0.975)))
                .put("words", words());
    }

    private static String kind(NextShot next) {
        if (next instanceof NextShot.Change change) {
            return change.why() == NextShot.Why.LIKELIEST ? "change" : "bracket";
        }
        return next instanceof NextShot.Repeat ? "repeat" : next instanceof NextShot.Enough ? "enough" : "limit";
    }

    /** Of one more shot there. */
    private StudentT time(NextShot next) {
        return advice.belief().shot(advice.shots().get(advice.shots().size() - 1).inputs().at(next.finer()));
    }

    private static double percent(double logarithm) {
        return 100 * Math.expm1(logarithm);
    }

    private String words() {
        NextShot next = advice.next();
        String grind = DecimalText.exact(dial.number(next.finer()));
        StudentT time = time(next);
        String foretold = String.format(Locale.ROOT,
                "%.1f s, 95 %% of shots between %.1f and %.1f; %.0f in 100 to take %s s.",
                Math.exp(time.location()), Math.exp(time.quantile(0.025)), Math.exp(time.quantile(0.975)),
                100 * next.chance(), aimWords());
        if (next instanceof NextShot.Change change) {
            return "Grind " + grind + ", all else as in shot " + last() + ": " + foretold
                    + (change.why() == NextShot.Why.LIKELIEST ? " No other setting is likelier to."
                            : " The changes went to and fro: this lies between the last two.");
        }
        if (next instanceof NextShot.Repeat repeat) {
            return "Grind " + grind + " once more, all as in shot " + last() + ": " + foretold
                    + (repeat.why() == NextShot.Why.LIKELIEST ? " No other setting is likelier to."
                            : " The last step told nothing that the spread of a shot could not have made.");
        }
        if (next instanceof NextShot.Enough enough) {
            return String.format(Locale.ROOT,
                    "Good enough at grind %s: the time is met, and the best change would raise "
                            + "the chance by %.0f in 100.",
                    grind, 100 * enough.gain());
        }
        boolean finest = ((NextShot.Limit) next).finest();
        return "This is the limit of the set-up: at grind " + grind + ", the " + (finest ? "finest" : "coarsest")
                + " it can be set to, " + foretold + " What could still move: "
                + (finest ? "more coffee or less in the cup." : "less coffee or more in the cup.");
    }

    /** The shot that the next one is held like. */
    private String last() {
        return advice.ladder().newest(dial).orElseThrow().shot().name();
    }

    private String aimWords() {
        return DecimalText.exact(aim.low()) + "–" + DecimalText.exact(aim.high());
    }

    private List<String> doubts() {
        List<String> doubts = new ArrayList<>();
        listed(rung -> rung.step() == Step.SEVERAL_THINGS, rung -> rung.shot().name() + " (" + named(rung) + ")")
                .ifPresent(
                        shots -> doubts.add("Several things were changed at once, so which of them did it is unclear: "
                                + "shot " + shots + "."));
        listed(Rung::withoutPurge, rung -> rung.shot().name())
                .ifPresent(
                        shots -> doubts.add("Ground after a change of grind, and no purge is written down, so that it "
                                + "counts less: shot " + shots + "."));
        if (advice.ladder().undated() > 0) {
            doubts.add("It is not written down when " + counted(advice.ladder().undated(), "shot")
                    + " of this coffee were pulled: left out.");
        }
        doubts.add("Time alone is aimed at: strength and extraction yield are not.");
        return doubts;
    }

    /** The newest of those, and how many more. */
    private Optional<String> listed(Predicate<Rung> which, Function<Rung, String> named) {
        List<String> all = advice.ladder().rungs().stream().filter(which).map(named).toList();
        String newest = String.join(", ", all.subList(Math.max(0, all.size() - MOST_LISTED), all.size()));
        return all.isEmpty() ? Optional.empty()
                : Optional.of(
                        newest + (all.size() > MOST_LISTED ? " and " + (all.size() - MOST_LISTED) + " before" : ""));
    }

    private static String named(Rung rung) {
        return rung.changed()
                .stream()
                .map(one -> Title.inSentence(one.title()))
                .collect(Collectors.joining(", "));
    }

    String table() {
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of("shot", "grind", "time s", "step"));
        List<String> changed = new ArrayList<>(List.of("changed"));
        for (Rung rung : advice.ladder().rungs()) {
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
        StudentT notch = advice.belief().notch();
        StringBuilder text = new StringBuilder(coffee + (grinder.isEmpty() ? "" : " on " + grinder) + ", " + aimWords()
                + " s wanted\n\n" + String.join("\n", lines) + "\n\n");
        text.append(String.format(Locale.ROOT,
                "Learnt from %s and %s before on this grinder: one notch (%s) finer takes %s %% longer "
                        + "(95 %%: %s to %s); a shot spreads by %.1f %%.%n",
                counted(advice.shots().size(), "shot"), counted(advice.coffeesBefore(), "coffee"),
                DecimalText.exact(dial.notch()), signed(notch.location()), signed(notch.quantile(0.025)),
                signed(notch.quantile(0.975)), 100 * advice.belief().spread()));
        text.append("Next: ").append(words()).append('\n');
        doubts().forEach(doubt -> text.append("But: ").append(doubt).append('\n'));
        if (!assumed.isEmpty()) {
            text.append("Assumed, since not written down: ").append(String.join("; ", assumed)).append(".\n");
        }
        return text.toString();
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
