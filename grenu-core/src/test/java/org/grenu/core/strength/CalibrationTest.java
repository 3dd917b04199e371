package org.grenu.core.strength;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.grenu.core.extraction.Dilution;
import org.grenu.core.quantity.Measured;
import org.junit.jupiter.api.Test;

class CalibrationTest {

    private static final DriedSamples REFERENCE = new DriedSamples(List.of(new DriedSamples.Sample(4.02, 5.012, 0.197),
            new DriedSamples.Sample(6.11, 4.987, 0.299), new DriedSamples.Sample(7.95, 5.103, 0.398),
            new DriedSamples.Sample(9.41, 5.021, 0.466),
            new DriedSamples.Sample(10.88, 4.955, 0.531), new DriedSamples.Sample(12.6, 5.07, 0.628)));

    /**
     * R 4.2.2: {@code lm(100*dry/wet ~ reading)} with {@code confint} and {@code predict(interval = "confidence")}.
     */
    @Test
    void driedSamplesAgreeWithR() {
        assertThat(REFERENCE.intercept()).isCloseTo(-0.035225621684671395, within(1e-9));
        assertThat(REFERENCE.line().slope()).isCloseTo(0.987265021508565432, within(1e-9));
        assertThat(REFERENCE.line().slopeU()).isCloseTo(0.0025767422341460055, within(1e-9));
        assertThat(REFERENCE.scatter()).isCloseTo(0.018108348234723164, within(1e-9));
        assertThat(REFERENCE.intercept() - REFERENCE.interceptHalf()).isCloseTo(-0.099372859893195026, within(1e-9));
        assertThat(REFERENCE.line().slope() + REFERENCE.slopeHalf()).isCloseTo(0.99441920487191648, within(1e-9));
        assertThat(REFERENCE.line().at(9.9)).isCloseTo(9.7386980912501251, within(1e-9));
        assertThat(REFERENCE.line().uncertainty(9.9)).isCloseTo(0.0082315723542592534, within(1e-9));
        assertThat(REFERENCE.bandHalf(9.9)).isCloseTo(9.7615526000211901 - 9.7386980912501251, within(1e-9));
    }

    /** R 4.2.2: {@code lm(100*dry/wet ~ 0 + reading)}. */
    @Test
    void aFactorAgreesWithR() {
        assertThat(REFERENCE.factor().slope()).isCloseTo(0.98354293675695958, within(1e-9));
        assertThat(REFERENCE.factor().slopeU()).isCloseTo(0.00092728931948995715, within(1e-9));
    }

    @Test
    void theCalibrationStandsForTheBiasAndIsShared() {
        Refractometer instrument = new Refractometer("R-2", 0.01, 0.02, 0.3, REFERENCE.line());
        Measured strength = StrengthSeries.of(List.of(9.91, 9.89, 9.90), OptionalDouble.empty(), instrument)
                .strength()
                .orElseThrow();
        assertThat(strength.value()).isCloseTo(9.7386980912501251, within(1e-9));
        assertThat(strength.shared()).isCloseTo(0.0082315723542592534, within(1e-9));
        assertThat(strength.independent()).isCloseTo(0.987265021508565432 * 0.02 / Math.sqrt(3), within(1e-12));
    }

    /** Handbook §4: 0.85 points per °Brix (common practice). */
    @Test
    void brixTurnsIntoStrengthByAFactorWithItsUncertainty() {
        Refractometer instrument = new Refractometer("", 0.1, 0.05, 0.2, ReadingLine.ofFactor(0.85, 0.01));
        Measured strength = StrengthSeries.of(List.of(11.0), OptionalDouble.of(0.2), instrument)
                .strength()
                .orElseThrow();
        assertThat(strength.value()).isCloseTo(9.18, within(1e-12));
        assertThat(strength.shared()).isCloseTo(Math.hypot(0.85 * 0.2 / Math.sqrt(3), 10.8 * 0.01), within(1e-12));
    }

    @Test
    void aDilutionIsCalculatedBack() {
        double diluted = Dilution.strengthAfter(9.41, 5.0, 20.0);
        SampleDilution sample = new SampleDilution(Measured.independent(5.0, 0.03), Measured.independent(20.0, 0.03));
        StrengthSeries series = new StrengthSeries(List.of(Reading.of(diluted)), OptionalDouble.empty(),
                Refractometer.USUAL, Optional.of(sample), OptionalDouble.empty());
        Measured strength = series.strength().orElseThrow();
        assertThat(strength.value()).isCloseTo(9.41, within(1e-9));
        assertThat(strength.shared()).as("the bias grows with the dilution")
                .isCloseTo(5 * 0.045 / Math.sqrt(3), within(1e-12));
        // c·u(w)/m_b for the water and c·w/m_b²·u for the beverage, by hand
        double weighing = Math.hypot(diluted * 0.03 / 5, diluted * 20 / 25 * 0.03);
        assertThat(strength.independent()).isCloseTo(Math.hypot(5 * 0.015, weighing), within(1e-12));
    }

    /** A calibration made anew for every study covers the true strength as often as its 95 % band promises. */
    @Test
    void theBandCovers() {
        Random random = new Random(12);
        int covered = 0;
        int studies = 4_000;
        for (int study = 0; study < studies; study++) {
            List<DriedSamples.Sample> samples = new ArrayList<>();
            for (double reading : new double[] {3, 5, 7, 9, 11, 13}) {
                samples.add(new DriedSamples.Sample(reading, 100, 0.2 + 0.95 * reading + 0.05 * random.nextGaussian()));
            }
            DriedSamples dried = new DriedSamples(samples);
            covered += Math.abs(dried.line().at(10) - 9.7) <= dried.bandHalf(10) ? 1 : 0;
        }
        assertThat(covered / (double) studies).isCloseTo(0.95, within(0.012));
    }

    @Test
    void refusesWhatCannotBeCalibrated() {
        DriedSamples.Sample one = new DriedSamples.Sample(9, 5, 0.4);
        assertThatThrownBy(() -> new DriedSamples(List.of(one, one, one)))
                .hasMessageContaining("not all of the same reading");
        assertThatThrownBy(() -> new DriedSamples.Sample(9, 5, 6)).hasMessageContaining("6.0 g of 5.0 g");
    }

    @Test
    void readingsKeepTheirTimesAndTemperatures() {
        Reading reading = Reading.parse("9.93@40/24.1/?/unfiltered");
        assertThat(reading).isEqualTo(new Reading(9.93, OptionalDouble.of(40), OptionalDouble.of(24.1),
                OptionalDouble.empty(), Optional.of(false)));
        assertThat(reading.text()).isEqualTo("9.93@40/24.1/?/unfiltered");
        assertThat(Reading.of(9.9).text()).isEqualTo("9.9");
        assertThatThrownBy(() -> Reading.parse("9.9@soon")).hasMessageContaining("soon");
    }
}
