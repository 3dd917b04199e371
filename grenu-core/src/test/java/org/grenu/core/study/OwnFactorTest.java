package org.grenu.core.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.grenu.core.entry.RefusedEntry;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class OwnFactorTest {

    private static List<ShotSheet> sheets(String... texts) {
        return Stream.of(texts).map(text -> ShotSheet.EMPTY.withExtra("first grams chilled", text)).toList();
    }

    @Test
    void numbersWithOneUnitAreANumberWithThatUnit() {
        OwnFactor factor = OwnFactor.of("first grams chilled", sheets("5 g", "12,5 g", "20g")).orElseThrow();
        assertThat(factor).isEqualTo(new OwnFactor("first grams chilled", true, "g"));
        assertThat(factor.title()).isEqualTo("First grams chilled");
        assertThat(factor.number(sheets("12,5 g").get(0))).hasValue(12.5);
        assertThat(factor.level(sheets("20g").get(0))).hasValue("20");
        assertThat(factor.number(ShotSheet.EMPTY)).isEmpty();
    }

    @Test
    void wordsMixedUnitsAndMixturesAreLevels() {
        assertThat(OwnFactor.of("first grams chilled", sheets("yes", "no")).orElseThrow().numeric()).isFalse();
        assertThat(OwnFactor.of("first grams chilled", sheets("5 g", "5 mL")).orElseThrow().numeric()).isFalse();
        assertThat(
                OwnFactor.of("first grams chilled", sheets("5 g", "none")).orElseThrow().level(sheets("none").get(0)))
                .hasValue("none");
        assertThat(OwnFactor.of("first grams chilled", List.of(ShotSheet.EMPTY))).isEmpty();
    }

    @Test
    void anOwnEntryIsEditedAndTakenBackLikeAField() {
        ShotSheet sheet = ShotSheet.EMPTY.with(SheetField.DOSE, 18);
        SheetEdit edit = SheetEdit.ofOwn(sheet, "beans frozen", " yes ");
        assertThat(edit.changes()).isTrue();
        assertThat(edit.field()).isEmpty();
        assertThat(edit.title()).isEqualTo("beans frozen");
        ShotSheet after = edit.apply(sheet);
        assertThat(after.extras()).containsEntry("beans frozen", "yes");
        assertThat(edit.current(after)).isEqualTo("yes");
        assertThat(edit.inverse().apply(after)).isEqualTo(sheet);
        assertThatThrownBy(() -> SheetEdit.ofOwn(sheet, "dose_g", "18")).isInstanceOf(RefusedEntry.class)
                .hasMessageContaining("dose_g");
    }
}
