package org.grenu.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.grenu.core.quantity.Measured;
import org.junit.jupiter.api.Test;

/** What tells a cup's strength and mass, and in which order. */
class CupStrengthTest {

    private static final String SLICES = "slice 10 g: 14; slice 30 g: 6";

    private static ShotRecord with(String samples) {
        return ShotRecord.EMPTY.with(RecordField.DOSE, 18).with(RecordField.SAMPLES, samples);
    }

    @Test
    void slicesTellStrengthAndMassWhereNothingElseDoes() {
        Masses masses = Masses.of(with(SLICES), Optional.of(Measured.independent(40.6, 0.2)));
        assertThat(masses.beverageSource()).isEqualTo(BeverageSource.SLICES);
        assertThat(masses.beverage().orElseThrow().value()).isEqualTo(40);
        assertThat(masses.strength().orElseThrow().value()).isCloseTo(8, within(1e-12));
        assertThat(masses.brew().orElseThrow().asDosed().percent().value()).isCloseTo(100 * 3.2 / 18, within(1e-9));
    }

    @Test
    void slicesThatAreNotTheWholeCupTellNothingOfIt() {
        ShotRecord lost = with(SLICES).with(RecordField.BEVERAGE, 44);
        assertThat(CupStrength.of(lost, Optional.empty()).source()).isEqualTo(CupStrength.Source.NONE);
        assertThat(Masses.of(lost, Optional.empty()).strength()).isEmpty();
        Masses byCurve = Masses.of(with(SLICES), Optional.of(Measured.independent(44, 0.2)));
        assertThat(byCurve.strength()).isEmpty();
        assertThat(byCurve.beverageSource()).isEqualTo(BeverageSource.CURVE);
        assertThat(CupStrength.of(with("slice 10 g: 14; slice: 6"), Optional.empty()).strength()).as("not weighed")
                .isEmpty();
        assertThat(CupStrength.of(with("slice 10 g: 14; slice 30 g:"), Optional.empty()).strength()).as("not read")
                .isEmpty();
    }

    @Test
    void theCupsOwnReadingsGoFirstThenWhatTellsItBest() {
        ShotRecord all = with("diluted 10 + 40 g: 1.7; cup: 8.2; " + SLICES).with(RecordField.ZERO, 0.1);
        assertThat(CupStrength.of(all.with(RecordField.READINGS, "8.3"), Optional.empty()).source())
                .isEqualTo(CupStrength.Source.OWN);
        assertThat(CupStrength.of(all, Optional.empty()).source()).as("two readings share what one has alone")
                .isEqualTo(CupStrength.Source.SLICES);
        assertThat(CupStrength.of(with("diluted 10 + 40 g: 1.7; cup: 8.2"), Optional.empty()).source())
                .as("the dilution multiplies what a reading leaves")
                .isEqualTo(CupStrength.Source.AGAIN);
        CupStrength diluted = CupStrength.of(with("diluted 10 + 40 g: 1.7 zero 0").with(RecordField.ZERO, 0.1),
                Optional.empty());
        assertThat(diluted.source()).isEqualTo(CupStrength.Source.DILUTED);
        assertThat(diluted.strength().orElseThrow().value()).as("five times, its own zero")
                .isCloseTo(8.5, within(1e-9));
    }

    @Test
    void aVolumeIsAnEstimateBehindAllThatWasWeighed() {
        ShotRecord volume = ShotRecord.EMPTY.with(RecordField.BEVERAGE, "36 ml");
        Masses masses = Masses.of(volume, Optional.empty());
        assertThat(masses.beverageSource()).isEqualTo(BeverageSource.ESTIMATED);
        assertThat(masses.beverage().orElseThrow().value()).isEqualTo(36);
        assertThat(masses.beverage().orElseThrow().u()).as("a rectangle of ±10 %")
                .isCloseTo(3.6 / Math.sqrt(3), within(1e-9));
        assertThat(Masses.of(volume, Optional.of(Measured.independent(34, 0.3))).beverageSource())
                .isEqualTo(BeverageSource.CURVE);
        ShotRecord weighed = RecordEdit.typed(volume, RecordField.BEVERAGE, "35.1")
                .stream()
                .reduce(volume, (record, edit) -> edit.apply(record), (a, b) -> b);
        assertThat(Masses.of(weighed, Optional.empty()).beverageSource()).isEqualTo(BeverageSource.WEIGHED);
    }
}
