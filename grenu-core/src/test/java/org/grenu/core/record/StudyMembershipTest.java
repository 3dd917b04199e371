package org.grenu.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class StudyMembershipTest {

    private static ShotRecord apply(ShotRecord record, List<RecordEdit> edits) {
        ShotRecord after = record;
        for (RecordEdit edit : edits) {
            after = edit.apply(after);
        }
        return after;
    }

    private static ShotRecord join(ShotRecord record, String study, String arm) {
        return apply(record, StudyMembership.join(record, study, Optional.ofNullable(arm)));
    }

    @Test
    void oneArmIsNamedAlone() {
        ShotRecord record = join(ShotRecord.EMPTY, "Ageing", "control");

        assertThat(record.text(RecordField.STUDY)).hasValue("Ageing");
        assertThat(record.text(RecordField.ARM)).hasValue("control");
    }

    /**
     * A shot that was in one study with one arm keeps it when it joins another: the arm is then named with its
     * study.
     */
    @Test
    void otherArmsStay() {
        ShotRecord both = join(join(ShotRecord.EMPTY, "Ageing", "control"), "Pressure and flow", "even");

        assertThat(both.studies()).containsExactly("Ageing", "Pressure and flow");
        assertThat(both.armIn("Ageing")).hasValue("control");
        assertThat(both.armIn("Pressure and flow")).hasValue("even");
        assertThat(apply(both, StudyMembership.leave(both, "Ageing")).text(RecordField.ARM)).hasValue("even");
        assertThat(apply(both, StudyMembership.leave(both, "Pressure and flow")).armIn("Ageing")).hasValue("control");
    }

    @Test
    void joinAgainChangesTheArmOnly() {
        ShotRecord record = join(ShotRecord.EMPTY, "Ageing", "control");

        assertThat(StudyMembership.join(record, "Ageing", Optional.of("control"))).isEmpty();
        assertThat(StudyMembership.join(record, "Ageing", Optional.empty())).isEmpty();
        assertThat(StudyMembership.join(record, "Ageing", Optional.of("frozen"))).singleElement()
                .satisfies(edit -> assertThat(edit).isEqualTo(new RecordEdit("arm", "control", "frozen")));
        assertThat(StudyMembership.leave(record, "Another")).isEmpty();
    }

    @Test
    void namesThatCannotBeToldApart() {
        assertThatThrownBy(() -> StudyMembership.join(ShotRecord.EMPTY, "A; B", Optional.empty()))
                .isInstanceOf(RefusedEntry.class);
        assertThatThrownBy(() -> StudyMembership.join(ShotRecord.EMPTY, "A: B", Optional.empty()))
                .isInstanceOf(RefusedEntry.class);
        assertThatThrownBy(() -> StudyMembership.join(ShotRecord.EMPTY, "A", Optional.of("x;y")))
                .hasMessageContaining("semicolon");
    }

    /** Whatever was joined in whatever order, leaving what was joined last leads back to what was there. */
    @ParameterizedTest
    @Seeds(60)
    void leavingTakesJoiningBack(Draws any) {
        int before = any.integer(0, 4);
        boolean withArm = any.toss();
        ShotRecord record = ShotRecord.EMPTY;
        for (int i = 0; i < before; i++) {
            record = join(record, "Study " + i, i % 2 == 0 ? "arm " + i : null);
        }
        ShotRecord joined = join(record, "Last", withArm ? "late" : null);
        ShotRecord back = apply(joined, StudyMembership.leave(joined, "Last"));

        assertThat(joined.armIn("Last")).isEqualTo(withArm ? Optional.of("late") : joined.armIn("Last"));
        assertThat(back.studies()).isEqualTo(record.studies());
        for (String study : record.studies()) {
            assertThat(joined.armIn(study)).isEqualTo(record.armIn(study));
            assertThat(back.armIn(study)).isEqualTo(record.armIn(study));
        }
    }
}
