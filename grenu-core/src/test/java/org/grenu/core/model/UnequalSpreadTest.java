package org.grenu.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import org.grenu.core.numbers.Samples;
import org.junit.jupiter.api.Test;

/** Arms that spread differently, and slopes known beforehand: the handbook's check values (§23). */
class UnequalSpreadTest {

    private static final double[] MANY = {20.11, 20.02, 20.17, 19.95, 20.08, 20.20, 19.90, 20.13, 20.05, 19.98, 20.10,
            20.07};
    private static final double[] FEW = {20.9, 19.6, 21.1, 20.0, 20.7};

    private static Term.Levels arms(int first, int second) {
        List<String> byRow = new ArrayList<>();
        for (int i = 0; i < first + second; i++) {
            byRow.add(i < first ? "A" : "B");
        }
        return Term.Levels.of("arm", byRow);
    }

    private static FixedFit fit(Term term, double[]... arms) {
        double[] y = List.of(arms).stream().flatMapToDouble(DoubleStream::of).toArray();
        return FixedFit.of(new Design(y.length, List.of(term)), Samples.of(y), KnownErrors.ones(y.length));
    }

    /** R, t.test. */
    @Test
    void twoArmsAreWelchs() {
        Estimate difference = UnequalSpread.estimate(fit(arms(12, 5), MANY, FEW), new double[] {0, 1}).orElseThrow();
        assertThat(difference.value()).isCloseTo(0.3967, within(5e-5));
        assertThat(difference.se()).isCloseTo(0.28506, within(5e-6));
        assertThat(difference.df()).isCloseTo(4.0655, within(5e-5));
        assertThat(difference.pAgainst(0)).isCloseTo(0.2354, within(5e-5));
        assertThat(fit(arms(12, 5), MANY, FEW).estimate(new double[] {0, 1}).orElseThrow().pAgainst(0))
                .as("one pooled spread would claim")
                .isCloseTo(0.043, within(5e-4));
    }

    /** The same arms as a number are a line: Bell and McCaffrey's 7.551 (R, clubSandwich). */
    @Test
    void aLineHasBellAndMcCaffreysDegreesOfFreedom() {
        double[] arm = new double[17];
        for (int i = 12; i < 17; i++) {
            arm[i] = 1;
        }
        Estimate slope = UnequalSpread
                .estimate(fit(new Term.Numeric("arm", Samples.of(arm)), MANY, FEW), new double[] {0, 1})
                .orElseThrow();
        assertThat(slope.se()).isCloseTo(0.28506, within(5e-6));
        assertThat(slope.df()).isCloseTo(7.551, within(5e-4));
    }

    @Test
    void anArmOfOneShotHasNoSpreadOfItsOwn() {
        assertThat(UnequalSpread.estimate(fit(arms(12, 1), MANY, new double[] {21}), new double[] {0, 1})).isEmpty();
    }

    /** What goes through the beverage mass and what does not, the rows' spread fixed at 0.25. */
    @Test
    void aSlopeKnownBeforehandTemperesWhatTheRowsMakeOfScatter() {
        double[] grams = {39.8, 40.1, 40.0, 39.7, 40.3, 40.1, 40.6, 40.4, 40.9, 40.5, 40.7, 40.5};
        Samples y = Samples.of(20.1, 20.4, 20.2, 19.9, 20.5, 20.3, 21.1, 21.0, 21.5, 21.2, 21.3, 21.1);
        Term.Levels arm = arms(6, 6);
        Term.Numeric mass = new Term.Numeric("ln mass",
                Samples.of(DoubleStream.of(grams).map(Math::log).toArray()));
        Design design = new Design(12, List.of(arm, mass));
        FixedFit total = FixedFit.of(new Design(12, List.of(arm)), y, KnownErrors.ones(12));
        assertThat(total.estimate(new double[] {0, 1}).orElseThrow().value()).isCloseTo(0.9667, within(5e-5));
        FixedFit fit = FixedFit.of(design, y, KnownErrors.ones(12), List.of(new KnownSlope(mass, 6, 4)), 0.25);
        double ownSpread = fit.deviation();
        Estimate remainder = fit.estimate(new double[] {0, 1, 0}).orElseThrow();
        assertThat(remainder.value()).isCloseTo(0.8488, within(5e-5));
        assertThat(remainder.se() / ownSpread * 0.25).isCloseTo(0.1555, within(5e-5));
        Estimate slope = fit.estimate(new double[] {0, 0, 1}).orElseThrow();
        assertThat(slope.value()).isCloseTo(7.917, within(5e-4));
        assertThat(slope.se() / ownSpread * 0.25).isCloseTo(3.879, within(5e-4));
        double[] free = FixedFit.of(design, y, KnownErrors.ones(12)).coefficients();
        assertThat(free[1]).as("left free").isCloseTo(0.397, within(5e-4));
        assertThat(free[2]).isCloseTo(38, within(0.5));
    }
}
