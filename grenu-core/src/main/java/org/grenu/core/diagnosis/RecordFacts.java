package org.grenu.core.diagnosis;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.grenu.core.phase.PhaseKind;
import org.grenu.core.hydraulics.Water;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.TasteNote;
import org.grenu.core.record.Tasting;

/** Facts of the record: masses meant and met, age, basket, temperature, what changed, taste. */
final class RecordFacts {

    /** Common practice, no source. */
    private static final double BASKET_OVER = 1.5;
    private static final double BASKET_UNDER = 3;
    private static final Set<String> UNDER = Set.of("sour", "salty", "sharp", "thin", "quick");
    private static final Set<String> OVER = Set.of("bitter", "dry", "hollow", "empty", "burnt", "ashy");

    private static final Set<String> DARK = Set.of("dark", "darker", "french", "italian", "dunkel");
    private static final Set<String> LIGHT = Set.of("light", "lighter", "nordic", "hell", "cinnamon");
    private static final Pattern SOAK = Pattern.compile("soak|pre-?infus|pre-?wet|bloom|soft start",
            Pattern.CASE_INSENSITIVE);

    static final List<Fact> ALL = List.of(
            new Fact("dose_g", 1, "dose", c -> number(c, RecordField.DOSE)),
            new Fact("dose_off_g", 2, "dose less the target dose, without sign",
                    c -> off(c, RecordField.DOSE, RecordField.DOSE_TARGET)),
            new Fact("dose_target_g", 1, "target dose", c -> number(c, RecordField.DOSE_TARGET)),
            new Fact("beverage_off_g", 1, "beverage mass less that meant, without sign", RecordFacts::beverageOff),
            new Fact("beverage_over_g", 1, "beverage mass less that meant",
                    c -> beverageTarget(c).flatMap(meant -> c.measures()
                            .masses()
                            .beverage()
                            .flatMap(mass -> FactValue.of(mass.value() - meant.value())))),
            new Fact("beverage_g", 1, "beverage mass",
                    c -> c.measures().masses().beverage().flatMap(mass -> weighed(c, mass.value()))),
            new Fact("beverage_target_g", 1, "beverage mass meant", RecordFacts::beverageTarget),
            new Fact("ratio", 2, "brew ratio", c -> FactValue.of(c.measures().masses().ratio())),
            new Fact("age_days", 0, "days since roast", c -> FactValue.of(c.record().ageDays())),
            new Fact("basket_over_g", 1, "dose above what the basket holds",
                    c -> basket(c).flatMap(range -> off(c, range[1], 1))),
            new Fact("basket_under_g", 1, "dose below what the basket takes",
                    c -> basket(c).flatMap(range -> off(c, range[0], -1))),
            new Fact("basket_from_g", 1, "the least dose the basket takes",
                    c -> basket(c).flatMap(range -> FactValue.entered(OptionalDouble.of(range[0])))),
            new Fact("basket_to_g", 1, "the largest dose the basket holds",
                    c -> basket(c).flatMap(range -> FactValue.entered(OptionalDouble.of(range[1])))),
            new Fact("temperature_c", 1, "set temperature", c -> number(c, RecordField.TEMPERATURE)),
            new Fact("temperature_shown_c", 1, "mean temperature shown while the pump ran",
                    c -> FactValue.of(ShotMeasures.measuredTemperature(c.measures().curve()))),
            new Fact("temperature_off_c", 1, "that less the set temperature, without sign",
                    RecordFacts::temperatureOff),
            new Fact("boiling_point_c", 1, "boiling point at the altitude (ISO 2533, IAPWS)",
                    RecordFacts::boilingPoint),
            new Fact("above_boiling_c", 1, "set temperature less the boiling point", RecordFacts::aboveBoiling),
            new Fact("grind_changed", 1, "change of the grind since the shot before, without sign",
                    RecordFacts::grindChanged),
            new Fact("purge_g", 1, "coffee purged before the dose", c -> number(c, RecordField.PURGE)),
            new Fact("retention_g", 1, "coffee that the grinder keeps", c -> number(c, RecordField.RETENTION)),
            new Fact("purge_short_g", 1, "what was purged less than the grinder keeps",
                    c -> difference(c, RecordField.RETENTION, RecordField.PURGE)),
            new Fact("grind", 1, "grinder setting", c -> number(c, RecordField.GRIND)),
            new Fact("grind_finest", 1, "the grinder's finest setting", c -> number(c, RecordField.FINEST)),
            new Fact("grind_coarsest", 1, "the grinder's coarsest setting", c -> number(c, RecordField.COARSEST)),
            new Fact("grind_beyond", 1, "how far the setting lies beyond the grinder's scale, 0 within it",
                    c -> GrinderScale.of(c.record())
                            .flatMap(scale -> FactValue.entered(OptionalDouble.of(scale.beyond())))),
            new Fact("switched_on_min", 0, "minutes that the machine was on", c -> number(c, RecordField.MINUTES_ON)),
            new Fact("warm_up_min", 0, "minutes that the machine takes to warm up",
                    c -> number(c, RecordField.WARM_UP)),
            new Fact("warm_up_short_min", 0, "minutes wanting to that",
                    c -> difference(c, RecordField.WARM_UP, RecordField.MINUTES_ON)),
            new Fact("roast_dark", 0, "1 when the roast level is written down as dark, 0 as another",
                    c -> roast(c, DARK)),
            new Fact("roast_light", 0, "1 when the roast level is written down as light, 0 as another",
                    c -> roast(c, LIGHT)),
            new Fact("served_milk", 0, "1 when it is served with milk, 0 otherwise", c -> served(c, "milk")),
            new Fact("served_long", 0, "1 when it is served long, 0 otherwise", c -> served(c, "long")),
            new Fact("soak_meant", 0, "1 when the profile names a soak or pre-infusion, else 0",
                    RecordFacts::soakMeant),
            new Fact("taste_under", 0, "taste words of too little extraction",
                    c -> taste(c, TasteNote.Side.UNDER, UNDER)),
            new Fact("taste_thin", 0, "1 when it is noted as thin, else 0", RecordFacts::thin),
            new Fact("taste_over", 0, "taste words of too much extraction", c -> taste(c, TasteNote.Side.OVER, OVER)));

