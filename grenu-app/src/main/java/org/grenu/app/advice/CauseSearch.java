package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.app.advice.Causes.Cause;
import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.Ladder;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Slope;
import org.grenu.core.learn.StudentT;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.SetUp;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;

/** Looks for what may have made a shot miss: whatever its record and its curves show. */
final class CauseSearch {

    /** Of the grounds before, where nobody knows what the grinder keeps (assumed, as in Compare). */
    private static final double KEPT_SHARE = 0.2;
    private static final double USUAL_DOSE = 18;
    /** What a channel does to ln(time), and to the extraction in points (assumed). */
    private static final double CHANNEL_IN_TIME = -0.12;
    private static final double CHANNEL_IN_YIELD = -1;
    private static final double COLD_DEGREES = 1;
    private static final double LEAST_GRAMS = 0.15;
    private static final String OTHER_WAY = "it works the other way";

    private final GrinderDial dial;
    private final Rung rung;
    private final ShotRecord record;
    private final ShotMeasures measures;
    private final Miss miss;
    private final double off;
    private final List<Cause> causes = new ArrayList<>();

    CauseSearch(GrinderDial dial, Rung rung, Miss miss) {
        this.dial = dial;
        this.rung = rung;
        this.record = rung.shot().record();
        this.measures = rung.shot().measures();
        this.miss = miss;
        this.off = miss.off();
    }

    Causes found() {
        expected();
        mass(RecordField.DOSE, RecordField.DOSE_TARGET, Slope.DOSE, record.number(RecordField.DOSE));
        mass(RecordField.BEVERAGE, RecordField.BEVERAGE_TARGET, Slope.BEVERAGE, measures.masses()
                .beverage()
                .map(mass -> OptionalDouble.of(mass.value()))
                .orElse(OptionalDouble.empty()));
        purge();
        age();
        channel();
        temperature();
        session();
        basket();
        reading();
        double all = causes.stream().mapToDouble(Cause::share).sum();
        return new Causes(rung.shot().name(), miss.ofTime(), miss.ofTime() ? Math.expm1(off) : off, causes.stream()
                .map(cause -> new Cause(cause.title(), cause.speaks(), cause.against(), cause.check(),
                        cause.share() / all))
                .sorted(Comparator.comparingDouble(Cause::share).reversed())
                .toList());
    }

    private void add(String title, String speaks, String against, String check, double likelihood) {
        causes.add(new Cause(title, speaks, against, check, likelihood));
    }

    /**
     * A cause that would shift the response so. What works the other way explains what chance does, as far as it may
     * work this way after all.
     */
    private void add(String title, String speaks, String check, StudentT shift) {
        boolean otherWay = shift.location() * off < 0;
        double thisWay = off > 0 ? shift.above(0) : 1 - shift.above(0);
        add(title, speaks, otherWay ? OTHER_WAY : "", check,
                otherWay ? thisWay * miss.likelihood(0, 0) : miss.likelihood(shift.location(), shift.scale()));
    }

    private String seen() {
        return "seen " + miss.told(off) + " of what its setting lets expect";
    }

    /** What was to be expected lay outside already, so that nothing went wrong but the setting; or it was chance. */
    private void expected() {
        setting();
        if (miss.expected()) {
            add("The spread of a shot", seen() + "; a shot spreads by "
                    + miss.told(miss.belief().spread()).replace("+", ""),
                    Math.abs(off) > 2 * miss.belief().spread() ? "more than two spreads off" : "",
                    "Pull it once more.", miss.likelihood(0, 0));
        } else {
            add("The setting itself", miss.foreseen() + " were to be expected there", "", "Pull the proposed setting.",
                    miss.likelihood(0, 0));
        }
    }

    /** Before the log has told what a setting does, that it was not known is the first thing to think of. */
    private void setting() {
        double open = miss.belief().fit(miss.was()).usual().asOne().scale();
        if (miss.expected() && open > miss.belief().spread()) {
            add(rung.step() == Ladder.Step.FIRST ? "A setting that was never dialled in" : "A setting hardly known",
                    "what it would give was open by " + miss.told(open).replace("+", "± ") + "; " + seen(), "",
                    "Pull the proposed setting.", miss.likelihood(0, open));
        }
    }

    private void mass(RecordField field, RecordField target, Slope slope, OptionalDouble is) {
        OptionalDouble meant = record.number(target);
        if (is.isEmpty() || meant.isEmpty() || Math.abs(is.getAsDouble() - meant.getAsDouble()) < LEAST_GRAMS) {
            return;
        }
        double by = is.getAsDouble() - meant.getAsDouble();
        StudentT shift = miss.belief()
                .effect(miss.was().with(slope, meant.getAsDouble()), miss.was().with(slope, is.getAsDouble()));
        add(field.title() + " off by " + Reported.signed(by, 1) + " g",
                "it would do " + miss.told(shift.location()) + "; " + seen(),
                field == RecordField.DOSE ? "Weigh the dose again." : "Weigh the cup; stop a little earlier or later.",
                shift);
    }

