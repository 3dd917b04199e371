package org.grenu.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Consumer;
import org.grenu.core.numbers.Samples;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Each kind of fault by itself, on a shot whose true course is known: found, repaired, left when switched off, not
 * imagined.
 */
class RepairsTest {

    private static final int ROWS = 360;

    /** Columns of a plain shot at 10 Hz: pump on at 0, pressure from 2 s, drip at 7 s, pump off at 28 s, 38 g. */
    private static final class Columns {
        private final double[] time = new double[ROWS];
        private final double[] pressure = new double[ROWS];
        private final double[] flow = new double[ROWS];
        private final double[] mass = new double[ROWS];

        Columns(long seed) {
            Well19937c random = new Well19937c(seed);
            for (int i = 0; i < ROWS; i++) {
                double t = i / 10.0;
                time[i] = t;
                pressure[i] = hundredths(Math.max(0, truePressure(t) + 0.03 * random.nextGaussian()));
                flow[i] = hundredths(t < 28 ? Math.max(0, (t < 2 ? 6.5 : 1.9) + 0.05 * random.nextGaussian()) : 0);
                mass[i] = Math.rint(10 * (trueMass(t) + 0.03 * random.nextGaussian())) / 10;
            }
        }

        ShotLog log() {
            Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
            channels.put(Channel.PRESSURE, Samples.of(pressure));
            channels.put(Channel.PUMP_FLOW, Samples.of(flow));
            channels.put(Channel.CUP_MASS, Samples.of(mass));
            return new ShotLog(Samples.of(time), channels);
        }

        /** The log without those rows. */
        ShotLog without(int from, int to) {
            Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
            log().channels().forEach((channel, samples) -> channels.put(channel, cut(samples.toArray(), from, to)));
            return new ShotLog(cut(time, from, to), channels);
        }

        private static Samples cut(double[] values, int from, int to) {
            double[] kept = Arrays.copyOf(values, values.length - (to - from));
            System.arraycopy(values, to, kept, from, values.length - to);
            return Samples.of(kept);
        }

        private static double hundredths(double value) {
            return Math.rint(100 * value) / 100;
        }
    }

    private static double truePressure(double t) {
        return t < 2 ? 0.1 : t < 4 ? 0.1 + 4.45 * (t - 2) : t < 28 ? 9 : 9 * Math.exp(-(t - 28) / 0.4);
    }

    private static double trueMass(double t) {
        double running = Math.max(0, Math.min(t, 28) - 7) * 1.75;
        return running + (t > 28 ? 1.25 * (1 - Math.exp(-(t - 28) / 0.7)) : 0);
    }

    private static ShotLog spoilt(Consumer<Columns> flaw) {
        Columns columns = new Columns(5);
        flaw.accept(columns);
        return columns.log();
    }

    private static CurveMeasures measured(ShotLog log, RepairKind... off) {
        Set<RepairKind> kinds = EnumSet.noneOf(RepairKind.class);
        kinds.addAll(List.of(off));
        return CurveMeasures.of(log,
                new CurveSettings(kinds, OptionalDouble.empty(), OptionalDouble.empty(), 0.1, OptionalDouble.empty(),
                        OptionalDouble.empty()));
    }

    private static List<RepairKind> kinds(CurveMeasures measures) {
        return measures.repaired().repairs().stream().map(Repair::kind).toList();
    }

    private static void assertCourse(CurveMeasures measures, double within) {
        UniformCurve mass = measures.find(Channel.CUP_MASS).orElseThrow();
        double level = mass.at(3);
        for (double t = 3; t < 33; t += 0.5) {
            assertThat(mass.at(t) - level).as("cup mass at %s s", t).isCloseTo(trueMass(t), within(within));
        }
        assertThat(measures.beverage().orElseThrow().value()).isCloseTo(trueMass(36), within(0.2));
    }

    @Test
    void cleanShotsAreLeftAlone() {
        for (int seed = 0; seed < 200; seed++) {
            assertThat(kinds(measured(new Columns(seed).log()))).as("seed %s", seed).isEmpty();
        }
    }

    @Nested
    class Scale {

        @ParameterizedTest
        @ValueSource(ints = {8, 14, 25})
        void aLiftedCupIsBridgedHoweverLongItIsAway(int rows) {
            ShotLog log = spoilt(c -> Arrays.fill(c.mass, 150, 150 + rows, -96.4));
            assertThat(kinds(measured(log))).containsExactly(RepairKind.CUP_LIFTED);
            assertCourse(measured(log), 0.35);
            CurveMeasures off = measured(log, RepairKind.CUP_LIFTED, RepairKind.SCALE_KNOCK);
            assertThat(off.find(Channel.CUP_MASS).orElseThrow().at(15.4)).as("as logged").isLessThan(-50);
        }

