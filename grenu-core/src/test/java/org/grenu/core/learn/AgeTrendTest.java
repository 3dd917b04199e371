package org.grenu.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class AgeTrendTest {

    private static final StandardResponse TIME = StandardResponse.time(TimeConvention.PUMP_ON_TO_PUMP_OFF);

    private static MeasuredShot shot(int day, double seconds) {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.ROASTED_ON, "2026-05-01")
                .with(RecordField.PULLED_AT, LocalDate.of(2026, 5, 1).plusDays(day) + "T10:00")
                .with(RecordField.GRIND, 2.4)
                .with(RecordField.PUMP_ON, 0)
                .with(RecordField.PUMP_OFF, seconds);
        return new MeasuredShot("d" + day, record, ShotMeasures.of(new Shot(record, ShotLog.NONE)));
    }

    private static AgeTrend trend(List<MeasuredShot> shots, double spread) {
        return AgeTrend.of(Ladder.of(shots, TIME), shots.get(0).record(), TIME, spread).orElseThrow();
    }

    /** Local lines go through a straight line wherever they are taken. */
    @Test
    void aStraightLineIsSmoothedToItself() {
        List<MeasuredShot> shots = new ArrayList<>();
        for (int day = 6; day <= 34; day += 4) {
            shots.add(shot(day, 30 - 0.2 * day));
        }
        AgeTrend trend = trend(shots, 0.5);
        for (int i = 0; i < trend.days().length; i++) {
            assertThat(trend.smooth()[i]).isCloseTo(30 - 0.2 * trend.days()[i], within(1e-9));
        }
        assertThat(trend.driftFrom().orElseThrow()).isCloseTo(6 + 1.5 / 0.2, within(1.0));
        assertThat(AgeTrend.of(Ladder.of(shots.subList(0, 3), TIME), shots.get(0).record(), TIME, 0.5)).isEmpty();
    }

    /** Noise alone is hardly ever called a drift. */
    @ParameterizedTest
    @Seeds(40)
    void noiseIsNoDrift(Draws any) {
        List<MeasuredShot> shots = new ArrayList<>();
        for (int day = 5; day <= 30; day += 5) {
            for (int i = 0; i < 3; i++) {
                shots.add(shot(day, 27 + any.number(-0.8, 0.8)));
            }
        }
        assertThat(trend(shots, 0.5).driftFrom()).isEmpty();
    }

    /** A coffee that loses half a percent a day on a grinder of twelve percent a notch: a notch every 24 days. */
    @Test
    void aNotchMakesUpForSoManyDays() {
        ShotInputs reference = new ShotInputs(0, 18, 36, 93, 10);
        List<LearntShot> shots = new ArrayList<>();
        for (int notch = -2; notch <= 2; notch++) {
            for (int day = 5; day <= 45; day += 4) {
                shots.add(new LearntShot(reference.at(notch).with(Slope.AGE, day),
                        Math.exp(3.3 + 0.12 * notch - 0.005 * (day - 10))));
            }
        }
        AgeTrend.NotchEvery every = AgeTrend.NotchEvery
                .of(ResponseBelief.before(Practice.TIME.prior(), reference, 28).given(shots));
        assertThat(every.days()).isCloseTo(24, within(0.6));
        assertThat(every.sure()).isTrue();
        assertThat(AgeTrend.NotchEvery.of(ResponseBelief.before(Practice.TIME.prior(), reference, 28)).sure())
                .isFalse();
    }
}
