package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.grenu.core.record.Factor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.Tolerances;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;

/**
 * The shots of one coffee on one grinder in the order they were pulled, each with what was changed from the one before.
 *
 * @param rungs the oldest first
 */
public record Ladder(List<Rung> rungs) {

    /** Of these nobody decides from shot to shot: they go by themselves, or are about reading and keeping books. */
    private static final Set<RecordFactor> BY_THEMSELVES = EnumSet.of(RecordFactor.DAY, RecordFactor.AGE,
            RecordFactor.FROZEN_DAYS, RecordFactor.MINUTES_ON, RecordFactor.FIRST_OF_SESSION, RecordFactor.ZERO,
            RecordFactor.BEANS_TEMPERATURE, RecordFactor.GROUNDS_TEMPERATURE, RecordFactor.GRIND_TO_BREW,
            RecordFactor.REFRACTOMETER, RecordFactor.SAMPLE_FILTERED, RecordFactor.DILUTION_WATER,
            RecordFactor.REFRACTOMETER_READS, RecordFactor.REFRACTOMETER_LINE, RecordFactor.SCALE,
            RecordFactor.SCALE_LAG, RecordFactor.REPAIRS_OFF, RecordFactor.SIMULATED, RecordFactor.STUDY,
            RecordFactor.ARM, RecordFactor.BLOCK, RecordFactor.PURGE, RecordFactor.MACHINE_VERSION,
            RecordFactor.ALTITUDE, RecordFactor.HARDNESS, RecordFactor.ALKALINITY, RecordFactor.BASKET_CAPACITY,
            RecordFactor.BED_DIAMETER, RecordFactor.BED_DEPTH, RecordFactor.BURRS, RecordFactor.MOISTURE,
            RecordFactor.COLOUR_WHOLE, RecordFactor.COLOUR_GROUND, RecordFactor.DENSITY, RecordFactor.PROFILE_STEPS,
            RecordFactor.ROAST_LEVEL, RecordFactor.PROCESS, RecordFactor.RECIPE);

    public Ladder {
        rungs = List.copyOf(rungs);
    }

    /** How many things were changed from the rung before. */
    public enum Step {
        /** There is none before it. */
        FIRST,
        /** Nothing: it tells of the spread. */
        REPEAT,
        /** One: what came of it is its doing, but for the spread. */
        ONE_THING,
        /** Several at once: which of them did it is unclear. */
        SEVERAL_THINGS,
        /** It was faulty, by accident or on purpose, and stands apart. */
        APART
    }

    /**
     * Something that was changed.
     *
     * @param from level of the rung before
     * @param to   level of this one
     */
    public record Changed(Factor factor, String from, String to) {
    }

    /**
     * A shot of the ladder.
     *
     * @param seconds how long it took; empty where the log does not show it
     * @param changed what was changed from the rung before that does not stand apart, where both are written down
     * @param weight  how much it counts, in (0, 1]
     */
    public record Rung(MeasuredShot shot, OptionalDouble seconds, List<Changed> changed, Step step, double weight) {

        public Rung {
            changed = List.copyOf(changed);
        }

        /** {@return whether it was ground after a change of grind without a purge in between} */
        public boolean withoutPurge() {
            return weight < 1;
        }
    }

