package org.grenu.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.IntStream;
import javafx.beans.Observable;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

/** What is shown follows what is stored, one shot or many at a time. */
class ShownShotsTest {

    private static ShotSummary shot(int number, String note) {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.NOTE, note)
                .with(RecordField.PULLED_AT, "2026-05-14T10:" + (10 + number % 50));
        return new ShotSummary(1000 + number, number, record, null);
    }

    /**
     * Whatever is changed and taken away in whatever portions, the list holds each shot once, as last told, by
     * number.
     */
    @ParameterizedTest
    @Seeds(300)
    void theListFollows(Draws any) {
        List<Integer> changes = any.list(0, 40, () -> any.integer(1, 60));
        int portion = any.integer(1, 25);
        ShownShots shown = new ShownShots();
        TreeMap<Integer, ShotSummary> expected = new TreeMap<>();
        for (int from = 0; from < changes.size(); from += portion) {
            List<ShotSummary> changed = new ArrayList<>();
            List<Long> gone = new ArrayList<>();
            for (int number : changes.subList(from, Math.min(changes.size(), from + portion))) {
                boolean goes = number % 5 == 0 && expected.containsKey(number);
                if (goes) {
                    gone.add(expected.remove(number).id());
                    changed.removeIf(shot -> shot.number() == number);
                } else if (!gone.contains(1000L + number)) {
                    changed.removeIf(shot -> shot.number() == number);
                    changed.add(shot(number, "change " + from));
                    expected.put(number, shot(number, "change " + from));
                }
            }
            shown.change(changed, gone);
            assertThat(shown.list()).containsExactlyElementsOf(expected.values());
        }
    }

    /**
     * A large change is told of once, since everything shown is worked out anew each time; what stays equal is not
     * told of.
     */
    @Test
    void manyChangesAreToldOfOnce() {
        ShownShots shown = new ShownShots();
        int[] told = new int[1];
        shown.list().addListener((Observable o) -> told[0]++);
        List<ShotSummary> many = IntStream.range(1, 40).mapToObj(number -> shot(number, "first")).toList();
        shown.add(many);
        assertThat(told[0]).isEqualTo(1);
        shown.change(many.stream().map(shot -> shot(shot.number(), "second")).toList(), List.of());
        assertThat(told[0]).isEqualTo(2);
        shown.change(shown.now(), List.of());
        assertThat(told[0]).as("nothing changed").isEqualTo(2);
        shown.change(List.of(shot(7, "third")), List.of(1008L));
        assertThat(told[0]).isEqualTo(4);
        assertThat(shown.find(1007))
                .hasValueSatisfying(shot -> assertThat(shot.record().text(RecordField.NOTE)).hasValue("third"));
        assertThat(shown.find(1008)).isEmpty();
    }
}
