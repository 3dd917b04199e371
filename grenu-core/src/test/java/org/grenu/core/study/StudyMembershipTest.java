package org.grenu.core.study;

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

    private static ShotSheet apply(ShotSheet sheet, List<SheetEdit> edits) {
        ShotSheet after = sheet;
        for (SheetEdit edit : edits) {
            after = edit.apply(after);
        }
        return after;
    }

    private static ShotSheet join(ShotSheet sheet, String study, String arm) {
        return apply(sheet, StudyMembership.join(sheet, study, Optional.ofNullable(arm)));
    }

    @Test
    void oneArmIsNamedAlone() {
        ShotSheet sheet = join(ShotSheet.EMPTY, "Ageing", "control");

        assertThat(sheet.text(SheetField.STUDY)).hasValue("Ageing");
        assertThat(sheet.text(SheetField.ARM)).hasValue("control");
    }

    /**
     * A shot that was in one study with one arm keeps it when it joins another: the arm is then named with its
     * study.
     */
    @Test
    void otherArmsStay() {
        ShotSheet both = join(join(ShotSheet.EMPTY, "Ageing", "control"), "Pressure and flow", "even");

        assertThat(both.studies()).containsExactly("Ageing", "Pressure and flow");
        assertThat(both.armIn("Ageing")).hasValue("control");
        assertThat(both.armIn("Pressure and flow")).hasValue("even");
        assertThat(apply(both, StudyMembership.leave(both, "Ageing")).text(SheetField.ARM)).hasValue("even");
        assertThat(apply(both, StudyMembership.leave(both, "Pressure and flow")).armIn("Ageing")).hasValue("control");
    }

    @Test
    void joinAgainChangesTheArmOnly() {
        ShotSheet sheet = join(ShotSheet.EMPTY, "Ageing", "control");

        assertThat(StudyMembership.join(sheet, "Ageing", Optional.of("control"))).isEmpty();
        assertThat(StudyMembership.join(sheet, "Ageing", Optional.empty())).isEmpty();
        assertThat(StudyMembership.join(sheet, "Ageing", Optional.of("frozen"))).singleElement()
                .satisfies(edit -> assertThat(edit).isEqualTo(new SheetEdit("arm", "control", "frozen")));
        assertThat(StudyMembership.leave(sheet, "Another")).isEmpty();
    }

    @Test
    void namesThatCannotBeToldApart() {
        assertThatThrownBy(() -> StudyMembership.join(ShotSheet.EMPTY, "A; B", Optional.empty()))
                .isInstanceOf(RefusedEntry.class);
        assertThatThrownBy(() -> StudyMembership.join(ShotSheet.EMPTY, "A: B", Optional.empty()))
                .isInstanceOf(RefusedEntry.class);
        assertThatThrownBy(() -> StudyMembership.join(ShotSheet.EMPTY, "A", Optional.of("x;y")))
                .hasMessageContaining("semicolon");
    }

    /** Whatever was joined in whatever order, leaving what was joined last leads back to what was there. */
    @ParameterizedTest
    @Seeds(60)
    void leavingTakesJoiningBack(Draws any) {
        int before = any.integer(0, 4);
        boolean withArm = any.toss();
        ShotSheet sheet = ShotSheet.EMPTY;
        for (int i = 0; i < before; i++) {
            sheet = join(sheet, "Study " + i, i % 2 == 0 ? "arm " + i : null);
        }
        ShotSheet joined = join(sheet, "Last", withArm ? "late" : null);
        ShotSheet back = apply(joined, StudyMembership.leave(joined, "Last"));

        assertThat(joined.armIn("Last")).isEqualTo(withArm ? Optional.of("late") : joined.armIn("Last"));
        assertThat(back.studies()).isEqualTo(sheet.studies());
        for (String study : sheet.studies()) {
            assertThat(joined.armIn(study)).isEqualTo(sheet.armIn(study));
            assertThat(back.armIn(study)).isEqualTo(sheet.armIn(study));
        }
    }
}
