package org.grenu.core.compare;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.grenu.core.study.Factor;
import org.grenu.core.study.OwnFactor;
import org.grenu.core.study.SheetFactor;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotSheet;

/**
 * Something that may have differed between shots beside what is asked about.
 *
 * @param title     its name on screen
 * @param variable  as a number where it is one
 * @param tolerance a difference of that size makes none in practice, in its unit; NaN for words
 */
record Characteristic(String title, Variable variable, double tolerance) {

    /** Tolerances: dose as in the trade (common practice, no source); the others are ours. */
    private static final Map<SheetFactor, Double> TOLERANCES = Map.of(SheetFactor.DOSE, 0.3, SheetFactor.TEMPERATURE, 1.0, SheetFactor.AGE, 1.0,
            SheetFactor.GRIND, 0.0);
    private static final double LEAST_PURGE_GRAMS = 1;

    /** {@return everything that is looked at beside those variables and blocks} */
    static List<Characteristic> beside(Question question, List<ComparedShot> shots) {
        List<ShotSheet> sheets = shots.stream().map(ComparedShot::sheet).toList();
        Stream<Factor> own = OwnFactor.all(sheets).stream().map(factor -> factor);
        List<Characteristic> all = new ArrayList<>();
        all.add(new Characteristic(StandardResponse.BEVERAGE.title(), Variable.of(StandardResponse.BEVERAGE), StandardResponse.BEVERAGE.usualMargin()));
        Stream.concat(Stream.of(SheetFactor.values()).filter(factor -> factor != SheetFactor.ARM && factor != SheetFactor.BLOCK), own)
                .forEach(factor -> all.add(new Characteristic(factor.title(), Variable.of(factor), tolerance(factor))));
        all.removeIf(one -> question.variables().stream().anyMatch(variable -> variable.key().equals(one.variable.key()))
                || question.block().filter(block -> block.key().equals(one.variable.key())).isPresent());
        return all;
    }

    private static double tolerance(Factor factor) {
        return factor instanceof SheetFactor standard ? TOLERANCES.getOrDefault(standard, Double.NaN) : Double.NaN;
    }

    /** {@return the shots that were the first of their day on their machine among these, where the time is known} */
    static List<ComparedShot> firstOfSession(List<ComparedShot> shots) {
        Map<String, ComparedShot> first = new LinkedHashMap<>();
        inOrder(shots).forEach(shot -> first.putIfAbsent(session(shot), shot));
        // With one shot a day every shot is the first of its day: nothing to tell apart.
        return first.size() == inOrder(shots).size() ? List.of() : List.copyOf(first.values());
    }

    /** {@return the shots pulled right after a change of the grind on the same grinder and day without a purge of a gram} */
    static List<ComparedShot> afterGrindChange(List<ComparedShot> shots) {
        List<ComparedShot> found = new ArrayList<>();
        Map<String, OptionalDouble> last = new LinkedHashMap<>();
        for (ComparedShot shot : inOrder(shots)) {
            String grinder = session(shot) + shot.sheet().text(SheetField.GRINDER).orElse("");
            OptionalDouble grind = shot.sheet().number(SheetField.GRIND);
            OptionalDouble purge = shot.sheet().number(SheetField.PURGE);
            OptionalDouble before = last.put(grinder, grind);
            boolean changed = before != null && before.isPresent() && grind.isPresent() && before.getAsDouble() != grind.getAsDouble();
            if (changed && purge.isPresent() && purge.getAsDouble() < LEAST_PURGE_GRAMS) {
                found.add(shot);
            }
        }
        return found;
    }

    private static List<ComparedShot> inOrder(List<ComparedShot> shots) {
        return shots.stream().filter(shot -> shot.sheet().pulledAt().isPresent())
                .sorted(Comparator.comparing((ComparedShot shot) -> shot.sheet().pulledAt().orElse(LocalDateTime.MIN))).toList();
    }

    private static String session(ComparedShot shot) {
        return shot.sheet().pulledAt().map(moment -> moment.toLocalDate().toString()).orElse("") + " " + shot.sheet().text(SheetField.MACHINE).orElse("");
    }
}
