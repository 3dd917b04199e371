package org.grenu.core.strength;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import org.grenu.core.quantity.Measured;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeriesCheckTest {

    private static StrengthSeries series(Double... readings) {
        return StrengthSeries.of(List.of(readings), OptionalDouble.empty(), Refractometer.USUAL);
    }

    /** Two-sided 5 % critical values of Grubbs' test, from published tables (from memory). */
    @ParameterizedTest
    @CsvSource({"3, 1.155", "4, 1.481", "5, 1.715", "10, 2.290", "20, 2.709"})
    void criticalValuesAgreeWithTheTables(int n, double published) {
        assertThat(SeriesCheck.grubbsCritical(n)).isCloseTo(published, within(0.001));
    }

    @Test
    void anOutlierAndADriftAreSeen() {
        assertThat(SeriesCheck.outlier(series(9.40, 9.41, 9.39, 9.40, 9.62))).hasValue(4);
        assertThat(SeriesCheck.drift(series(9.30, 9.36, 9.41, 9.47)).orElseThrow().perReading()).isCloseTo(0.056,
                within(1e-9));
        assertThat(SeriesCheck.outlier(series(9.40, 9.40))).isEmpty();
        assertThat(SeriesCheck.drift(series(9.40, 9.40, 9.40))).isEmpty();
    }

    /**
     * Good series of three to eight readings, displayed in steps of 0.01, are flagged no more often than promised.
     */
    @Test
    void falseAlarmsStayAtTheirRate() {
        assertThat(alarmRate(s -> SeriesCheck.outlier(s).isPresent())).isLessThan(SeriesCheck.ALPHA + 0.008);
        assertThat(alarmRate(s -> SeriesCheck.drift(s).isPresent())).isLessThan(SeriesCheck.ALPHA + 0.008);
    }

    private static double alarmRate(Predicate<StrengthSeries> alarm) {
        Well19937c random = new Well19937c(5);
        int trials = 6000;
        int alarms = 0;
        for (int i = 0; i < trials; i++) {
            List<Double> readings = new ArrayList<>();
            for (int r = 0; r < 3 + i % 6; r++) {
                readings.add(Math.round(100 * (9.4 + 0.015 * random.nextGaussian())) / 100.0);
            }
            alarms += alarm.test(StrengthSeries.of(readings, OptionalDouble.empty(), Refractometer.USUAL)) ? 1 : 0;
        }
        return alarms / (double) trials;
    }

    @Test
    void strengthSubtractsTheZeroAndKeepsBothParts() {
        Refractometer instrument = new Refractometer("R-2", 0.01, 0.02, 0.03);
        Measured strength = StrengthSeries.of(List.of(9.29, 9.31, 9.36), OptionalDouble.of(0.02), instrument)
                .strength()
                .orElseThrow();
        double s = Math.sqrt((0.03 * 0.03 + 0.01 * 0.01 + 0.04 * 0.04) / 2);
        assertThat(strength.value()).isCloseTo(9.30, within(1e-12));
        assertThat(strength.independent()).isCloseTo(Math.hypot(s / Math.sqrt(3), 0.02), within(1e-12));
        assertThat(strength.shared()).isCloseTo(0.03 / Math.sqrt(3), within(1e-12));
    }

    @Test
    void equalReadingsDoNotAverageTheDisplayStepAway() {
        Refractometer coarse = new Refractometer("", 0.1, 0, 0);
        Measured strength = StrengthSeries.of(List.of(9.4, 9.4, 9.4, 9.4), OptionalDouble.empty(), coarse)
                .strength()
                .orElseThrow();
        assertThat(strength.u()).isCloseTo(0.1 / Math.sqrt(12), within(1e-12));
    }
}
