package org.grenu.app.study;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class ShotsByTimeTest {

    private static ShotSummary shot(int number, String time) {
        return new ShotSummary(number, number, ShotRecord.EMPTY.with(RecordField.PULLED_AT, time), null);
    }

    @Test
    void theShotBeforeIsTheOnePulledBefore() {
        ShotSummary first = shot(4, "2026-05-14T10:01");
        ShotSummary second = shot(2, "2026-05-14T10:05");
        ShotSummary undated = shot(3, "");
        ShotsByTime order = ShotsByTime.of(List.of(second, undated, first));
        assertThat(order.before(second)).hasValue(first);
        assertThat(order.before(first)).isEmpty();
        assertThat(order.before(undated)).as("of unknown time").isEmpty();
        assertThat(order.presumablyBefore(undated)).as("by number").hasValue(second);
        assertThat(order.presumablyBefore(first)).as("its time is known").isEmpty();
    }

    /** The same as looking at every shot. */
    @ParameterizedTest
    @Seeds(100)
    void itIsTheLatestOfAllEarlier(Draws any) {
        int[] number = {0};
        List<ShotSummary> shots = any.list(1, 12,
                () -> shot(++number[0], any.oneIn(5) ? "" : "2026-05-14T10:" + (10 + any.integer(0, 8))));
        ShotSummary one = any.of(shots);
        Optional<ShotSummary> before = ShotsByTime.of(shots).before(one);
        Optional<String> expected = one.record()
                .entry(RecordField.PULLED_AT)
                .flatMap(at -> shots.stream()
                        .flatMap(shot -> shot.record().entry(RecordField.PULLED_AT).stream())
                        .filter(time -> time.compareTo(at) < 0)
                        .max(Comparator.naturalOrder()));
        assertThat(before.flatMap(shot -> shot.record().entry(RecordField.PULLED_AT))).isEqualTo(expected);
    }
}
