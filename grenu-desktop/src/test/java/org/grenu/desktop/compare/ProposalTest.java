package org.grenu.desktop.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.response.Variable;
import org.grenu.core.study.Factor;
import org.grenu.core.study.SheetFactor;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotSheet;
import org.junit.jupiter.api.Test;

class ProposalTest {

    private static ShotSheet sheet(double grind, String profile, int day) {
        return ShotSheet.EMPTY.with(SheetField.GRIND, grind)
                .with(SheetField.PROFILE, profile)
                .with(SheetField.PULLED_AT, "2026-05-" + (10 + day) + "T09:00");
    }

    private static final List<ShotSheet> BOTH = List.of(sheet(2.2, "gentle", 0), sheet(2.4, "nine", 0),
            sheet(2.2, "nine", 0), sheet(2.4, "gentle", 1),
            sheet(2.2, "nine", 1), sheet(2.4, "nine", 1), sheet(2.2, "gentle", 1));

    @Test
    void whatChangedIsProposed() {
        assertThat(Proposal.first(SheetFactor.GRIND, BOTH)).isEqualTo(SheetFactor.GRIND);
        assertThat(Proposal.first(SheetFactor.COFFEE, BOTH)).as("the coffee did not change")
                .isEqualTo(SheetFactor.GRIND);
        assertThat(Proposal.treatments(BOTH, SheetFactor.GRIND)).extracting(Variable::key).containsExactly("profile");
        assertThat(Proposal.sideBySide(BOTH, SheetFactor.GRIND)).contains((Factor) SheetFactor.PROFILE);
        assertThat(Proposal.sideBySide(BOTH, SheetFactor.PROFILE)).as("numbers do not stand side by side by themselves")
                .isEmpty();
        assertThat(Proposal.first(SheetFactor.COFFEE, BOTH.subList(0, 1))).as("nothing changed: what was wanted stays")
                .isEqualTo(SheetFactor.COFFEE);
    }

    @Test
    void daysAreBlocksOnlyWhereTreatmentsChangedWithinThem() {
        List<Variable> asked = List.of(Variable.of(SheetFactor.GRIND), Variable.of(SheetFactor.PROFILE));
        assertThat(Proposal.block(BOTH, asked)).isEqualTo(Optional.of(SheetFactor.DAY));
        List<ShotSheet> oneGrindADay = List.of(sheet(2.2, "a", 0), sheet(2.2, "b", 0), sheet(2.4, "a", 1),
                sheet(2.4, "b", 1), sheet(2.2, "a", 0), sheet(2.4, "b", 1));
        assertThat(Proposal.block(oneGrindADay, asked)).as("grind could not be told from the day").isEmpty();
        assertThat(Proposal.block(BOTH.subList(0, 3), asked)).as("one day").isEmpty();
        assertThat(Proposal.block(BOTH.subList(0, 5), asked)).as("too few shots to spare").isEmpty();
    }

    @Test
    void ownEntriesAreTreatments() {
        List<ShotSheet> sheets = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            sheets.add(sheet(2.4, "nine", 0).withExtra("screen", i % 2 == 0 ? "old" : "new"));
        }
        assertThat(Proposal.first(SheetFactor.GRIND, sheets).key()).isEqualTo("screen");
        assertThat(Proposal.treatments(sheets, SheetFactor.GRIND)).extracting(Variable::key).containsExactly("screen");
    }
}
