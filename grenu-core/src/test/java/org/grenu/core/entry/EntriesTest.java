package org.grenu.core.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.junit.jupiter.api.Test;

class EntriesTest {

    @Test
    void rowsReadBackAsTheyWereWritten() {
        Entries bag = Entries.NONE.with(ShelfField.LIFE,
                " 2026-04-27 ROASTED;2026-05-01 portioned 120,5 two jars ; 2026-05-02 opened ? at noon");
        assertThat(bag.entry(ShelfField.LIFE))
                .hasValue("2026-04-27 roasted; 2026-05-01 portioned 120.5 two jars; 2026-05-02 opened ? at noon");
        assertThat(Entries.NONE.with(ShelfField.LIFE, bag.entry(ShelfField.LIFE).orElseThrow())).isEqualTo(bag);
        assertThat(bag.with(ShelfField.LIFE, " ; ").has(ShelfField.LIFE)).isFalse();
    }

    @Test
    void aRefusedRowSaysWhatARowIs() {
        assertThatThrownBy(() -> Entries.NONE.with(ShelfField.VALVE_RUNS, "0.5 20")).isInstanceOf(RefusedEntry.class)
                .hasMessage("Valve runs: “0.5 20” lacks its mass; a row is position, time in s, mass in g.");
        assertThatThrownBy(() -> Entries.NONE.with(ShelfField.VALVE_RUNS, "0.5 20 31 4"))
                .hasMessageContaining("has 4 values");
        assertThatThrownBy(() -> Entries.NONE.with(ShelfField.LIFE, "2026-04-27 eaten"))
                .hasMessageContaining("must be one of: roasted, opened");
        assertThatThrownBy(() -> Entries.NONE.with(ShelfField.LIFE, "27.4. roasted"))
                .hasMessageContaining("must be a date such as");
        assertThatThrownBy(() -> Entries.NONE.with(ShelfField.CHECK_WEIGHTS, "2026-04-27 -3 5"))
                .hasMessageContaining("cannot be negative");
        assertThatThrownBy(() -> Entries.NONE.with(ShelfField.PUMP, "steam"))
                .hasMessage("Pump must be one of: vibration, rotary, gear, lever, other.");
    }

    @Test
    void keysAreToldApartWithinAKind() {
        for (ShelfKind kind : ShelfKind.values()) {
            assertThat(kind.fields().stream().map(Field::key)).as(kind.key()).doesNotHaveDuplicates();
        }
    }
}
