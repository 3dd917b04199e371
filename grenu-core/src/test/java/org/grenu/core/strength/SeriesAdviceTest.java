package org.grenu.core.strength;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.strength.SeriesAdvice.Kind;
import org.junit.jupiter.api.Test;

class SeriesAdviceTest {

    private static final OptionalDouble UNKNOWN = OptionalDouble.empty();
    private static final Refractometer SURE = new Refractometer("R-2", 0.01, 0.02, 0.005);

    private static SeriesAdvice advice(Refractometer instrument, OptionalDouble spread, Double... values) {
        return SeriesAdvice.of(StrengthSeries.of(Arrays.asList(values), OptionalDouble.of(0.0), instrument), spread);
    }

    @Test
    void leadsFromTheZeroToTheThirdReading() {
        assertThat(SeriesAdvice.of(StrengthSeries.of(List.of(), UNKNOWN, SURE), UNKNOWN).kind())
                .isEqualTo(Kind.FIRST_ZERO);
        assertThat(advice(SURE, UNKNOWN).sentence()).isEqualTo("Take the first reading.");
        assertThat(advice(SURE, UNKNOWN, 9.4).sentence()).startsWith("2 more readings");
    }

    /**
     * By hand: u² = 0.02²/n + 0.02² + (0.005/√3)²; from n = 3 to 4 it falls by 3 %, without the zero's own part by
     * 13 %.
     */
    @Test
    void anotherReadingHelpsOnlyWhileReadingsAreWhatIsUnsure() {
        assertThat(advice(SURE, UNKNOWN, 9.40, 9.41, 9.39).kind()).isEqualTo(Kind.ENOUGH);
        StrengthSeries noZero = StrengthSeries.of(List.of(9.40, 9.41, 9.39), UNKNOWN, SURE);
        assertThat(SeriesAdvice.of(noZero, UNKNOWN)).isEqualTo(
                new SeriesAdvice(Kind.ANOTHER_READING, "One more reading would take about 13 % off the uncertainty."));
    }

    @Test
    void onlyAnotherShotHelpsWhereShotsDifferMore() {
        SeriesAdvice advice = advice(SURE, OptionalDouble.of(0.2), 9.40, 9.41, 9.39);
        assertThat(advice.kind()).isEqualTo(Kind.ANOTHER_SHOT);
        assertThat(advice.sentence()).contains("differ by 0.20 points").contains("only leave 0.023");
    }

    @Test
    void aBiasIsNotReadAway() {
        assertThat(advice(new Refractometer("", 0.01, 0.01, 0.3), UNKNOWN, 9.40, 9.41, 9.40).sentence())
                .contains("which only a calibration takes away");
    }

    @Test
    void aClimbIsLookedAtFirstAndByItsTimes() {
        assertThat(advice(SURE, UNKNOWN, 9.30, 9.40, 9.50, 9.60).kind()).isEqualTo(Kind.LOOK_FIRST);
        List<Reading> timed = List.of(Reading.parse("9.30@0"), Reading.parse("9.40@10"), Reading.parse("9.50@20"),
                Reading.parse("9.60@30"));
        List<Reading> uneven = List.of(Reading.parse("9.30@0"), Reading.parse("9.40@5"), Reading.parse("9.50@10"),
                Reading.parse("9.60@200"));
        assertThat(SeriesCheck.drift(series(timed)).orElseThrow().perReading()).isCloseTo(0.1, within(1e-12));
        assertThat(SeriesCheck.drift(series(uneven))).as("three at once and one late: no straight climb in time")
                .isEmpty();
    }

    @Test
    void filteredAndUnfilteredDoNotMixUnnoticed() {
        StrengthSeries mixed = series(
                List.of(Reading.parse("9.3@?/?/?/filtered"), Reading.parse("9.3@?/?/?/unfiltered")));
        assertThat(mixed.mixed()).isTrue();
        assertThat(SeriesAdvice.of(mixed, UNKNOWN).sentence()).contains("different methods");
    }

    private static StrengthSeries series(List<Reading> readings) {
        return new StrengthSeries(readings, OptionalDouble.of(0), SURE, Optional.empty(), OptionalDouble.empty());
    }
}
