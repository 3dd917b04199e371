package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfKind;
import org.jdbi.v3.core.Jdbi;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Emptying the bin loses what it says and nothing else; what stays can still be undone. */
class BinTest {

    @TempDir
    private Path folder;

    private int rows(String table) {
        return Jdbi.create("jdbc:sqlite:" + folder.resolve("library.sqlite"))
                .withHandle(handle -> handle.createQuery("SELECT count(*) FROM " + table).mapTo(Integer.class).one());
    }

    @Test
    void whatIsInItGoesAndNothingElse() {
        try (Library library = Library.open(folder.resolve("library.sqlite"))) {
            List<Long> ids = DemoStudy.shots()
                    .stream()
                    .limit(3)
                    .map(demo -> ((AddOutcome.Added) Stored.add(library, demo.name(), demo.name().getBytes(),
                            demo.shot()))
                            .shot()
                            .id())
                    .toList();
            library.store(tx -> tx.journal().addedTogether(ids, "Import of 3 shots"));
            library.write(tx -> tx.attachments().attach(ids.get(0), "a.jpg", new byte[] {1}));
            library.write(tx -> tx.attachments().attach(ids.get(1), "b.jpg", new byte[] {2}));
            library.write(tx -> tx.journal()
                    .make(ids.get(1), RecordEdit.of(Stored.shots(library).get(1).written(),
                            RecordField.DOSE, "17.5")));
            library.write(tx -> tx.journal()
                    .make(ids.get(2), RecordEdit.of(Stored.shots(library).get(2).written(),
                            RecordField.DOSE, "17.7")));
            long gone = library.write(tx -> tx.shelf().add(ShelfKind.COFFEE, "Lot Gone", Map.of()))
                    .changes()
                    .get(0)
                    .id();
            library.write(tx -> tx.shelf().add(ShelfKind.COFFEE, "Lot Stays", Map.of()));
            library.write(tx -> tx.bin().put(Target.SHOT, List.of(ids.get(1)), "Shot 2 put into the bin"));
            library.write(tx -> tx.bin().put(Target.ITEM, List.of(gone), "Lot Gone put into the bin"));

            assertThat(Stored.loss(library)).isEqualTo(
                    new BinLoss(Map.of(Target.SHOT, 1, Target.ATTACHMENT, 1, Target.ITEM, 1), 1));
            library.store(tx -> tx.bin().empty());

            assertThat(Stored.bin(library)).isEmpty();
            assertThat(Stored.loss(library)).isEqualTo(new BinLoss(Map.of(), 0));
            assertThat(Stored.shots(library)).extracting(ShotSummary::number).containsExactly(1, 3);
            assertThat(Stored.attachments(library, ids.get(0))).hasSize(1);
            assertThat(Stored.shelf(library).items()).extracting(item -> item.name())
                    .containsExactly("Lot Stays");
            assertThat(rows("raw_file")).isEqualTo(2);
            assertThat(rows("samples")).isEqualTo(10);
            assertThat(rows("attachment")).isEqualTo(1);
            assertThat(Stored.history(library, Target.SHOT, ids.get(1))).isEmpty();

            while (Stored.undo(library).isPresent()) {
                // Every step that is left can be taken back.
            }
            assertThat(Stored.shots(library)).isEmpty();
            while (Stored.redo(library).isPresent()) {
                // And made again.
            }
            assertThat(Stored.shots(library)).extracting(ShotSummary::number).containsExactly(1, 3);
            assertThat(Stored.shots(library).get(1).written().number(RecordField.DOSE)).hasValue(17.7);
            assertThat(
                    Stored.add(library, "again.csv", new byte[] {9}, DemoStudy.shots().get(1).shot()))
                    .as("may come in again")
                    .isInstanceOf(AddOutcome.Added.class);
        }
    }
}
