package org.grenu.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Facts of a shot drawn with ruler and compass, so that each is known without computing it. */
class FactsTest {

    /**
     * Pump on at 0; 9 bar from 4 s, sagging 0.05 bar/s from 10 s; drip at 7 s; 1.8 g/s; pump off at 28 s; 1.3 g
     * drip after.
     */
    private static final Map<Channel, DoubleUnaryOperator> PLAIN = Map.of(
            Channel.PRESSURE,
            t -> t < 4 ? 9 * t / 4 : t < 10 ? 9 : t < 28 ? 9 - 0.05 * (t - 10) : 8.1 * Math.exp(-(t - 28) / 0.4),
            Channel.CUP_MASS,
            t -> Math.max(0, Math.min(t, 28) - 7) * 1.8 + (t > 28 ? 1.3 * (1 - Math.exp(-(t - 28) / 0.7)) : 0),
            Channel.PUMP_FLOW, t -> t < 4 ? 5 : t < 28 ? 1.9 : 0, Channel.TEMPERATURE, t -> 91.5);

    private static ShotContext context(ShotRecord record, Map<Channel, DoubleUnaryOperator> courses,
            Optional<ShotRecord> before) {
        double[] time = new double[360];
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        courses.forEach((channel, course) -> {
            double[] values = new double[time.length];
            for (int i = 0; i < time.length; i++) {
                time[i] = i / 10.0;
                values[i] = course.applyAsDouble(time[i]);
            }
            channels.put(channel, Samples.of(values));
        });
        return new ShotContext(record, ShotMeasures.of(new Shot(record, new ShotLog(Samples.of(time), channels))),
                before);
    }

    private static ShotRecord record(String entries) {
        ShotRecord record = ShotRecord.EMPTY;
        for (String entry : entries.isEmpty() ? new String[0] : entries.split(" & ")) {
            String[] pair = entry.split("=");
            record = record.with(RecordField.find(pair[0]).orElseThrow(() -> new AssertionError(pair[0])), pair[1]);
        }
        return record;
    }

    private static OptionalDouble value(String fact, ShotContext context) {
        return Facts.find(fact)
                .orElseThrow(() -> new AssertionError("no fact " + fact))
                .of(context)
                .map(v -> OptionalDouble.of(v.value()))
                .orElse(OptionalDouble.empty());
    }

    @ParameterizedTest
    @CsvSource({"peak_pressure_bar, 9, 0.05", "shot_time_s, 28, 0.3", "drip_wait_s, 6.8, 0.3", "first_drip_s, 6.8, 0.3",
            "pump_off_s, 28, 0.3",
            "pressure_before_drip_bar, 9, 0.05", "cup_gain_g, 39.1, 0.1", "curve_beverage_g, 39.1, 0.1",
            "flow_mean_g_s, 1.8, 0.03",
            "flow_at_end_g_s, 0, 0.05", "soak_s, 0, 0.01", "overshoot_g, 1.3, 0.5", "temperature_shown_c, 91.5, 0.01"})
    void factsOfTheCurve(String fact, double expected, double within) {
        assertThat(value(fact, context(ShotRecord.EMPTY, PLAIN, Optional.empty()))).as(fact).isPresent();
        assertThat(value(fact, context(ShotRecord.EMPTY, PLAIN, Optional.empty())).getAsDouble()).as(fact)
                .isCloseTo(expected, within(within));
    }

