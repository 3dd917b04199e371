package org.grenu.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.CurveOverlay;
import org.grenu.core.compare.Question;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.numbers.Samples;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A shot as written in a notebook, without a log, is a shot: what is written counts, and nothing else is made up. */
class UnloggedShotTest {

    private static final ShotRecord WRITTEN = ShotRecord.EMPTY.with(RecordField.DOSE, "18")
            .with(RecordField.BEVERAGE, "40")
            .with(RecordField.READINGS, "9.5; 9.5")
            .with(RecordField.PUMP_ON, "0")
            .with(RecordField.PUMP_OFF, "27");

    private static ShotMeasures measures(ShotRecord record) {
        return ShotMeasures.of(new Shot(record, ShotLog.NONE));
    }

    /** Handbook §1: EY = strength × beverage / dose. */
    @Test
    void massesStrengthAndTimeAreAsWritten() {
        ShotMeasures measures = measures(WRITTEN);
        assertThat(measures.masses().brew().orElseThrow().asDosed().percent().value()).isCloseTo(9.5 * 40 / 18,
                within(1e-9));
        assertThat(TimeConvention.PUMP_ON_TO_PUMP_OFF.of(measures.curve().times())).hasValue(27);
        assertThat(measures.curve().times().firstDrip()).isEmpty();
        assertThat(measures.curve().beverage()).isEmpty();
        assertThat(measures.curve().repaired().repairs()).isEmpty();
    }

    @Test
    void nothingIsMadeUp() {
        ShotMeasures measures = measures(ShotRecord.EMPTY);
        assertThat(measures.curve().curves()).isEmpty();
        assertThat(measures.hydraulics().peak()).isEmpty();
        assertThat(measures.phases().phases()).isEmpty();
        for (StandardResponse response : StandardResponse.values()) {
            assertThat(response.of(new MeasuredShot("1", ShotRecord.EMPTY, measures))).as(response.key()).isEmpty();
        }
        CurveDigest digest = CurveDigest.of(CurveMeasures.of(ShotLog.NONE, CurveSettings.STANDARD));
        assertThat(digest.miniature().size()).isZero();
        assertThat(digest.peakPressure()).isEmpty();
    }

    @Test
    void timesWithoutAChannelAreNoLog() {
        assertThat(ShotLog.NONE.isEmpty()).isTrue();
        assertThatThrownBy(() -> new ShotLog(Samples.of(0, 1), Map.of())).hasMessageContaining("at least one channel");
    }

    /** Notebook shots are compared by what is written; what needs a curve is unknown, on any basis. */
    @ParameterizedTest
    @EnumSource(ComparisonBasis.class)
    void theyAreCompared(ComparisonBasis basis) {
        List<MeasuredShot> shots = IntStream.range(0, 8).mapToObj(i -> {
            ShotRecord record = WRITTEN.with(RecordField.GRIND, 2 + 0.2 * (i % 2))
                    .with(RecordField.READINGS, Double.toString(9.5 - i % 2 + 0.02 * (i / 2)));
            return new MeasuredShot("n" + i, record, measures(record));
        }).toList();
        Comparison comparison = Comparison.of(Question.of(List.of(Variable.of(RecordFactor.GRIND)),
                List.of(StandardResponse.STRENGTH, StandardResponse.FIRST_DRIP)).on(basis), shots);
        assertThat(comparison.sentence().headline()).isNotBlank();
        if (basis == ComparisonBasis.EQUAL_SETTING) {
            assertThat(comparison.answers().get(0).effects().get(0).estimate().orElseThrow().value()).isCloseTo(-1,
                    within(1e-6));
        }
        assertThat(comparison.answers().get(1).leftOut()).hasSize(8);
        assertThat(CurveOverlay.of(shots, RecordFactor.GRIND, AxisKind.PUMP_ON, List.of(Channel.PRESSURE)).groups())
                .isEmpty();
    }
}
