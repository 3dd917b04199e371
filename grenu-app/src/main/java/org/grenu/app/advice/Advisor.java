package org.grenu.app.advice;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.learn.Aim;
import org.grenu.core.recipe.StartRecipe;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.library.ShotSummary;

/**
 * The one place that says what to pull next: with which shots, on which grinder, towards which aim and by which
 * convention. Room, ledger and command line ask it.
 *
 * @param shots    of the library, in the order of their numbers
 * @param measured measures one; may take a while
 */
public record Advisor(List<ShotSummary> shots, Function<ShotSummary, MeasuredShot> measured, Shelf shelf,
        StudySettings settings) {

    /** So many of the newest shots on a grinder are learnt from: older ones tell little that they do not. */
    private static final int MOST = 400;

    public Advisor {
        shots = List.copyOf(shots);
    }

    /**
     * What is asked of a coffee.
     *
     * @param grinder empty: the one of the coffee's newest shot
     * @param notch   one notch in the dial's numbers; empty: the shelf's
     * @param typed   what was typed goes before the recipe's windows
     */
    public record Question(String coffee, String grinder, OptionalDouble notch, UnaryOperator<Aim> typed) {

        /** By what the library says. */
        public Question(String coffee) {
            this(coffee, "", OptionalDouble.empty(), aim -> aim);
        }
    }

    /** What came of it, with what was aimed at. */
    public record Answer(TargetRecipe target, CoffeeAdvice.Outcome outcome) {

        /** {@return the advice, where one could be given} */
        public Optional<CoffeeAdvice> given() {
            return outcome instanceof CoffeeAdvice.Given given ? Optional.of(given.advice()) : Optional.empty();
        }
    }

    /** {@return the answer} */
    public Answer ask(Question question) {
        String coffee = named(question.coffee);
        String grinder = question.grinder.isEmpty() ? newest(coffee, RecordField.GRINDER) : question.grinder;
        TargetRecipe target = TargetRecipe.of(shelf, coffee, grinder, settings.schools().spoken());
        List<MeasuredShot> learnt = learntFrom(coffee, grinder).stream().map(measured).toList();
        return new Answer(target, CoffeeAdvice.of(learnt, shelf, new CoffeeAdvice.Asked(coffee, grinder,
                question.typed.apply(target.aim()), question.notch, settings.convention(), StandardResponse.tasted(),
                target)));
    }

    /**
     * {@return what to begin a coffee with, as it is drunk}
     *
     * @param served empty where nobody has said
     */
    public StartRecipe start(String coffee, String served) {
        List<MeasuredShot> newest = shots.subList(Math.max(0, shots.size() - CoffeeStart.MOST_SHOTS), shots.size())
                .stream()
                .map(measured)
                .toList();
        return new CoffeeStart(shots.stream().map(ShotSummary::written).toList(), newest, shelf, settings.schools())
                .of(named(coffee), served);
    }

    /** {@return what the schools answer to how the coffee's newest tasted shot tasted} */
    public Optional<SchoolAnswers> schools(CoffeeAdvice given) {
        return SchoolAnswers.of(given, settings.schools().all(), shelf.find(ShelfKind.COFFEE, given.coffee())
                .flatMap(item -> item.entries().text(ShelfField.EXPECTED_NOTES)));
    }

    /** {@return the coffee as its shots name it, whatever the case it is asked in} */
    private String named(String coffee) {
        return shots.stream()
                .flatMap(shot -> shot.record().text(RecordField.COFFEE).stream())
                .filter(coffee::equalsIgnoreCase)
                .findFirst()
                .orElse(coffee);
    }

    /** {@return what the coffee's newest shot by date says there; of undated ones the last} */
    public String newest(String coffee, RecordField field) {
        return shots.stream()
                .filter(shot -> isOf(shot, coffee) && shot.record().has(field))
                .reduce((one, other) -> moment(other).isBefore(moment(one)) ? one : other)
                .flatMap(shot -> shot.record().text(field))
                .orElse("");
    }

    private static LocalDateTime moment(ShotSummary shot) {
        return shot.record().pulledAt().orElse(LocalDateTime.MIN);
    }

    private static boolean isOf(ShotSummary shot, String coffee) {
        return shot.record().text(RecordField.COFFEE).filter(coffee::equals).isPresent();
    }

    private List<ShotSummary> learntFrom(String coffee, String grinder) {
        List<ShotSummary> all = shots.stream()
                .filter(shot -> isOf(shot, coffee)
                        || shot.record().text(RecordField.GRINDER).orElse("").equals(grinder))
                .toList();
        return all.subList(Math.max(0, all.size() - MOST), all.size());
    }
}
