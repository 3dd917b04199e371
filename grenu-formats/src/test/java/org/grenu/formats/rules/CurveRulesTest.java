package org.grenu.formats.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.diagnosis.Severity;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;

/** Each rule on either side of its limit. */
class CurveRulesTest {

    private static List<Finding> findings(ShotRecord record, double seconds, DoubleUnaryOperator pressure,
            DoubleUnaryOperator mass) {
        int n = (int) (seconds * 10);
        double[][] columns = new double[3][n];
        for (int i = 0; i < n; i++) {
            columns[0][i] = i / 10.0;
            columns[1][i] = pressure.applyAsDouble(i / 10.0);
            columns[2][i] = mass.applyAsDouble(i / 10.0);
        }
        Shot shot = new Shot(record, new ShotLog(Samples.of(columns[0]),
                Map.of(Channel.PRESSURE, Samples.of(columns[1]), Channel.CUP_MASS, Samples.of(columns[2]),
                        Channel.PUMP_FLOW, Samples.of(pumped(columns[1])))));
        return ShippedPacks.findings(record, ShotMeasures.of(shot));
    }

    /** Where there is pressure the pump runs; the rules about waiting need to know since when. */
    private static double[] pumped(double[] pressure) {
        return Arrays.stream(pressure).map(p -> p > 2 ? 1.8 : 0).toArray();
    }

    private static List<String> rules(double seconds, DoubleUnaryOperator pressure, DoubleUnaryOperator mass) {
        return findings(ShotRecord.EMPTY, seconds, pressure, mass).stream().map(Finding::rule).toList();
    }

    private static DoubleUnaryOperator nineUntil(double off) {
        return t -> t < 0.3 ? 0 : t < off ? 9 : 9 * Math.exp(-(t - off) / 0.5);
    }

    private static DoubleUnaryOperator pour(double drip, double flow, double off) {
        return t -> flow * Math.max(0, Math.min(t, off) - drip);
    }

    @Test
    void aPlainShotIsLeftInPeace() {
        assertThat(rules(35, nineUntil(28), pour(6, 1.8, 28.5))).isEmpty();
    }

    @Test
    void aLateDripUnderFullPressureIsTooFineAndOneInASoftSoakIsMeant() {
        assertThat(rules(45, nineUntil(38), pour(12.5, 1.5, 38.5))).containsExactly("late_drip");
        assertThat(rules(45, nineUntil(38), pour(9.5, 1.5, 38.5))).isEmpty();
        assertThat(rules(45, t -> t < 14 ? 2.5 : nineUntil(38).applyAsDouble(t), pour(12.5, 1.5, 38.5))).isEmpty();
    }

    @Test
    void aChokedShotSaysSoOnlyWhenItWasPressed() {
        assertThat(findings(ShotRecord.EMPTY, 40, nineUntil(35), t -> 0)).singleElement().satisfies(finding -> {
            assertThat(finding.rule()).isEqualTo("no_drip");
            assertThat(finding.severity()).isEqualTo(Severity.FAULT);
            assertThat(finding.evidence()).isEqualTo("pressure reached 9.0 bar, the cup gained less than 0.7 g");
            assertThat(finding.school()).isEqualTo(Finding.SHARED_PRACTICE);
        });
        assertThat(rules(40, t -> 2, t -> 0)).isEmpty();
    }

    @Test
    void aFastShotIsNamedWithItsFlow() {
        List<Finding> fast = findings(ShotRecord.EMPTY, 25, nineUntil(14), pour(4, 4.2, 14.3));
        assertThat(fast).singleElement().satisfies(finding -> {
            assertThat(finding.rule()).isEqualTo("fast_flow");
            assertThat(finding.evidence()).startsWith("3.9 g/s");
            assertThat(finding.atSeconds()).isPresent();
        });
        assertThat(rules(25, nineUntil(14), pour(4, 2.9, 14.3))).isEmpty();
    }

    @Test
    void aLogThatStopsTooEarlyIsNoticed() {
        assertThat(rules(24, nineUntil(28), pour(6, 1.8, 28))).containsExactly("log_cut_off");
    }

    @Test
    void aWeighedMassThatDisagreesWithTheCurveIsNoticed() {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.BEVERAGE, "41.2");
        assertThat(findings(record, 35, nineUntil(28), pour(6, 1.8, 28.5))).extracting(Finding::rule)
                .containsExactly("beverage_disagrees");
        ShotRecord close = ShotRecord.EMPTY.with(RecordField.BEVERAGE, "40.8");
        assertThat(findings(close, 35, nineUntil(28), pour(6, 1.8, 28.5))).isEmpty();
    }

    /** Handbook §3 window (common practice); a yield whose interval touches it is not called outside. */
    @Test
    void theWindowIsLeftOnlyByTheWholeInterval() {
        assertThat(yieldRules("7.9")).as("17.91 ±0.16").doesNotContain("yield_below_window", "yield_above_window");
        assertThat(yieldRules("7.6")).contains("yield_below_window");
        assertThat(yieldRules("9.7")).as("22.0").doesNotContain("yield_above_window");
        assertThat(yieldRules("9.9")).contains("yield_above_window");
    }

    private static List<String> yieldRules(String strength) {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.DOSE, "18")
                .with(RecordField.BEVERAGE, "40.8")
                .with(RecordField.READINGS, strength);
        return findings(record, 35, nineUntil(28), pour(6, 1.8, 28.5)).stream().map(Finding::rule).toList();
    }

    @Test
    void theGravestComesFirst() {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.READINGS, "9.4").with(RecordField.ZERO, "0.2");
        List<Finding> found = findings(record, 40, nineUntil(35), t -> 0);
        assertThat(found).extracting(Finding::severity).isSortedAccordingTo(Comparator.reverseOrder());
        assertThat(found.get(0).rule()).isEqualTo("no_drip");
    }
}