    private void purge() {
        if (!rung.withoutPurge()) {
            return;
        }
        double moved = dial.finer(record.number(RecordField.GRIND).orElseThrow())
                - dial.finer(rung.kept().getAsDouble());
        OptionalDouble keeps = record.number(RecordField.RETENTION);
        double dose = measures.masses().dose().map(Measured::value).orElse(USUAL_DOSE);
        double share = keeps.isPresent() ? Math.min(1, keeps.getAsDouble() / dose) : KEPT_SHARE;
        double shift = -share * moved * miss.belief().slope(Slope.GRIND).location();
        if (shift == 0) {
            return;
        }
        add("Ground before in the dose", "the grind was changed and no purge is written down; "
                + Reported.fixed(100 * share, 0) + " % of the grounds from before ("
                + (keeps.isPresent() ? "what the grinder keeps, over the dose" : "assumed") + ") would do "
                + miss.told(shift), "Purge and pull it once more.",
                new StudentT(shift, Math.abs(shift) / 2, miss.belief().slope(Slope.GRIND).degrees()));
    }

    private void age() {
        Optional<SetUp.Changed> older = rung.changed().stream().filter(one -> one.key().equals("age_d")).findFirst();
        older.ifPresent(change -> {
            double days = DecimalText.parse(change.now()).orElse(0) - DecimalText.parse(change.before()).orElse(0);
            if (days != 0) {
                StudentT shift = miss.belief().slope(Slope.AGE).times(days);
                add("The coffee is " + Reported.fixed(Math.abs(days), 0) + " days " + (days > 0 ? "older" : "younger"),
                        "that would do " + miss.told(shift.location()), "Compare with "
                                + (days > 0 ? "a fresh bag" : "one as old as before") + " at this setting.",
                        shift);
            }
        });
    }

    private void channel() {
        double shift = miss.ofTime() ? CHANNEL_IN_TIME : CHANNEL_IN_YIELD;
        measures.likelyChannel()
                .ifPresent(sign -> add("A channel", "the resistance fell abruptly, likelihood "
                        + Reported.fixed(100 * sign.likelihood(), 0) + " %",
                        off > 0 ? miss.ofTime() ? "a channel shortens a shot" : "a channel extracts less" : "",
                        "Look at the puck; distribute with more care.",
                        miss.likelihood(shift, Math.abs(shift) / 2)));
    }

    private void temperature() {
        OptionalDouble set = record.number(RecordField.TEMPERATURE);
        OptionalDouble shown = ShotMeasures.measuredTemperature(measures.curve());
        if (set.isEmpty() || shown.isEmpty() || Math.abs(shown.getAsDouble() - set.getAsDouble()) <= COLD_DEGREES) {
            return;
        }
        double degrees = shown.getAsDouble() - set.getAsDouble();
        StudentT shift = miss.belief().slope(Slope.TEMPERATURE).times(degrees);
        String title = "Water off its set point";
        String speaks = Reported.fixed(shown.getAsDouble(), 1) + " °C shown, "
                + DecimalText.exact(set.getAsDouble()) + " °C set, which would do " + miss.told(shift.location());
        String check = "Let it settle, and look at the trace.";
        if (miss.ofTime()) {
            add(title, speaks, "within the brewing range the temperature hardly moves the time", check,
                    miss.likelihood(shift.location(), shift.scale()));
        } else {
            add(title, speaks, check, shift);
        }
    }

    private void session() {
        OptionalDouble on = record.number(RecordField.MINUTES_ON);
        OptionalDouble warm = record.number(RecordField.WARM_UP);
        boolean cold = on.isPresent() && warm.isPresent() && on.getAsDouble() < warm.getAsDouble();
        if (cold || record.flag(RecordField.FIRST_OF_SESSION)) {
            add(cold ? "The machine was not warm" : "First of the session",
                    cold ? Reported.fixed(on.getAsDouble(), 0) + " min on, " + Reported.fixed(warm.getAsDouble(), 0)
                            + " min to warm up" : "cold grinder and group",
                    "", "Pull it once more, warm.", somehow());
        }
    }

    /** Of a cause that may do anything from nothing to all of it. */
    private double somehow() {
        return miss.likelihood(off / 2, miss.belief().spread());
    }

    private void basket() {
        OptionalDouble dose = record.number(RecordField.DOSE);
        OptionalDouble from = record.number(RecordField.BASKET_FROM);
        OptionalDouble to = record.number(RecordField.BASKET_TO);
        if (dose.isPresent() && from.isPresent() && to.isPresent()
                && (dose.getAsDouble() < from.getAsDouble() || dose.getAsDouble() > to.getAsDouble())) {
            add("The basket", Reported.fixed(dose.getAsDouble(), 1) + " g in a basket for "
                    + DecimalText.exact(from.getAsDouble()) + "–" + DecimalText.exact(to.getAsDouble()) + " g", "",
                    "Dose for the basket.", somehow());
        }
    }

    /** An extraction is as good as the strength that it is worked out from. */
    private void reading() {
        List<String> doubts = new ArrayList<>();
        if (record.readings().size() < 2) {
            doubts.add("read once");
        }
        if (!record.has(RecordField.ZERO)) {
            doubts.add("the zero was not checked");
        }
        if (!miss.ofTime() && !doubts.isEmpty()) {
            add("The strength reading", String.join("; ", doubts), "", "Check the zero and read the sample again.",
                    somehow());
        }
    }
}
