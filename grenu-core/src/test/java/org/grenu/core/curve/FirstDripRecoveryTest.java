package org.grenu.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Map;
import org.grenu.core.numbers.Samples;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Test;

/** The first drip over many random shots whose true one is known: found, with an uncertainty that means something. */
class FirstDripRecoveryTest {

    private static final int SHOTS = 600;

    /** A cup that begins to fill at {@code drip} with a flow that builds up over {@code onset}. */
    private record Pour(double drip, double onset, double flow, double noise, double tare, double drift, double step) {

        static Pour random(Well19937c random) {
            return new Pour(2 + 12 * random.nextDouble(), 0.2 + 1.2 * random.nextDouble(),
                    1 + 2.5 * random.nextDouble(),
                    0.01 + 0.06 * random.nextDouble(), random.nextInt(3) == 0 ? 300 * random.nextDouble() - 20 : 0,
                    0.01 * (random.nextDouble() - 0.5), 0.05 + 0.15 * random.nextDouble());
        }

        double mass(double t) {
            double since = Math.max(0, t - drip);
            return tare + drift * t + flow * (since - onset * (1 - Math.exp(-since / onset)));
        }

        UniformCurve logged(Well19937c random) {
            int n = (int) (32 / step);
            double[] time = new double[n];
            double[] mass = new double[n];
            for (int i = 0; i < n; i++) {
                time[i] = (i + 0.4 * random.nextDouble()) * step;
                mass[i] = Math.round(10 * (mass(time[i]) + noise * random.nextGaussian())) / 10.0;
            }
            return Resampling.STANDARD.resample(Samples.of(time), Samples.of(mass));
        }

        /** When the cup has gained what a 0.1 g display can show beyond doubt; before that no log can tell. */
        double visible() {
            double t = drip;
            while (mass(t) - drift * t - tare < 0.1) {
                t += 0.01;
            }
            return t;
        }
    }

    @Test
    void isFoundNearTheTruthInNearlyEveryShot() {
        Well19937c random = new Well19937c(21);
        int near = 0;
        int early = 0;
        for (int i = 0; i < SHOTS; i++) {
            Pour pour = Pour.random(random);
            TimedEvent found = FirstDrip.find(pour.logged(random)).orElseThrow();
            near += found.seconds() > pour.drip() - 0.3 && found.seconds() < pour.visible() + 0.3 ? 1 : 0;
            early += found.seconds() < pour.drip() - 0.6 ? 1 : 0;
        }
        assertThat(near / (double) SHOTS).as("within 0.3 s of the drip or of when it shows").isGreaterThan(0.95);
        assertThat(early / (double) SHOTS).as("long before anything dripped").isLessThan(0.01);
    }

    @Test
    void itsUncertaintyCoversTheTruthMostly() {
        Well19937c random = new Well19937c(22);
        int covered = 0;
        double widest = 0;
        for (int i = 0; i < SHOTS; i++) {
            Pour pour = Pour.random(random);
            TimedEvent found = FirstDrip.find(pour.logged(random)).orElseThrow();
            double low = found.seconds() - 2 * found.u();
            double high = found.seconds() + 2 * found.u();
            covered += high >= pour.drip() && low <= pour.visible() ? 1 : 0;
            widest = Math.max(widest, found.u());
        }
        assertThat(covered / (double) SHOTS).isGreaterThan(0.93);
        assertThat(widest).isLessThanOrEqualTo(2);
    }

    @Test
    void nothingIsFoundWhereNothingDrips() {
        Well19937c random = new Well19937c(23);
        for (int i = 0; i < 200; i++) {
            Pour dry = new Pour(100, 1, 1, 0.08, 50 * random.nextDouble(), 0.015 * (random.nextDouble() - 0.5), 0.1);
            assertThat(FirstDrip.find(dry.logged(random))).isEmpty();
        }
    }

    @Test
    void gapsAndTinyLogsDoNoHarm() {
        double[] mass = new double[200];
        for (int i = 0; i < mass.length; i++) {
            mass[i] = i > 60 && i < 80 ? Double.NaN : Math.max(0, i - 90) * 0.2;
        }
        UniformCurve gap = new UniformCurve(0, 0.1, Samples.of(mass));
        assertThat(FirstDrip.find(gap).orElseThrow().seconds()).isCloseTo(8.8, within(0.2));
        assertThat(FirstDrip.find(new UniformCurve(0, 0.1, Samples.of(1, 2, 3)))).isEmpty();
        assertThat(FirstDrip.find(new UniformCurve(0, 0.1, Samples.of(new double[50])))).isEmpty();
        double[] steep = new double[50];
        Arrays.fill(steep, 20, 50, 30);
        assertThat(FirstDrip.find(new UniformCurve(0, 0.1, Samples.of(steep))).orElseThrow().seconds()).isCloseTo(1.9,
                within(0.2));
        assertThat(CurveMeasures
                .of(new ShotLog(Samples.of(0, 1, 2), Map.of(Channel.CUP_MASS, Samples.of(0, 0, 9))),
                        CurveSettings.STANDARD)
                .beverage()).as("nobody knows what came after the last point").isEmpty();
    }
}
