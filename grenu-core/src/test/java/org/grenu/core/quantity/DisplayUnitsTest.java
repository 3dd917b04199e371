package org.grenu.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is kept in one unit, shown and typed in another. Factors: NIST SP 811, appendix B. */
class DisplayUnitsTest {

    private static final DisplayUnits OTHER = new DisplayUnits(Unit.FAHRENHEIT, Unit.PSI);

    @ParameterizedTest
    @CsvSource({"93, °C, 199.4", "0, °C, 32.0", "-40, °C, −40.0", "9, bar, 130.5", "1, bar, 14.5", "18.5, g, 18.5"})
    void isShownInTheOtherUnit(double kept, String unit, String shown) {
        assertThat(OTHER.text(kept, unit, unit.equals("bar") ? 2 : 1)).startsWith(shown + " ");
        assertThat(OTHER.kept(OTHER.value(kept, unit), unit)).isCloseTo(kept, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"5, °C, 9", "1, bar, 14.5038", "0.5, g, 0.5"})
    void aDifferenceHasNoZeroOfItsOwn(double kept, String unit, String shown) {
        assertThat(OTHER.typedDifference(kept, unit)).isEqualTo(shown);
        assertThat(OTHER.keptDifference(OTHER.difference(kept, unit), unit)).isCloseTo(kept, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"93, °C, 199.4", "92.5, °C, 198.5", "9, bar, 130.5", "9.0, bar, 130.53", "0.02, bar, 0.29",
            "-20, °C, -4"})
    void anEntryKeepsTheDigitsThatTellItApart(String kept, String unit, String shown) {
        assertThat(OTHER.shown(unit, kept)).isEqualTo(shown);
    }

    /** What a person types comes back as it was typed, whatever the conversion did to the last digits. */
    @ParameterizedTest
    @Seeds(200)
    void whatIsTypedIsShownAgain(Draws any) {
        DisplayUnits units = new DisplayUnits(any.of(DisplayUnits.TEMPERATURES), any.of(DisplayUnits.PRESSURES));
        String typed = DecimalText
                .exact(Math.rint(any.number(units.value(40, "°C"), units.value(120, "°C")) * 10) / 10);
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.TEMPERATURE, units.meant("°C", typed));
        assertThat(units.shown("°C", record.entry(RecordField.TEMPERATURE).orElseThrow())).isEqualTo(typed);
    }

    @ParameterizedTest
    @CsvSource({"TEMPERATURE, 200 F, 93.3333", "TEMPERATURE, 200°F, 93.3333", "TEMPERATURE, 93 °C, 93",
            "DOSE, 0.65 oz, 18.427",
            "DOSE, 18500 mg, 18.5", "DOSE, '18,5 g', 18.5", "BED_DIAMETER, 5.8 cm, 58", "BED_DIAMETER, 2.3 in, 58.42",
            "ALTITUDE, 1050 ft, 320.04", "GRIND_TO_BREW, 2 min, 120", "FROZEN_DAYS, 2 wk, 14", "MOISTURE, 10.5 %, 10.5",
            "FLUSH, 2500 ms, 2.5"})
    void anyUnitOfTheQuantityCanBeTyped(RecordField field, String typed, double kept) {
        assertThat(ShotRecord.EMPTY.with(field, typed).number(field).orElseThrow()).isCloseTo(kept, within(1e-3));
    }

    @ParameterizedTest
    @CsvSource({"TEMPERATURE, 200 g", "DOSE, 18 ml", "DOSE, 18 C", "GRIND, 2.4 mm", "DOSE, 18 grammes of it",
            "TEMPERATURE, 400 F",
            "BEVERAGE_TARGET, 36 ml", "DOSE, 18 / 2"})
    void aUnitOfSomethingElseIsRefused(RecordField field, String typed) {
        assertThatThrownBy(() -> ShotRecord.EMPTY.with(field, typed)).isInstanceOf(RefusedEntry.class);
    }
}