    /** The stream runs evenly from the drip on, though the main phase began before it: nothing has risen. */
    @Test
    void whatTheMainPhaseLostAndGained() {
        ShotContext context = context(ShotRecord.EMPTY, PLAIN, Optional.empty());
        double sag = value("pressure_sag_bar", context).getAsDouble();
        assertThat(sag).isCloseTo(0.05 * (26.5 - 10), within(0.05));
        assertThat(value("flow_rise_g_s", context).getAsDouble()).isCloseTo(0, within(0.1));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "dose_g=18.2 & dose_target_g=18 | dose_off_g | 0.2",
            "dose_g=17.6 & dose_target_g=18 | dose_off_g | 0.4",
            "dose_g=18 & beverage_g=41.2 | ratio | 2.289",
            "beverage_g=41.2 & beverage_target_g=40 | beverage_over_g | 1.2",
            "beverage_g=38.5 & beverage_target_g=40 | beverage_off_g | 1.5",
            "beverage_g=41.2 | beverage_disagreement_g | 2.1",
            "beverage_g=41.2 | weighed_g | 41.2",
            "beverage_target_g=40 | stop_at_g | 38.7",
            "dose_g=16 & basket_capacity_g=20 | basket_under_g | 1",
            "dose_g=22 & basket_capacity_g=20 | basket_over_g | 0.5",
            "dose_g=21.7 & basket_from_g=18 & basket_to_g=22 | basket_over_g | -0.3",
            "temperature_c=93 | temperature_off_c | 1.5",
            // ISO 2533: 795.0 hPa at 2000 m; IAPWS: 93.3 °C boiling.
            "altitude_m=2000 | boiling_point_c | 93.3",
            "altitude_m=2000 & temperature_c=95 | above_boiling_c | 1.69",
            "purge_g=1.5 | purge_g | 1.5",
            "taste=sour; thin, and Sharp | taste_under | 3",
            "taste=a hollow, bitter end | taste_over | 2",
            "tasting=sour 6; thin 0; sharp 1 | taste_under | 1",
            "tasting=thin 0; sour 2 | taste_thin | 0",
            "tasting=thin; sour 2 | taste_thin | 1",
            "taste=soured milk | taste_under | 0",
            "taste=not sour, bit short | taste_under | 0",
            "taste=not sour or sharp but thin | taste_under | 1",
            "taste=Without bitterness; less dry; hollow | taste_over | 1",
            "taste=nothing but sour, not only sharp | taste_under | 2",
            "coffee_roast_level=Medium dark | roast_dark | 1",
            "coffee_roast_level=light | roast_dark | 0",
            "profile=9 bar flat | soak_meant | 0",
            "profile=Pre-infusion then nine | soak_meant | 1",
            "dose_g=18 & beverage_g=41.2 & strength_readings_pct=9.41; 9.41; 9.41 | yield_pct | 21.54",
            "strength_readings_pct=9.1; 9.3 | mean_reading_pct | 9.2",
            "strength_readings_pct=9.41; 9.40; 9.42; 9.41; 10.9 | outlier_number | 5",
            "strength_readings_pct=9.41; 9.40; 9.42; 9.41; 10.9 | outlier_pct | 10.9",
            "strength_readings_pct=9.00; 9.10; 9.20; 9.30; 9.40 | drift_pct | 0.1",
            "strength_zero_pct=-0.12 | zero_size_pct | 0.12",
            "strength_zero_pct=-0.12 & strength_readings_pct=9.3; 9.4; 9.5 | readings | 3",
    })
    void factsOfTheRecord(String entries, String fact, double expected) {
        OptionalDouble value = value(fact, context(record(entries), PLAIN, Optional.empty()));
        assertThat(value).as("%s of %s", fact, entries).isPresent();
        assertThat(value.getAsDouble()).as("%s of %s", fact, entries)
                .isCloseTo(expected, within(fact.equals("stop_at_g") ? 0.3 : 0.005 * Math.max(1, Math.abs(expected))));
    }

    /** What the record or the log does not hold is unknown, never nought. */
    @ParameterizedTest
    @CsvSource({"dose_off_g", "beverage_off_g", "basket_over_g", "above_boiling_c", "boiling_point_c", "grind_changed",
            "taste_under", "yield_pct",
            "outlier_number", "drift_pct", "zero_size_pct", "age_days", "pressure_short_bar", "time_limit_steps",
            "inside_share_pct", "weighed_g",
            "channel_likelihood_pct", "stop_at_g", "purge_g", "temperature_off_c"})
    void whatIsNotRecordedIsUnknown(String fact) {
        assertThat(value(fact, context(ShotRecord.EMPTY, PLAIN, Optional.empty()))).as(fact).isEmpty();
    }

    @Test
    void aLogWithoutACupSaysNothingOfTheCup() {
        ShotContext dry = context(ShotRecord.EMPTY, Map.of(Channel.PRESSURE, PLAIN.get(Channel.PRESSURE)),
                Optional.empty());
        for (String fact : new String[] {"cup_gain_g", "flow_mean_g_s", "drip_wait_s", "overshoot_g", "peak_resistance",
                "flow_at_end_g_s"}) {
            assertThat(value(fact, dry)).as(fact).isEmpty();
        }
        assertThat(value("peak_pressure_bar", dry)).isPresent();
    }

    @Test
    void theGrindIsComparedOnTheSameGrinderOnly() {
        ShotRecord now = record("grinder=Bench mill & grind=2.4");
        assertThat(value("grind_changed", context(now, PLAIN, Optional.of(record("grinder=Bench mill & grind=3"))))
                .getAsDouble()).isCloseTo(0.6, within(1e-9));
        assertThat(value("grind_changed", context(now, PLAIN, Optional.of(record("grinder=Other mill & grind=3")))))
                .isEmpty();
    }

    @Test
    void aProfileTellsWhatThePressureFellShortOf() {
        ShotRecord meant = record("profile_steps=soak: pressure 3 until 4 s; main: pressure 10 until 60 s");
        ShotContext context = context(meant, PLAIN, Optional.empty());
        assertThat(value("pressure_short_bar", context).getAsDouble()).isCloseTo(1, within(0.05));
        assertThat(value("inside_share_pct", context).getAsDouble()).isBetween(0.0, 40.0);
        assertThat(value("time_limit_steps", context)).hasValue(0);
    }

    @Test
    void everyFactSaysWhatItMeansAndIsFoundByItsName() {
        assertThat(Facts.all()).hasSizeGreaterThan(50).allSatisfy(fact -> {
            assertThat(Facts.find(fact.name())).containsSame(fact);
            assertThat(fact.name()).matches("[a-z][a-z0-9_]*");
            assertThat(fact.meaning()).isNotBlank();
        });
        assertThat(Facts.find("nonsense")).isEmpty();
    }
}