    /**
     * {@return the ladder of those shots}
     *
     * @param shots of one coffee on one grinder
     * @param time  the response that says how long one took, s
     */
    public static Ladder of(List<MeasuredShot> shots, Response time) {
        List<MeasuredShot> order = shots.stream()
                .sorted(Comparator.comparing(shot -> shot.record().pulledAt().map(Object::toString).orElse("")))
                .toList();
        List<Rung> rungs = new ArrayList<>();
        MeasuredShot before = null;
        for (MeasuredShot shot : order) {
            OptionalDouble seconds = time.of(shot)
                    .map(value -> OptionalDouble.of(value.value()))
                    .orElse(OptionalDouble.empty());
            if (shot.faulty()) {
                rungs.add(new Rung(shot, seconds, List.of(), Step.APART, 1));
                continue;
            }
            List<Changed> changed = before == null ? List.of() : changed(before.record(), shot.record());
            Step step = before == null ? Step.FIRST
                    : changed.isEmpty() ? Step.REPEAT
                            : changed.size() == 1 ? Step.ONE_THING : Step.SEVERAL_THINGS;
            rungs.add(new Rung(shot, seconds, changed, step, weight(changed, shot.record())));
            before = shot;
        }
        return new Ladder(rungs);
    }

    private static double weight(List<Changed> changed, ShotRecord record) {
        boolean groundAnew = changed.stream().anyMatch(one -> one.factor() == RecordFactor.GRIND);
        return groundAnew && !(record.number(RecordField.PURGE).orElse(0) > 0) ? TimedShot.WITHOUT_PURGE : 1;
    }

    private static List<Changed> changed(ShotRecord before, ShotRecord after) {
        List<Changed> changed = new ArrayList<>();
        for (RecordFactor factor : RecordFactor.values()) {
            Optional<String> from = factor.level(before);
            Optional<String> to = factor.level(after);
            if (!BY_THEMSELVES.contains(factor) && from.isPresent() && to.isPresent() && !from.equals(to)
                    && !within(factor, before, after)) {
                changed.add(new Changed(factor, from.get(), to.get()));
            }
        }
        return changed;
    }

    private static boolean within(RecordFactor factor, ShotRecord before, ShotRecord after) {
        OptionalDouble from = factor.number(before);
        OptionalDouble to = factor.number(after);
        double most = factor == RecordFactor.TEMPERATURE ? Double.NaN
                : factor.field().map(Tolerances::of).orElse(Double.NaN);
        return from.isPresent() && to.isPresent() && Math.abs(from.getAsDouble() - to.getAsDouble()) <= most + 1e-9;
    }

    /** {@return the shots that can be learnt from, whose setting and masses are known, by notches finer than nought} */
    public List<TimedShot> timed(GrinderDial dial) {
        List<TimedShot> timed = new ArrayList<>();
        for (Rung rung : rungs) {
            Optional<ShotInputs> inputs = inputs(rung.shot, dial);
            if (rung.step != Step.APART && rung.seconds.isPresent() && rung.seconds.getAsDouble() > 0
                    && inputs.isPresent()) {
                timed.add(new TimedShot(inputs.get(), rung.seconds.getAsDouble(), rung.weight));
            }
        }
        return timed;
    }

    /** {@return what was set for that shot; empty where its setting or a mass is not known} */
    public static Optional<ShotInputs> inputs(MeasuredShot shot, GrinderDial dial) {
        OptionalDouble grind = shot.record().number(RecordField.GRIND);
        OptionalDouble dose = shot.record().number(RecordField.DOSE);
        OptionalDouble beverage = shot.measures()
                .masses()
                .beverage()
                .map(mass -> OptionalDouble.of(mass.value()))
                .orElse(OptionalDouble.empty());
        boolean known = grind.isPresent() && dose.isPresent() && dose.getAsDouble() > 0 && beverage.isPresent()
                && beverage.getAsDouble() > 0;
        // Where temperature or age are not written down they are taken as the usual ones, which leaves them out.
        return known ? Optional.of(new ShotInputs(dial.finer(grind.getAsDouble()), dose.getAsDouble(),
                beverage.getAsDouble(), shot.record().number(RecordField.TEMPERATURE).orElse(USUAL_CELSIUS),
                shot.record().ageDays().orElse(USUAL_DAYS),
                shot.record().text(RecordField.PROFILE).orElse(""))) : Optional.empty();
    }

    private static final double USUAL_CELSIUS = 93;
    private static final double USUAL_DAYS = 14;
}
