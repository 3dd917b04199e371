package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.grenu.core.extraction.Brew;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.RunOrder;
import org.grenu.core.response.StandardResponse;

/**
 * The next shot of a coffee on a grinder, from its own log and those of the coffees before it on that grinder.
 *
 * @param ladder        of this coffee
 * @param shots         of it whose time could be learnt from
 * @param read          of it whose extraction yield could be learnt from
 * @param coffeesBefore on that grinder that could be learnt from
 * @param before        what was believed before the newest shot that can be learnt from: what was expected of it
 * @param beliefs       after all of them
 * @param held          what stays as it is but for what is moved
 * @param next          what to pull
 */
public record Advice(Ladder ladder, List<LearntShot> shots, int read, int coffeesBefore, Beliefs before,
        Beliefs beliefs, ShotInputs held, NextShot next) {

    private static final double USUAL_DRIP_SECONDS = 7;
    private static final double USUAL_YIELD = 20;
    private static final double MIDDLING = 5;

    public Advice {
        shots = List.copyOf(shots);
    }

    /**
     * What is asked.
     *
     * @param reach  what can be set
     * @param time   the response that says how long a shot took, s
     * @param tastes intensities or liking that shots of the grinder have, 0 to 10
     */
    public record Asked(GrinderDial dial, Reach reach, Aim aim, Response time, List<? extends Response> tastes) {

        public Asked {
            tastes = List.copyOf(tastes);
        }
    }

    /** What the coffees before taught, by response. */
    private record Taught(Map<String, ResponsePrior> priors) {

        ResponsePrior of(Practice practice, Response response) {
            return priors.getOrDefault(response.key(), practice.prior());
        }

        /** {@return the same, to be taught something that does not last} */
        Taught aside() {
            return new Taught(new LinkedHashMap<>(priors));
        }
    }

    /**
     * {@return the advice; empty where no shot of the coffee tells its setting, dose, beverage mass and time}
     *
     * @param onGrinder all shots on the grinder, in any order
     */
    public static Optional<Advice> of(List<MeasuredShot> onGrinder, String coffee, Asked asked) {
        Taught taught = new Taught(new LinkedHashMap<>());
        int before = 0;
        for (Map.Entry<String, List<MeasuredShot>> one : byCoffee(onGrinder).entrySet()) {
            Ladder ladder = Ladder.of(one.getValue(), asked.time);
            Optional<ShotInputs> held = ladder.held(asked.dial).map(asked.reach::within);
            if (held.isEmpty()) {
                continue;
            }
            if (one.getKey().equals(coffee)) {
                return Optional.of(of(ladder, held.get(), asked, taught, before));
            }
            beliefs(ladder, held.get(), asked, taught);
            before++;
        }
        return Optional.empty();
    }

    private static Advice of(Ladder ladder, ShotInputs held, Asked asked, Taught taught, int before) {
        Beliefs earlier = beliefs(ladder.beforeNewest(asked.dial), held, asked, taught.aside());
        Beliefs beliefs = beliefs(ladder, held, asked, taught);
        List<LearntShot> timed = ladder.learnt(asked.dial, Practice.TIME, asked.time);
        MeasuredShot newest = ladder.newest(asked.dial).orElseThrow().shot();
        NextShot likeliest = new DialIn(beliefs, asked.reach, asked.aim).after(timed, held,
                metBesidesTime(newest, asked));
        NextShot next = likeliest instanceof NextShot.Change && newest.measures().likelyChannel().isPresent()
                ? again(beliefs, asked.aim, held.at(timed.get(timed.size() - 1).inputs().finer())) : likeliest;
        int read = ladder.learnt(asked.dial, Practice.EXTRACTION, StandardResponse.EY_AS_DOSED).size();
        return new Advice(ladder, timed, read, before, earlier, beliefs, held, next);
    }

    private static NextShot again(Beliefs beliefs, Aim aim, ShotInputs set) {
        return new NextShot.Repeat(set, beliefs.chance(set, aim), NextShot.Why.CHANNELLED);
    }

    private static Beliefs beliefs(Ladder ladder, ShotInputs held, Asked asked, Taught taught) {
        ResponseBelief time = belief(ladder, held, asked.dial, Practice.TIME, asked.time, asked.aim.time().middle(),
                asked.aim.time().middle(), taught)
                .orElseGet(() -> ResponseBelief.before(taught.of(Practice.TIME, asked.time), held,
                        asked.aim.time().middle()));
        Map<String, ResponseBelief> tastes = new LinkedHashMap<>();
        for (Response taste : asked.tastes) {
            belief(ladder, held, asked.dial, Practice.INTENSITY, taste, MIDDLING, asked.aim.time().middle(), taught)
                    .ifPresent(belief -> tastes.put(taste.key(), belief));
        }
        return new Beliefs(time,
                belief(ladder, held, asked.dial, Practice.FIRST_DRIP, StandardResponse.FIRST_DRIP, USUAL_DRIP_SECONDS,
                        asked.aim.time().middle(), taught),
                belief(ladder, held, asked.dial, Practice.EXTRACTION, StandardResponse.EY_AS_DOSED, USUAL_YIELD,
                        asked.aim.time().middle(), taught),
                tastes);
    }

    /** What is believed after the coffee's shots, which the next coffee begins with; empty where none tells it. */
    private static Optional<ResponseBelief> belief(Ladder ladder, ShotInputs held, GrinderDial dial, Practice practice,
            Response response, double guess, double wantedSeconds, Taught taught) {
        List<LearntShot> shots = ladder.learntNear(dial, practice, response, wantedSeconds);
        if (shots.isEmpty()) {
            return Optional.empty();
        }
        List<String> others = shots.stream()
                .map(shot -> shot.inputs().profile())
                .filter(profile -> !profile.equals(held.profile()))
                .distinct()
                .toList();
        ResponseBelief before = ResponseBelief.before(taught.of(practice, response), held, guess, others);
        ResponseBelief after = before.given(shots);
        taught.priors.put(response.key(), after.forNextCoffee());
        return Optional.of(after);
    }

    /**
     * What was not measured is not known to be met; what lies no farther out than its own expanded uncertainty is not
     * known to be missed.
     */
    private static boolean metBesidesTime(MeasuredShot shot, Asked asked) {
        return extractionMet(shot, asked.aim) && asked.aim.tastes()
                .entrySet()
                .stream()
                .allMatch(wanted -> asked.tastes.stream()
                        .filter(taste -> taste.key().equals(wanted.getKey()))
                        .findFirst()
                        .flatMap(taste -> taste.of(shot))
                        .map(value -> wanted.getValue().holds(value.value()))
                        .orElse(false));
    }

    private static boolean extractionMet(MeasuredShot shot, Aim aim) {
        if (aim.yield().isEmpty() && aim.strength().isEmpty()) {
            return true;
        }
        Optional<Brew> brew = shot.measures().masses().brew();
        return brew.isPresent() && aim.yieldAt(brew.get().ratio().value()).map(range -> {
            Measured yield = brew.get().asDosed().percent();
            return yield.value() + yield.expanded() >= range.low() && yield.value() - yield.expanded() <= range.high();
        }).orElse(false);
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
