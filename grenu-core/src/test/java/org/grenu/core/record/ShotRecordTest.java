package org.grenu.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.grenu.core.entry.RefusedEntry;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShotRecordTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            DOSE     | abc     | “abc” is not a number. Write it such as 18.5.
            DOSE     | -18     | Dose cannot be negative.
            DOSE     | 0       | Dose must lie between 0.1 and 200 g.
            BEVERAGE | 1.234,5 | “1.234,5” has two decimal marks. Write it without a thousands mark, such as 1234.5.
            READINGS | 9.4; 41 | Strength reading must lie between 0 and 40 %.
            ZERO     | 3       | Zero check must lie between -2 and 2 %.
            PULLED_AT| soon    | Pulled at must be a date such as 2026-05-14, or date and time such as 2026-05-14 10:31.
            SIMULATED| perhaps | Simulated must be yes or no.
            """)
    void wrongEntriesAreRefusedInWords(RecordField field, String typed, String reason) {
        ShotRecord before = ShotRecord.EMPTY.with(RecordField.DOSE, "18");
        assertThatThrownBy(() -> before.with(field, typed)).isInstanceOf(RefusedEntry.class).hasMessage(reason);
        assertThat(before.number(RecordField.DOSE)).hasValue(18);
    }

    @Test
    void anEditIsDataThatCanBeTakenBack() {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.READINGS, "9,29 9.31; 9.36");
        RecordEdit edit = RecordEdit.of(record, RecordField.READINGS, "9.29; 9.31");
        assertThat(edit).isEqualTo(new RecordEdit("strength_readings_pct", "9.29; 9.31; 9.36", "9.29; 9.31"));
        assertThat(edit.apply(record).numbers(RecordField.READINGS)).containsExactly(9.29, 9.31);
        assertThat(edit.inverse().apply(edit.apply(record))).isEqualTo(record);
        assertThat(RecordEdit.of(record, RecordField.DOSE, " ").changes()).isFalse();
        assertThat(RecordEdit.of(record, RecordField.DOSE, "18,0").after()).isEqualTo("18");
    }

    @Test
    void unknownStaysUnknown() {
        Masses masses = Masses.of(ShotRecord.EMPTY.with(RecordField.DOSE, "18"), Optional.empty());
        assertThat(masses.brew()).isEmpty();
        assertThat(masses.ratio()).isEmpty();
        assertThat(masses.beverageSource()).isEqualTo(BeverageSource.UNKNOWN);
        assertThat(masses.moisture()).isEmpty();
    }

    @Test
    void filtersUnderstandFieldsAndTakeTheRestAsWords() {
        ShotFilter.Subject shot = new ShotFilter.Subject() {
            @Override
            public String words() {
                return "lot heron 14 gentle ramp";
            }

            @Override
            public OptionalDouble number(String name) {
                return switch (name) {
                    case "grind" -> OptionalDouble.of(2.4);
                    case "ey" -> OptionalDouble.of(20.8);
                    default -> OptionalDouble.empty();
                };
            }

            @Override
            public Optional<String> text(String name) {
                return name.equals("profile") ? Optional.of("Gentle ramp") : Optional.empty();
            }
        };
        for (String passing : new String[] {"", "heron", "grind:2.2–2.6 profile:gentle ey>20", "grind:2,4", "ey<=20.8",
                "HERON ramp"}) {
            assertThat(ShotFilter.parse(passing).matches(shot)).as(passing).isTrue();
        }
        for (String failing : new String[] {"siskin", "grind:2.5-2.6", "ey>21", "age<14", "profile:nine", "grind:",
                "ey>"}) {
            assertThat(ShotFilter.parse(failing).matches(shot)).as(failing).isFalse();
        }
    }
}
