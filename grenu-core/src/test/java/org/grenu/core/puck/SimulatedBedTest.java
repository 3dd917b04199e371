package org.grenu.core.puck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.grenu.core.hydraulics.Bed;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

/** The limits in which the bed's behaviour is known exactly. */
class SimulatedBedTest {

    /** No swelling, compaction, collapse or erosion; grains that take up nothing. */
    private static BedParameters plain(double openSolids, double openRate, double saturation, int layers) {
        return BedParameters.of(layers, 26, 1.5, 0.2, 150e-6, 500, 0.3, 0, 1, 1, 0, 0, 0, 1, openSolids, 0, openRate,
                openRate, saturation);
    }

    private static SimulatedBed wetted(BedParameters settings, double flow, double step) {
        SimulatedBed bed = new SimulatedBed(settings);
        while (!bed.wet()) {
            bed.advance(flow, 3, step);
        }
        return bed;
    }

    @ParameterizedTest
    @Seeds(40)
    void waterAndSolidsAreConserved(Draws any) {
        double flow = any.number(0.3, 8);
        double bar = any.number(0, 9);
        double rate = any.number(0, 50);
        BedParameters settings = BedParameters.of(30, 26, 1.5, 0.19, 150e-6, 500, 0.3, 15, 5, 3, 0.1, 0.5, 1.4, 24, 2.5,
                2.5, rate, 0.05, 0.32);
        SimulatedBed bed = new SimulatedBed(settings);
        double in = 0;
        for (int i = 0; i < 3000; i++) {
            bed.advance(flow, bar, 0.01);
            in += flow * 0.01;
        }
        assertThat(bed.waterHeld() + bed.waterOut()).isCloseTo(in, within(1e-9));
        assertThat(bed.solidsHeld() + bed.solidsOut()).isCloseTo(5.0, within(1e-9));
    }

    @ParameterizedTest
    @Seeds(30)
    void constantPermeabilityGivesDarcysFlowExactly(Draws any) {
        double bar = any.number(0.5, 12);
        BedParameters settings = plain(0, 0, 0.3, 25);
        SimulatedBed bed = wetted(settings, 2, 0.01);
        double permeability = 0.2 * 0.2 * 0.2 * 150e-6 * 150e-6 / (180 * 0.8 * 0.8) / 500;
        Bed reference = new Bed(Math.sqrt(4 * 26e-4 / Math.PI), 0.015);
        double pascalSeconds = 0.3e-3;
        double darcy = permeability * reference.area() * bar * 1e5 / (pascalSeconds * reference.depthMetres()) * 1e6;
        // The screen below the bed adds 0.02 bar·s/mL.
        assertThat(bar / bed.flow(bar) - 0.02).isCloseTo(bar / darcy, within(1e-9));
    }

    @Test
    void withoutTransferTheLiquidIsWater() {
        SimulatedBed bed = wetted(plain(5, 0, 0.3, 20), 2, 0.01);
        bed.advance(2, 9, 1);
        assertThat(bed.solidsOut()).isZero();
        assertThat(bed.waterOut()).isPositive();
    }

    /**
     * At once in equilibrium, liquid leaves saturated until the solids are gone: m(V) = min(c·V, all), in plug
     * flow.
     */
    @Test
    void instantEquilibriumInPlugFlowHasItsAnalyticCurve() {
        double solids = 4;
        double saturation = 0.25;
        BedParameters settings = plain(solids, 1e9, saturation, 400);
        SimulatedBed bed = wetted(settings, 1, 0.001);
        double before = bed.waterOut();
        for (int i = 0; i < 40_000; i++) {
            bed.advance(1, 9, 0.001);
            double volume = bed.waterOut() - before;
            double expected = Math.min(solids, saturation * volume);
            assertThat(bed.solidsOut()).as("after %.3f mL", volume).isCloseTo(expected, within(0.03 * solids));
        }
        assertThat(bed.solidsOut()).isCloseTo(solids, within(0.01));
    }
}
