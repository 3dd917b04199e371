package org.grenu.core.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalLong;
import org.grenu.core.entry.Entries;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class BagTest {

    private static final LocalDate ROAST = LocalDate.of(2026, 4, 1);

    private static BagLife life(String text) {
        return BagLife.of(Entries.NONE.with(ShelfField.LIFE, text));
    }

    @Test
    void theFreezerStopsTheClock() {
        BagLife life = life("2026-04-01 roasted; 2026-04-08 frozen; 2026-05-08 thawed; 2026-05-09 opened");
        assertThat(life.ageDays(LocalDate.of(2026, 4, 6))).hasValue(5);
        assertThat(life.ageDays(LocalDate.of(2026, 4, 20))).as("in the freezer").hasValue(7);
        assertThat(life.frozenOn(LocalDate.of(2026, 4, 20))).isTrue();
        assertThat(life.ageDays(LocalDate.of(2026, 5, 10))).hasValue(9);
        assertThat(life.frozenOn(LocalDate.of(2026, 5, 8))).isFalse();
    }

    @Test
    void anUnknownRoastDateIsUnknown() {
        assertThat(life("2026-05-09 opened").ageDays(LocalDate.of(2026, 5, 10))).isEqualTo(OptionalLong.empty());
        assertThat(life("2026-05-09 roasted").ageDays(LocalDate.of(2026, 5, 1))).as("not roasted yet").isEmpty();
    }

    @ParameterizedTest
    @Seeds(200)
    void ageGrowsByADayADayUnlessFrozen(Draws any) {
        int frozenAfter = any.integer(0, 40);
        int frozenFor = any.integer(0, 40);
        int after = any.integer(0, 120);
        BagLife life = life(ROAST + " roasted; " + ROAST.plusDays(frozenAfter) + " frozen; "
                + ROAST.plusDays(frozenAfter + frozenFor) + " thawed");
        LocalDate day = ROAST.plusDays(after);
        long step = life.ageDays(day.plusDays(1)).getAsLong() - life.ageDays(day).getAsLong();
        assertThat(step).isEqualTo(life.frozenOn(day) ? 0 : 1);
    }

    @Test
    void saysWhatCannotBe() {
        assertThat(life("2026-04-01 roasted; 2026-04-08 thawed").contradictions())
                .containsExactly("It was thawed on 2026-04-08 without having been frozen.");
        assertThat(
                life("2026-04-02 roasted; 2026-04-01 opened; 2026-04-09 used_up; 2026-04-10 frozen").contradictions())
                .hasSize(2)
                .anyMatch(said -> said.contains("before it was roasted"))
                .anyMatch(said -> said.contains("after it was used up"));
        assertThat(life("2026-04-01 roasted; 2026-04-05 opened; 2026-04-08 frozen; 2026-04-09 thawed").contradictions())
                .isEmpty();
    }

    @Test
    void whatIsLeftIsWhatWasNotTakenOut() {
        Entries bag = Entries.NONE.with(ShelfField.NET_MASS, "250")
                .with(ShelfField.WASTE, "2026-04-03 6 spilled")
                .with(ShelfField.LIFE, "2026-04-01 roasted; 2026-04-02 portioned 100 for the freezer");
        ShotRecord shot = ShotRecord.EMPTY.with(RecordField.DOSE, 18).with(RecordField.PURGE, 2);
        BagStock stock = BagStock.of(bag, List.of(shot, shot, shot, ShotRecord.EMPTY));
        assertThat(stock.left().orElseThrow()).isCloseTo(250 - 3 * 20 - 6 - 100, within(1e-9));
        assertThat(stock.dosesLeft()).hasValue(4);
        assertThat(stock.withoutDose()).isEqualTo(1);
        assertThat(BagStock.of(Entries.NONE, List.of(shot)).left()).as("net mass unknown").isEmpty();
        BagStock overdrawn = BagStock.of(Entries.NONE.with(ShelfField.NET_MASS, "30"), List.of(shot, shot));
        assertThat(overdrawn.overdrawn()).isTrue();
        assertThat(overdrawn.left()).hasValue(0);
    }
}
