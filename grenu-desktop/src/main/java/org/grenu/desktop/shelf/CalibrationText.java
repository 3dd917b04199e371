package org.grenu.desktop.shelf;

import java.util.Locale;
import org.grenu.core.entry.Entries;
import org.grenu.core.shelf.Calibrations;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.strength.DriedSamples;
import org.grenu.core.strength.ReadingLine;

/** How a refractometer's readings become strength, in words. */
final class CalibrationText {

    private CalibrationText() {
    }

    /** {@return what that refractometer's entries make of a reading} */
    static String of(Entries refractometer) {
        boolean brix = refractometer.text(ShelfField.READS).filter("brix"::equals).isPresent();
        ReadingLine line = Calibrations.readingLine(refractometer);
        return Calibrations.dried(refractometer)
                .map(dried -> calibrated(line, dried, brix))
                .orElseGet(() -> brix
                        ? String.format(Locale.ROOT,
                                "Strength = %.3g × °Brix%s. Sugar, not coffee, is what °Brix counts: dry %d "
                                        + "samples to measure "
                                        + "the factor.",
                                line.slope(), refractometer.has(ShelfField.BRIX_FACTOR) ? "" : ", the usual factor",
                                DriedSamples.FEWEST)
                        : "Readings are taken as strength. " + DriedSamples.FEWEST
                                + " dried samples or more, of different strength, make a calibration.");
    }

    private static String calibrated(ReadingLine line, DriedSamples dried, boolean brix) {
        return String.format(Locale.ROOT,
                "Strength = %.3f × reading %s %.3f, by %d dried samples; 95 %%: slope ±%.3f, intercept ±%.3f. "
                        + "Its uncertainty goes into every strength read with it, in place of the bias limit.%s",
                line.slope(), dried.intercept() < 0 ? "\u2212" : "+", Math.abs(dried.intercept()),
                dried.samples().size(), dried.slopeHalf(), dried.interceptHalf(),
                brix ? String.format(Locale.ROOT, " As one factor: %.3f ±%.3f points per °Brix (k = 2).",
                        dried.factor().slope(), 2 * dried.factor().slopeU()) : "");
    }
}
