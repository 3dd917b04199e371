package org.grenu.core.recipe;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.grenu.core.quantity.Reported;
import org.grenu.core.quantity.Title;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;

/**
 * The shots of a library that tell most of a coffee on a grinder: its own, else those of coffees of the same process
 * and roast, else all.
 *
 * @param shots that came out as they were meant: none faulty
 * @param words what they are, such as “washed light coffees on this grinder”
 */
public record LikeShots(List<MeasuredShot> shots, String words) {

    public LikeShots {
        shots = List.copyOf(shots);
    }

    /**
     * {@return the shots on the grinder that are most like it, of which at least one tells that entry; none where none
     * does}
     */
    public static Optional<LikeShots> telling(RecordField field, ShotRecord setUp, List<MeasuredShot> shots) {
        List<MeasuredShot> onGrinder = shots.stream()
                .filter(shot -> !shot.faulty() && shot.record().has(field)
                        && (!setUp.has(RecordField.GRINDER) || same(RecordField.GRINDER, setUp, shot)))
                .toList();
        List<MeasuredShot> own = onGrinder.stream().filter(shot -> same(RecordField.COFFEE, setUp, shot)).toList();
        if (!own.isEmpty()) {
            return Optional.of(new LikeShots(own, "of this coffee on this grinder"));
        }
        List<MeasuredShot> like = setUp.has(RecordField.ROAST_LEVEL) && setUp.has(RecordField.PROCESS)
                ? onGrinder.stream()
                        .filter(shot -> same(RecordField.ROAST_LEVEL, setUp, shot)
                                && same(RecordField.PROCESS, setUp, shot))
                        .toList()
                : List.of();
        if (!like.isEmpty()) {
            return Optional.of(new LikeShots(like, "of " + setUp.text(RecordField.PROCESS).orElseThrow() + " "
                    + setUp.text(RecordField.ROAST_LEVEL).orElseThrow() + " coffees on this grinder"));
        }
        return onGrinder.isEmpty() ? Optional.empty()
                : Optional.of(new LikeShots(onGrinder, "of other coffees on this grinder"));
    }

    private static boolean same(RecordField field, ShotRecord setUp, MeasuredShot shot) {
        return setUp.text(field)
                .flatMap(mine -> shot.record().text(field).map(mine.strip()::equalsIgnoreCase))
                .orElse(false);
    }

    /** {@return the median of that entry; empty where none is a number} */
    public OptionalDouble median(RecordField field) {
        double[] numbers = numbers(field);
        return numbers.length == 0 ? OptionalDouble.empty()
                : OptionalDouble.of((numbers[(numbers.length - 1) / 2] + numbers[numbers.length / 2]) / 2);
    }

    private double[] numbers(RecordField field) {
        return shots.stream()
                .map(shot -> shot.record().number(field))
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .sorted()
                .toArray();
    }

    /** {@return such as “9 shots of washed light coffees on this grinder had grind 2.4 ± 0.2”} */
    public String told(RecordField field, int decimals) {
        double[] numbers = numbers(field);
        double mean = Arrays.stream(numbers).average().orElse(0);
        double squares = Arrays.stream(numbers).map(number -> (number - mean) * (number - mean)).sum();
        String spread = numbers.length < 2 ? ""
                : " ± " + Reported.fixed(Math.sqrt(squares / (numbers.length - 1)), decimals);
        return (numbers.length == 1 ? "1 shot " : numbers.length + " shots ") + words + " had "
                + Title.inSentence(field.title()) + " " + Reported.fixed(mean, decimals) + spread
                + (field.unit().isEmpty() ? "" : " " + field.unit());
    }

    /** {@return the words that stand in that entry most often} */
    public Optional<String> usual(RecordField field) {
        return shots.stream()
                .flatMap(shot -> shot.record().text(field).stream())
                .collect(Collectors.groupingBy(words -> words,
                        Collectors.counting()))
                .entrySet()
                .stream()
                .max(Map.Entry.<String, Long>comparingByValue()
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey);
    }
}
