package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.SetUp;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.RunOrder;

/**
 * The shots of one coffee on one grinder in the order they were pulled, each with what was changed from the one before.
 *
 * @param rungs   the oldest first
 * @param undated how many shots have no place in the order, since it is not known when they were pulled
 */
public record Ladder(List<Rung> rungs, int undated) {

    /** Where temperature or age are not written down they are taken as the usual ones, which leaves them out. */
    private static final double USUAL_CELSIUS = 93;
    private static final double USUAL_DAYS = 14;

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
     * A shot of the ladder.
     *
     * @param seconds how long it took; empty where the log does not show it
     * @param changed what was changed from the rung before that does not stand apart, where both are written down
     * @param kept    the grinder's number of the shot before, where the grind was changed since and no purge is written
     *                down, so that its grounds may be among these
     */
    public record Rung(MeasuredShot shot, OptionalDouble seconds, List<SetUp.Changed> changed, Step step,
            OptionalDouble kept) {

        public Rung {
            changed = List.copyOf(changed);
        }

        /** {@return whether it was ground after a change of grind without a purge in between} */
        public boolean withoutPurge() {
            return kept.isPresent();
        }
    }

    /**
     * {@return the ladder of those shots}
     *
     * @param shots of one coffee on one grinder
     * @param time  the response that says how long one took, s
     */
    public static Ladder of(List<MeasuredShot> shots, Response time) {
        List<MeasuredShot> order = RunOrder.inOrder(shots);
        List<Rung> rungs = new ArrayList<>();
        MeasuredShot before = null;
        for (MeasuredShot shot : order) {
            rungs.add(rung(before, shot, time));
            before = shot.faulty() ? before : shot;
        }
        return new Ladder(rungs, shots.size() - order.size());
    }

    private static Rung rung(MeasuredShot before, MeasuredShot shot, Response time) {
        OptionalDouble seconds = time.of(shot)
                .map(value -> OptionalDouble.of(value.value()))
                .orElse(OptionalDouble.empty());
        if (shot.faulty() || before == null) {
            return new Rung(shot, seconds, List.of(), shot.faulty() ? Step.APART : Step.FIRST,
                    OptionalDouble.empty());
        }
        // A purge goes with a change of grind: it makes the shot count whole, and is no second change.
        List<SetUp.Changed> changed = SetUp
                .changed(before.record(), before.measures().masses(), shot.record(), shot.measures().masses())
                .stream()
                .filter(one -> !one.key().equals(RecordField.PURGE.key()))
                .toList();
        Step step = changed.isEmpty() ? Step.REPEAT : changed.size() == 1 ? Step.ONE_THING : Step.SEVERAL_THINGS;
        return new Rung(shot, seconds, changed, step, kept(before.record(), changed, shot.record()));
    }

    private static OptionalDouble kept(ShotRecord before, List<SetUp.Changed> changed, ShotRecord record) {
        boolean groundAnew = changed.stream().anyMatch(one -> one.key().equals(RecordField.GRIND.key()));
        return groundAnew && !(record.number(RecordField.PURGE).orElse(0) > 0) ? before.number(RecordField.GRIND)
                : OptionalDouble.empty();
    }

    /** {@return the newest shot that can be learnt from} */
    public Optional<Rung> newest(GrinderDial dial) {
        return rungs.stream().filter(rung -> teaches(rung, dial)).reduce((older, newer) -> newer);
    }

    /** {@return whether it is known of any shot how old its coffee was} */
    public boolean aged() {
        return rungs.stream().anyMatch(rung -> rung.shot.record().ageDays().isPresent());
    }

    /** {@return the ladder without the newest shot that can be learnt from} */
    Ladder beforeNewest(GrinderDial dial) {
        Optional<Rung> newest = newest(dial);
        return new Ladder(rungs.stream().filter(rung -> newest.isEmpty() || rung != newest.get()).toList(), undated);
    }

    private static boolean teaches(Rung rung, GrinderDial dial) {
        return rung.step != Step.APART && rung.seconds.orElse(0) > 0 && inputs(rung.shot, dial).isPresent();
    }

    /**
     * {@return the shots that can be learnt from, whose setting, masses and response are known, by notches finer than
     * nought}
     *
     * @param practice what response it is
     */
    public List<LearntShot> learnt(GrinderDial dial, Practice practice, Response response) {
        return rungs.stream().flatMap(rung -> learnt(rung, dial, practice, response).stream()).toList();
    }

    private static Optional<LearntShot> learnt(Rung rung, GrinderDial dial, Practice practice, Response response) {
        Optional<ShotInputs> inputs = rung.step == Step.APART ? Optional.empty() : inputs(rung.shot, dial);
        return inputs.flatMap(set -> response.of(rung.shot)
                .filter(value -> Double.isFinite(practice.onScale(value.value())))
                .map(value -> new LearntShot(rung.kept.isPresent()
                        ? set.keeping(dial.finer(rung.kept.getAsDouble())) : set, value.value())));
    }

    /** {@return likewise, where a shot counts the less, the farther its time lies off the one that is wanted} */
    List<LearntShot> learntNear(GrinderDial dial, Practice practice, Response response, double wantedSeconds) {
        return rungs.stream()
                .flatMap(rung -> learnt(rung, dial, practice, response)
                        .map(shot -> rung.seconds.orElse(0) > 0
                                ? shot.near(practice, rung.seconds.getAsDouble(), wantedSeconds) : shot)
                        .stream())
                .toList();
    }

    /** {@return what is held for the next shot: as the newest that can be learnt from was meant, or else as it was} */
    public Optional<ShotInputs> held(GrinderDial dial) {
        return newest(dial).map(rung -> {
            ShotInputs was = inputs(rung.shot, dial).orElseThrow();
            ShotRecord record = rung.shot.record();
            return was.with(Slope.DOSE, record.number(RecordField.DOSE_TARGET).orElse(was.dose()))
                    .with(Slope.BEVERAGE, record.number(RecordField.BEVERAGE_TARGET).orElse(was.beverage()));
        });
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
        return known ? Optional.of(new ShotInputs(dial.finer(grind.getAsDouble()), dose.getAsDouble(),
                beverage.getAsDouble(), shot.record().number(RecordField.TEMPERATURE).orElse(USUAL_CELSIUS),
                shot.record().ageDays().orElse(USUAL_DAYS),
                shot.record().text(RecordField.PROFILE).orElse(""))) : Optional.empty();
    }
}
