package org.grenu.core.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.extraction.StatedYield.Alternatives;
import org.grenu.core.extraction.StatedYield.Assumption;
import org.grenu.core.extraction.YieldEquation.Term;
import org.grenu.core.quantity.Measured;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The balance of dissolved solids, solved for each of its quantities, and what it says of a yield from elsewhere. */
class YieldEquationTest {

    private static final Alternatives NONE = new Alternatives(Map.of(), Map.of(), Map.of());

    private static Brew brew(double dose, double beverage, double strength, Optional<Measured> moisture) {
        return new Brew(Measured.independent(dose, 0.029), Measured.independent(beverage, 0.029),
                Measured.independent(strength, 0.03), true, moisture);
    }

    /** Handbook §3: 18.0 g, 41.2 g and 9.41 % are 21.54 % as dosed, 22.32 % dry with 3.5 %. */
    @ParameterizedTest
    @CsvSource({"YIELD, 21.539", "DOSE, 18.0", "BEVERAGE, 41.2", "STRENGTH, 9.41"})
    void handbookValues(Term wanted, double value) {
        Map<Term, Measured> known = new EnumMap<>(Term.class);
        known.put(Term.DOSE, Measured.exact(18));
        known.put(Term.BEVERAGE, Measured.exact(41.2));
        known.put(Term.STRENGTH, Measured.exact(9.41));
        known.put(Term.YIELD, Measured.exact(21.5384));
        known.remove(wanted);
        assertThat(new YieldEquation(known).solve(wanted).orElseThrow().value()).isCloseTo(value, within(1e-3));
        known.put(Term.MOISTURE, Measured.exact(3.5));
        known.put(Term.YIELD, Measured.exact(22.3196));
        assertThat(new YieldEquation(known).solve(wanted).orElseThrow().value())
                .isCloseTo(wanted == Term.YIELD ? 22.320 : value, within(1e-3));
    }

    /** Handbook §3 again: 41.2 g of 18.0 g are 1:2.289; at 9 % and 20 % the ratio is 20/9. */
    @Test
    void theRatioIsSolvedForAndStandsInForAMass() {
        Map<Term, Measured> masses = Map.of(Term.DOSE, Measured.exact(18), Term.BEVERAGE, Measured.exact(41.2));
        assertThat(new YieldEquation(masses).solve(Term.RATIO).orElseThrow().value()).isCloseTo(2.2889, within(1e-4));
        Map<Term, Measured> cup = Map.of(Term.STRENGTH, Measured.exact(9), Term.YIELD, Measured.exact(20));
        assertThat(new YieldEquation(cup).solve(Term.RATIO).orElseThrow().value()).isCloseTo(20 / 9.0, within(1e-12));
        Map<Term, Measured> twice = Map.of(Term.DOSE, Measured.exact(18), Term.BEVERAGE, Measured.exact(41.2),
                Term.RATIO, Measured.exact(2), Term.STRENGTH, Measured.exact(9));
        assertThat(new YieldEquation(twice).solve(Term.YIELD)).as("the masses say another ratio").isEmpty();
    }

    /**
     * Each quantity comes back from the others, with the spread that drawing the others gives (JCGM 101); also where
     * the ratio stands in for a mass.
     */
    @ParameterizedTest
    @CsvSource({"DOSE, RATIO", "BEVERAGE, RATIO", "STRENGTH, RATIO", "YIELD, RATIO", "MOISTURE, RATIO",
            "RETAINED, RATIO", "RATIO, DOSE", "RATIO, BEVERAGE", "RATIO, RATIO", "DOSE, DOSE", "BEVERAGE, BEVERAGE",
            "STRENGTH, DOSE", "STRENGTH, BEVERAGE", "YIELD, DOSE", "YIELD, BEVERAGE", "MOISTURE, DOSE",
            "MOISTURE, BEVERAGE", "RETAINED, DOSE", "RETAINED, BEVERAGE"})
    void everyQuantityComesBackWithItsUncertainty(Term wanted, Term without) {
        Map<Term, Measured> all = new EnumMap<>(Term.class);
        all.put(Term.DOSE, Measured.independent(18, 0.05));
        all.put(Term.BEVERAGE, Measured.independent(38, 0.1));
        all.put(Term.STRENGTH, Measured.independent(9.4, 0.03));
        all.put(Term.MOISTURE, Measured.independent(2.5, 0.2));
        all.put(Term.RETAINED, Measured.independent(4, 0.3));
        all.put(Term.YIELD, Measured.independent(
                new YieldEquation(all).solve(Term.YIELD).orElseThrow().value(), 0.08));
        all.put(Term.RATIO, Measured.independent(38 / 18.0, 0.01));
        double truth = all.remove(wanted).value();
        all.remove(without);
        Measured found = new YieldEquation(all).solve(wanted).orElseThrow();
        assertThat(found.value()).isCloseTo(truth, within(1e-9));
        Well19937c random = new Well19937c(5);
        double sum = 0;
        int draws = 60_000;
        for (int i = 0; i < draws; i++) {
            Map<Term, Measured> drawn = new EnumMap<>(Term.class);
            all.forEach((term, value) -> drawn.put(term,
                    Measured.exact(value.value() + value.u() * random.nextGaussian())));
            double off = new YieldEquation(drawn).solve(wanted).orElseThrow().value() - truth;
            sum += off * off;
        }
        assertThat(Math.sqrt(sum / draws)).isCloseTo(found.u(), within(0.02 * found.u()));
    }

