package org.grenu.core.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.entry.Entries;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;

class ShelfTest {

    private static ShelfItem item(ShelfKind kind, String name, Entries... versions) {
        List<ShelfVersion> all = new ArrayList<>();
        for (int i = 0; i < versions.length; i++) {
            all.add(new ShelfVersion(i, i + 1, i == 0 ? Optional.empty() : Optional.of(LocalDate.of(2026, 5, 10 * i)),
                    i == 0 ? "" : "new screen", versions[i]));
        }
        return new ShelfItem(1, kind, name, all);
    }

    private static final Shelf SHELF = new Shelf(List.of(
            item(ShelfKind.BAG, "Heron bag 1", Entries.NONE.with(ShelfField.BAG_COFFEE, "Lot Heron 14")
                    .with(ShelfField.LIFE, "2026-04-27 roasted; 2026-05-01 frozen; 2026-05-11 thawed")),
            item(ShelfKind.COFFEE, "Lot Heron 14",
                    Entries.NONE.with(ShelfField.MOISTURE, "1.8").with(ShelfField.MOISTURE_U, "0.3")),
            item(ShelfKind.MACHINE, "Rig 1", Entries.NONE, Entries.NONE),
            item(ShelfKind.SCALE, "S-1", Entries.NONE.with(ShelfField.SCALE_STEP, "0.1"),
                    Entries.NONE.with(ShelfField.SCALE_STEP, "0.01")),
            item(ShelfKind.BASKET, "18 g",
                    Entries.NONE.with(ShelfField.CAPACITY_FROM, "17")
                            .with(ShelfField.CAPACITY_TO, "19")
                            .with(ShelfField.DIAMETER, "58")),
            item(ShelfKind.SITE, "Hill", Entries.NONE.with(ShelfField.ALTITUDE, "1370")),
            item(ShelfKind.REFRACTOMETER, "R-2",
                    Entries.NONE.with(ShelfField.READS, "brix").with(ShelfField.READING_STEP, "0.1"))));

    private static ShotRecord shot(String pulled) {
        return ShotRecord.EMPTY.with(RecordField.PULLED_AT, pulled)
                .with(RecordField.BAG, "heron bag 1")
                .with(RecordField.SCALE, "S-1")
                .with(RecordField.MACHINE, "Rig 1")
                .with(RecordField.BASKET, "18 g")
                .with(RecordField.SITE, "Hill")
                .with(RecordField.REFRACTOMETER, "R-2")
                .with(RecordField.READINGS, "11");
    }

    @Test
    void whatARecordLeavesOpenItsGearTells() {
        ShotRecord complete = SHELF.complete(shot("2026-05-13T09:00"));
        assertThat(complete.text(RecordField.COFFEE)).hasValue("Lot Heron 14");
        assertThat(complete.ageDays().orElseThrow()).as("16 days, 10 of them frozen").isEqualTo(6);
        assertThat(complete.moisture().orElseThrow().shared()).isEqualTo(0.3);
        assertThat(complete.number(RecordField.BASKET_CAPACITY)).hasValue(18);
        assertThat(complete.number(RecordField.ALTITUDE)).hasValue(1370);
        assertThat(complete.strengthSeries().strength().orElseThrow().value()).as("0.85 points per °Brix")
                .isCloseTo(9.35, within(1e-9));
    }

