package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.RunOrder;

/**
 * The next shot of a coffee on a grinder, from its own log and those of the coffees before it on that grinder.
 *
 * @param ladder        of this coffee
 * @param shots         of it that could be learnt from
 * @param coffeesBefore on that grinder that could be learnt from
 * @param belief        after all of them
 * @param next          what to pull
 */
public record Advice(Ladder ladder, List<TimedShot> shots, int coffeesBefore, TimeBelief belief, NextShot next) {

    public Advice {
        shots = List.copyOf(shots);
    }

    /**
     * What is asked.
     *
     * @param range what the grinder can be set to
     * @param time  the response that says how long a shot took, s
     */
    public record Asked(GrinderDial dial, GrinderRange range, TimeAim aim, Response time) {
    }

    /**
     * {@return the advice; empty where no shot of the coffee tells its setting, dose, beverage mass and time}
     *
     * @param onGrinder all shots on the grinder, in any order
     */
    public static Optional<Advice> of(List<MeasuredShot> onGrinder, String coffee, Asked asked) {
        Map<String, List<MeasuredShot>> coffees = byCoffee(onGrinder);
        TimePrior prior = TimePrior.COMMON_PRACTICE;
        int before = 0;
        for (Map.Entry<String, List<MeasuredShot>> one : coffees.entrySet()) {
            Ladder ladder = Ladder.of(one.getValue(), asked.time);
            List<TimedShot> timed = ladder.timed(asked.dial);
            if (timed.isEmpty()) {
                continue;
            }
            ShotInputs reference = timed.get(timed.size() - 1).inputs();
            List<String> others = timed.stream()
                    .map(shot -> shot.inputs().profile())
                    .filter(profile -> !profile.equals(reference.profile()))
                    .distinct()
                    .toList();
            TimeBelief belief = TimeBelief.before(prior, reference, asked.aim.middle(), others)
                    .givenNear(asked.aim.middle(), timed);
            if (one.getKey().equals(coffee)) {
                NextShot next = new DialIn(belief, asked.range, asked.aim).after(timed, reference);
                return Optional.of(new Advice(ladder, timed, before, belief, next));
            }
            prior = belief.forNextCoffee();
            before++;
        }
        return Optional.empty();
    }

    /** In the order of their first shots; the coffee of a shot without one is nobody's. */
    private static Map<String, List<MeasuredShot>> byCoffee(List<MeasuredShot> shots) {
        Map<String, List<MeasuredShot>> coffees = new LinkedHashMap<>();
        // Who does not say when comes last: that decides only which coffee is taken for the earlier one.
        Stream.concat(RunOrder.inOrder(shots).stream(),
                shots.stream().filter(shot -> shot.record().pulledAt().isEmpty()))
                .forEach(shot -> shot.record()
                        .text(RecordField.COFFEE)
                        .ifPresent(name -> coffees.computeIfAbsent(name, any -> new ArrayList<>()).add(shot)));
        return coffees;
    }
}
