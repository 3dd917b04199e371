package org.grenu.core.response;

import static java.util.Map.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.Factor;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.Tolerances;

/**
 * Something that may have differed between shots beside what is asked about: every entry of the record, what the
 * shelf tells
 * of coffee and gear, what was measured of dose, beverage and temperature, and the order in which the shots were
 * pulled.
 *
 * @param title     its name on screen
 * @param variable  as a number where it is one
 * @param tolerance a difference of that size makes none in practice, in its unit; NaN for words
 */
public record Characteristic(String title, Variable variable, double tolerance) {

    /** Names under which settings go: what the settings are is what the name means. */
    private static final Set<String> LABELS = Set.of(RecordFactor.ARM.key(), RecordFactor.RECIPE.key());
    /** What passes along with time, whatever is done. */
    private static final Set<String> TIME = keys(RecordFactor.DAY, RecordFactor.BLOCK, RecordFactor.AGE,
            RecordFactor.ROASTED_ON, RecordFactor.FROZEN_DAYS, RecordFactor.STUDY);
    /**
     * Asked about an occasion, all that passes along with time is part of it; asked about the age, the day it was
     * tasted on is not.
     */
    private static final Set<String> OCCASIONS = keys(RecordFactor.DAY, RecordFactor.BLOCK, RecordFactor.STUDY);
    /** What settings have no part in: moving along with an arm it is not the arm. */
    private static final Set<String> CIRCUMSTANCES = keys(RecordFactor.DAY, RecordFactor.BLOCK, RecordFactor.AGE,
            RecordFactor.STUDY, RecordFactor.OPERATOR, RecordFactor.REFRACTOMETER,
            RecordFactor.SAMPLE_FILTERED, RecordFactor.SCALE, RecordFactor.SITE, RecordFactor.ALTITUDE,
            RecordFactor.ZERO,
            RecordFactor.MINUTES_ON, RecordFactor.FIRST_OF_SESSION,
            RecordFactor.REFRACTOMETER_LINE, RecordFactor.REFRACTOMETER_READS, RecordFactor.DILUTION_WATER,
            RecordFactor.SCALE_LAG, RecordFactor.REPAIRS_OFF, RecordFactor.SIMULATED, RecordFactor.TASTED_AS,
            RecordFactor.TASTED_AT, RecordFactor.TASTED_BLIND, RecordFactor.TASTER, RecordFactor.SERVED);
    /** How a shot was tasted: of no matter to what is measured. */
    private static final Set<String> TASTING = keys(RecordFactor.TASTED_AS, RecordFactor.TASTED_AT,
            RecordFactor.TASTED_BLIND, RecordFactor.TASTER, RecordFactor.SERVED);
    /** What a thing carries with it: asked about the thing, these are part of it. */
    private static final Map<String, Set<String>> PARTS = Map.ofEntries(
            entry(RecordFactor.COFFEE.key(),
                    keys(RecordFactor.BAG, RecordFactor.ROASTED_ON, RecordFactor.ROAST_LEVEL, RecordFactor.PROCESS,
                            RecordFactor.COLOUR_WHOLE,
                            RecordFactor.COLOUR_GROUND, RecordFactor.DENSITY, RecordFactor.MOISTURE)),
            entry(RecordFactor.BAG.key(),
                    keys(RecordFactor.COFFEE, RecordFactor.ROASTED_ON, RecordFactor.ROAST_LEVEL, RecordFactor.PROCESS,
                            RecordFactor.COLOUR_WHOLE,
                            RecordFactor.COLOUR_GROUND, RecordFactor.DENSITY, RecordFactor.MOISTURE)),
            entry(RecordFactor.AGE.key(), keys(RecordFactor.ROASTED_ON, RecordFactor.FROZEN_DAYS)),
            entry(RecordFactor.WATER.key(), keys(RecordFactor.HARDNESS, RecordFactor.ALKALINITY)),
            entry(RecordFactor.BASKET.key(),
                    keys(RecordFactor.BASKET_CAPACITY, RecordFactor.BED_DIAMETER, RecordFactor.BED_DEPTH)),
            // Numbers on two dials say nothing of each other.
            entry(RecordFactor.GRINDER.key(), keys(RecordFactor.BURRS, RecordFactor.GRIND)),
            entry(RecordFactor.BURRS.key(), keys(RecordFactor.GRIND)),
            entry(RecordFactor.MACHINE.key(), keys(RecordFactor.MACHINE_VERSION)),
            entry(RecordFactor.MACHINE_VERSION.key(), keys(RecordFactor.MACHINE)),
            entry(RecordFactor.REFRACTOMETER.key(),
                    keys(RecordFactor.REFRACTOMETER_READS, RecordFactor.REFRACTOMETER_LINE, RecordFactor.ZERO)),
            entry(RecordFactor.SCALE.key(), keys(RecordFactor.SCALE_LAG)),
            entry(RecordFactor.SITE.key(), keys(RecordFactor.ALTITUDE)),
            entry(RecordFactor.PROFILE.key(), keys(RecordFactor.PROFILE_STEPS)),
            entry(RecordFactor.PROFILE_STEPS.key(), keys(RecordFactor.PROFILE)),
            entry(RecordFactor.BEANS_TREATMENT.key(), keys(RecordFactor.BEANS_TEMPERATURE, RecordFactor.FROZEN_DAYS)),
            entry(RecordFactor.GROUNDS_TREATMENT.key(), keys(RecordFactor.GROUNDS_TEMPERATURE)),
            entry(RecordFactor.TEMPERATURE.key(), Set.of(StandardResponse.TEMPERATURE_SHOWN.key())),
            entry(StandardResponse.TEMPERATURE_SHOWN.key(), keys(RecordFactor.TEMPERATURE)),
            entry(RecordFactor.DOSE.key(), keys(RecordFactor.DOSE_TARGET)),
            entry(RecordFactor.DOSE_TARGET.key(), keys(RecordFactor.DOSE)),
            entry(RecordFactor.BEVERAGE_TARGET.key(), Set.of(StandardResponse.BEVERAGE.key())),
            entry(StandardResponse.BEVERAGE.key(), keys(RecordFactor.BEVERAGE_TARGET)),
            entry(StandardResponse.RATIO.key(),
                    Set.of(RecordFactor.BEVERAGE_TARGET.key(), StandardResponse.BEVERAGE.key())));

