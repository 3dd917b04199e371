package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Reported;
import org.grenu.core.quantity.Title;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.SetUp;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.Tasting;
import org.grenu.core.response.StandardResponse;

/**
 * A rung of the ladder as it is told.
 *
 * @param rung     itself
 * @param set      how it was set, such as “grind 2.5 · 93 °C”
 * @param time     such as “25.4 s”; empty where it is not known
 * @param yield    extraction yield with its expanded uncertainty, k = 2, such as “19.5 ±0.3”; empty where it was not
 *                 read
 * @param taste    in words
 * @param changed  what was changed from the one before, such as “finer by 1 and hotter by 1 °C”
 * @param detail   the same in numbers, such as “2.6 → 2.5, 93 → 94 °C”
 * @param verdict  whether that was one thing
 * @param follows  what follows from that for who learns from it; may be empty
 */
public record LadderLine(Rung rung, String set, String time, String yield, String taste, String changed, String detail,
        String verdict, String follows) {

    private static final int MOST_NAMED = 3;

    /** {@return the ladder of that advice in those units, the newest first} */
    public static List<LadderLine> of(CoffeeAdvice given, DisplayUnits units) {
        List<LadderLine> lines = new ArrayList<>();
        for (Rung rung : given.advice().ladder().rungs()) {
            lines.add(of(rung, given.setUp().dial(), units));
        }
        Collections.reverse(lines);
        return lines;
    }

    private static LadderLine of(Rung rung, GrinderDial dial, DisplayUnits units) {
        ShotRecord record = rung.shot().record();
        String yield = StandardResponse.EY_AS_DOSED.of(rung.shot())
                .map(Reported::of)
                .map(Reported::text)
                .orElse("");
        return new LadderLine(rung, set(record, units),
                rung.seconds().isPresent() ? Reported.fixed(rung.seconds().getAsDouble(), 1) + " s" : "", yield,
                taste(record), changed(rung, dial, units), detail(rung, units), verdict(rung),
                follows(rung));
    }

    private static String set(ShotRecord record, DisplayUnits units) {
        List<String> parts = new ArrayList<>();
        record.entry(RecordField.GRIND).ifPresent(grind -> parts.add("grind " + grind));
        record.entry(RecordField.TEMPERATURE)
                .ifPresent(celsius -> parts.add(units.shown("°C", celsius) + " " + units.symbol("°C")));
        return String.join(" · ", parts);
    }

    private static String taste(ShotRecord record) {
        String picked = Tasting.of(record)
                .notes()
                .entrySet()
                .stream()
                .map(note -> note.getKey().key() + (note.getValue().isPresent()
                        ? " " + DecimalText.exact(note.getValue().getAsDouble()) : ""))
                .collect(Collectors.joining(", "));
        return picked.isEmpty() ? record.text(RecordField.TASTE).orElse("") : picked;
    }

    private static String changed(Rung rung, GrinderDial dial, DisplayUnits units) {
        List<String> words = rung.changed().stream().map(change -> changed(change, dial, units)).toList();
        if (rung.step() == Step.FIRST) {
            return "first of the ladder";
        }
        if (rung.step() == Step.APART) {
            return "stands apart";
        }
        return words.isEmpty() ? "nothing: a repeat" : words.size() > MOST_NAMED ? words.size() + " things"
                : words.size() == 1 ? words.get(0) : String.join(", ", words.subList(0, words.size() - 1)) + " and "
                        + words.get(words.size() - 1);
    }

    private static String changed(SetUp.Changed change, GrinderDial dial, DisplayUnits units) {
        OptionalDouble before = DecimalText.parse(change.before());
        OptionalDouble now = DecimalText.parse(change.now());
        if (before.isEmpty() || now.isEmpty()) {
            return Title.inSentence(change.title());
        }
        double by = now.getAsDouble() - before.getAsDouble();
        Optional<RecordField> field = RecordField.find(change.key());
        if (field.equals(Optional.of(RecordField.GRIND))) {
            double notches = dial.finer(now.getAsDouble()) - dial.finer(before.getAsDouble());
            return (notches > 0 ? "finer" : "coarser") + " by " + rounded(notches);
        }
        if (field.equals(Optional.of(RecordField.TEMPERATURE))) {
            return (by > 0 ? "hotter" : "cooler") + " by " + rounded(units.difference(by, "°C"));
        }
        if (field.equals(Optional.of(RecordField.DOSE)) || field.equals(Optional.of(RecordField.BEVERAGE))) {
            return rounded(by) + " g " + (by > 0 ? "more" : "less")
                    + (field.get() == RecordField.DOSE ? " coffee" : " in the cup");
        }
        return change.key().equals("age_d") ? rounded(by) + (by > 0 ? " d older" : " d younger")
                : Title.inSentence(change.title());
    }

    private static String rounded(double by) {
        return DecimalText.exact(Math.rint(Math.abs(by) * 10) / 10);
    }

    private static String detail(Rung rung, DisplayUnits units) {
        if (rung.step() == Step.APART) {
            return rung.shot().record().text(RecordField.FAULT).orElse("faulty on purpose");
        }
        return rung.changed()
                .stream()
                .map(change -> (units.shown(change.unit(), change.before()) + " → "
                        + units.shown(change.unit(), change.now()) + " " + units.symbol(change.unit())).strip())
                .collect(Collectors.joining(", "));
    }

    private static String verdict(Rung rung) {
        return switch (rung.step()) {
            case FIRST -> "";
            case REPEAT -> "repeat";
            case ONE_THING -> "one thing: yes";
            case SEVERAL_THINGS -> "one thing: no";
            case APART -> "left out";
        };
    }

    private static String follows(Rung rung) {
        if (rung.withoutPurge()) {
            return "no purge: allowed for";
        }
        return rung.step() == Step.SEVERAL_THINGS ? "cause unclear"
                : rung.step() == Step.REPEAT ? "for the spread" : "";
    }

    /** {@return all of it in one sentence, for who cannot see it} */
    public String words() {
        return "Shot " + rung.shot().name() + ", " + set + (time.isEmpty() ? "" : ", " + time)
                + (yield.isEmpty() ? "" : ", EY " + yield + " %") + ". " + changed
                + (detail.isEmpty() ? "" : ", " + detail)
                + (verdict.isEmpty() ? "." : ": " + verdict + (follows.isEmpty() ? "." : ", " + follows + "."));
    }

}
