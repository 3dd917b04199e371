package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.shelf.Calibrations;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.strength.DriedSamples;
import org.grenu.core.strength.ReadingLine;
import org.grenu.figures.theme.Theme;

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

    static RefractometerFigure of(Standing instrument) {
        return new RefractometerFigure(
                instrument.entries()
                        .rows(ShelfField.ZERO_LOG)
                        .stream()
                        .map(row -> new Zero(row.moment(0).orElseThrow(), row.needed(1)))
                        .toList(),
                Calibrations.dried(instrument.entries()), Calibrations.readingLine(instrument.entries()),
                instrument.words(ShelfField.READS).equals("brix"), instrument.shown(ShelfField.COMPENSATED_FROM),
                instrument.shown(ShelfField.COMPENSATED_TO), instrument.number(ShelfField.READING_REPEATABILITY));
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

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        InstrumentPictures.refractometer(new Sketch(g, theme), this, width);
    }
}
