package org.grenu.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.special.Erf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The normal distribution against a library's and against published values. */
class NormalTest {

    @Test
    void agreesWithTheLibraryToTheLastDigits() {
        for (double z = -37; z <= 9; z += 0.0137) {
            double expected = 0.5 * Erf.erfc(-z / Math.sqrt(2));
            assertThat(Normal.cumulative(z)).as("Φ(%s)", z).isCloseTo(expected, within(1e-12 * expected));
        }
    }

    /** Abramowitz and Stegun, Handbook of Mathematical Functions, tables 26.1 and 26.2. */
    @ParameterizedTest
    @CsvSource({"0, 0.5", "1, 0.841344746068543", "1.96, 0.975002104851780", "3, 0.998650101968370",
            "-2, 0.022750131948179", "-5, 2.866515719235e-7"})
    void agreesWithPublishedTables(double z, double expected) {
        assertThat(Normal.cumulative(z)).isCloseTo(expected, within(1e-14));
    }
}
