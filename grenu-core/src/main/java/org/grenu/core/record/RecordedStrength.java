package org.grenu.core.record;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.strength.ReadingLine;
import org.grenu.core.strength.Refractometer;
import org.grenu.core.strength.Sample;
import org.grenu.core.strength.SampleDilution;
import org.grenu.core.strength.StrengthSeries;

/** The strength readings of a record, with what it says of instrument, zero, blank and dilution. */
record RecordedStrength(ShotRecord record) {

    private static final String ZERO_WITH_BREWING_WATER = "brewing";

    StrengthSeries cup() {
        return new StrengthSeries(record.readings(), record.number(RecordField.ZERO), refractometer(), dilution(),
                blank());
    }

    StrengthSeries of(Sample sample) {
        return new StrengthSeries(sample.taken(),
                sample.zero().isPresent() ? sample.zero() : record.number(RecordField.ZERO),
                refractometer(), sample.dilution()
                        .map(parts -> new SampleDilution(record.weighed(parts.beverage()),
                                record.weighed(parts.water()))),
                blank());
    }

    /** What the water shows by itself, unless the zero check was made with that water and has it already. */
    private OptionalDouble blank() {
        boolean inZero = record.has(RecordField.ZERO)
                && record.text(RecordField.ZERO_WATER).filter(ZERO_WITH_BREWING_WATER::equals).isPresent();
        return inZero ? OptionalDouble.empty() : record.number(RecordField.BLANK);
    }

    private Refractometer refractometer() {
        Refractometer usual = Refractometer.USUAL;
        return new Refractometer(record.text(RecordField.REFRACTOMETER).orElse(usual.name()),
                record.number(RecordField.REFRACTOMETER_RESOLUTION).orElse(usual.resolution()),
                record.number(RecordField.REFRACTOMETER_REPEATABILITY).orElse(usual.repeatability()),
                record.number(RecordField.REFRACTOMETER_BIAS).orElse(usual.bias()), readingLine());
    }

    /** {@return how the reading turns into strength: as calibrated, by the usual factor from °Brix, or as it is} */
    private ReadingLine readingLine() {
        List<Double> numbers = record.numbers(RecordField.REFRACTOMETER_LINE);
        if (!numbers.isEmpty()) {
            return ReadingLine.of(numbers);
        }
        return record.text(RecordField.REFRACTOMETER_READS).filter("brix"::equals).isPresent()
                ? ReadingLine.ofFactor(ReadingLine.USUAL_BRIX_FACTOR, 0) : ReadingLine.STRENGTH;
    }

    private Optional<SampleDilution> dilution() {
        OptionalDouble beverage = record.number(RecordField.DILUTION_BEVERAGE);
        OptionalDouble water = record.number(RecordField.DILUTION_WATER);
        return beverage.isPresent() && water.isPresent()
                ? Optional.of(
                        new SampleDilution(record.weighed(beverage.getAsDouble()), record.weighed(water.getAsDouble())))
                : Optional.empty();
    }
}
