package org.grenu.core.hydraulics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Published values: handbook §6 (Kell 1975, IAPWS 2008, Wagner and Pruß 2002, ISO 2533). */
class WaterTest {

    @ParameterizedTest
    @CsvSource({"20, 998.20, 1.0016", "25, 997.05, 0.8900", "93, 963.3, 0.3037"})
    void densityAndViscosity(double celsius, double density, double viscosity) {
        assertThat(Water.density(celsius)).isCloseTo(density, within(0.05));
        assertThat(Water.viscosity(celsius)).isCloseTo(viscosity, within(6e-5));
    }

    @ParameterizedTest
    @CsvSource({"0, 101.325, 99.97", "1370, 85.91, 95.42", "2000, 79.495, 93.32"})
    void airPressureAndBoilingPoint(double metres, double kilopascal, double celsius) {
        assertThat(Water.airPressure(metres)).isCloseTo(kilopascal, within(0.01));
        assertThat(Water.boilingPoint(metres)).isCloseTo(celsius, within(0.006));
    }

    /**
     * Wagner and Pruß 2002, table 13.1: 0.0031 … the triple point 0.611655 kPa, and 101.4180 kPa at 100 °C (from
     * memory).
     */
    @Test
    void saturationPressure() {
        assertThat(Water.saturationPressure(0.01)).isCloseTo(0.611655, within(1e-4));
        assertThat(Water.saturationPressure(100)).isCloseTo(101.418, within(5e-3));
    }

    /** Handbook §6: a 58 mm basket, 1 cm bed, 1.3 mL/s at 9 bar and 93 °C give k ≈ 1.7·10⁻¹⁵ m². */
    @Test
    void permeabilityOfAnEspressoBed() {
        Bed bed = new Bed(0.058, 0.01);
        double k = bed.permeability(1.3 * Water.density(93) / 1000, 9, 93);
        assertThat(k).isCloseTo(1.7e-15, within(0.05e-15));
        assertThat(bed.flow(k, 9, 93)).isCloseTo(1.3 * Water.density(93) / 1000, within(1e-9));
    }

    @Test
    void outsideTheCorrelationsNothingIsInvented() {
        assertThatThrownBy(() -> Water.viscosity(140)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("[-20.0, 110.0] °C, is 140");
        assertThatThrownBy(() -> Water.boilingPoint(20_000)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Bed(0, 0.01)).isInstanceOf(IllegalArgumentException.class);
    }
}
