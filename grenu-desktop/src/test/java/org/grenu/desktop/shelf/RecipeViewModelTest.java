package org.grenu.desktop.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.DeskFixture;
import org.junit.jupiter.api.Test;

class RecipeViewModelTest extends DeskFixture {

    private RecipeViewModel recipes() {
        return new RecipeViewModel(desk, Clock.fixed(Instant.parse("2026-06-01T08:00:00Z"), ZoneOffset.UTC));
    }

    private ShelfItem promote() {
        List<ShelfItem> made = new ArrayList<>();
        recipes().promote(made::add);
        until(() -> !made.isEmpty());
        return made.get(0);
    }

    @Test
    void aShotIsPromotedAndABetterOneMakesTheNextVersion() {
        open(1);
        ShelfItem recipe = promote();
        assertThat(recipe.name()).isEqualTo("Lot Heron 14, straight nine");
        assertThat(recipe.entries().number(RecordField.GRIND)).hasValue(2.4);
        open(2);
        recipes().start(recipe);
        until(() -> open().record().text(RecordField.RECIPE).isPresent());
        ShelfItem better = promote();
        assertThat(better.id()).isEqualTo(recipe.id());
        assertThat(better.versions()).hasSize(2);
        assertThat(better.newest().entries().number(RecordField.GRIND)).hasValue(2.2);
        assertThat(better.newest().label()).isEqualTo("v2: from shot 2");
        desk.undo();
        until(() -> desk.shelfProperty().get().of(ShelfKind.RECIPE).get(0).versions().size() == 1);
    }

    @Test
    void theCardIsSavedToPrint() throws IOException {
        open(1);
        ShelfItem recipe = promote();
        Path file = folder.resolve("card.pdf");
        recipes().print(new Chosen(recipe, recipe.newest()), file);
        until(() -> desk.noticeProperty().get() != null);
        assertThat(desk.noticeProperty().get().text()).contains("Saved");
        try (PDDocument card = Loader.loadPDF(Files.readAllBytes(file))) {
            assertThat(new PDFTextStripper().getText(card)).contains("Lot Heron 14, straight nine")
                    .contains("Brew water 3")
                    .contains("18 g ridgeless")
                    .contains("from shot 1");
        }
        desk.noticeProperty().set(null);
        recipes().print(new Chosen(recipe, recipe.newest()), folder.resolve("no").resolve("where.pdf"));
        until(() -> desk.noticeProperty().get() != null);
        assertThat(desk.noticeProperty().get().text()).contains("could not be written");
    }
}
