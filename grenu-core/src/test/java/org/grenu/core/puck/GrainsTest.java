package org.grenu.core.puck;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class GrainsTest {

    @Test
    void everyNotchIsCoarserInEveryWay() {
        Grains before = Grains.at(1.0);
        for (double setting = 1.0 + Grains.NOTCH; setting < 4; setting += Grains.NOTCH) {
            Grains grains = Grains.at(setting);
            assertThat(grains.finesShare()).isLessThan(before.finesShare());
            assertThat(grains.sauterDiameter()).isGreaterThan(before.sauterDiameter());
            assertThat(grains.openShare()).isLessThan(before.openShare());
            before = grains;
        }
    }

    @Test
    void freshCoffeeHoldsWaterBackAndOldLetsItRun() {
        SimulatedCoffee coffee = SimulatedCoffee.REFERENCE;
        assertThat(coffee.ageDrag(3)).isGreaterThan(coffee.ageDrag(14));
        assertThat(coffee.ageDrag(14)).isGreaterThan(coffee.ageDrag(40));
    }
}
