package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.SheetField;
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
                    .map(demo -> ((AddOutcome.Added) library.add(demo.name(), demo.name().getBytes(), demo.shot()))
                            .shot()
                            .id())
                    .toList();
            library.addedTogether(ids, "Import of 3 shots");
            library.attach(ids.get(0), "a.jpg", new byte[] {1});
            library.attach(ids.get(1), "b.jpg", new byte[] {2});
            library.apply(ids.get(1), SheetEdit.of(library.summaries().get(1).recorded(), SheetField.DOSE, "17.5"));
            library.apply(ids.get(2), SheetEdit.of(library.summaries().get(2).recorded(), SheetField.DOSE, "17.7"));
            long gone = library.addItem(ShelfKind.COFFEE, "Lot Gone", Map.of()).changes().get(0).id();
            library.addItem(ShelfKind.COFFEE, "Lot Stays", Map.of());
            library.bin(Target.SHOT, List.of(ids.get(1)), "Shot 2 put into the bin");
            library.bin(Target.ITEM, List.of(gone), "Lot Gone put into the bin");

            assertThat(library.binLoss()).isEqualTo(new BinLoss(1, 1, 1, 1, 0));
            library.emptyBin();

            assertThat(library.bin()).isEmpty();
            assertThat(library.binLoss()).isEqualTo(new BinLoss(0, 0, 0, 0, 0));
            assertThat(library.summaries()).extracting(ShotSummary::number).containsExactly(1, 3);
            assertThat(library.attachments(ids.get(0))).hasSize(1);
            assertThat(library.shelf().items()).extracting(item -> item.name()).containsExactly("Lot Stays");
            assertThat(rows("raw_file")).isEqualTo(2);
            assertThat(rows("samples")).isEqualTo(10);
            assertThat(rows("attachment")).isEqualTo(1);
            assertThat(library.history(Target.SHOT, ids.get(1))).isEmpty();

            while (library.undo().isPresent()) {
                // Every step that is left can be taken back.
            }
            assertThat(library.summaries()).isEmpty();
            while (library.redo().isPresent()) {
                // And made again.
            }
            assertThat(library.summaries()).extracting(ShotSummary::number).containsExactly(1, 3);
            assertThat(library.summaries().get(1).recorded().number(SheetField.DOSE)).hasValue(17.7);
            assertThat(library.add("again.csv", new byte[] {9}, DemoStudy.shots().get(1).shot()))
                    .as("may come in again")
                    .isInstanceOf(AddOutcome.Added.class);
        }
    }
}
