package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.learn.NextShot;
import org.grenu.core.learn.Prediction;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Title;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.TasteNote;
import org.grenu.core.record.Tasting;

/**
 * The advice in sentences, with what is doubtful of it: the same on screen and on the command line.
 *
 * @param units in which temperatures are told
 */
public record AdviceWords(CoffeeAdvice given, DisplayUnits units) {

    private static final int MOST_LISTED = 6;
    private static final double LEAST_DOSE = 0.1;
    private static final double LEAST_CUP = 1;
    private static final double LITTLE_READ = 3;

    /** The advice in °C. */
    public AdviceWords(CoffeeAdvice given) {
        this(given, DisplayUnits.CANONICAL);
    }

    /** {@return the next shot in one line, such as “Grind 2.4, all else as in shot 63”} */
    public String next() {
        NextShot next = given.advice().next();
        if (next instanceof NextShot.Change change) {
            return setting(change.lever(), change.inputs()) + drawn(change.lever()) + ", all else as in shot "
                    + given.heldLike();
        }
        if (next instanceof NextShot.Repeat) {
            return "Grind " + grind(next) + " once more" + drawn(Slope.GRIND) + ", all as in shot "
                    + given.heldLike();
        }
        return next instanceof NextShot.Enough ? "Good enough at grind " + grind(next)
                : next instanceof NextShot.Limit limit && limit.end() == NextShot.End.TARGET
                        ? "This target is out of reach of the set-up"
                        : "This is the limit of the set-up";
    }

    /** What is meant otherwise than the shot before had it, besides what is moved. */
    private String drawn(Slope moved) {
        ShotInputs meant = given.advice().held();
        ShotInputs was = given.was();
        String words = moved == Slope.DOSE || Math.abs(meant.dose() - was.dose()) < LEAST_DOSE ? ""
                : String.format(Locale.ROOT, ", dose %.1f g", meant.dose());
        words += moved == Slope.BEVERAGE || Math.abs(meant.beverage() - was.beverage()) < LEAST_CUP ? ""
                : String.format(Locale.ROOT, ", %.0f g in the cup", meant.beverage());
        return words + (given.anotherProfile() ? ", by “" + given.profile() + "”" : "");
    }

    /** {@return the next shot in a few words, such as “Next: grind 2.4”} */
    public String heading() {
        NextShot next = given.advice().next();
        Slope lever = next instanceof NextShot.Change change ? change.lever() : Slope.GRIND;
        String set = lower(setting(lever, next.inputs()));
        return next instanceof NextShot.Enough ? "Good enough: " + set
                : next instanceof NextShot.Limit limit && limit.end() == NextShot.End.TARGET ? "Target out of reach"
                        : next instanceof NextShot.Limit ? "Limit of the set-up: " + set
                                : next instanceof NextShot.Repeat ? "Next: " + set + " once more" : "Next: " + set;
    }

    /** {@return the chance of all that is wanted and was ever measured, and what it leaves out for want of that} */
    public String chance() {
        List<String> left = leftOut();
        return String.format(Locale.ROOT, "%.0f in 100 to meet %s", 100 * given.advice().next().chance(),
                listed(wanted(true))) + (left.isEmpty() ? "" : " (" + listed(left) + " not measured yet: left out)");
    }

    /** {@return what is wanted but was never measured, so that no chance tells of it} */
    public List<String> leftOut() {
        List<String> left = new ArrayList<>();
        if (given.advice().beliefs().yield().isEmpty()) {
            given.aim().yield().ifPresent(range -> left.add("EY"));
            given.aim().strength().ifPresent(range -> left.add("strength"));
        }
        given.aim()
                .tastes()
                .keySet()
                .stream()
                .filter(taste -> !given.advice().beliefs().tastes().containsKey(taste))
                .forEach(left::add);
        return left;
    }

