package org.grenu.desktop.importing;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.library.Stored;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.TransferMode;
import org.grenu.app.importing.ShotSource;
import org.grenu.desktop.BenchFixture;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;

/** Bringing files in: many at once, the good ones in spite of the bad ones. */
class ImportingTest extends BenchFixture {

    @Override
    protected boolean withDemo() {
        return false;
    }

    private Path file(String name, String content) throws IOException {
        return Files.writeString(folder.resolve(name), content);
    }

    private static String table(double shift) {
        StringBuilder rows = new StringBuilder("time (ms),pressure,weight\n");
        for (int i = 0; i < 300; i++) {
            rows.append(i * 100)
                    .append(',')
                    .append(i < 250 ? 9 : 0)
                    .append(',')
                    .append(Math.max(0, i - 60) * 0.2 + shift)
                    .append('\n');
        }
        return rows.toString();
    }

    private void finished() {
        until("the batch is done", () -> !bench.importing().runningProperty().get());
    }

    @Test
    void goodFilesGoInBadOnesAreExplainedAndDuplicatesNoticed() throws IOException {
        assertThat(lookup("No shots yet").tryQuery()).as("an empty library teaches").isPresent();
        chosenFiles.add(file("a.csv", table(0)));
        chosenFiles.add(file("b-broken.csv", "time,pressure\n0,1\n1,abc\n2,3\n"));
        chosenFiles.add(file("c-same-as-a.csv", "# a remark\n" + table(0)));
        chosenFiles.add(file("d.csv", table(1.5)));
        clickOn("#import");
        finished();
        assertThat(text("import-summary"))
                .isEqualTo("2 shots imported · 1 already in the library · 1 file could not be read");
        List<String> words = bench.importing().outcomes().stream().map(ImportPanel::words).toList();
        assertThat(words).anySatisfy(w -> assertThat(w)
                .isEqualTo("b-broken.csv, line 3: pressure is “abc”, which is not a number (column 2). "
                        + "Correct the cell, or empty it if the sample is missing."));
        assertThat(words).anySatisfy(w -> assertThat(w)
                .isEqualTo("c-same-as-a.csv: already in the library as shot 1; nothing was changed."));
        assertThat(words)
                .anySatisfy(w -> assertThat(w).contains("“weight” names no unit; its numbers were read as g."));
        assertThat(bench.desk().shots()).hasSize(2);
        clickOn("#import-close");
        assertThat(lookup("#import-panel").query().isVisible()).isFalse();
    }

    @Test
    void filesAreTakenByDragAndDrop() throws IOException {
        Path dropped = file("dropped.csv", table(0));
        Dragboard board = Mockito.mock(Dragboard.class);
        Mockito.when(board.hasFiles()).thenReturn(true);
        Mockito.when(board.getFiles()).thenReturn(List.of(dropped.toFile()));
        DragEvent over = Mockito
                .spy(new DragEvent(DragEvent.DRAG_OVER, board, 0, 0, 0, 0, TransferMode.COPY, null, null, null));
        DragEvent drop = new DragEvent(DragEvent.DRAG_DROPPED, board, 0, 0, 0, 0, TransferMode.COPY, null, null, null);
        interact(() -> {
            view.getOnDragOver().handle(over);
            view.getOnDragDropped().handle(drop);
        });
        Mockito.verify(over).acceptTransferModes(TransferMode.COPY);
        finished();
        until("the shot is open", () -> text("shot-title").equals("Shot 1"));
        assertThat(text("wanting"))
                .isEqualTo("Unknown. Enter the dose, the beverage mass and a strength reading below.");
    }

    @Test
    void theNewestShotOfABatchIsOpenedAfterwards() throws IOException {
        chosenFiles.add(file("first.csv", table(0)));
        clickOn("#import");
        until("the first is open", () -> text("shot-title").equals("Shot 1"));
        chosenFiles.set(0, file("second.csv", "# pulled_at: 2026-05-14T10:31\n" + table(2)));
        chosenFiles.add(file("third.csv", table(3)));
        interact(() -> bench.importing().importPaths(List.copyOf(chosenFiles)));
        until("the dated one is open", () -> text("shot-title").equals("Shot 2"));
        finished();
        assertThat(bench.desk().shots()).hasSize(3);
    }

    @Test
    void aSecondBatchWaitsForTheFirstAndOddFilesStopNeither() throws IOException {
        Path first = file("one.csv", table(0));
        Path second = file("two.csv", table(2));
        ShotSource odd = Mockito.mock(ShotSource.class);
        Mockito.when(odd.name()).thenReturn("odd.csv");
        Mockito.when(odd.read()).thenThrow(new StackOverflowError());
        interact(() -> {
            bench.importing().importSources(List.of(odd, ShotSource.of(first)));
            bench.importing().importPaths(List.of(second));
        });
        until("both batches are in",
                () -> bench.desk().shots().size() == 2 && !bench.importing().runningProperty().get());
        assertThat(text("import-summary")).isEqualTo("1 shot imported");
        Mockito.verify(odd).read();
    }

    @Test
    void aBatchCanBeCancelledAndKeepsWhatWasStored() {
        List<ShotSource> endless = new ArrayList<>();
        for (int i = 0; i < 5000; i++) {
            byte[] bytes = table(i * 0.01).getBytes(StandardCharsets.UTF_8);
            String name = "shot-" + i + ".csv";
            endless.add(new ShotSource() {
                @Override
                public String name() {
                    return name;
                }

                @Override
                public byte[] read() {
                    return bytes;
                }
            });
        }
        interact(() -> bench.importing().importSources(endless));
        until("some are in", () -> bench.desk().shots().size() > 3);
        assertThat(bench.importing().progressProperty().get()).isBetween(0.0, 0.9);
        clickOn("#import-cancel");
        finished();
        int kept = bench.desk().shots().size();
        assertThat(kept).isLessThan(5000);
        assertThat(text("import-summary")).contains("cancelled, " + (5000 - kept) + " left out");
        assertThat(Stored.shots(bench.desk().library())).hasSize(kept);
    }
}