    private RecordFacts() {
    }

    private static Optional<FactValue> number(ShotContext context, RecordField field) {
        return FactValue.entered(context.record().number(field));
    }

    /** From and to; of a basket of which only one number is known as much to either side as is usual. */
    private static Optional<double[]> basket(ShotContext context) {
        OptionalDouble one = context.record().number(RecordField.BASKET_CAPACITY);
        OptionalDouble from = context.record().number(RecordField.BASKET_FROM);
        OptionalDouble to = context.record().number(RecordField.BASKET_TO);
        double low = from.orElse(one.orElse(to.orElse(Double.NaN)) - BASKET_UNDER);
        double high = to.orElse(one.orElse(from.orElse(Double.NaN)) + BASKET_OVER);
        return Double.isNaN(low) || Double.isNaN(high) ? Optional.empty() : Optional.of(new double[] {low, high});
    }

    /** How far the dose lies beyond that, in that direction. */
    private static Optional<FactValue> off(ShotContext context, double limit, int direction) {
        OptionalDouble dose = context.record().number(RecordField.DOSE);
        return dose.isPresent() ? FactValue.entered(OptionalDouble.of(direction * (dose.getAsDouble() - limit)))
                : Optional.empty();
    }

    private static Optional<FactValue> difference(ShotContext context, RecordField of, RecordField less) {
        OptionalDouble a = context.record().number(of);
        OptionalDouble b = context.record().number(less);
        return a.isPresent() && b.isPresent() ? FactValue.entered(OptionalDouble.of(a.getAsDouble() - b.getAsDouble()))
                : Optional.empty();
    }

    private static Optional<FactValue> off(ShotContext context, RecordField of, RecordField meant) {
        return difference(context, of, meant).flatMap(d -> FactValue.entered(OptionalDouble.of(Math.abs(d.value()))));
    }

    static Optional<FactValue> beverageTarget(ShotContext context) {
        return number(context, RecordField.BEVERAGE_TARGET);
    }

    private static Optional<FactValue> beverageOff(ShotContext context) {
        Optional<FactValue> meant = beverageTarget(context);
        return meant.isEmpty() ? Optional.empty() : context.measures()
                .masses()
                .beverage()
                .flatMap(mass -> weighed(context, Math.abs(mass.value() - meant.get().value())));
    }

    /** With all its digits where the mass was weighed; one read off the curve has none to spare. */
    private static Optional<FactValue> weighed(ShotContext context, double grams) {
        return context.record().has(RecordField.BEVERAGE) ? FactValue.entered(OptionalDouble.of(grams))
                : FactValue.of(grams);
    }

    private static Optional<FactValue> temperatureOff(ShotContext context) {
        OptionalDouble set = context.record().number(RecordField.TEMPERATURE);
        OptionalDouble shown = ShotMeasures.measuredTemperature(context.measures().curve());
        return set.isPresent() && shown.isPresent() ? FactValue.of(Math.abs(shown.getAsDouble() - set.getAsDouble()))
                : Optional.empty();
    }