    /** {@return what is expected of it, with its interval and chance} */
    public String expected() {
        NextShot next = given.advice().next();
        Prediction time = given.advice().beliefs().time().shot(next.inputs());
        String text = String.format(Locale.ROOT,
                "%.1f s from %s, 95 %% of shots between %.1f and %.1f (learnt from %d)", time.median(),
                given.time().convention().title(), time.quantile(0.025), time.quantile(0.975),
                given.advice().shots().size());
        Optional<Prediction> yield = given.advice().beliefs().yield().map(belief -> belief.shot(next.inputs()));
        if (yield.isPresent()) {
            text += String.format(Locale.ROOT, "; EY as dosed %.1f %% (%.1f–%.1f)", yield.get().median(),
                    yield.get().quantile(0.025), yield.get().quantile(0.975));
        }
        return text + "; " + chance();
    }

    /** {@return why that, in a sentence} */
    public String why() {
        NextShot next = given.advice().next();
        if (next instanceof NextShot.Change change) {
            return switch (change.why()) {
                case BETWEEN_THE_LAST_TWO -> "The changes went to and fro: this lies between the last two.";
                case TOWARDS_THE_AIM ->
                        "The last shot missed; a step that way is not much less likely to meet it than a "
                                + "repeat, and tells more.";
                case FIRST_OF_TWO ->
                        "No single change gets there: this is the first of two that together are likeliest to.";
                case LIKELIEST, TOLD_NOTHING, CHANNELLED ->
                        change.lever() == Slope.GRIND ? "No other setting is likelier to meet it."
                                : "No other single change is likelier to meet it, for the coffee it costs.";
            };
        }
        if (next instanceof NextShot.Repeat repeat) {
            return repeat.why() == NextShot.Why.LIKELIEST ? "No other setting is likelier to meet it."
                    : repeat.why() == NextShot.Why.CHANNELLED
                            ? "Shot " + given.heldLike() + " shows a channel, so that "
                                    + "what it came to tells little of its setting: pull it with a fresh, level puck."
                            : "The last step told nothing that the spread of a shot could not have made.";
        }
        if (next instanceof NextShot.Enough enough) {
            return String.format(Locale.ROOT,
                    "What is wanted is met, and the next change would raise the chance by %.0f in 100.",
                    100 * enough.gain());
        }
        return limit((NextShot.Limit) next);
    }

    private String limit(NextShot.Limit limit) {
        if (limit.end() == NextShot.End.BAG) {
            return "The bag holds less than one more dose.";
        }
        if (limit.end() == NextShot.End.TARGET) {
            return beyond(limit);
        }
        boolean finest = limit.end() == NextShot.End.FINEST;
        String could = limit.couldMove()
                .stream()
                .map(move -> lower(setting(move.lever(), move.inputs()))
                        + String.format(Locale.ROOT, " (%.0f in 100)", 100 * move.chance()))
                .collect(Collectors.joining(", "));
        return "Grind " + grind(limit) + " is the " + (finest ? "finest" : "coarsest")
                + " that the grinder can be set to. What could still move: "
                + (could.isEmpty() ? finest ? "more coffee or less in the cup." : "less coffee or more in the cup."
                        : could + ".");
    }

    private String beyond(NextShot.Limit limit) {
        ShotInputs nearest = limit.inputs();
        boolean exclude = (given.aim().yield().isPresent() || given.aim().strength().isPresent())
                && given.aim().yieldAt(nearest.beverage() / nearest.dose()).isEmpty();
        if (exclude) {
            return String.format(Locale.ROOT, "EY and strength exclude each other at %.1f g in the cup from %.1f g of "
                    + "coffee: strength is EY times dose over beverage mass. Change one of the windows, the dose or "
                    + "the beverage mass.", nearest.beverage(), nearest.dose());
        }
        return String.format(Locale.ROOT, "Nothing that can be set is likely to meet %s; nearest is %s, dose %.1f g, "
                + "%.0f g in the cup: %.0f in 100. Widen the target, or what may be moved.", wanted(),
                lower(setting(Slope.GRIND, nearest)), nearest.dose(), nearest.beverage(), 100 * limit.chance());
    }

