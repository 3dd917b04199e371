package org.grenu.core.diagnosis;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.grenu.core.strength.SeriesCheck;
import org.grenu.core.strength.StrengthSeries;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;

/** What the strength readings say about themselves. The limits are common practice, no source. */
final class StrengthRules {

    private static final double LARGE_ZERO = 0.05;
    private static final int ENOUGH_READINGS = 3;

    private StrengthRules() {
    }

    static Optional<Finding> zeroMissing(ShotSheet sheet, ShotMeasures measures) {
        StrengthSeries series = sheet.strengthSeries();
        if (series.readings().isEmpty() || series.zero().isPresent()) {
            return Optional.empty();
        }
        return finding("zero_check_missing", Severity.NOTE, "No zero check is recorded.",
                "an offset of the instrument would go straight into the strength",
                "Read the rinse water before the sample.");
    }

    static Optional<Finding> zeroLarge(ShotSheet sheet, ShotMeasures measures) {
        OptionalDouble zero = sheet.strengthSeries().zero();
        if (zero.isEmpty() || Math.abs(zero.getAsDouble()) <= LARGE_ZERO + 1e-12) {
            return Optional.empty();
        }
        return finding("zero_check_large", Severity.CHECK, "The zero check is far from zero.",
                text("%+.2f points, subtracted; up to ±0.05 is usual", zero.getAsDouble()),
                "Clean the prism, set zero and read again.");
    }

    static Optional<Finding> fewReadings(ShotSheet sheet, ShotMeasures measures) {
        int n = sheet.strengthSeries().readings().size();
        if (n == 0 || n >= ENOUGH_READINGS) {
            return Optional.empty();
        }
        return finding("few_readings", Severity.NOTE, n == 1 ? "One strength reading only." : "Two strength readings only.",
                "three or more show whether the sample was even and still", "Read the sample again.");
    }

    static Optional<Finding> outlier(ShotSheet sheet, ShotMeasures measures) {
        StrengthSeries series = sheet.strengthSeries();
        OptionalInt outlier = SeriesCheck.outlier(series);
        if (outlier.isEmpty()) {
            return Optional.empty();
        }
        return finding("reading_outlier", Severity.CHECK,
                text("Reading %d stands apart from the others.", outlier.getAsInt() + 1),
                text("%.2f %% against a mean of %.2f %%; Grubbs, 5 %%", series.readings().get(outlier.getAsInt()), series.mean()),
                "Stir, take a new sample and read again; the reading still counts until you remove it.");
    }

    static Optional<Finding> drift(ShotSheet sheet, ShotMeasures measures) {
        return SeriesCheck.drift(sheet.strengthSeries()).flatMap(drift -> finding("reading_drift", Severity.CHECK,
                drift.perReading() > 0 ? "The readings climb from one to the next." : "The readings fall from one to the next.",
                text("%+.3f points per reading, p = %.3f", drift.perReading(), drift.p()),
                "Evaporation or cooling: cover the sample and let it reach room temperature."));
    }

    private static Optional<Finding> finding(String rule, Severity severity, String statement, String evidence, String toTry) {
        return Optional.of(new Finding(rule, severity, statement, evidence.replace('-', '\u2212'), OptionalDouble.empty(),
                toTry, Finding.SHARED_PRACTICE));
    }

    private static String text(String format, Object... numbers) {
        return String.format(Locale.ROOT, format, numbers);
    }
}
