package org.grenu.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import org.grenu.core.numbers.Samples;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class CurveMeasuresTest {

    /** A made-up shot with known moments: pump on at 1, drip at 7.3 s, 2 g/s until 26 s, then an ebb to 38.9 g. */
    private static double mass(double t) {
        if (t < 7.3) {
            return 0;
        }
        double flowing = Math.min(t, 26) - 7.3;
        return 2 * flowing + (t > 26 ? 1.5 * (1 - Math.exp(-(t - 26) / 0.8)) : 0);
    }

    private static double pressure(double t) {
        return t < 1 ? 0 : t < 26 ? 9 * Math.min(1, (t - 1) / 3) : 9 * Math.exp(-(t - 26) / 0.6);
    }

    private static ShotLog log(double rate, double noise, DoubleUnaryOperator massFlaw) {
        int n = (int) (32 * rate);
        Well19937c random = new Well19937c((long) (1000 * noise) + n);
        double[][] columns = new double[3][n];
        for (int i = 0; i < n; i++) {
            double t = (i + 0.3 * random.nextDouble()) / rate;
            columns[0][i] = t;
            columns[1][i] = pressure(t) + 0.03 * random.nextGaussian();
            columns[2][i] = mass(t) + noise * random.nextGaussian() + massFlaw.applyAsDouble(t);
        }
        return log(columns);
    }

    private static ShotLog log(double[][] columns) {
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        channels.put(Channel.PRESSURE, Samples.of(columns[1]));
        channels.put(Channel.CUP_MASS, Samples.of(columns[2]));
        return new ShotLog(Samples.of(columns[0]), channels);
    }

    private static CurveMeasures measures(ShotLog log, RepairKind... off) {
        Set<RepairKind> kinds = EnumSet.noneOf(RepairKind.class);
        kinds.addAll(Set.of(off));
        return CurveMeasures.of(log,
                new CurveSettings(kinds, OptionalDouble.empty(), OptionalDouble.empty(), 0.1, OptionalDouble.empty(),
                        OptionalDouble.empty()));
    }

    @Nested
    class Moments {

        /** Irregular time, several rates, with and without noise and tare offset: the moments stay where they are. */
        @Test
        void areFoundWhateverTheRateNoiseAndTare() {
            for (double rate : new double[] {4, 10, 50}) {
                for (double noise : new double[] {0, 0.03, 0.08}) {
                    for (double tare : new double[] {0, -4.2, 163}) {
                        CurveMeasures found = measures(log(rate, noise, t -> tare));
                        ShotTimes times = found.times();
                        assertThat(times.firstDrip().orElseThrow().seconds())
                                .as("drip less the usual response of a scale, %s Hz, noise %s, tare %s", rate, noise,
                                        tare)
                                .isCloseTo(7.1, within(0.3));
                        assertThat(times.pumpOn()).as("no meter of the pump's flow").isEmpty();
                        assertThat(times.pressureOnset().orElseThrow().seconds()).isCloseTo(1.1, within(0.3));
                        assertThat(times.pumpOff().orElseThrow().seconds()).isCloseTo(26, within(0.45));
                        assertThat(found.beverage().orElseThrow().value()).isCloseTo(38.9, within(0.15));
                        assertThat(found.repaired().repairs()).hasSize(tare == 0 ? 0 : 1);
                    }
                }
            }
        }

        @Test
        void giveTimesByEveryConvention() {
            ShotTimes times = measures(log(10, 0.03, t -> 0)).times();
            assertThat(TimeConvention.PUMP_ON_TO_PUMP_OFF.of(times)).isEmpty();
            assertThat(TimeConvention.PRESSURE_TO_PUMP_OFF.of(times).getAsDouble()).isCloseTo(24.9, within(0.4));
            assertThat(TimeConvention.FIRST_DRIP_TO_PUMP_OFF.of(times).getAsDouble()).isCloseTo(18.7, within(0.4));
            assertThat(TimeConvention.PRESSURE_TO_LAST_DRIP.of(times).getAsDouble()).isBetween(26.0, 28.0);
        }

        @Test
        void areUnknownWhereNothingTells() {
            ShotLog massOnly = new ShotLog(log(10, 0, t -> 0).time(),
                    Map.of(Channel.CUP_MASS, log(10, 0, t -> 0).find(Channel.CUP_MASS).orElseThrow()));
            CurveMeasures found = measures(massOnly);
            assertThat(found.times().pumpOn()).isEmpty();
            assertThat(found.meanPressure()).isEmpty();
            assertThat(TimeConvention.PUMP_ON_TO_PUMP_OFF.of(found.times())).isEmpty();
            assertThat(found.times().firstDrip()).isPresent();
        }

        @Test
        void statedOnesGoBeforeFoundOnes() {
            CurveMeasures found = CurveMeasures.of(log(10, 0, t -> 0),
                    new CurveSettings(Set.of(), OptionalDouble.of(0.2), OptionalDouble.of(25.5), 0.1,
                            OptionalDouble.empty(), OptionalDouble.empty()));
            assertThat(TimeConvention.PUMP_ON_TO_PUMP_OFF.of(found.times()).getAsDouble()).isCloseTo(25.3,
                    within(1e-12));
        }

        @Test
        void aChokedShotHasNoDrip() {
            ShotLog shot = log(10, 0.03, t -> -mass(t));
            assertThat(measures(shot).times().firstDrip()).isEmpty();
            assertThat(measures(shot).times().lastDrip()).isEmpty();
        }
    }

    @Test
    void cupFlowIsTheSlopeOfTheMassWithoutPhantomsAtTheEnds() {
        UniformCurve flow = measures(log(20, 0.02, t -> 0)).find(Channel.CUP_FLOW).orElseThrow();
        assertThat(flow.at(16)).isCloseTo(2, within(0.1));
        assertThat(flow.at(0.1)).isCloseTo(0, within(0.15));
        assertThat(flow.at(flow.end())).isCloseTo(0, within(0.15));
    }

    @Nested
    class Repairs {

        private static double knock(double t) {
            return t > 15 && t < 15.5 ? 9 : t >= 15.5 && t < 15.7 ? -3 : 0;
        }

        @Test
        void aKnockIsBridgedAndTheRestIsLeftAlone() {
            CurveMeasures found = measures(log(10, 0.03, Repairs::knock));
            assertThat(found.repaired().repairs()).singleElement().satisfies(repair -> {
                assertThat(repair.kind()).isEqualTo(RepairKind.SCALE_KNOCK);
                assertThat(repair.fromSeconds()).isBetween(14.6, 15.2);
                assertThat(repair.toSeconds()).isBetween(15.5, 16.1);
            });
            UniformCurve mass = found.find(Channel.CUP_MASS).orElseThrow();
            assertThat(mass.at(15.3)).isCloseTo(mass(15.3), within(0.3));
        }

        @Test
        void aRepairThatIsOffIsReportedAndNotApplied() {
            CurveMeasures found = measures(log(10, 0.03, Repairs::knock), RepairKind.SCALE_KNOCK);
            assertThat(found.repaired().repairs()).singleElement().matches(repair -> !repair.applied());
            assertThat(found.find(Channel.CUP_MASS).orElseThrow().at(15.3)).isGreaterThan(mass(15.3) + 5);
        }

        /** Clean shots are left alone: no false repair in 300 of them. */
        @Test
        void cleanShotsAreNotRepaired() {
            for (int i = 0; i < 300; i++) {
                double noise = 0.02 + 0.0002 * i;
                assertThat(measures(log(10 + i % 7, noise, t -> 0)).repaired().repairs()).isEmpty();
            }
        }

        @Test
        void aClockThatRepeatsAndResetsIsPutInOrder() {
            double[][] columns = new double[3][300];
            for (int i = 0; i < 300; i++) {
                double t = i / 10.0;
                columns[0][i] = i == 50 ? 4.9 : i < 150 ? t : t - 15;
                columns[1][i] = pressure(t);
                columns[2][i] = mass(t);
            }
            CurveMeasures found = measures(log(columns));
            assertThat(found.repaired().repairs()).extracting(Repair::kind)
                    .containsExactly(RepairKind.TIME_ORDER, RepairKind.CLOCK_RESET);
            assertThat(found.repaired().repairs()).extracting(Repair::evidence)
                    .containsExactly("1 repeated and 0 backward timestamps",
                            "the clock fell from 14.9 s to 0.0 s and went on from there");
            assertThat(found.repaired().log().time().get(found.repaired().log().size() - 1)).isCloseTo(29.9,
                    within(0.11));
            assertThat(found.beverage().orElseThrow().value()).isCloseTo(38.9, within(0.2));
            CurveMeasures off = measures(log(columns), RepairKind.CLOCK_RESET);
            assertThat(off.repaired().log().size()).isEqualTo(149);
        }
    }

    @Test
    void resamplingKeepsTheIntegralAndMarksGaps() {
        double[] time = {0, 0.04, 0.11, 0.5, 0.52, 0.9, 1.4, 1.45, 2.0, 6.0, 6.2, 6.4};
        double[] value = new double[time.length];
        for (int i = 0; i < time.length; i++) {
            value[i] = 3 * time[i] - 1;
        }
        UniformCurve curve = Resampling.STANDARD.resample(Samples.of(time), Samples.of(value));
        for (int i = 1; i < curve.size() - 1; i++) {
            double t = curve.time(i);
            if (t > 2.01 && t < 5.99) {
                assertThat(curve.value(i)).isNaN();
            } else {
                assertThat(curve.value(i)).isCloseTo(3 * t - 1, within(1e-9));
            }
        }
    }
}