    private static String lower(String words) {
        return words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
    }

    /** {@return what is set there, such as “Grind 2.4” or “Beverage mass 38 g”} */
    public String setting(Slope lever, ShotInputs inputs) {
        return switch (lever) {
            case GRIND -> "Grind " + DecimalText.exact(dial().number(inputs.finer()));
            case DOSE -> String.format(Locale.ROOT, "Dose %.1f g", inputs.dose());
            case BEVERAGE -> String.format(Locale.ROOT, "Beverage mass %.0f g", inputs.beverage());
            case TEMPERATURE -> units.text(inputs.celsius(), "°C", 0);
            case AGE -> String.format(Locale.ROOT, "Day %.0f", inputs.days());
        };
    }

    private GrinderDial dial() {
        return given.setUp().dial();
    }

    /** {@return the grinder's number for that shot} */
    public String grind(NextShot next) {
        return DecimalText.exact(dial().number(next.finer()));
    }

    /** {@return all that is wanted, such as “27–31 s and EY 18–22 %”} */
    public String wanted() {
        return listed(wanted(false));
    }

    private List<String> wanted(boolean measured) {
        List<String> left = measured ? leftOut() : List.of();
        List<String> wanted = new ArrayList<>(List.of(range(given.aim().time()) + " s"));
        given.aim()
                .yield()
                .filter(range -> !left.contains("EY"))
                .ifPresent(range -> wanted.add("EY " + range(range) + " %"));
        given.aim()
                .strength()
                .filter(range -> !left.contains("strength"))
                .ifPresent(range -> wanted.add("strength " + range(range) + " %"));
        given.aim().tastes().forEach((taste, range) -> {
            if (!left.contains(taste)) {
                wanted.add(taste + " " + range(range));
            }
        });
        return wanted;
    }

    private static String listed(List<String> words) {
        return words.size() < 2 ? String.join("", words)
                : String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.get(words.size() - 1);
    }

    private static String range(AimRange range) {
        return DecimalText.exact(range.low()) + "–" + DecimalText.exact(range.high());
    }

    /** {@return what the change costs, such as “20.0 g of coffee; 142 g are left”} */
    public String cost() {
        NextShot next = given.advice().next();
        double grams = given.setUp().reach().cost(given.advice().held(), next.inputs());
        String text = String.format(Locale.ROOT, "It takes %.1f g of coffee", grams);
        boolean purged = grams > next.inputs().dose();
        return text + (purged ? ", the purge among it" : "") + (given.setUp().reach().left().isPresent()
                ? String.format(Locale.ROOT, "; the bag holds %.0f g.", given.setUp().reach().left().getAsDouble())
                : ".");
    }

    /** {@return what is doubtful of the advice in one line, to stand beside it; empty where nothing is} */
    public String brief() {
        List<String> parts = new ArrayList<>();
        long unclear = rungs(rung -> rung.step() == Step.SEVERAL_THINGS);
        long unpurged = rungs(Rung::withoutPurge);
        if (unclear > 0) {
            parts.add("cause unclear in " + counted((int) unclear, "step"));
        }
        if (unpurged > 0) {
            parts.add(counted((int) unpurged, "shot") + " without a purge");
        }
        if (!given.leftOut().reasons().isEmpty()) {
            parts.add(given.leftOut().reasons().get(0));
        }
        if (extraction() && given.advice().read() < LITTLE_READ) {
            parts.add(given.advice().read() == 0 ? "not read: the chance is of the time alone"
                    : "hardly read: extraction is mostly assumed");
        }
        if (given.aim().tastes().isEmpty()) {
            tasted().ifPresent(notes -> parts.add("it tasted " + notes + ", and taste is left out"));
        }
        if (mostlyAssumed()) {
            parts.add("what the change does is mostly assumed");
        }
        if (given.advice().beliefs().time().slope(Slope.GRIND).quantile(0.025) <= 0) {
            parts.add("what a notch does is not clear yet");
        }
        return parts.isEmpty() ? "" : "Doubts: " + String.join("; ", parts) + ".";
    }

