package org.grenu.desktop.records;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.library.Stored;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.desk.FindingSearch;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.rack.RackViewModel;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;

/** Records of many shots at once: bulk edits, the bin, joined tables, searches. */
class RecordsTest extends DeskFixture {

    @Override
    protected int shots() {
        return 14;
    }

    @Test
    void oneEntryOfManyShotsIsEnteredAndUndoneAtOnce() {
        BulkViewModel bulk = new BulkViewModel(desk);
        bulk.shotsProperty().set(List.copyOf(desk.shots()));
        bulk.rows().get(0).entryProperty().set("Operator");
        bulk.rows().get(0).valueProperty().set("Operator 1");
        assertThat(bulk.planProperty().get().words())
                .isEqualTo("6 shots change, 8 stay as they are; 6 entries are replaced, which the history keeps.");
        bulk.reasonProperty().set("rota was wrong");
        assertThat(bulk.apply()).isTrue();
        until(() -> desk.shots()
                .stream()
                .allMatch(shot -> shot.record().text(RecordField.OPERATOR).orElse("").equals("Operator 1")));
        assertThat(bulk.apply()).as("nothing is left to change").isFalse();
        desk.undo();
        until(() -> desk.shots()
                .stream()
                .filter(shot -> shot.record().text(RecordField.OPERATOR).orElse("").equals("Operator 2"))
                .count() == 6);
        assertThat(desk.noticeProperty().get()).isEqualTo(Notice.done("Undone: Operator of 6 shots"));
    }

    @Test
    void ownEntriesAreEnteredLikeFieldsAndWrongOnesRefused() {
        BulkViewModel bulk = new BulkViewModel(desk);
        bulk.shotsProperty().set(desk.shots().subList(0, 2));
        assertThat(bulk.planProperty().get().refusal()).isNotEmpty();
        bulk.rows().get(0).entryProperty().set("dose_g");
        bulk.rows().get(0).valueProperty().set("heavy");
        assertThat(bulk.planProperty().get().words()).contains("is not a number");
        assertThat(bulk.apply()).isFalse();
        bulk.rows().get(0).entryProperty().set("beans frozen");
        bulk.rows().get(0).valueProperty().set("yes");
        bulk.apply();
        until(() -> desk.shots().get(1).record().extras().containsKey("beans frozen"));
        assertThat(bulk.entries()).contains("beans frozen", "Dose");
        assertThat(bulk.rows().get(0).values()).containsExactly("yes");
    }

    /** Several entries of many shots are one step, each with its value, and none stands twice. */
    @Test
    void severalEntriesAreOneStep() {
        BulkViewModel bulk = new BulkViewModel(desk);
        bulk.shotsProperty().set(desk.shots().subList(0, 3));
        bulk.addRow();
        bulk.addRow();
        bulk.rows().get(0).entryProperty().set("Operator");
        bulk.rows().get(0).valueProperty().set("Operator 7");
        bulk.rows().get(1).entryProperty().set("operator");
        assertThat(bulk.planProperty().get().words()).isEqualTo("Operator stands twice: an entry has one value.");
        bulk.rows().get(1).entryProperty().set("Water");
        bulk.rows().get(1).valueProperty().set("Spring");
        assertThat(bulk.planProperty().get().words())
                .isEqualTo("3 shots change; 6 entries are replaced, which the history keeps.");
        assertThat(bulk.apply()).isTrue();
        until(() -> desk.shots()
                .subList(0, 3)
                .stream()
                .allMatch(shot -> shot.written().text(RecordField.WATER).filter("Spring"::equals).isPresent()
                        && shot.written().text(RecordField.OPERATOR).filter("Operator 7"::equals).isPresent()));
        assertThat(bulk.rows()).as("it begins anew").hasSize(1);
        desk.undo();
        until(() -> desk.shots().get(1).written().text(RecordField.WATER).filter("Spring"::equals).isEmpty());
        assertThat(desk.shots().get(1).written().text(RecordField.OPERATOR)).isNotEqualTo("Operator 7");
        assertThat(desk.noticeProperty().get()).isEqualTo(Notice.done("Undone: 2 entries of 3 shots"));
    }

