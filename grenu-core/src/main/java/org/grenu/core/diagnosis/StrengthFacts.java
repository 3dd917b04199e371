package org.grenu.core.diagnosis;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.grenu.core.extraction.Brew;
import org.grenu.core.strength.SeriesCheck;
import org.grenu.core.strength.SeriesWarnings;
import org.grenu.core.strength.StrengthSeries;
import org.grenu.core.record.RecordField;

/** Facts of strength readings and extraction. */
final class StrengthFacts {

    static final List<Fact> ALL = List.of(
            new Fact("yield_pct", 1, "extraction yield as dosed",
                    c -> FactValue.of(brew(c).map(b -> b.asDosed().percent()))),
            new Fact("yield_u_pct", 2, "its expanded uncertainty, k = 2",
                    c -> brew(c).flatMap(b -> FactValue.of(b.asDosed().percent().expanded()))),
            new Fact("strength_pct", 2, "strength", c -> FactValue.of(c.measures().masses().strength())),
            new Fact("readings", 0, "number of strength readings", c -> FactValue.of(series(c).readings().size())),
            new Fact("zero_pct", 2, "zero check", c -> FactValue.of(series(c).zero())),
            new Fact("zero_size_pct", 2, "zero check, without sign", c -> series(c).zero().isPresent()
                    ? FactValue.of(Math.abs(series(c).zero().getAsDouble())) : Optional.empty()),
            new Fact("mean_reading_pct", 2, "mean of the readings",
                    c -> series(c).readings().isEmpty() ? Optional.empty() : FactValue.of(series(c).mean())),
            new Fact("outlier_number", 0, "which reading stands apart (Grubbs, 5 %)", c -> outlier(c).isPresent()
                    ? FactValue.of(outlier(c).getAsInt() + 1) : Optional.empty()),
            new Fact("outlier_pct", 2, "that reading", c -> outlier(c).isPresent()
                    ? FactValue.of(series(c).readings().get(outlier(c).getAsInt())) : Optional.empty()),
            new Fact("drift_pct", 3, "slope of the readings, points per reading, when it is not chance (5 %)",
                    c -> SeriesCheck.drift(series(c)).flatMap(d -> FactValue.of(d.perReading()))),
            new Fact("reading_outside_c", 1, "how far a sample or the prism lay outside the compensated range, °C",
                    c -> FactValue.of(warnings(c).outside())),
            new Fact("sample_apart_c", 1, "largest difference between sample and prism, °C",
                    c -> FactValue.of(warnings(c).apart())),
            new Fact("filtering_mixed", 0, "1 when filtered and unfiltered samples stand in one series",
                    c -> FactValue.of(series(c).mixed() ? 1 : 0)),
            new Fact("drift_p", 3, "its p-value", c -> SeriesCheck.drift(series(c)).flatMap(d -> FactValue.of(d.p()))));

    private StrengthFacts() {
    }

    private static Optional<Brew> brew(ShotContext context) {
        return context.measures().masses().brew();
    }

    private static StrengthSeries series(ShotContext context) {
        return context.record().strengthSeries();
    }

    private static SeriesWarnings warnings(ShotContext context) {
        return new SeriesWarnings(series(context), context.record().number(RecordField.COMPENSATED_FROM),
                context.record().number(RecordField.COMPENSATED_TO));
    }

    private static OptionalInt outlier(ShotContext context) {
        return SeriesCheck.outlier(series(context));
    }
}