    private static Set<String> keys(RecordFactor... factors) {
        return Stream.of(factors).map(RecordFactor::key).collect(Collectors.toUnmodifiableSet());
    }

    /** {@return everything that is looked at beside those variables} */
    public static List<Characteristic> beside(List<Variable> asked, List<MeasuredShot> shots) {
        List<ShotRecord> sheets = shots.stream().map(MeasuredShot::record).toList();
        List<Characteristic> all = new ArrayList<>();
        Stream.concat(Stream.of(RecordFactor.values()).filter(factor -> !LABELS.contains(factor.key())),
                OwnFactor.all(sheets).stream().map(Factor.class::cast))
                .forEach(factor -> all.add(new Characteristic(factor.title(), Variable.of(factor), tolerance(factor))));
        for (StandardResponse measured : List.of(StandardResponse.BEVERAGE, StandardResponse.TEMPERATURE_SHOWN)) {
            all.add(new Characteristic(measured.title(), Variable.of(measured), measured.usualMargin()));
        }
        all.add(new Characteristic("Run order", RunOrder.among(shots), Double.NaN));
        all.add(new Characteristic("First of the day", RunOrder.firstOfDay(shots), Double.NaN));
        all.removeIf(one -> asked.stream().anyMatch(variable -> variable.key().equals(one.variable.key())));
        return all;
    }

    /** {@return this, told in those units} */
    public Characteristic in(DisplayUnits units) {
        Variable shown = variable.in(units);
        return shown.equals(variable) ? this
                : new Characteristic(title, shown, units.limit(tolerance, variable.unit()));
    }

    private static double tolerance(Factor factor) {
        if (factor == RecordFactor.AGE) {
            return Tolerances.AGE_DAYS;
        }
        return factor instanceof RecordFactor standard ? standard.field().map(Tolerances::of).orElse(Double.NaN)
                : Double.NaN;
    }

    /** {@return whether it goes with that variable by its nature, as the hardness goes with the water} */
    public boolean partOf(Variable asked) {
        if (isLabel(asked)) {
            return isSetting();
        }
        boolean order = isOrder() && (TIME.contains(asked.key()) || asked instanceof Variable.Placed);
        return carriedBy(asked) || order || TIME.contains(variable.key()) && OCCASIONS.contains(asked.key());
    }

    /** {@return whether that variable is a name for what was set} */
    public static boolean isLabel(Variable variable) {
        return LABELS.contains(variable.key());
    }

    /** {@return whether a change of that thing brings one of this along} */
    public boolean carriedBy(Variable thing) {
        return PARTS.getOrDefault(thing.key(), Set.of()).contains(variable.key());
    }

    /** Whether it was chosen for the shot, rather than how things were. */
    private boolean isSetting() {
        return variable instanceof Variable.Treatment && !CIRCUMSTANCES.contains(variable.key());
    }

    /**
     * {@return whether it is a matter of when the shot came among the others, which a drawn order leaves to chance}
     */
    public boolean isOrder() {
        return variable instanceof Variable.Placed || variable.key().equals(RecordFactor.FIRST_OF_SESSION.key())
                || variable.key().equals(RecordFactor.MINUTES_ON.key());
    }

    /** {@return whether it is measured once the shot runs: it may come of what was changed} */
    public boolean comesAbout() {
        return variable instanceof Variable.Covariate;
    }

    /** {@return what that measure was aimed at in the record, where it comes about} */
    public Optional<Variable> target() {
        return variable.key().equals(StandardResponse.BEVERAGE.key())
                ? Optional.of(Variable.of(RecordFactor.BEVERAGE_TARGET))
                : variable.key().equals(StandardResponse.TEMPERATURE_SHOWN.key())
                        ? Optional.of(Variable.of(RecordFactor.TEMPERATURE)) : Optional.empty();
    }

    /** {@return whether it is how a shot was tasted} */
    public boolean ofTasting() {
        return TASTING.contains(variable.key());
    }

    /** {@return whether a difference in it can have made one in that response} */
    public boolean mayExplain(Response response) {
        if (variable.key().equals(response.key()) || ofTasting() && !StandardResponse.isTasted(response)) {
            return false;
        }
        boolean beverage = variable.key().equals(StandardResponse.BEVERAGE.key())
                || variable.key().equals(RecordFactor.BEVERAGE_TARGET.key());
        return !(beverage && (MatchedBasis.EARLIER.contains(response) || response == StandardResponse.RATIO
                || response == StandardResponse.BEVERAGE))
                && !(response.key().equals(StandardResponse.TEMPERATURE_SHOWN.key())
                        && variable.key().equals(RecordFactor.TEMPERATURE.key()));
    }
}
