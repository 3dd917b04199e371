package org.grenu.app.advice;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.learn.Advice;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Title;
import org.grenu.core.record.Plausibility;
import org.grenu.core.record.RecordField;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.response.CommonConvention;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.RunOrder;
import org.grenu.core.shelf.Shelf;

/**
 * A coffee that is dialled in on a grinder, and its next shot.
 *
 * @param setUp what can be set
 * @param aim   what is wanted
 * @param time    by which convention these shots are timed
 * @param leftOut shots of the coffee that nothing could be learnt from
 * @param profile that the next shot is pulled by: the recipe's, else that of the shot before; empty where nobody knows
 */
public record CoffeeAdvice(String coffee, String grinder, KnownSetUp setUp, Aim aim, CommonConvention time,
        Advice advice, LeftOut leftOut, String profile) {

    private static final double SAME = 1e-9;

    /**
     * What is asked.
     *
     * @param grinder empty: shots that name none
     * @param notch   one notch in the dial's numbers; empty: the shelf's
     * @param time    how shots are timed, where all of the coffee's show it
     * @param tastes  intensities or liking that are learnt too
     * @param target  of the coffee
     */
    public record Asked(String coffee, String grinder, Aim aim, OptionalDouble notch, TimeConvention time,
            List<? extends Response> tastes, TargetRecipe target) {

        public Asked {
            tastes = List.copyOf(tastes);
        }
    }

    /** What came of asking. */
    public sealed interface Outcome {
    }

    /** The advice. */
    public record Given(CoffeeAdvice advice) implements Outcome {
    }

    /**
     * None can be given.
     *
     * @param why     a sentence with what would help
     * @param unpulled whether no shot of the coffee was pulled yet
     */
    public record NotYet(String why, boolean unpulled) implements Outcome {

        NotYet(String why) {
            this(why, false);
        }
    }

    /** An entry of the newest shot was hardly meant: nothing is advised before that is answered. */
    public record Held(String shot, Plausibility.Doubt doubt) implements Outcome {

        /** {@return what to do, in a few words} */
        public String change() {
            return "Check the " + Title.inSentence(doubt.field().title()) + " of shot " + shot;
        }

        /** {@return why, in a sentence or two} */
        public String reason() {
            return doubt.question() + " No advice is given before it is answered.";
        }
    }

    /** {@return what those shots and that shelf advise} */
    public static Outcome of(List<MeasuredShot> shots, Shelf shelf, Asked asked) {
        List<MeasuredShot> ofCoffee = shots.stream()
                .filter(shot -> asked.coffee.equals(shot.record().text(RecordField.COFFEE).orElse("")))
                .toList();
        if (ofCoffee.isEmpty()) {
            return new NotYet("There is no shot of “" + asked.coffee
                    + "” yet. Write the first one down; a start recipe says what to begin with.", true);
        }
        String grinder = asked.grinder;
        List<MeasuredShot> onGrinder = shots.stream()
                .filter(shot -> grinder.equals(shot.record().text(RecordField.GRINDER).orElse("")))
                .toList();
        List<MeasuredShot> both = onGrinder.stream().filter(ofCoffee::contains).toList();
        if (both.isEmpty()) {
            return new NotYet("No shot of “" + asked.coffee + "” was ground on “" + grinder + "”.");
        }
        CommonConvention time = CommonConvention.of(asked.time, both);
        Sound sound = Sound.of(onGrinder, time, asked.aim.time().middle());
        MeasuredShot last = newest(both);
        if (sound.doubts().containsKey(last)) {
            return new Held(last.name(), sound.doubts().get(last));
        }
        Optional<KnownSetUp> setUp = KnownSetUp.of(shelf, shots, last.record(), asked.notch,
                asked.target.cup(usualCup(both)));
        if (setUp.isEmpty()) {
            return new NotYet("It is not known what one notch of the grinder is. Put the grinder on the shelf with its "
                    + "smallest step.");
        }
        LeftOut left = LeftOut.of(ofCoffee, sound, time);
        return Advice.of(sound.shots(), asked.coffee, new Advice.Asked(setUp.get().dial(),
                setUp.get().reach(), asked.aim, time.response(), asked.tastes))
                .<Outcome>map(found -> new Given(
                        new CoffeeAdvice(asked.coffee, grinder, setUp.get(), asked.aim, time, found, left,
                                asked.target.profile().orElse(found.held().profile()))))
                .orElseGet(() -> new NotYet("No shot of “" + asked.coffee
                        + "” on this grinder tells its setting, dose, beverage mass, time and when it was pulled."
                        + left.words()));
    }

    /** What its shots are meant to give, or gave; the middle one. */
    private static OptionalDouble usualCup(List<MeasuredShot> shots) {
        double[] cups = shots.stream().flatMapToDouble(shot -> {
            OptionalDouble meant = shot.record().number(RecordField.BEVERAGE_TARGET);
            return meant.isPresent() ? meant.stream()
                    : shot.measures().masses().beverage().stream().mapToDouble(Measured::value);
        }).sorted().toArray();
        return cups.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(Math.rint(cups[(cups.length - 1) / 2]));
    }

    /** The shot pulled last; of the last one listed, where nobody wrote down when. */
    private static MeasuredShot newest(List<MeasuredShot> shots) {
        List<MeasuredShot> dated = RunOrder.inOrder(shots);
        List<MeasuredShot> from = dated.isEmpty() ? shots : dated;
        return from.get(from.size() - 1);
    }

    /** {@return the name of the shot that the next one is held like} */
    public String heldLike() {
        return advice.ladder().newest(setUp.dial()).orElseThrow().shot().name();
    }

    /** {@return how that shot was set} */
    ShotInputs was() {
        return advice.shots().get(advice.shots().size() - 1).inputs();
    }

    /** {@return whether the recipe's profile is another than that of the shots which this rests on} */
    public boolean anotherProfile() {
        return !profile.equals(advice.held().profile());
    }

    /** {@return coffee to purge before that shot, g; 0 where the grind stays} */
    public double purge(ShotInputs next) {
        return Math.abs(next.finer() - was().finer()) > SAME ? setUp.reach().purge() : 0;
    }
}
