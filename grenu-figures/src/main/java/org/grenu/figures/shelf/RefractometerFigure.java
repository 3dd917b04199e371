package org.grenu.figures.shelf;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.strength.DriedSamples;
import org.grenu.core.strength.ReadingLine;

/**
 * A refractometer: what water reads over time, and its calibration against dried samples.
 *
 * @param zeros   over time
 * @param dried   samples, when there are enough
 * @param line    how its scale turns into strength
 * @param brix    whether it reads °Brix
 * @param low     end of the compensated range, with its unit
 * @param high    other end
 * @param repeats of one reading
 */
public record RefractometerFigure(List<Zero> zeros, Optional<DriedSamples> dried, ReadingLine line, boolean brix,
        Optional<String> low, Optional<String> high,
        OptionalDouble repeats) implements ShelfFigure {

    /** What rinse water read. */
    public record Zero(LocalDateTime at, double shown) {
    }

    public RefractometerFigure {
        zeros = List.copyOf(zeros);
    }

    @Override
    public double height() {
        return zeros.isEmpty() && dried.isEmpty() ? 44 : 214;
    }

    @Override
    public String words() {
        return zeros.size() + " zero checks, "
                + dried.map(d -> d.samples().size() + " dried samples").orElse("not calibrated against dried samples");
    }
}
