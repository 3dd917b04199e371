package org.grenu.core.shelf;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.entry.Entries;
import org.grenu.core.hydraulics.ValveCalibration;
import org.grenu.core.hydraulics.ValveSchedule;
import org.grenu.core.strength.DriedSamples;
import org.grenu.core.strength.ReadingLine;

/** What the calibrations that are written down about gear say. */
public final class Calibrations {

    /** Standard uncertainty of a weighing on a 0.1 g display, g. */
    private static final double WEIGHING_U = 0.1 / Math.sqrt(12);

    private Calibrations() {
    }

    /** {@return what the machine's valve lets through; empty with fewer than two positions run} */
    public static Optional<ValveCalibration> valve(Entries machine) {
        return ValveCalibration.of(machine.rows(ShelfField.VALVE_RUNS)
                .stream()
                .map(row -> new ValveCalibration.Run(row.needed(0), row.needed(1), row.needed(2)))
                .toList(), WEIGHING_U);
    }

    /** {@return the schedule kept with the machine, by time} */
    public static ValveSchedule schedule(Entries machine) {
        return new ValveSchedule(machine.rows(ShelfField.VALVE_SCHEDULE)
                .stream()
                .map(row -> new ValveSchedule.Step(row.needed(0), row.needed(1)))
                .sorted((one, other) -> Double.compare(one.seconds(), other.seconds()))
                .toList());
    }

    /** {@return the refractometer's dried samples; empty while there are too few} */
    public static Optional<DriedSamples> dried(Entries refractometer) {
        List<DriedSamples.Sample> samples = refractometer.rows(ShelfField.DRIED)
                .stream()
                .filter(row -> row.needed(2) <= row.needed(1))
                .map(row -> new DriedSamples.Sample(row.needed(0), row.needed(1), row.needed(2)))
                .toList();
        boolean enough = samples.size() >= DriedSamples.FEWEST
                && samples.stream().mapToDouble(DriedSamples.Sample::reading).distinct().count() > 1;
        return enough ? Optional.of(new DriedSamples(samples)) : Optional.empty();
    }

    /** {@return how its readings turn into strength: by dried samples, else by its °Brix factor, else as they are} */
    public static ReadingLine readingLine(Entries refractometer) {
        Optional<DriedSamples> dried = dried(refractometer);
        if (dried.isPresent()) {
            return dried.get().line();
        }
        OptionalDouble factor = refractometer.number(ShelfField.BRIX_FACTOR);
        boolean brix = refractometer.text(ShelfField.READS).filter("brix"::equals).isPresent();
        return brix
                ? ReadingLine.ofFactor(factor.orElse(ReadingLine.USUAL_BRIX_FACTOR),
                        refractometer.number(ShelfField.BRIX_FACTOR_U).orElse(0))
                : ReadingLine.STRENGTH;
    }
}