    @Test
    void binnedShotsAreGoneUntilTheyAreTakenOut() {
        open(14);
        ShotSummary binned = open();
        desk.inBin().put(List.of(binned));
        until(() -> desk.shots().size() == 13 && desk.openProperty().get().summary().id() != binned.id());
        desk.inBin().restore(Stored.bin(desk.library()).get(0));
        until(() -> desk.shots().size() == 14);
        assertThat(desk.shots()).extracting(ShotSummary::number).isSorted();
        desk.inBin().put(List.copyOf(desk.shots()));
        until(() -> desk.shots().isEmpty() && desk.openProperty().get() == null);
        desk.undo();
        until(() -> desk.shots().size() == 14 && desk.openProperty().get() != null);
    }

    @Test
    void aTableIsLookedAtThenJoinedAsOneStep() throws IOException {
        try (Background worker = new Background("test", onInterface::add)) {
            JoinViewModel join = new JoinViewModel(desk, worker);
            join.open(Files.writeString(folder.resolve("scores.csv"), "body,shot,Taste\n6,1,sweet\n7,2,\n5,99,sour\n"));
            until(() -> join.shownProperty().get() != null);
            assertThat(join.shownProperty().get().words()).containsExactly(
                    "2 of 3 rows belong to a shot; 3 entries change.", "1 column becomes an entry of your own.",
                    "No shot for: 99.");
            join.chooseKey(0);
            assertThat(join.shownProperty().get().plan().matched()).as("bodies 6, 7 and 5 are numbers of shots too")
                    .isEqualTo(3);
            join.chooseKey(1);
            join.apply();
            until(() -> desk.shots().get(1).record().extras().getOrDefault("body", "").equals("7"));
            assertThat(desk.shots().get(0).record().text(RecordField.TASTE)).hasValue("sweet");
            desk.undo();
            until(() -> desk.shots().get(0).record().extras().isEmpty());
            join.open(folder.resolve("none.csv"));
            until(() -> desk.noticeProperty().get() != null
                    && desk.noticeProperty().get().kind() == Notice.Kind.FAILED);
        }
    }

    @Test
    void shotsAreSearchedByWhatIsFoundInThem() {
        FindingSearch found = new FindingSearch(desk, new Background("found", onInterface::add));
        RackViewModel rack = new RackViewModel(desk, found);
        long choked = desk.shots().get(5).id();
        until(() -> !found.of(choked).isEmpty());
        String rule = found.of(choked).substring(0, found.of(choked).indexOf(':'));
        assertThat(found.names()).contains(rule);
        rack.filterProperty().set("finding:" + rule + " is:faulty");
        assertThat(rack.shown()).extracting(ShotSummary::number).contains(6).doesNotContain(1);
        rack.filterProperty().set("-finding:" + rule);
        assertThat(rack.shown()).extracting(ShotSummary::number).contains(1).doesNotContain(6);
        rack.filterProperty().set("");
        open(1);
        assertThat(rack.whatWorked())
                .hasValue("coffee:\"Lot Heron 14\" grinder:\"G-burr A\" -is:faulty ey:18-22 strength:7-12");
        rack.filterProperty().set(rack.whatWorked().orElseThrow());
        assertThat(rack.shown()).isNotEmpty().allSatisfy(shot -> {
            assertThat(shot.record().has(RecordField.FAULT)).isFalse();
            assertThat(shot.masses().brew().orElseThrow().asDosed().percent().value()).isBetween(18.0, 22.0);
        });
        desk.change("Own", List.of(Change.of(open().id(), RecordEdit.ofOwn(open().written(), "ground twice", "yes"))),
                "");
        until(() -> open().record().extras().containsKey("ground twice"));
        rack.filterProperty().set("ground_twice:yes");
        assertThat(rack.countProperty().get()).isEqualTo("1 of 14");
        rack.filterProperty().set("purge>1 unknown:taste");
        assertThat(rack.shown()).isNotEmpty();
        found.close();
    }
}
