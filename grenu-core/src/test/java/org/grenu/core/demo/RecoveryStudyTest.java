package org.grenu.core.demo;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.core.demo.RecoveryStudy.Report;
import org.junit.jupiter.api.Test;

/** The analysis finds what the simulator knows; docs/validation.md shows the whole table. */
class RecoveryStudyTest {

    @Test
    void fiveHundredShotsWithRandomFlawsAreReadRight() {
        Report report = RecoveryStudy.run(20_261_123, 500);
        assertThat(report.drip()).as("first drip").isGreaterThanOrEqualTo(0.95);
        assertThat(report.allBorders()).as("all phase borders of a shot").isGreaterThanOrEqualTo(0.95);
        assertThat(report.beverage()).as("beverage mass").isGreaterThanOrEqualTo(0.98);
        assertThat(report.falseRepairs()).as("false repairs of clean shots").isLessThan(0.02);
        report.flaws()
                .forEach((flaw, count) -> assertThat(count[0]).as("%s found", flaw)
                        .isGreaterThanOrEqualTo((int) (0.85 * count[1])));
    }
}
