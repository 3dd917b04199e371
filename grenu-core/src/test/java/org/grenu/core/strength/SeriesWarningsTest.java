package org.grenu.core.strength;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.grenu.core.quantity.DisplayUnits;
import org.junit.jupiter.api.Test;

/** Handbook §4: |zero| > 0.05; outside the compensated range; sample and prism more than 5 °C apart. */
class SeriesWarningsTest {

    private static List<String> of(double zero, String... readings) {
        StrengthSeries series = new StrengthSeries(Stream.of(readings).map(Reading::parse).toList(),
                OptionalDouble.of(zero), Refractometer.USUAL, Optional.empty(), OptionalDouble.empty());
        return new SeriesWarnings(series, OptionalDouble.of(15), OptionalDouble.of(40))
                .sentences(DisplayUnits.CANONICAL);
    }

    @Test
    void aSoundSeriesGivesNone() {
        assertThat(of(0.05, "9.40@0/24/22/filtered", "9.41@40/24/22/filtered", "9.40@80/23/22/filtered")).isEmpty();
    }

    @Test
    void eachTroubleIsNamedWithItsSize() {
        assertThat(of(-0.06, "9.4")).singleElement().asString().contains("off by −0.06");
        assertThat(of(0, "9.4@0/44.5/40")).singleElement().asString().contains("4.5 °C outside");
        assertThat(of(0, "9.4@0/14/12")).singleElement().asString().contains("3.0 °C outside");
        assertThat(of(0, "9.4@0/29.1/24")).singleElement().asString().contains("5.1 °C apart");
        assertThat(of(0, "9.4@?/?/?/filtered", "9.4@?/?/?/unfiltered")).singleElement()
                .asString()
                .contains("different methods");
        assertThat(of(0, "9.40", "9.41", "9.40", "9.39", "9.41", "9.80"))
                .anyMatch(said -> said.startsWith("Reading 6 stands apart"));
        assertThat(of(0, "9.30@0", "9.40@30", "9.50@60", "9.60@90"))
                .anyMatch(said -> said.startsWith("The readings climb by 0.100 a reading"));
    }

    @Test
    void whatIsUnknownIsNotWarnedOf() {
        StrengthSeries series = StrengthSeries.of(List.of(9.4), OptionalDouble.empty(), Refractometer.USUAL);
        SeriesWarnings warnings = new SeriesWarnings(series, OptionalDouble.empty(), OptionalDouble.empty());
        assertThat(warnings.sentences(DisplayUnits.CANONICAL)).isEmpty();
        assertThat(warnings.outside()).isEmpty();
        assertThat(warnings.apart()).isEmpty();
    }
}