    /** Whether the log has taught little more of the lever that is moved than was believed before. */
    private boolean mostlyAssumed() {
        return given.advice().next() instanceof NextShot.Change change && change.lever() != Slope.GRIND
                && given.advice()
                        .beliefs()
                        .yield()
                        .map(yield -> yield.mostlyAssumed(change.lever()))
                        .orElse(true);
    }

    private long rungs(Predicate<Rung> which) {
        return given.advice().ladder().rungs().stream().filter(which).count();
    }

    private boolean extraction() {
        return given.aim().yield().isPresent() || given.aim().strength().isPresent();
    }

    /** {@return what is doubtful of the advice, in sentences} */
    public List<String> doubts() {
        List<String> doubts = new ArrayList<>();
        listed(rung -> rung.step() == Step.SEVERAL_THINGS, rung -> rung.shot().name() + " (" + named(rung) + ")")
                .ifPresent(
                        shots -> doubts.add("Several things were changed at once, so which of them did it is unclear: "
                                + "shot " + shots + "."));
        listed(Rung::withoutPurge, rung -> rung.shot().name())
                .ifPresent(
                        shots -> doubts
                                .add("Ground after a change of grind, and no purge is written down, so that what "
                                        + "the grinder keeps is allowed for: shot " + shots + "."));
        if (!given.leftOut().reasons().isEmpty()) {
            doubts.add(given.leftOut().words().strip());
        }
        if (given.anotherProfile()) {
            doubts.add("The recipe’s profile is another than that of shot " + given.heldLike()
                    + ": what it does to time and extraction is not in what is expected.");
        }
        if (given.time().changed()) {
            doubts.add(given.time().words() + " The window of the time is held against that.");
        }
        ofResponses(doubts);
        return doubts;
    }

    private void ofResponses(List<String> doubts) {
        if (mostlyAssumed()) {
            doubts.add("What the change does is mostly assumed from common practice: this log has hardly moved it.");
        }
        if (!extraction()) {
            doubts.add("Time alone is aimed at: strength and extraction yield are not.");
        } else if (given.advice().read() == 0) {
            doubts.add("No shot of this coffee was read, so that the chance is that of the time alone.");
        } else if (given.advice().read() < LITTLE_READ) {
            doubts.add("Only " + counted(given.advice().read(), "shot")
                    + " of this coffee were read: what is expected of the extraction is mostly assumed.");
        }
        if (extraction() && given.advice().read() > 0) {
            doubts.add("The chance takes the spreads of time and extraction as independent.");
        }
        tasted().filter(notes -> given.aim().tastes().isEmpty())
                .ifPresent(notes -> doubts.add("Shot " + given.heldLike() + " tasted " + notes + ". Taste is in no "
                        + "chance, since no window of it is typed: hear the schools before you follow the numbers."));
        given.aim()
                .tastes()
                .keySet()
                .stream()
                .filter(taste -> !given.advice().beliefs().tastes().containsKey(taste))
                .forEach(taste -> doubts.add("No shot of this coffee says how " + taste + " it was: the chance leaves "
                        + "it out."));
    }

    /** What the newest shot tasted of that is not wanted, in words; empty where nothing is. */
    private Optional<String> tasted() {
        ShotRecord record = given.advice().ladder().newest(given.setUp().dial()).orElseThrow().shot().record();
        List<String> notes = Tasting.of(record)
                .unwanted(record.text(RecordField.EXPECTED_NOTES))
                .stream()
                .map(TasteNote::key)
                .toList();
        return notes.isEmpty() ? Optional.empty() : Optional.of(listed(notes));
    }

    /** The newest of those, and how many more. */
    private Optional<String> listed(Predicate<Rung> which, Function<Rung, String> named) {
        List<String> all = given.advice().ladder().rungs().stream().filter(which).map(named).toList();
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

    private static String counted(int count, String what) {
        return count + " " + what + (count == 1 ? "" : "s");
    }
}
