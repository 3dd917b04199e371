package org.grenu.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.grenu.core.numbers.Samples;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class PumpTimesTest {

    private static Optional<UniformCurve> curve(double seconds, DoubleUnaryOperator of) {
        double[] values = new double[(int) Math.round(seconds * 10) + 1];
        for (int i = 0; i < values.length; i++) {
            values[i] = of.applyAsDouble(i / 10.0);
        }
        return Optional.of(new UniformCurve(0, 0.1, Samples.of(values)));
    }

    private static double decaying(double since, double from, double tau) {
        return from * Math.exp(-since / tau);
    }

    @Nested
    class On {

        @Test
        void flowShowsTheWettingThatPressureDoesNot() {
            Optional<UniformCurve> flow = curve(30, t -> t > 1 ? 4 : 0);
            Optional<UniformCurve> pressure = curve(30, t -> t > 6 ? 9 : 0);
            TimedEvent on = PumpTimes.on(pressure, flow).orElseThrow();
            assertThat(on.seconds()).isCloseTo(1.05, within(0.1));
            assertThat(on.how()).isEqualTo("pump flow");
        }

        @Test
        void isUnknownWithoutAMeterOfTheFlow() {
            Optional<UniformCurve> pressure = curve(30, t -> t > 6 ? 9 : 0);
            assertThat(PumpTimes.on(pressure, Optional.empty())).isEmpty();
            assertThat(PumpTimes.pressureOnset(pressure.orElseThrow(), 0, 30).orElseThrow().seconds()).isCloseTo(6.05,
                    within(0.1));
        }

        @Test
        void isUnknownInALogThatStartsUnderWay() {
            assertThat(PumpTimes.on(curve(10, t -> 9), curve(10, t -> 2))).isEmpty();
            assertThat(PumpTimes.pressureOnset(curve(10, t -> 9).orElseThrow(), 0, 10)).isEmpty();
            assertThat(PumpTimes.on(curve(10, t -> t), curve(10, t -> 2)).orElseThrow().seconds()).isZero();
        }

        @Test
        void aSingleSpikeIsNoStart() {
            Optional<UniformCurve> spiked = curve(20, t -> Math.abs(t - 2) < 0.01 || t > 5 ? 5 : 0);
            assertThat(PumpTimes.on(Optional.empty(), spiked).orElseThrow().seconds()).isCloseTo(5, within(0.15));
            assertThat(PumpTimes.on(curve(20, t -> 0.1), curve(20, t -> 0))).isEmpty();
            assertThat(PumpTimes.on(Optional.empty(), Optional.empty())).isEmpty();
        }
    }

    @Nested
    class Off {

        @Test
        void isWhereThePressureBeginsToFallSteeply() {
            for (double tau : new double[] {0.3, 0.6, 1.5}) {
                for (double full : new double[] {4, 9}) {
                    Optional<UniformCurve> pressure = curve(40, t -> t < 25 ? full : decaying(t - 25, full, tau));
                    assertThat(PumpTimes.off(pressure, Optional.empty()).orElseThrow().seconds())
                            .as("τ %s, %s bar", tau, full)
                            .isCloseTo(25, within(0.25));
                }
            }
        }

        @Test
        void aTaperIsStillThePump() {
            Optional<UniformCurve> pressure = curve(40,
                    t -> t < 10 ? 9 : t < 30 ? 9 - 0.25 * (t - 10) : decaying(t - 30, 4, 0.5));
            assertThat(PumpTimes.off(pressure, Optional.empty()).orElseThrow().seconds()).isCloseTo(30, within(0.2));
        }

        @Test
        void aChokedShotEndsByItsPressureThoughNothingFlows() {
            Optional<UniformCurve> flow = curve(70, t -> t < 5 ? 5 : 0);
            Optional<UniformCurve> pressure = curve(70, t -> t < 60 ? 9 : decaying(t - 60, 9, 0.5));
            assertThat(PumpTimes.off(pressure, flow).orElseThrow().seconds()).isCloseTo(60, within(0.2));
        }

        @Test
        void isUnknownInALogThatMerelyEnds() {
            assertThat(PumpTimes.off(curve(25, t -> 9), Optional.empty())).isEmpty();
            assertThat(PumpTimes.off(curve(25, t -> 9), curve(25, t -> 2))).isEmpty();
        }

        /** A meter that is smoothed or counts pulses in a window goes on after the stop; the fall begins with it. */
        @Test
        void isWhereTheFlowBeginsToFallNotWhereItsTailEnds() {
            Optional<UniformCurve> smoothed = curve(40, t -> t < 25 ? 2 : decaying(t - 25, 2, 0.8));
            assertThat(PumpTimes.off(Optional.empty(), smoothed).orElseThrow().seconds()).isCloseTo(25, within(0.15));
            Optional<UniformCurve> counted = curve(40, t -> t < 25 ? 2 : Math.max(0, 2 - 2 * (t - 25)));
            assertThat(PumpTimes.off(Optional.empty(), counted).orElseThrow().seconds()).isCloseTo(25, within(0.15));
        }

        /** Without a valve the puck lets the pressure go, for seconds. */
        @Test
        void aPressureThatGoesSlowlyEndedWhereItBeganToGo() {
            Optional<UniformCurve> slow = curve(40, t -> t < 25 ? 8 : 8 / (1 + (t - 25) / 1.5));
            assertThat(PumpTimes.off(slow, Optional.empty()).orElseThrow().seconds()).isCloseTo(25, within(0.3));
            Optional<UniformCurve> flow = curve(40, t -> t < 25 ? 2 : 0);
            assertThat(PumpTimes.off(slow, flow).orElseThrow().seconds()).isCloseTo(25, within(0.15));
        }

        @Test
        void aChannelThatShowsTheStopGoesBeforeOneThatNeverDoes() {
            Optional<UniformCurve> released = curve(32, t -> t < 25 ? 9 : decaying(t - 25, 9, 0.5));
            assertThat(PumpTimes.off(released, curve(32, t -> 2)).orElseThrow().seconds()).isCloseTo(25, within(0.2));
            TimedEvent byFlow = PumpTimes.off(curve(32, t -> 9), curve(32, t -> t < 28 ? 2 : 0)).orElseThrow();
            assertThat(byFlow.seconds()).isCloseTo(28, within(0.15));
            assertThat(byFlow.how()).isEqualTo("pump flow");
        }

        @Test
        void isUnknownWithoutPressureOrFlow() {
            assertThat(PumpTimes.off(curve(25, t -> 0.4), Optional.empty())).isEmpty();
            assertThat(PumpTimes.off(Optional.empty(), curve(9, t -> 0))).isEmpty();
        }
    }

    @Test
    void aCurveIsReadBetweenItsValuesAndNowhereElse() {
        UniformCurve curve = new UniformCurve(2, 0.5, Samples.of(1, 2, Double.NaN, 4));
        assertThat(curve.at(2.25)).isCloseTo(1.5, within(1e-12));
        assertThat(curve.at(2.5)).isEqualTo(2);
        assertThat(curve.at(3.5)).isEqualTo(4);
        assertThat(curve.at(2.75)).isNaN();
        assertThat(curve.at(1.9)).isNaN();
        assertThat(curve.at(3.6)).isNaN();
        assertThat(curve.at(Double.NaN)).isNaN();
        assertThat(curve.end()).isEqualTo(3.5);
    }
}
