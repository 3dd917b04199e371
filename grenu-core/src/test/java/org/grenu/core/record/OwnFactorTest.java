package org.grenu.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.grenu.core.entry.RefusedEntry;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class OwnFactorTest {

    private static List<ShotRecord> sheets(String... texts) {
        return Stream.of(texts).map(text -> ShotRecord.EMPTY.withExtra("first grams chilled", text)).toList();
    }

    @Test
    void numbersWithOneUnitAreANumberWithThatUnit() {
        OwnFactor factor = OwnFactor.of("first grams chilled", sheets("5 g", "12,5 g", "20g")).orElseThrow();
        assertThat(factor).isEqualTo(new OwnFactor("first grams chilled", true, "g"));
        assertThat(factor.title()).isEqualTo("First grams chilled");
        assertThat(factor.number(sheets("12,5 g").get(0))).hasValue(12.5);
        assertThat(factor.level(sheets("20g").get(0))).hasValue("20");
        assertThat(factor.number(ShotRecord.EMPTY)).isEmpty();
    }

    @Test
    void wordsMixedUnitsAndMixturesAreLevels() {
        assertThat(OwnFactor.of("first grams chilled", sheets("yes", "no")).orElseThrow().numeric()).isFalse();
        assertThat(OwnFactor.of("first grams chilled", sheets("5 g", "5 mL")).orElseThrow().numeric()).isFalse();
        assertThat(
                OwnFactor.of("first grams chilled", sheets("5 g", "none")).orElseThrow().level(sheets("none").get(0)))
                .hasValue("none");
        assertThat(OwnFactor.of("first grams chilled", List.of(ShotRecord.EMPTY))).isEmpty();
    }

    @Test
    void anOwnEntryIsEditedAndTakenBackLikeAField() {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.DOSE, 18);
        RecordEdit edit = RecordEdit.ofOwn(record, "beans frozen", " yes ");
        assertThat(edit.changes()).isTrue();
        assertThat(edit.field()).isEmpty();
        assertThat(edit.title()).isEqualTo("beans frozen");
        ShotRecord after = edit.apply(record);
        assertThat(after.extras()).containsEntry("beans frozen", "yes");
        assertThat(edit.current(after)).isEqualTo("yes");
        assertThat(edit.inverse().apply(after)).isEqualTo(record);
        assertThatThrownBy(() -> RecordEdit.ofOwn(record, "dose_g", "18")).isInstanceOf(RefusedEntry.class)
                .hasMessageContaining("dose_g");
    }
}
