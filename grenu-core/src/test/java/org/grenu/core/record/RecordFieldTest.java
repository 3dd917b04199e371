package org.grenu.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every entry of the record by the one mechanism that all entries share. */
class RecordFieldTest {

    private static String example(RecordField field) {
        return switch (field.kind()) {
            case TEXT -> "two words";
            case NAME_LIST -> "Ageing; Pressure and flow";
            case ARM_LIST -> "Ageing: fresh; Pressure and flow: even";
            case NUMBER -> field == RecordField.GRIND ? "2.4"
                    : field == RecordField.BED_DIAMETER ? "58" : field == RecordField.DENSITY ? "680" : "1";
            case NUMBER_LIST -> "10; 9.8; 0.98; 0.02; 0.01";
            case READING_LIST -> "9.4; 9.42@35/24.1/24/filtered; 9.38@70";
            case SAMPLE_LIST -> "slice 4.2 g: 18.21 18.19 zero 0.02; diluted 10 + 40 g: 1.83; cup: 9.1@35/24.1";
            case CHOICE -> field.choices().get(0);
            case ROWS -> "sour 6; sweet 3.5; thin";
            case FLAG -> "yes";
            case MOMENT -> "2026-05-14T10:31";
            case DAY -> "2026-04-27";
            case PROFILE -> "soak: pressure 2.4 ±0.4 until 2 s after drip or 25 s; main: pressure 9 over 3 s ±0.6";
            case PHASE_LIST -> "wetting 0; soak 4.25";
            case MOMENT_NOTE_LIST -> "12.5 first blond streak; 20 sputters";
            case REPAIR_LIST -> "scale_knock; tare_offset";
        };
    }

    @ParameterizedTest
    @EnumSource(RecordField.class)
    void isEnteredReadBackAndTakenOut(RecordField field) {
        ShotRecord with = ShotRecord.EMPTY.with(field, "  " + example(field) + " ");
        assertThat(with.has(field)).isTrue();
        assertThat(with.entry(field)).hasValue(example(field));
        assertThat(with.with(field, with.entry(field).orElseThrow())).isEqualTo(with);
        assertThat(with.with(field, "   ")).isEqualTo(ShotRecord.EMPTY);
        assertThat(RecordField.find(" " + field.key().toUpperCase(Locale.ROOT))).hasValue(field);
        assertThat(with).hasSameHashCodeAs(ShotRecord.EMPTY.with(field, example(field)));
    }

    @Test
    void keysAreUniqueAndEndWithTheirUnit() {
        Set<String> keys = Stream.of(RecordField.values()).map(RecordField::key).collect(Collectors.toSet());
        assertThat(keys).hasSize(RecordField.values().length);
        for (RecordField field : RecordField.values()) {
            String suffix = switch (field.unit()) {
                case "g" -> "_g";
                case "%" -> "_pct";
                case "s" -> "_s";
                case "°C" -> "_c";
                default -> "";
            };
            assertThat(field.key()).endsWith(suffix);
        }
    }

    /** Whatever is typed is either taken, and then within its range, or refused with words. */
    @ParameterizedTest
    @Seeds(300)
    void nothingTypedDoesHarm(Draws any) {
        for (String typed : any.list(10, 10, any::text)) {
            RecordField field = any.of(RecordField.values());
            try {
                ShotRecord record = ShotRecord.EMPTY.with(field, typed);
                assertThat(record.with(field, record.entry(field).orElse(""))).isEqualTo(record);
            } catch (RefusedEntry refused) {
                assertThat(refused.getMessage()).endsWith(".").hasSizeLessThan(300);
            }
        }
    }

    @Test
    void numbersAreHeldToTheirRangesHoweverTheyComeIn() {
        assertThatThrownBy(() -> ShotRecord.EMPTY.with(RecordField.DOSE, -1.0)).isInstanceOf(RefusedEntry.class);
        assertThatThrownBy(() -> ShotRecord.EMPTY.with(RecordField.DOSE, Double.NaN)).isInstanceOf(RefusedEntry.class);
        assertThatThrownBy(() -> ShotRecord.EMPTY.with(RecordField.COFFEE, 1.0))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(ShotRecord.EMPTY.with(RecordField.ZERO, -0.0))
                .isEqualTo(ShotRecord.EMPTY.with(RecordField.ZERO, "0"));
        String many = "9.4 ".repeat(201);
        assertThatThrownBy(() -> ShotRecord.EMPTY.with(RecordField.READINGS, many))
                .hasMessageContaining("more than 200");
    }

    @Test
    void repairsAreNamedOrRefusedWithTheNamesThatAreKnown() {
        assertThat(ShotRecord.EMPTY.with(RecordField.REPAIRS_OFF, "scale_knock scale_knock").repairsOff())
                .isEqualTo(EnumSet.of(RepairKind.SCALE_KNOCK));
        assertThatThrownBy(() -> ShotRecord.EMPTY.with(RecordField.REPAIRS_OFF, "knock"))
                .hasMessage("“knock” is not a kind of repair. Known: " + Stream.of(RepairKind.values())
                        .map(RepairKind::key)
                        .collect(Collectors.joining(", ")) + ".");
    }

    @Test
    void extraEntriesCannotPoseAsFieldsNorBreakAFile() {
        for (String bad : new String[] {"", " ", "dose_g", "a:b", "a\nb", "#", "x".repeat(90), " lead", "trail "}) {
            assertThatThrownBy(() -> ShotRecord.EMPTY.withExtra(bad, "1")).as(bad).isInstanceOf(RefusedEntry.class);
        }
        ShotRecord record = ShotRecord.EMPTY.withExtra("screen 2", " fine ");
        assertThat(record.extras()).containsEntry("screen 2", "fine");
        assertThat(record.withExtra("screen 2", "")).isEqualTo(ShotRecord.EMPTY);
    }

    @Test
    void levelsOfAFactorAreWordsAndNumbers() {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.GRIND, "2.40")
                .with(RecordField.PULLED_AT, "2026-05-14T10:31");
        assertThat(RecordFactor.GRIND.level(record)).hasValue("2.4");
        assertThat(RecordFactor.GRIND.number(record)).hasValue(2.4);
        assertThat(RecordFactor.DAY.level(record)).hasValue("2026-05-14");
        assertThat(RecordFactor.PROFILE.level(record)).isEmpty();
        assertThat(RecordFactor.PROFILE.numeric()).isFalse();
    }
}
