package org.grenu.core.record;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.grenu.core.quantity.Measured;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;

/**
 * Shots that were meant to be the same: equal coffee, grinder and setting, temperature, profile, machine and basket.
 *
 * @param entries texts of those entries
 */
public record SameRecipe(List<String> entries) {

    private static final int FEWEST = 3;
    private static final List<
            RecordField> EQUAL = List.of(RecordField.COFFEE, RecordField.GRINDER, RecordField.GRIND,
                    RecordField.TEMPERATURE,
                    RecordField.PROFILE, RecordField.MACHINE, RecordField.BASKET, RecordField.SAMPLE_FILTERED);

    public SameRecipe {
        entries = List.copyOf(entries);
    }

    /** {@return the recipe that record was pulled by} */
    public static SameRecipe of(ShotRecord record) {
        return new SameRecipe(EQUAL.stream().map(field -> record.entry(field).orElse("")).toList());
    }

    /** {@return the recipe that record was pulled by; empty where it was a fault} */
    public static Optional<SameRecipe> pulledBy(ShotRecord record) {
        return record.has(RecordField.FAULT) || record.flag(RecordField.FAULT_ON_PURPOSE) ? Optional.empty()
                : Optional.of(of(record));
    }

    /** {@return whether that record was pulled by it, and was not a fault} */
    public boolean matches(ShotRecord record) {
        return pulledBy(record).filter(this::equals).isPresent();
    }

    /**
     * {@return standard deviation of strength between its shots, points; empty for fewer than three that were read}
     */
    public OptionalDouble strengthSpread(Stream<StrengthOf> shots) {
        double[] read = shots.filter(shot -> matches(shot.record))
                .map(StrengthOf::strength)
                .flatMap(Optional::stream)
                .mapToDouble(Measured::value)
                .toArray();
        if (read.length < FEWEST) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(new StandardDeviation().evaluate(read));
    }

    /** A shot's record with its strength, when it was read. */
    public record StrengthOf(ShotRecord record, Optional<Measured> strength) {
    }
}
