package org.grenu.app.study;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.ShotFilter;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.response.MeasuredShot;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a filter finds in shots that are to be compared. */
class MeasuredSubjectTest {

    private static final List<MeasuredShot> SHOTS = DemoStudy.shots()
            .stream()
            .map(shot -> new MeasuredShot(shot.name(),
                    shot.name().equals("heron-02") ? shot.shot().record().withExtra("beans frozen", "yes")
                            : shot.shot().record(),
                    ShotMeasures.of(shot.shot())))
            .toList();

    private static List<String> found(String filter) {
        ShotFilter wanted = ShotFilter.parse(filter);
        return SHOTS.stream()
                .filter(shot -> wanted.matches(new MeasuredSubject(shot)))
                .map(MeasuredShot::name)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({"coffee:siskin, 22", "grind:2.2, 9", "grind:2.2-2.4 coffee:heron, 18", "profile:gentle, 8",
            "day:2026-05-13, 9", "age<10, 9", "operator:1, 33", "nothingsuch, 0"})
    void fieldsAreAskedByName(String filter, int count) {
        assertThat(found(filter)).hasSize(count);
    }

    @Test
    void measuresAreAskedByTheirShortAndLongNames() {
        assertThat(found("ey>22")).isEqualTo(found("ey_as_dosed>22")).isNotEmpty();
        assertThat(found("time>45")).isEqualTo(found("time_pump_on_to_pump_off>45")).isNotEmpty();
        assertThat(found("mass<39.5")).isEqualTo(found("beverage<39.5")).isNotEmpty();
        assertThat(found("peak_resistance>5.5")).isNotEmpty();
        assertThat(found("purge_g=0")).isNotEmpty();
    }

    @Test
    void namesFaultsAndOwnEntriesAreFoundAsWords() {
        assertThat(found("heron-02")).containsExactly("heron-02");
        assertThat(found("choked")).containsExactly("heron-06");
        assertThat(found("g-burr siskin")).hasSize(22);
    }
}
