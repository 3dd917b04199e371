package org.grenu.core.study;

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
class SheetFieldTest {

    private static String example(SheetField field) {
        return switch (field.kind()) {
            case TEXT -> "two words";
            case NUMBER -> field == SheetField.GRIND ? "2.4"
                    : field == SheetField.BED_DIAMETER ? "58" : field == SheetField.DENSITY ? "680" : "1";
            case NUMBER_LIST -> "10; 9.8; 0.98; 0.02; 0.01";
            case READING_LIST -> "9.4; 9.42@35/24.1/24/filtered; 9.38@70";
            case CHOICE -> field.choices().get(0);
            case ROWS -> throw new IllegalStateException("no record of a shot has rows");
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
    @EnumSource(SheetField.class)
    void isEnteredReadBackAndTakenOut(SheetField field) {
        ShotSheet with = ShotSheet.EMPTY.with(field, "  " + example(field) + " ");
        assertThat(with.has(field)).isTrue();
        assertThat(with.entry(field)).hasValue(example(field));
        assertThat(with.with(field, with.entry(field).orElseThrow())).isEqualTo(with);
        assertThat(with.with(field, "   ")).isEqualTo(ShotSheet.EMPTY);
        assertThat(SheetField.find(" " + field.key().toUpperCase(Locale.ROOT))).hasValue(field);
        assertThat(with).hasSameHashCodeAs(ShotSheet.EMPTY.with(field, example(field)));
    }

    @Test
    void keysAreUniqueAndEndWithTheirUnit() {
        Set<String> keys = Stream.of(SheetField.values()).map(SheetField::key).collect(Collectors.toSet());
        assertThat(keys).hasSize(SheetField.values().length);
        for (SheetField field : SheetField.values()) {
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
            SheetField field = any.of(SheetField.values());
            try {
                ShotSheet sheet = ShotSheet.EMPTY.with(field, typed);
                assertThat(sheet.with(field, sheet.entry(field).orElse(""))).isEqualTo(sheet);
            } catch (RefusedEntry refused) {
                assertThat(refused.getMessage()).endsWith(".").hasSizeLessThan(300);
            }
        }
    }

    @Test
    void numbersAreHeldToTheirRangesHoweverTheyComeIn() {
        assertThatThrownBy(() -> ShotSheet.EMPTY.with(SheetField.DOSE, -1.0)).isInstanceOf(RefusedEntry.class);
        assertThatThrownBy(() -> ShotSheet.EMPTY.with(SheetField.DOSE, Double.NaN)).isInstanceOf(RefusedEntry.class);
        assertThatThrownBy(() -> ShotSheet.EMPTY.with(SheetField.COFFEE, 1.0))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(ShotSheet.EMPTY.with(SheetField.ZERO, -0.0)).isEqualTo(ShotSheet.EMPTY.with(SheetField.ZERO, "0"));
        String many = "9.4 ".repeat(201);
        assertThatThrownBy(() -> ShotSheet.EMPTY.with(SheetField.READINGS, many)).hasMessageContaining("more than 200");
    }

    @Test
    void repairsAreNamedOrRefusedWithTheNamesThatAreKnown() {
        assertThat(ShotSheet.EMPTY.with(SheetField.REPAIRS_OFF, "scale_knock scale_knock").repairsOff())
                .isEqualTo(EnumSet.of(RepairKind.SCALE_KNOCK));
        assertThatThrownBy(() -> ShotSheet.EMPTY.with(SheetField.REPAIRS_OFF, "knock"))
                .hasMessage("“knock” is not a kind of repair. Known: " + Stream.of(RepairKind.values())
                        .map(RepairKind::key)
                        .collect(Collectors.joining(", ")) + ".");
    }

    @Test
    void extraEntriesCannotPoseAsFieldsNorBreakAFile() {
        for (String bad : new String[] {"", " ", "dose_g", "a:b", "a\nb", "#", "x".repeat(90), " lead", "trail "}) {
            assertThatThrownBy(() -> ShotSheet.EMPTY.withExtra(bad, "1")).as(bad).isInstanceOf(RefusedEntry.class);
        }
        ShotSheet sheet = ShotSheet.EMPTY.withExtra("screen 2", " fine ");
        assertThat(sheet.extras()).containsEntry("screen 2", "fine");
        assertThat(sheet.withExtra("screen 2", "")).isEqualTo(ShotSheet.EMPTY);
    }

    @Test
    void levelsOfAFactorAreWordsAndNumbers() {
        ShotSheet sheet = ShotSheet.EMPTY.with(SheetField.GRIND, "2.40").with(SheetField.PULLED_AT, "2026-05-14T10:31");
        assertThat(SheetFactor.GRIND.level(sheet)).hasValue("2.4");
        assertThat(SheetFactor.GRIND.number(sheet)).hasValue(2.4);
        assertThat(SheetFactor.DAY.level(sheet)).hasValue("2026-05-14");
        assertThat(SheetFactor.PROFILE.level(sheet)).isEmpty();
        assertThat(SheetFactor.PROFILE.numeric()).isFalse();
    }
}
