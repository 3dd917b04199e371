package org.grenu.core.response;

import static java.util.Map.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.grenu.core.study.Factor;
import org.grenu.core.study.OwnFactor;
import org.grenu.core.study.SheetFactor;
import org.grenu.core.study.ShotSheet;
import org.grenu.core.study.Tolerances;

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
    private static final Set<String> LABELS = Set.of(SheetFactor.ARM.key(), SheetFactor.RECIPE.key());
    /** What passes along with time, whatever is done. */
    private static final Set<String> TIME = keys(SheetFactor.DAY, SheetFactor.BLOCK, SheetFactor.AGE,
            SheetFactor.ROASTED_ON, SheetFactor.FROZEN_DAYS, SheetFactor.STUDY);
    /**
     * Asked about an occasion, all that passes along with time is part of it; asked about the age, the day it was
     * tasted on is not.
     */
    private static final Set<String> OCCASIONS = keys(SheetFactor.DAY, SheetFactor.BLOCK, SheetFactor.STUDY);
    /** What settings have no part in: moving along with an arm it is not the arm. */
    private static final Set<String> CIRCUMSTANCES = keys(SheetFactor.DAY, SheetFactor.BLOCK, SheetFactor.AGE,
            SheetFactor.STUDY, SheetFactor.OPERATOR, SheetFactor.REFRACTOMETER,
            SheetFactor.SAMPLE_FILTERED, SheetFactor.SCALE, SheetFactor.SITE, SheetFactor.ALTITUDE, SheetFactor.ZERO,
            SheetFactor.MINUTES_ON, SheetFactor.FIRST_OF_SESSION,
            SheetFactor.REFRACTOMETER_LINE, SheetFactor.REFRACTOMETER_READS, SheetFactor.DILUTION_WATER,
            SheetFactor.SCALE_LAG, SheetFactor.REPAIRS_OFF, SheetFactor.SIMULATED);
    /** What a thing carries with it: asked about the thing, these are part of it. */
    private static final Map<String, Set<String>> PARTS = Map.ofEntries(
            entry(SheetFactor.COFFEE.key(),
                    keys(SheetFactor.BAG, SheetFactor.ROASTED_ON, SheetFactor.ROAST_LEVEL, SheetFactor.PROCESS,
                            SheetFactor.COLOUR_WHOLE,
                            SheetFactor.COLOUR_GROUND, SheetFactor.DENSITY, SheetFactor.MOISTURE)),
            entry(SheetFactor.BAG.key(),
                    keys(SheetFactor.COFFEE, SheetFactor.ROASTED_ON, SheetFactor.ROAST_LEVEL, SheetFactor.PROCESS,
                            SheetFactor.COLOUR_WHOLE,
                            SheetFactor.COLOUR_GROUND, SheetFactor.DENSITY, SheetFactor.MOISTURE)),
            entry(SheetFactor.AGE.key(), keys(SheetFactor.ROASTED_ON, SheetFactor.FROZEN_DAYS)),
            entry(SheetFactor.WATER.key(), keys(SheetFactor.HARDNESS, SheetFactor.ALKALINITY)),
            entry(SheetFactor.BASKET.key(),
                    keys(SheetFactor.BASKET_CAPACITY, SheetFactor.BED_DIAMETER, SheetFactor.BED_DEPTH)),
            // Numbers on two dials say nothing of each other.
            entry(SheetFactor.GRINDER.key(), keys(SheetFactor.BURRS, SheetFactor.GRIND)),
            entry(SheetFactor.BURRS.key(), keys(SheetFactor.GRIND)),
            entry(SheetFactor.MACHINE.key(), keys(SheetFactor.MACHINE_VERSION)),
            entry(SheetFactor.MACHINE_VERSION.key(), keys(SheetFactor.MACHINE)),
            entry(SheetFactor.REFRACTOMETER.key(),
                    keys(SheetFactor.REFRACTOMETER_READS, SheetFactor.REFRACTOMETER_LINE, SheetFactor.ZERO)),
            entry(SheetFactor.SCALE.key(), keys(SheetFactor.SCALE_LAG)),
            entry(SheetFactor.SITE.key(), keys(SheetFactor.ALTITUDE)),
            entry(SheetFactor.PROFILE.key(), keys(SheetFactor.PROFILE_STEPS)),
            entry(SheetFactor.PROFILE_STEPS.key(), keys(SheetFactor.PROFILE)),
            entry(SheetFactor.BEANS_TREATMENT.key(), keys(SheetFactor.BEANS_TEMPERATURE, SheetFactor.FROZEN_DAYS)),
            entry(SheetFactor.GROUNDS_TREATMENT.key(), keys(SheetFactor.GROUNDS_TEMPERATURE)),
            entry(SheetFactor.TEMPERATURE.key(), Set.of(StandardResponse.TEMPERATURE_SHOWN.key())),
            entry(StandardResponse.TEMPERATURE_SHOWN.key(), keys(SheetFactor.TEMPERATURE)),
            entry(SheetFactor.DOSE.key(), keys(SheetFactor.DOSE_TARGET)),
            entry(SheetFactor.DOSE_TARGET.key(), keys(SheetFactor.DOSE)),
            entry(SheetFactor.BEVERAGE_TARGET.key(), Set.of(StandardResponse.BEVERAGE.key())),
            entry(StandardResponse.BEVERAGE.key(), keys(SheetFactor.BEVERAGE_TARGET)),
            entry(StandardResponse.RATIO.key(),
                    Set.of(SheetFactor.BEVERAGE_TARGET.key(), StandardResponse.BEVERAGE.key())));

    private static Set<String> keys(SheetFactor... factors) {
        return Stream.of(factors).map(SheetFactor::key).collect(java.util.stream.Collectors.toUnmodifiableSet());
    }

    /** {@return everything that is looked at beside those variables} */
    public static List<Characteristic> beside(List<Variable> asked, List<MeasuredShot> shots) {
        List<ShotSheet> sheets = shots.stream().map(MeasuredShot::sheet).toList();
        List<Characteristic> all = new ArrayList<>();
        Stream.concat(Stream.of(SheetFactor.values()).filter(factor -> !LABELS.contains(factor.key())),
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

    private static double tolerance(Factor factor) {
        if (factor == SheetFactor.AGE) {
            return Tolerances.AGE_DAYS;
        }
        return factor instanceof SheetFactor standard ? standard.field().map(Tolerances::of).orElse(Double.NaN)
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
        return variable instanceof Variable.Placed || variable.key().equals(SheetFactor.FIRST_OF_SESSION.key())
                || variable.key().equals(SheetFactor.MINUTES_ON.key());
    }

    /**
     * {@return the most that a shift of it can change that response by, in the response's unit; empty where nothing
     * bounds it}
     * What comes late in a cup is weaker than the cup, so extraction, strength and time change by no more of
     * themselves than
     * dose or beverage do; with the dose, time does by up to 3.3 times as much (2.2 ± 1.1, common practice).
     *
     * @param share    shift of this characteristic as a share of itself
     * @param response the usual value of the response
     */
    public OptionalDouble mostExplained(Response asked, double share, double response) {
        boolean beverage = Set.of(StandardResponse.BEVERAGE.key(), SheetFactor.BEVERAGE_TARGET.key())
                .contains(variable.key());
        boolean dose = Set.of(SheetFactor.DOSE.key(), SheetFactor.DOSE_TARGET.key()).contains(variable.key());
        boolean time = asked instanceof StandardResponse standard && standard.convention().isPresent();
        boolean proportional = Set.<Response>of(StandardResponse.EY_AS_DOSED, StandardResponse.EY_DRY,
                StandardResponse.STRENGTH, StandardResponse.SOLIDS).contains(asked) || time;
        return (beverage || dose) && proportional
                ? OptionalDouble.of(Math.abs(share * response) * (dose && time ? 3.3 : 1)) : OptionalDouble.empty();
    }

    /** {@return whether a difference in it can have made one in that response} */
    public boolean mayExplain(Response response) {
        if (variable.key().equals(response.key())) {
            return false;
        }
        boolean beverage = variable.key().equals(StandardResponse.BEVERAGE.key())
                || variable.key().equals(SheetFactor.BEVERAGE_TARGET.key());
        return !(beverage && (MatchedBasis.EARLIER.contains(response) || response == StandardResponse.RATIO
                || response == StandardResponse.BEVERAGE))
                && !(response == StandardResponse.TEMPERATURE_SHOWN
                        && variable.key().equals(SheetFactor.TEMPERATURE.key()));
    }
}
