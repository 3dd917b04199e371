package org.grenu.core.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.Masses;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class BrewTest {

    /** Handbook §4: c = 9.41 ± 0.03 %, both masses on a 0.1 g display. */
    private static final Measured STEP = Measured.independent(0, 0.1 / Math.sqrt(12));
    private static final Brew WORKED = new Brew(Measured.independent(18, STEP.u()),
            Measured.independent(41.2, STEP.u()),
            Measured.independent(9.41, 0.03), true, Optional.of(Measured.exact(3.5)));

    @Nested
    class HandbookValues {

        /** Handbook §3 (common practice). */
        @Test
        void yieldOnBothBases() {
            assertThat(WORKED.asDosed().percent().value()).isCloseTo(21.54, within(0.005));
            assertThat(WORKED.dry().orElseThrow().percent().value()).isCloseTo(22.32, within(0.005));
            Brew round = new Brew(Measured.exact(24), Measured.exact(48), Measured.exact(10), true, Optional.empty());
            assertThat(round.solids().value()).isCloseTo(4.8, within(1e-12));
            assertThat(round.asDosed().percent().value()).isCloseTo(20, within(1e-12));
            assertThat(round.dry()).isEmpty();
        }

        /** Handbook §4 (GUM, product model). */
        @Test
        void uncertaintyAndBudget() {
            ExtractionYield yield = WORKED.asDosed();
            assertThat(yield.percent().value()).isCloseTo(21.538, within(5e-4));
            assertThat(yield.percent().u()).isCloseTo(0.0783, within(5e-5));
            assertThat(yield.percent().expanded()).isCloseTo(0.157, within(5e-4));
            assertThat(yield.budget().share(Input.STRENGTH)).isCloseTo(0.768, within(5e-4));
            assertThat(yield.budget().share(Input.BEVERAGE)).isCloseTo(0.037, within(5e-4));
            assertThat(yield.budget().share(Input.DOSE)).isCloseTo(0.194, within(5e-4));
        }

        /** The same numbers come out of a record in which only dose, beverage mass and one reading are entered. */
        @Test
        void aRecordWithoutInstrumentDataGivesTheWorkedExample() {
            ShotRecord record = ShotRecord.EMPTY.with(RecordField.DOSE, "18")
                    .with(RecordField.BEVERAGE, "41.2")
                    .with(RecordField.READINGS, "9.41");
            Brew brew = Masses.of(record, Optional.empty()).brew().orElseThrow();
            assertThat(brew.asDosed().percent().expanded()).isCloseTo(WORKED.asDosed().percent().expanded(),
                    within(1e-12));
        }

        /** Handbook §3: the same solids in 36 g. */
        @Test
        void dilution() {
            assertThat(Dilution.strengthAfter(20, 24, 12)).isCloseTo(13.333, within(5e-4));
            assertThatThrownBy(() -> Dilution.strengthAfter(20, 0, 12))
                    .hasMessageContaining("beverage must be positive");
        }

        /** Handbook §3: 10 g at 24 %, 10 g at 16 %, 28 g at 2.857 % on 24 g. */
        @Test
        void slices() {
            Slices slices = new Slices(24,
                    List.of(new Slices.Slice(10, 24), new Slices.Slice(10, 16), new Slices.Slice(28, 2.857)));
            assertThat(slices.cumulative()).extracting(s -> Math.round(100 * s.yieldPercent()) / 100.0)
                    .containsExactly(10.0, 16.67, 20.0);
            assertThat(slices.cumulative()).extracting(s -> Math.round(100 * s.strengthPercent()) / 100.0)
                    .containsExactly(24.0, 20.0, 10.0);
        }

        /** Handbook §3: 7–12 % and 18–22 % meet only from about 1:1.5 to 1:3.1. */
        @Test
        void windowsMeetBetweenTwoRatios() {
            assertThat(TargetWindow.USUAL.smallestRatio()).isCloseTo(1.5, within(0.001));
            assertThat(TargetWindow.USUAL.largestRatio()).isCloseTo(3.14, within(0.01));
        }
    }

    @Nested
    class CrossChecks {

        @Test
        void monteCarloAgreesWithTheProductFormula() {
            Brew brew = new Brew(WORKED.dose(), WORKED.beverage(), new Measured(9.41, 0.02, 0.02), true,
                    Optional.of(new Measured(3.5, 0, 0.3)));
            for (Basis basis : Basis.values()) {
                MonteCarloYield.Result drawn = new MonteCarloYield(200_000, 7).of(brew, basis);
                Measured formula = brew.yield(basis).orElseThrow().percent();
                assertThat(drawn.mean()).isCloseTo(formula.value(),
                        within(5 * formula.u() / Math.sqrt(200_000) + 2e-4));
                assertThat(drawn.u()).isCloseTo(formula.u(), within(0.01 * formula.u()));
            }
        }

        /** A bias of the one scale raises dose and beverage alike: most of it cancels. Of two scales it does not. */
        @Test
        void aScalesBiasCountsOnce() {
            Measured dose = new Measured(18, STEP.u(), 0.1);
            Measured beverage = new Measured(36, STEP.u(), 0.1);
            Brew one = new Brew(dose, beverage, Measured.exact(10), true, Optional.empty());
            Brew two = new Brew(dose, beverage, Measured.exact(10), false, Optional.empty());
            assertThat(one.asDosed().percent().shared()).as("20 · (0.1/18 − 0.1/36)").isCloseTo(0.05556, within(1e-5));
            assertThat(two.asDosed().percent().shared()).as("20 · √(0.1²/18² + 0.1²/36²)")
                    .isCloseTo(0.12423, within(1e-5));
            assertThat(one.asDosed().budget().share(Input.SCALE)).isGreaterThan(0.1);
            assertThat(two.asDosed().budget().shares()).doesNotContainKey(Input.SCALE);
            for (Brew brew : List.of(one, two)) {
                assertThat(new MonteCarloYield(200_000, 3).of(brew, Basis.AS_DOSED).u())
                        .isCloseTo(brew.asDosed().percent().u(), within(0.01 * brew.asDosed().percent().u()));
                assertThat(brew.asDosed().budget().shares().values().stream().mapToDouble(Double::doubleValue).sum())
                        .isCloseTo(1, within(1e-12));
            }
        }

        /** The k = 2 interval of a full record covers the truth in about 95 of 100 shots. */
        @Test
        void intervalsCover() {
            Well19937c random = new Well19937c(11);
            int covered = 0;
            int trials = 4000;
            for (int i = 0; i < trials; i++) {
                double trueStrength = 9.41;
                double bias = (2 * random.nextDouble() - 1) * 0.045;
                StringBuilder readings = new StringBuilder();
                for (int r = 0; r < 3; r++) {
                    readings.append(Math.round(100 * (trueStrength + bias + 0.015 * random.nextGaussian())) / 100.0)
                            .append(' ');
                }
                ShotRecord record = ShotRecord.EMPTY.with(RecordField.READINGS, readings.toString())
                        .with(RecordField.DOSE, Math.round(10 * (18 + 0.1 * (random.nextDouble() - 0.5))) / 10.0)
                        .with(RecordField.BEVERAGE, Math.round(10 * (41.2 + 2 * (random.nextDouble() - 0.5))) / 10.0);
                double trueDose = record.number(RecordField.DOSE).getAsDouble() + 0.1 * (random.nextDouble() - 0.5);
                double trueBeverage = record.number(RecordField.BEVERAGE).getAsDouble()
                        + 0.1 * (random.nextDouble() - 0.5);
                Measured yield = Masses.of(record, Optional.empty()).brew().orElseThrow().asDosed().percent();
                if (Math.abs(yield.value() - trueStrength * trueBeverage / trueDose) <= yield.expanded()) {
                    covered++;
                }
            }
            assertThat(covered / (double) trials).isBetween(0.945, 0.995);
        }

        @Test
        void sharedAndIndependentPartsStayApart() {
            Measured strength = new Measured(10, 0, 0.05);
            Measured yield = new Brew(Measured.independent(20, 0.1), Measured.exact(40), strength, true,
                    Optional.empty())
                    .asDosed()
                    .percent();
            assertThat(yield.shared()).isCloseTo(20 * 0.05 / 10, within(1e-12));
            assertThat(yield.independent()).isCloseTo(20 * 0.1 / 20, within(1e-12));
        }
    }

    @Test
    void impossibleMassesAreRefused() {
        Measured one = Measured.exact(1);
        assertThatThrownBy(() -> new Brew(Measured.exact(0), one, one, true, Optional.empty()))
                .hasMessageContaining("dose must be positive");
        assertThatThrownBy(() -> new Brew(one, Measured.exact(-1), one, true, Optional.empty()))
                .hasMessageContaining("must not be negative");
        assertThatThrownBy(() -> new Brew(one, one, one, true, Optional.of(Measured.exact(100))))
                .hasMessageContaining("moisture");
        assertThatThrownBy(() -> new Measured(Double.NaN, 0, 0)).hasMessageContaining("finite");
        assertThatThrownBy(() -> new Measured(1, -1, 0)).hasMessageContaining("not negative");
    }
}
