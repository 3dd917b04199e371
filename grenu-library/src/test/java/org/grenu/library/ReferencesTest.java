package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import org.grenu.core.entry.Entries;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A shot refers to its coffee, gear and studies; their names are shown, and may change at any time. */
class ReferencesTest {

    private static final ShotRecord RECORD = ShotRecord.EMPTY.with(RecordField.COFFEE, "lot heron")
            .with(RecordField.GRINDER, "#1 of two")
            .with(RecordField.STUDY, "Ageing; Pressure and flow; On no shelf")
            .with(RecordField.ARM, "Ageing: day 9; Pressure and flow: even; On no shelf: x");

    @TempDir
    private Path folder;
    private Library library;

    @BeforeEach
    void open() {
        library = Library.open(folder.resolve("library.sqlite"));
        library.write(tx -> tx.shots().write(RECORD, ShotState.RECORDED, 0));
    }

    @AfterEach
    void close() {
        library.close();
    }

    private long add(ShelfKind kind, String name, Entries entries) {
        return library.write(tx -> tx.shelf().add(kind, name, entries.texts())).changes().get(0).id();
    }

    private StoredStep rename(long item, String from, String to) {
        return library.write(tx -> tx.journal()
                .make("Renamed", List.of(new Change(Target.ITEM, item, "name", from, to)), ""));
    }

    private ShotRecord record() {
        return Stored.shots(library).get(0).written();
    }

    private String cell(String column) {
        try (Handle handle = Jdbi.create("jdbc:sqlite:" + folder.resolve("library.sqlite")).open()) {
            return handle.createQuery("SELECT " + column + " FROM shot").mapTo(String.class).one();
        }
    }

    @Test
    void whatIsNamedIsShownAsItIsCalledNow() {
        long heron = add(ShelfKind.COFFEE, "Lot Heron", Entries.NONE);
        assertThat(record().text(RecordField.COFFEE)).hasValue("Lot Heron");
        StoredStep step = rename(heron, "Lot Heron", "Heron, washed");
        assertThat(step.changes()).hasSize(1);
        assertThat(step.shots()).isEmpty();
        assertThat(step.naming().get(0).written().text(RecordField.COFFEE)).hasValue("Heron, washed");
        assertThat(cell("coffee")).isEqualTo("#" + heron);
        Stored.undo(library);
        assertThat(record().text(RecordField.COFFEE)).hasValue("Lot Heron");
    }

    @Test
    void studiesAreCalledAnewInTheirArmsToo() {
        long ageing = add(ShelfKind.STUDY, "Ageing", Entries.NONE);
        rename(ageing, "Ageing", "Rest after roasting");
        assertThat(record().studies()).containsExactly("Rest after roasting", "Pressure and flow", "On no shelf");
        assertThat(record().armIn("Rest after roasting")).hasValue("day 9");
        assertThat(record().entry(RecordField.ARM))
                .hasValue("Rest after roasting: day 9; Pressure and flow: even; On no shelf: x");
    }

    @Test
    void bagsFollowTheirCoffeeAndTheHistoryFollowsBoth() {
        long heron = add(ShelfKind.COFFEE, "Lot Heron", Entries.NONE);
        add(ShelfKind.BAG, "Bag 1", Entries.NONE.with(ShelfField.BAG_COFFEE, "Lot Heron"));
        long shot = Stored.shots(library).get(0).id();
        library.write(tx -> tx.journal().make(shot, RecordEdit.of(record(), RecordField.COFFEE, "")));
        rename(heron, "Lot Heron", "Heron");
        ShelfItem bag = Stored.shelf(library).find(ShelfKind.BAG, "Bag 1").orElseThrow();
        assertThat(bag.entries().text(ShelfField.BAG_COFFEE)).hasValue("Heron");
        assertThat(Stored.history(library, Target.SHOT, shot).get(0).change().before()).isEqualTo("Heron");
        Stored.undo(library);
        Stored.undo(library);
        assertThat(record().text(RecordField.COFFEE)).hasValue("Lot Heron");
    }

    @Test
    void aNameThatLooksLikeAReferenceIsAName() {
        assertThat(record().text(RecordField.GRINDER)).hasValue("#1 of two");
        long shot = Stored.shots(library).get(0).id();
        library.write(tx -> tx.journal().make(shot, RecordEdit.of(record(), RecordField.GRINDER, "#1")));
        add(ShelfKind.GRINDER, "Another", Entries.NONE);
        assertThat(record().text(RecordField.GRINDER)).hasValue("#1");
    }

    @Test
    void whatIsThrownAwayKeepsItsNameInRecords() {
        long heron = add(ShelfKind.COFFEE, "Lot Heron", Entries.NONE);
        library.write(tx -> tx.bin().put(Target.ITEM, List.of(heron), "Lot Heron put into the bin"));
        assertThat(record().text(RecordField.COFFEE)).hasValue("Lot Heron");
        library.store(tx -> tx.bin().empty());
        assertThat(record().text(RecordField.COFFEE)).hasValue("Lot Heron");
        assertThat(cell("coffee")).isEqualTo("Lot Heron");
        long again = add(ShelfKind.COFFEE, "Lot heron", Entries.NONE);
        assertThat(cell("coffee")).isEqualTo("#" + again);
    }

    @Test
    void noTwoThingsOfAKindHaveOneName() {
        long heron = add(ShelfKind.COFFEE, "Lot Heron", Entries.NONE);
        add(ShelfKind.COFFEE, "Lot Siskin", Entries.NONE);
        assertThatThrownBy(() -> rename(heron, "Lot Heron", "lot siskin"))
                .hasMessageContaining("There is a coffee “lot siskin” on the shelf already");
        assertThatThrownBy(() -> add(ShelfKind.COFFEE, "LOT HERON", Entries.NONE))
                .isInstanceOf(LibraryException.class);
        assertThat(Stored.shelf(library).items()).hasSize(2);
    }
}