    @Test
    void whatIsWantingOrZeroGivesNothing() {
        Map<Term, Measured> known = Map.of(Term.DOSE, Measured.exact(18), Term.BEVERAGE, Measured.exact(0),
                Term.STRENGTH, Measured.exact(9));
        assertThat(new YieldEquation(known).solve(Term.DOSE)).as("the yield is unknown").isEmpty();
        assertThat(new YieldEquation(Map.of(Term.DOSE, Measured.exact(0), Term.BEVERAGE, Measured.exact(38),
                Term.STRENGTH, Measured.exact(9))).solve(Term.YIELD)).isEmpty();
    }

    @Nested
    class Stated {

        @Test
        void theSameWithinRoundingNeedsNoExplanation() {
            StatedYield same = StatedYield.of(21.5, brew(18, 41.2, 9.41, Optional.empty()), NONE);
            assertThat(same.agrees()).isTrue();
            assertThat(same.explanations()).isEmpty();
            assertThat(same.words())
                    .isEqualTo("Stated 21.5 %, from its own dose, beverage mass and strength 21.54 % as dosed: "
                            + "they agree.");
        }

        /** What somebody did otherwise is among what explains it, with the number that they used. */
        @ParameterizedTest
        @CsvSource({"DRY_BASIS, 3.4", "RETAINED_LIQUID, 4.2", "OTHER_BEVERAGE, 40.0", "OTHER_DOSE, 18.5",
                "OTHER_STRENGTH, 9.6"})
        void theAssumptionIsFoundWithItsNumber(Assumption made, double number) {
            double dose = made == Assumption.OTHER_DOSE ? number : 18;
            double beverage = made == Assumption.OTHER_BEVERAGE ? number : 38.2;
            double strength = made == Assumption.OTHER_STRENGTH ? number : 9.41;
            double retained = made == Assumption.RETAINED_LIQUID ? number : 0;
            double dry = made == Assumption.DRY_BASIS ? 1 - number / 100 : 1;
            double stated = Math.round(100 * strength * (beverage + retained) / (dose * dry)) / 100.0;
            StatedYield check = StatedYield.of(stated, brew(18, 38.2, 9.41, Optional.empty()), NONE);
            assertThat(check.agrees()).isFalse();
            assertThat(check.explanations()).filteredOn(one -> one.assumption() == made)
                    .singleElement()
                    .satisfies(one -> assertThat(one.number()).isCloseTo(number, within(0.06)));
            assertThat(check.words()).contains("It would be ");
        }

        /** A number that is written down goes before one that is only possible. */
        @Test
        void whatIsWrittenDownGoesFirst() {
            Brew brew = brew(18, 38.2, 9.41, Optional.of(new Measured(1.8, 0, 0.2)));
            StatedYield dry = StatedYield.of(20.34, brew, NONE);
            assertThat(dry.explanations().get(0).words())
                    .isEqualTo("on the dry basis with the coffee's moisture of 1.8 %");
            StatedYield meant = StatedYield.of(19.87, brew,
                    new Alternatives(Map.of("the beverage mass that was meant", 38.0), Map.of(), Map.of()));
            assertThat(meant.explanations().get(0).words()).isEqualTo("with the beverage mass that was meant, 38.0 g");
            assertThat(meant.explanations()).extracting(StatedYield.Explanation::assumption)
                    .as("a yield below its own is on no drier basis and keeps nothing")
                    .doesNotContain(Assumption.DRY_BASIS, Assumption.RETAINED_LIQUID);
        }

        @Test
        void whatNothingExplainsIsSaid() {
            StatedYield far = StatedYield.of(8, brew(18, 38.2, 9.41, Optional.empty()), NONE);
            assertThat(far.explanations()).isEmpty();
            assertThat(far.words()).endsWith("check the numbers.");
        }
    }
}