    private static Optional<FactValue> boilingPoint(ShotContext context) {
        OptionalDouble metres = context.record().number(RecordField.ALTITUDE);
        return metres.isPresent() ? FactValue.of(Water.boilingPoint(metres.getAsDouble())) : Optional.empty();
    }

    private static Optional<FactValue> aboveBoiling(ShotContext context) {
        OptionalDouble set = context.record().number(RecordField.TEMPERATURE);
        return set.isEmpty() ? Optional.empty()
                : boilingPoint(context).flatMap(boiling -> FactValue.of(set.getAsDouble() - boiling.value()));
    }

    /** Only a change on the same grinder with the same coffee tells of what its burrs still hold. */
    private static Optional<FactValue> grindChanged(ShotContext context) {
        ShotRecord record = context.record();
        OptionalDouble now = record.number(RecordField.GRIND);
        OptionalDouble then = context.before()
                .filter(b -> b.text(RecordField.GRINDER).equals(record.text(RecordField.GRINDER)))
                .map(b -> b.number(RecordField.GRIND))
                .orElse(OptionalDouble.empty());
        return now.isPresent() && then.isPresent() ? FactValue.of(Math.abs(now.getAsDouble() - then.getAsDouble()))
                : Optional.empty();
    }

    /** Words that were picked go before those of a free note, which may be misread. */
    private static Optional<FactValue> taste(ShotContext context, TasteNote.Side side, Set<String> words) {
        Tasting picked = Tasting.of(context.record());
        if (!picked.notes().isEmpty()) {
            return FactValue
                    .of(picked.unwanted(expected(context)).stream().filter(note -> note.side() == side).count());
        }
        return context.record()
                .text(RecordField.TASTE)
                .flatMap(taste -> FactValue.of(
                        TasteWords.meant(taste)
                                .stream()
                                .filter(word -> words.contains(word)
                                        && !Tasting.expectedWords(expected(context)).contains(word))
                                .distinct()
                                .count()));
    }

    private static Optional<String> expected(ShotContext context) {
        return context.record().text(RecordField.EXPECTED_NOTES);
    }

    /**
     * {@return which words of the tasting note were taken for a taste, and which were not since they are negated} Words
     * are picked out, not understood: who relies on them is told which.
     */
    static String tasteAsRead(ShotContext context) {
        Tasting picked = Tasting.of(context.record());
        if (!picked.notes().isEmpty()) {
            return "tasted: " + picked.present().stream().map(TasteNote::key).collect(Collectors.joining(", "));
        }
        TasteWords.Read read = TasteWords.read(context.record().text(RecordField.TASTE).orElse(""));
        String counted = named(read.meant());
        String negated = named(read.negated());
        return "words picked out of the note, which may be misread: " + (counted.isEmpty() ? "none" : counted)
                + (negated.isEmpty() ? "" : "; not counted, as negated: " + negated);
    }

    private static String named(List<String> words) {
        return words.stream()
                .filter(word -> UNDER.contains(word) || OVER.contains(word))
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static Optional<FactValue> thin(ShotContext context) {
        return taste(context, TasteNote.Side.UNDER, Set.of(TasteNote.THIN.key())).map(
                any -> new FactValue(Tasting.of(context.record()).notes().isEmpty() ? any.value()
                        : Tasting.of(context.record()).unwanted(expected(context)).contains(TasteNote.THIN) ? 1 : 0, 0,
                        true));
    }

    /** Empty when nobody wrote down the roast: a rule for dark roasts then has nothing to say. */
    private static Optional<FactValue> roast(ShotContext context, Set<String> words) {
        return context.record()
                .text(RecordField.ROAST_LEVEL)
                .flatMap(level -> FactValue.of(Arrays.stream(level.toLowerCase(Locale.ROOT).split("[^\\p{L}]+"))
                        .anyMatch(words::contains) ? 1 : 0));
    }

    private static Optional<FactValue> served(ShotContext context, String as) {
        return context.record().entry(RecordField.SERVED).flatMap(kind -> FactValue.of(kind.equals(as) ? 1 : 0));
    }

    /** A profile that names a soak, in its steps or in words. */
    private static Optional<FactValue> soakMeant(ShotContext context) {
        boolean inSteps = context.record()
                .profileSteps()
                .map(profile -> profile.steps()
                        .stream()
                        .anyMatch(step -> PhaseKind.ofStep(step.name()) == PhaseKind.SOAK || SOAK.matcher(step.name())
                                .find()))
                .orElse(false);
        boolean inWords = context.record().text(RecordField.PROFILE).filter(p -> SOAK.matcher(p).find()).isPresent();
        return FactValue.of(inSteps || inWords ? 1 : 0);
    }
}
