package org.grenu.core.shelf;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.grenu.core.entry.Entries;

/**
 * What the check weights say of a scale up to a day.
 *
 * @param errors by weight what the scale showed less the weight, g, in the order they were taken
 */
record CheckWeights(Map<Double, List<Double>> errors) {

    /** Heavier ones tell of another part of the scale than doses and cups lie on, g (common practice, no source). */
    private static final double HEAVIEST = 500;
    /** So many times one weight has to be put on before its scatter says something (common practice). */
    private static final int ENOUGH = 3;

    /** {@return those of that scale's entry until that day; all of them where the day is unknown} */
    static CheckWeights of(Entries scale, Optional<LocalDate> day) {
        return new CheckWeights(scale.rows(ShelfField.CHECK_WEIGHTS)
                .stream()
                .filter(row -> row.needed(1) <= HEAVIEST
                        && day.filter(date -> row.day(0).filter(taken -> taken.isAfter(date)).isPresent()).isEmpty())
                .collect(Collectors.groupingBy(row -> row.needed(1),
                        Collectors.mapping(row -> row.needed(2) - row.needed(1), Collectors.toList()))));
    }

    /**
     * {@return the limit of the scale's systematic error, g: as stated, but never less than what a weight, by the mean
     * of its showings, was off by; empty when neither is known}
     */
    OptionalDouble bias(OptionalDouble stated) {
        OptionalDouble seen = errors.values()
                .stream()
                .mapToDouble(of -> Math.abs(mean(of)))
                .max();
        return seen.isEmpty() ? stated : OptionalDouble.of(Math.max(seen.getAsDouble(), stated.orElse(0)));
    }

    /**
     * {@return the standard deviation of one weighing, g, pooled over the weights that were put on three times or more;
     * empty without one}
     */
    OptionalDouble repeatability() {
        double squares = 0;
        int freedom = 0;
        for (Collection<Double> of : errors.values()) {
            if (of.size() >= ENOUGH) {
                double mean = mean(of);
                squares += of.stream().mapToDouble(error -> (error - mean) * (error - mean)).sum();
                freedom += of.size() - 1;
            }
        }
        return freedom == 0 ? OptionalDouble.empty() : OptionalDouble.of(Math.sqrt(squares / freedom));
    }

    private static double mean(Collection<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }
}