    /** Check weights, repeatability, rest and blank are no decoration: they are in the numbers of the shot. */
    @Test
    void whatIsKeptOfGearIsUsed() {
        Entries scale = Entries.NONE.with(ShelfField.SCALE_STEP, "0.01")
                .with(ShelfField.SCALE_BIAS, "0.02")
                .with(ShelfField.CHECK_WEIGHTS,
                        "2026-05-01 20 20.05; 2026-05-02 20 20.07; 2026-05-03 20 20.06; 2026-05-20 20 20.90");
        Shelf shelf = new Shelf(List.of(item(ShelfKind.SCALE, "S-2", scale),
                item(ShelfKind.MACHINE, "Rig 2",
                        Entries.NONE.with(ShelfField.SENSOR_OFFSET, "0.4").with(ShelfField.WARM_UP, "30")),
                item(ShelfKind.WATER, "Tap", Entries.NONE.with(ShelfField.BLANK, "0.05")),
                item(ShelfKind.GRINDER, "Mill", Entries.NONE.with(ShelfField.FINEST, "1")
                        .with(ShelfField.COARSEST, "9")
                        .with(ShelfField.RETENTION, "0.7"))));
        ShotRecord shot = ShotRecord.EMPTY.with(RecordField.PULLED_AT, "2026-05-13T09:00")
                .with(RecordField.SCALE, "S-2")
                .with(RecordField.MACHINE, "Rig 2")
                .with(RecordField.WATER, "Tap")
                .with(RecordField.GRINDER, "Mill")
                .with(RecordField.READINGS, "10");
        ShotRecord complete = shelf.complete(shot);
        Measured weighed = complete.weighed(18);
        assertThat(weighed.shared()).as("off by 0.06 g until that day, more than the 0.02 g stated")
                .isCloseTo(0.06 / Math.sqrt(3), within(1e-9));
        assertThat(weighed.independent()).as("three showings of one weight").isCloseTo(0.01, within(1e-9));
        assertThat(complete.curveSettings().pressureAtRest()).hasValue(0.4);
        assertThat(complete.number(RecordField.WARM_UP)).hasValue(30);
        assertThat(complete.number(RecordField.RETENTION)).hasValue(0.7);
        assertThat(complete.number(RecordField.COARSEST)).hasValue(9);
        Measured strength = complete.strengthSeries().strength().orElseThrow();
        assertThat(strength.value()).as("the water's share of the blank").isCloseTo(10 - 0.9 * 0.05, within(1e-9));
        assertThat(strength.shared()).as("0.045/√3 of the bias, 0.9 · 0.015 of the blank")
                .isCloseTo(Math.hypot(0.045 / Math.sqrt(3), 0.9 * 0.015), within(1e-9));
        ShotRecord zeroed = shelf.complete(shot.with(RecordField.ZERO, "0.05").with(RecordField.ZERO_WATER, "brewing"));
        assertThat(zeroed.strengthSeries().strength().orElseThrow().value()).as("the zero check had it already")
                .isCloseTo(9.95, within(1e-9));
    }

    @Test
    void whatTheRecordSaysGoesFirst() {
        ShotRecord own = shot("2026-05-13T09:00").with(RecordField.ALTITUDE, 12)
                .with(RecordField.ROASTED_ON, "2026-05-01");
        assertThat(SHELF.complete(own).number(RecordField.ALTITUDE)).hasValue(12);
        assertThat(SHELF.complete(own).entry(RecordField.ROASTED_ON)).hasValue("2026-05-01");
    }

    @Test
    void oldShotsKeepTheVersionTheyWerePulledOn() {
        assertThat(SHELF.complete(shot("2026-05-09T09:00")).number(RecordField.SCALE_RESOLUTION)).hasValue(0.1);
        assertThat(SHELF.complete(shot("2026-05-10T09:00")).number(RecordField.SCALE_RESOLUTION)).hasValue(0.01);
        assertThat(SHELF.complete(shot("2026-05-09T09:00")).text(RecordField.MACHINE_VERSION)).hasValue("v1");
        assertThat(SHELF.complete(shot("2026-05-13T09:00")).text(RecordField.MACHINE_VERSION))
                .hasValue("v2: new screen");
        ShotRecord undated = ShotRecord.EMPTY.with(RecordField.SCALE, "S-1");
        assertThat(SHELF.complete(undated).has(RecordField.SCALE_RESOLUTION)).as("of an unknown day nothing is told")
                .isFalse();
    }

    @Test
    void aRecordThatNamesNothingStaysAsItIs() {
        ShotRecord bare = ShotRecord.EMPTY.with(RecordField.GRINDER, "not on the shelf");
        assertThat(SHELF.complete(bare)).isSameAs(bare);
    }

    /** Handbook §6 check values: 0 m → 99.97 °C, 1370 m → 95.42 °C. */
    @Test
    void altitudeLimitsTheSetTemperature() {
        assertThat(SiteHeat.at(0).boilingCelsius()).isCloseTo(99.97, within(0.005));
        assertThat(SiteHeat.at(1370).highestSet()).isEqualTo(95.0);
        assertThat(SiteHeat.fahrenheit(SiteHeat.at(1370).boilingCelsius())).isCloseTo(203.75, within(0.01));
    }
}
