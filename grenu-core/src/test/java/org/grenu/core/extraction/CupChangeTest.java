package org.grenu.core.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.quantity.Measured;
import org.grenu.core.strength.SampleDilution;
import org.hipparchus.random.Well19937c;
import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class CupChangeTest {

    private static final CupChange CUP = new CupChange(Measured.exact(48), Measured.exact(10));

    /** Handbook §3: 48 g at 10 % are the same solids as 36 g at 13.33 %. */
    @Test
    void agreesWithTheHandbooksCheckValues() {
        assertThat(CUP.beverageFor(Measured.exact(13.333333333)).value()).isCloseTo(36, within(1e-6));
        assertThat(CUP.with(Measured.exact(96)).strength().value()).isCloseTo(10 / 3.0, within(1e-12));
        assertThat(CUP.with(Measured.exact(96)).strength().value()).isEqualTo(Dilution.strengthAfter(10, 48, 96));
        assertThat(CUP.waterFor(Measured.exact(5)).value()).isCloseTo(48, within(1e-9));
    }

    /** Slices of handbook §3: 10 g at 24 % and 10 g at 16 % are 20 g at 20 %. */
    @Test
    void blendsAddMassesAndSolids() {
        CupChange both = new CupChange(Measured.exact(10), Measured.exact(24))
                .with(new CupChange(Measured.exact(10), Measured.exact(16)));
        assertThat(both.beverage().value()).isEqualTo(20);
        assertThat(both.strength().value()).isCloseTo(20, within(1e-12));
    }

    /** One scale and one refractometer: what they get wrong does not average out of a blend, nor out of a dilution. */
    @ParameterizedTest
    @Seeds(5)
    void whatInstrumentsShareIsThatOfDrawsToo(Draws any) {
        double[] m = {any.number(15, 60), any.number(15, 60)};
        double[] c = {any.number(3, 14), any.number(3, 14)};
        double wanted = any.number(1, 2.5);
        CupChange cup = new CupChange(new Measured(m[0], 0.1, 0.3), new Measured(c[0], 0.02, 0.06));
        CupChange blend = cup.with(new CupChange(new Measured(m[1], 0.1, 0.3), new Measured(c[1], 0.02, 0.06)));
        Measured water = cup.waterFor(Measured.exact(wanted));
        SampleDilution diluted = new SampleDilution(new Measured(m[0], 0.1, 0.3), new Measured(m[1], 0.1, 0.3));
        Measured before = diluted.before(new Measured(c[0], 0.02, 0.06));
        Well19937c random = new Well19937c(any.integer(1, 10_000));
        StreamingStatistics[] drawn = {new StreamingStatistics(), new StreamingStatistics(), new StreamingStatistics(),
                new StreamingStatistics()};
        for (int i = 0; i < 40_000; i++) {
            double scale = 0.3 * random.nextGaussian();
            double meter = 0.06 * random.nextGaussian();
            double a = m[0] + scale + 0.1 * random.nextGaussian();
            double b = m[1] + scale + 0.1 * random.nextGaussian();
            double first = c[0] + meter + 0.02 * random.nextGaussian();
            double second = c[1] + meter + 0.02 * random.nextGaussian();
            drawn[0].addValue((first * a + second * b) / (a + b));
            drawn[1].addValue(a + b);
            drawn[2].addValue(a * (first / wanted - 1));
            drawn[3].addValue(first * (a + b) / a);
        }
        double[] said = {blend.strength().u(), blend.beverage().u(), water.u(), before.u()};
        for (int k = 0; k < said.length; k++) {
            double spread = drawn[k].getStandardDeviation();
            assertThat(said[k]).as("quantity %d", k).isCloseTo(spread, within(0.03 * spread));
        }
    }

    /** The ± of a blend against draws of all four quantities. */
    @ParameterizedTest
    @Seeds(5)
    void itsUncertaintyIsThatOfDraws(Draws any) {
        double[] m = {any.number(15, 60), any.number(15, 60)};
        double[] c = {any.number(3, 14), any.number(3, 14)};
        CupChange blend = new CupChange(Measured.independent(m[0], 0.4), Measured.independent(c[0], 0.05))
                .with(new CupChange(Measured.independent(m[1], 0.4), Measured.independent(c[1], 0.05)));
        Well19937c random = new Well19937c(any.integer(1, 10_000));
        StreamingStatistics drawn = new StreamingStatistics();
        for (int i = 0; i < 40_000; i++) {
            double a = m[0] + 0.4 * random.nextGaussian();
            double b = m[1] + 0.4 * random.nextGaussian();
            drawn.addValue(((c[0] + 0.05 * random.nextGaussian()) * a + (c[1] + 0.05 * random.nextGaussian()) * b)
                    / (a + b));
        }
        assertThat(blend.strength().u()).isCloseTo(drawn.getStandardDeviation(),
                within(0.03 * drawn.getStandardDeviation()));
    }
}