        @ParameterizedTest
        @ValueSource(ints = {9, 15, 40})
        void whatLeansOnTheScaleIsNoLiftedCup(int rows) {
            ShotLog log = spoilt(c -> {
                for (int i = 180; i < 180 + rows; i++) {
                    c.mass[i] += 6.2;
                }
            });
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.SCALE_KNOCK);
            assertThat(measures.repaired().repairs().get(0).evidence()).startsWith("+6.");
            assertCourse(measures, 0.35);
        }

        @ParameterizedTest
        @ValueSource(doubles = {-12.3, -180})
        void aCupTakenAwayAtTheEndIsNoOtherCup(double shows) {
            ShotLog log = spoilt(c -> Arrays.fill(c.mass, ROWS - 20, ROWS, shows));
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.CUP_TAKEN);
            assertCourse(measures, 0.35);
        }

        @Test
        void aSecondCupIsStitchedOn() {
            ShotLog log = spoilt(c -> {
                double there = c.mass[180];
                for (int i = 180; i < ROWS; i++) {
                    c.mass[i] -= there;
                }
                c.mass[180] -= 12;
            });
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.VESSEL_SWAP);
            assertCourse(measures, 0.35);
            assertThat(measured(log, RepairKind.VESSEL_SWAP).beverage().orElseThrow().value()).isLessThan(25);
        }

        @ParameterizedTest
        @ValueSource(doubles = {-96.4, 240, 18.3})
        void aCupThatComesLateIsPutLevel(double before) {
            ShotLog log = spoilt(c -> {
                for (int i = 0; i < 22; i++) {
                    c.mass[i] += before;
                }
            });
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.CUP_PLACED);
            assertThat(measures.times().firstDrip().orElseThrow().seconds()).isCloseTo(6.8, within(0.3));
            assertCourse(measures, 0.35);
        }

        @Test
        void aFrozenScaleFollowsThePump() {
            ShotLog log = spoilt(c -> Arrays.fill(c.mass, 140, 175, c.mass[140]));
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.SCALE_FROZEN);
            assertThat(measures.repaired().repairs().get(0).evidence()).contains("then +").endsWith("g at once");
            assertCourse(measures, 0.35);
        }

        /** After the last drip, and before the first, a scale that shows one value is a scale at rest. */
        @Test
        void aScaleAtRestIsNotFrozen() {
            ShotLog log = spoilt(c -> {
                Arrays.fill(c.mass, 0, 60, 0);
                Arrays.fill(c.mass, 310, ROWS, c.mass[312]);
            });
            assertThat(kinds(measured(log))).isEmpty();
        }

        @ParameterizedTest
        @ValueSource(booleans = {true, false})
        void aScaleThatSwitchesOffLeavesTheBeverageUnknown(boolean zeros) {
            ShotLog log = spoilt(c -> Arrays.fill(c.mass, 200, ROWS, zeros ? 0 : c.mass[200]));
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.SCALE_TIMED_OUT);
            assertThat(measures.beverage()).isEmpty();
            assertThat(measures.times().lastDrip()).isEmpty();
            assertThat(measures.times().firstDrip()).isPresent();
            assertThat(measured(log, RepairKind.SCALE_TIMED_OUT).beverage()).as("switched off: as logged").isPresent();
        }

        @ParameterizedTest
        @CsvSource({"0.9", "1.4"})
        void aScaleThatLagsIsMovedForward(double lag) {
            ShotLog log = spoilt(c -> {
                double[] prompt = c.mass.clone();
                int rows = (int) Math.round(10 * (lag + 0.6));
                for (int i = 0; i < ROWS; i++) {
                    c.mass[i] = i < rows ? 0 : prompt[i - rows];
                }
            });
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.SCALE_LAG);
            assertThat(measures.times().firstDrip().orElseThrow().seconds()).isCloseTo(7, within(0.35));
        }

        /** A stream that thins at once and drips on for long is no delay. */
        @Test
        void aLongDripOutIsNoDelay() {
            ShotLog log = spoilt(c -> {
                for (int i = 280; i < ROWS; i++) {
                    c.mass[i] = c.mass[280] + 3 * (1 - Math.exp(-(i - 280) / 18.0));
                }
            });
            assertThat(kinds(measured(log))).isEmpty();
        }

        @Test
        void aDelayThatIsEnteredGoesBeforeWhatIsFound() {
            ShotLog log = new Columns(5).log();
            CurveMeasures moved = CurveMeasures.of(log, new CurveSettings(Set.of(), OptionalDouble.empty(),
                    OptionalDouble.empty(), 0.1, OptionalDouble.of(2), OptionalDouble.empty()));
            CurveMeasures plain = measured(log);
            assertThat(moved.repaired().repairs()).singleElement()
                    .extracting(Repair::evidence)
                    .isEqualTo("2.0 s, as entered");
            assertThat(plain.times().firstDrip().orElseThrow().seconds()
                    - moved.times().firstDrip().orElseThrow().seconds()).isCloseTo(2, within(0.11));
        }

        @Test
        void aForgottenTareIsTakenOff() {
            ShotLog log = spoilt(c -> Arrays.setAll(c.mass, i -> c.mass[i] + 84.2));
            assertThat(kinds(measured(log))).containsExactly(RepairKind.TARE_OFFSET);
            assertCourse(measured(log), 0.3);
        }
    }

    @Nested
    class Sensors {

        @Test
        void aPressureThatRestsAboveZeroIsShifted() {
            ShotLog log = spoilt(c -> Arrays.setAll(c.pressure, i -> c.pressure[i] + 0.42));
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.PRESSURE_OFFSET);
            assertThat(measures.find(Channel.PRESSURE).orElseThrow().at(15)).isCloseTo(9, within(0.08));
            assertThat(measured(log, RepairKind.PRESSURE_OFFSET).find(Channel.PRESSURE).orElseThrow().at(15))
                    .isCloseTo(9.42, within(0.08));
        }

        /** Where the log never rests the machine's entry counts, but not in a log that was zeroed already. */
        @ParameterizedTest
        @CsvSource({"0.42, 0.42, true", "0, 0.42, false", "0.42, 0, false"})
        void theRestThatIsWrittenDownCountsWhereTheLogShowsNone(double shift, double stated, boolean shifted) {
            Columns columns = new Columns(5);
            Arrays.setAll(columns.pressure, i -> columns.pressure[i] + shift);
            CurveMeasures measures = CurveMeasures.of(columns.without(290, ROWS), new CurveSettings(Set.of(),
                    OptionalDouble.empty(), OptionalDouble.empty(), 0.1, OptionalDouble.empty(),
                    OptionalDouble.of(stated)));
            assertThat(kinds(measures).contains(RepairKind.PRESSURE_OFFSET)).isEqualTo(shifted);
            assertThat(measures.find(Channel.PRESSURE).orElseThrow().at(15))
                    .isCloseTo(shifted ? 9 : 9 + shift, within(0.08));
        }

        /** A log that ends while the pressure still falls shows no rest: what is left is no offset. */
        @Test
        void aPressureStillFallingIsNoOffset() {
            assertThat(kinds(measured(new Columns(5).without(290, ROWS)))).isEmpty();
        }

        @ParameterizedTest
        @CsvSource({"120, 6.5", "45, -3", "250, 4"})
        void aSpikeIsBridged(int at, double by) {
            ShotLog log = spoilt(c -> c.pressure[at] += by);
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.PRESSURE_SPIKE);
            assertThat(measures.find(Channel.PRESSURE).orElseThrow().at(at / 10.0)).isCloseTo(truePressure(at / 10.0),
                    within(0.25));
            assertThat(measures.peakPressure().orElseThrow()).isLessThan(9.2);
        }

        @Test
        void aClippedSensorIsMarkedAndNothingIsInvented() {
            ShotLog log = spoilt(c -> Arrays.setAll(c.pressure, i -> Math.min(7.25, c.pressure[i])));
            CurveMeasures measures = measured(log);
            assertThat(measures.repaired().repairs()).singleElement().satisfies(repair -> {
                assertThat(repair.kind()).isEqualTo(RepairKind.CLIPPED);
                assertThat(repair.evidence()).startsWith("exactly 7.25 bar for 2")
                        .endsWith("the true pressure may be higher");
            });
            assertThat(measures.peakPressure()).hasValue(7.25);
        }

        /** A gauge that moves in whole bars stands still everywhere; that is its resolution, not its range. */
        @Test
        void aCoarseGaugeIsNotClipped() {
            assertThat(kinds(measured(spoilt(c -> Arrays.setAll(c.pressure, i -> Math.rint(c.pressure[i]))))))
                    .isEmpty();
        }
    }

    @Nested
    class Logger {

        @Test
        void aSilentSensorIsBridgedOrLeftOpen() {
            ShotLog log = spoilt(c -> Arrays.fill(c.pressure, 150, 162, Double.NaN));
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.DROPOUT);
            assertThat(measures.find(Channel.PRESSURE).orElseThrow().at(15.6)).isCloseTo(9, within(0.15));
        }

        @Test
        void rowsThatAreMissingAreBridgedUpToFiveSeconds() {
            CurveMeasures measures = measured(new Columns(5).without(150, 185));
            assertThat(kinds(measures)).containsExactly(RepairKind.GAP);
            assertCourse(measures, 0.35);
            CurveMeasures off = CurveMeasures.of(new Columns(5).without(150, 185),
                    new CurveSettings(Set.of(RepairKind.GAP), OptionalDouble.empty(),
                            OptionalDouble.empty(), 0.1, OptionalDouble.empty(), OptionalDouble.empty()));
            assertThat(off.find(Channel.PRESSURE).orElseThrow().at(16)).as("switched off: open").isNaN();
            CurveMeasures longer = measured(new Columns(5).without(120, 200));
            assertThat(longer.repaired().repairs()).singleElement().satisfies(repair -> {
                assertThat(repair.applied()).isFalse();
                assertThat(repair.evidence()).isEqualTo("no rows for 8.1 s: too long to bridge");
            });
        }

        @Test
        void aSlowChannelIsNotSilent() {
            ShotLog log = spoilt(c -> {
                for (int i = 0; i < ROWS; i++) {
                    c.mass[i] = i % 4 == 0 ? c.mass[i] : Double.NaN;
                }
            });
            assertThat(kinds(measured(log))).isEmpty();
        }

        @Test
        void stampsThatJitterStayWhereTheyBelong() {
            ShotLog log = spoilt(c -> {
                for (int i = 40; i < 300; i += 37) {
                    c.time[i] = c.time[i - 1] - 0.08;
                }
            });
            CurveMeasures measures = measured(log);
            assertThat(measures.repaired().repairs()).singleElement()
                    .extracting(Repair::evidence)
                    .isEqualTo("0 repeated and 8 backward timestamps");
            assertThat(measures.repaired().log().time().get(measures.repaired().log().size() - 1))
                    .as("the clock does not drift")
                    .isCloseTo(35.9, within(1e-9));
            assertCourse(measures, 0.35);
            assertThat(measured(log, RepairKind.TIME_ORDER).repaired().log().size()).as("switched off: left out")
                    .isEqualTo(ROWS - 8);
        }

        @Test
        void aClockThatStartsAgainGoesOn() {
            ShotLog log = spoilt(c -> {
                for (int i = 170; i < ROWS; i++) {
                    c.time[i] -= 17;
                }
            });
            CurveMeasures measures = measured(log);
            assertThat(kinds(measures)).containsExactly(RepairKind.CLOCK_RESET);
            assertThat(measures.times().pumpOff().orElseThrow().seconds()).isCloseTo(28, within(0.4));
            assertCourse(measures, 0.35);
        }
    }

    /** Three faults at once, each found for itself. */
    @Test
    void faultsDoNotHideEachOther() {
        ShotLog log = spoilt(c -> {
            Arrays.setAll(c.pressure, i -> c.pressure[i] + 0.5);
            Arrays.setAll(c.mass, i -> c.mass[i] + 4.4);
            c.mass[160] += 22;
            c.pressure[200] += 7;
        });
        CurveMeasures measures = measured(log);
        assertThat(new ArrayList<>(kinds(measures))).containsExactlyInAnyOrder(RepairKind.PRESSURE_SPIKE,
                RepairKind.PRESSURE_OFFSET,
                RepairKind.SCALE_KNOCK, RepairKind.TARE_OFFSET);
        assertCourse(measures, 0.35);
    }

    /** The band about the flow holds the true flow in 95 of 100 places. */
    @Test
    void theFlowsBandCovers() {
        int inside = 0;
        int all = 0;
        for (int seed = 0; seed < 40; seed++) {
            CurveMeasures measures = measured(new Columns(seed).log());
            for (double t = 10; t < 26; t += 2) {
                double flow = measures.find(Channel.CUP_FLOW).orElseThrow().at(t);
                inside += Math.abs(flow - 1.75) <= 2 * measures.uncertainty(Channel.CUP_FLOW, t) ? 1 : 0;
                all++;
            }
        }
        assertThat(inside / (double) all).isBetween(0.9, 1.0);
    }
}
