package org.grenu.app.advice;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.learn.Advice;
import org.grenu.core.learn.Aim;
import org.grenu.core.record.RecordField;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.record.ShotRecord;
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
 * @param time  by which convention these shots are timed
 */
public record CoffeeAdvice(String coffee, String grinder, KnownSetUp setUp, Aim aim, CommonConvention time,
        Advice advice) {

    /**
     * What is asked.
     *
     * @param grinder empty: the one of the coffee's newest shot
     * @param notch   one notch in the dial's numbers; empty: the shelf's
     * @param time    how shots are timed, where all of the coffee's show it
     * @param tastes  intensities or liking that are learnt too
     */
    public record Asked(String coffee, String grinder, Aim aim, OptionalDouble notch, TimeConvention time,
            List<? extends Response> tastes) {

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

    /** {@return what those shots and that shelf advise} */
    public static Outcome of(List<MeasuredShot> shots, Shelf shelf, Asked asked) {
        List<MeasuredShot> ofCoffee = shots.stream()
                .filter(shot -> asked.coffee.equals(shot.record().text(RecordField.COFFEE).orElse("")))
                .toList();
        if (ofCoffee.isEmpty()) {
            return new NotYet("There is no shot of “" + asked.coffee
                    + "” yet. Write the first one down; a start recipe says what to begin with.", true);
        }
        String grinder = asked.grinder.isEmpty() ? usualGrinder(shots, asked.coffee) : asked.grinder;
        List<MeasuredShot> onGrinder = shots.stream()
                .filter(shot -> grinder.equals(shot.record().text(RecordField.GRINDER).orElse("")))
                .toList();
        List<MeasuredShot> both = onGrinder.stream().filter(ofCoffee::contains).toList();
        if (both.isEmpty()) {
            return new NotYet("No shot of “" + asked.coffee + "” was ground on “" + grinder + "”.");
        }
        Optional<KnownSetUp> setUp = KnownSetUp.of(shelf, shots, newest(both), asked.notch);
        if (setUp.isEmpty()) {
            return new NotYet("It is not known what one notch of the grinder is. Put the grinder on the shelf with its "
                    + "smallest step.");
        }
        CommonConvention time = CommonConvention.of(asked.time, both);
        Optional<Advice> advice = Advice.of(onGrinder, asked.coffee, new Advice.Asked(setUp.get().dial(),
                setUp.get().reach(), asked.aim, time.response(), asked.tastes));
        return advice
                .<Outcome>map(
                        found -> new Given(
                                new CoffeeAdvice(asked.coffee, grinder, setUp.get(), asked.aim, time, found)))
                .orElseGet(() -> new NotYet("No shot of “" + asked.coffee
                        + "” on this grinder tells its setting, dose, beverage mass, time and when it was pulled."));
    }

    /** {@return the grinder of the coffee's newest shot; empty where none names one} */
    public static String usualGrinder(List<MeasuredShot> shots, String coffee) {
        List<MeasuredShot> ofCoffee = shots.stream()
                .filter(shot -> coffee.equals(shot.record().text(RecordField.COFFEE).orElse("")))
                .toList();
        return ofCoffee.isEmpty() ? "" : newest(ofCoffee).text(RecordField.GRINDER).orElse("");
    }

    /** The record of the shot pulled last; of the last one listed, where nobody wrote down when. */
    private static ShotRecord newest(List<MeasuredShot> shots) {
        List<MeasuredShot> dated = RunOrder.inOrder(shots);
        List<MeasuredShot> from = dated.isEmpty() ? shots : dated;
        return from.get(from.size() - 1).record();
    }

    /** {@return the name of the shot that the next one is held like} */
    public String heldLike() {
        return advice.ladder().newest(setUp.dial()).orElseThrow().shot().name();
    }
}
