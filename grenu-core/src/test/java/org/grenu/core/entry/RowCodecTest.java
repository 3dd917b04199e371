package org.grenu.core.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.shelf.ShelfField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Small tables in entries: what was written is read back, and what cannot be a row is refused whole. */
class RowCodecTest {

    private static final ShelfField TABLE = ShelfField.LIFE;

    private static List<Row> lives(Draws any) {
        return any.list(1, 6, () -> new Row(List.of(LocalDate.of(2020, 1, 1).plusDays(any.integer(0, 4000)).toString(),
                any.of(TABLE.columns().get(1).choices()),
                any.oneIn(3) ? "" : DecimalText.exact(any.integer(0, 10_000_000) / 100.0),
                any.text("abcäöü ,.()0123456789", 0, 30).strip().replaceAll("\\s+", " "))));
    }

    /** Rows with unknown cells between known ones come back as they were, in the order they were written. */
    @ParameterizedTest
    @Seeds(500)
    void everyTableReadsBack(Draws any) {
        List<Row> rows = lives(any);
        String text = rows.stream().map(Row::text).collect(Collectors.joining("; "));
        Entries read = Entries.NONE.with(TABLE, text);

        assertThat(read.rows(TABLE)).isEqualTo(rows);
        assertThat(read.entry(TABLE)).hasValue(text);
        for (Row row : read.rows(TABLE)) {
            assertThat(row.day(0)).hasValue(LocalDate.parse(row.cells().get(0)));
            assertThat(row.number(2).isPresent()).isEqualTo(!row.cells().get(2).isEmpty());
        }
    }

    /** One wrong row refuses the table: no half of it is entered, and the message names what is wrong. */
    @ParameterizedTest
    @Seeds(200)
    void oneWrongRowRefusesAll(Draws any) {
        List<Row> rows = lives(any);
        int place = any.integer(-1000, 1000);
        List<String> texts = new ArrayList<>(rows.stream().map(Row::text).toList());
        texts.add(Math.floorMod(place, texts.size() + 1), "2026-02-30 roasted");
        Entries before = Entries.NONE.with(TABLE, "2026-01-01 roasted");

        assertThatThrownBy(() -> before.with(TABLE, String.join(";", texts))).isInstanceOf(RefusedEntry.class)
                .hasMessage("Life, day must be a date such as 2026-04-27.");
        assertThat(before.rows(TABLE)).hasSize(1);
    }

    @Test
    void whatIsUnknownIsWrittenOnlyWhereSomethingFollows() {
        assertThat(new Row(List.of("2026-04-27", "opened", "", "at noon")).text())
                .isEqualTo("2026-04-27 opened ? at noon");
        assertThat(new Row(List.of("2026-04-27", "opened", "", "")).text()).isEqualTo("2026-04-27 opened");
        assertThat(new Row(List.of("", "")).text()).isEmpty();
        assertThatThrownBy(() -> new Row(List.of("", "")).needed(0)).as("a needed cell is never empty")
                .isInstanceOf(RuntimeException.class);
    }

    @Test
    void momentsAreDaysWithOrWithoutATime() {
        List<Row> zeros = Entries.NONE.with(ShelfField.ZERO_LOG, "2026-05-04T09:10 0,1; 2026-05-05 -0.02")
                .rows(ShelfField.ZERO_LOG);

        assertThat(zeros.get(0).moment(0).orElseThrow()).hasToString("2026-05-04T09:10");
        assertThat(zeros.get(1).moment(0).orElseThrow()).hasToString("2026-05-05T00:00");
        assertThat(zeros.get(1).needed(1)).isEqualTo(-0.02);
        assertThatThrownBy(() -> Entries.NONE.with(ShelfField.ZERO_LOG, "2026-05-04T25:10 0"))
                .hasMessageContaining("date and time such as");
        assertThatThrownBy(() -> Entries.NONE.with(ShelfField.ZERO_LOG, "2026-05-04 9"))
                .hasMessage("Zero log, shown must lie between -5 and 5.");
    }

    @Test
    void aTableHasAnEnd() {
        assertThatThrownBy(() -> Entries.NONE.with(ShelfField.VALVE_SCHEDULE, "1 2;".repeat(2_001)))
                .hasMessageContaining("more than 2000 rows");
        assertThat(Entries.NONE.with(ShelfField.VALVE_SCHEDULE, "1 2;".repeat(2_000)).rows(ShelfField.VALVE_SCHEDULE))
                .hasSize(2_000);
    }

    /** Every field of the shelf by the one mechanism that all share: entered, read back, taken out. */
    @ParameterizedTest
    @EnumSource(ShelfField.class)
    void everyFieldOfTheShelfIsEnteredReadBackAndTakenOut(ShelfField field) {
        String example = example(field);
        Entries entries = Entries.NONE.with(field, "  " + example + " ");

        assertThat(entries.has(field)).isTrue();
        assertThat(entries.entry(field)).hasValue(example);
        assertThat(entries.texts()).containsExactly(Map.entry(field, example));
        assertThat(entries.with(field, entries.entry(field).orElseThrow())).isEqualTo(entries)
                .hasSameHashCodeAs(entries);
        assertThat(entries.with(field, " ")).isEqualTo(Entries.NONE);
    }

    private static String example(ShelfField field) {
        return switch (field.kind()) {
            case TEXT, NAME_LIST, ARM_LIST -> "some words";
            case NUMBER -> field == ShelfField.DENSITY ? "705" : field == ShelfField.DIAMETER ? "58" : "1";
            case CHOICE -> field.choices().get(field.choices().size() - 1);
            case ROWS -> field.columns().stream().map(column -> switch (column.type()) {
                case NUMBER -> "2";
                case DAY, MOMENT -> "2026-05-04";
                case CHOICE -> column.choices().get(0);
                case WORDS -> "a remark";
            }).collect(Collectors.joining(" "));
            default -> throw new IllegalStateException("no example for " + field.kind());
        };
    }
}
