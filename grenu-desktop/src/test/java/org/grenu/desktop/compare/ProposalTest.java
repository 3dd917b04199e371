package org.grenu.desktop.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Factor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;

class ProposalTest {

    private static ShotRecord record(double grind, String profile, int day) {
        return ShotRecord.EMPTY.with(RecordField.GRIND, grind)
                .with(RecordField.PROFILE, profile)
                .with(RecordField.PULLED_AT, "2026-05-" + (10 + day) + "T09:00");
    }

    private static final List<ShotRecord> BOTH = List.of(record(2.2, "gentle", 0), record(2.4, "nine", 0),
            record(2.2, "nine", 0), record(2.4, "gentle", 1),
            record(2.2, "nine", 1), record(2.4, "nine", 1), record(2.2, "gentle", 1));

    @Test
    void whatChangedIsProposed() {
        assertThat(Proposal.first(RecordFactor.GRIND, BOTH)).isEqualTo(RecordFactor.GRIND);
        assertThat(Proposal.first(RecordFactor.COFFEE, BOTH)).as("the coffee did not change")
                .isEqualTo(RecordFactor.GRIND);
        assertThat(Proposal.treatments(BOTH, RecordFactor.GRIND)).extracting(Variable::key).containsExactly("profile");
        assertThat(Proposal.sideBySide(BOTH, RecordFactor.GRIND)).contains((Factor) RecordFactor.PROFILE);
        assertThat(Proposal.sideBySide(BOTH, RecordFactor.PROFILE))
                .as("numbers do not stand side by side by themselves")
                .isEmpty();
        assertThat(Proposal.first(RecordFactor.COFFEE, BOTH.subList(0, 1))).as("nothing changed: what was wanted stays")
                .isEqualTo(RecordFactor.COFFEE);
    }

    @Test
    void daysAreBlocksOnlyWhereTreatmentsChangedWithinThem() {
        List<Variable> asked = List.of(Variable.of(RecordFactor.GRIND), Variable.of(RecordFactor.PROFILE));
        assertThat(Proposal.block(BOTH, asked)).isEqualTo(Optional.of(RecordFactor.DAY));
        List<ShotRecord> oneGrindADay = List.of(record(2.2, "a", 0), record(2.2, "b", 0), record(2.4, "a", 1),
                record(2.4, "b", 1), record(2.2, "a", 0), record(2.4, "b", 1));
        assertThat(Proposal.block(oneGrindADay, asked)).as("grind could not be told from the day").isEmpty();
        assertThat(Proposal.block(BOTH.subList(0, 3), asked)).as("one day").isEmpty();
        assertThat(Proposal.block(BOTH.subList(0, 5), asked)).as("too few shots to spare").isEmpty();
    }

    @Test
    void ownEntriesAreTreatments() {
        List<ShotRecord> sheets = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            sheets.add(record(2.4, "nine", 0).withExtra("screen", i % 2 == 0 ? "old" : "new"));
        }
        assertThat(Proposal.first(RecordFactor.GRIND, sheets).key()).isEqualTo("screen");
        assertThat(Proposal.treatments(sheets, RecordFactor.GRIND)).extracting(Variable::key).containsExactly("screen");
    }
}
