package org.grenu.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotSheet;
import org.grenu.core.study.ShotState;
import org.grenu.formats.ImportFailure;
import org.grenu.library.AtomicFile;
import org.grenu.library.Library;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Shots without a log go out and come in with the others, once each. */
class UnloggedExchangeTest {

    @TempDir
    private Path folder;

    @Test
    void aPackageBringsThemAlongOnce() throws IOException, ImportFailure {
        ShotSheet written = ShotSheet.EMPTY.with(SheetField.DOSE, "18")
                .with(SheetField.BEVERAGE, "40")
                .with(SheetField.READINGS, "9.4; 9.5@30")
                .with(SheetField.PUMP_ON, "0")
                .with(SheetField.PUMP_OFF, "27")
                .withExtra("crema", "thin");
        Path file = folder.resolve("out.zip");
        try (Library from = Library.open(folder.resolve("from.sqlite"));
                Library to = Library.open(folder.resolve("to.sqlite"))) {
            from.add("logged.csv", new byte[] {1}, DemoStudy.shots().get(0).shot());
            from.write(written, ShotState.RECORDED, 0);
            AtomicFile.create(file, new LibraryExchange(from).dataPackage(from.summaries(), number -> {}));
            assertThat(new LibraryExchange(to).merge(file).words()).startsWith("2 shots taken in");
            assertThat(to.summaries()).hasSize(2);
            assertThat(to.summaries().get(1).recorded()).isEqualTo(written);
            assertThat(to.summaries().get(1).logged()).isFalse();
            assertThat(to.rawFile(to.summaries().get(1).id())).isEmpty();
            assertThat(new LibraryExchange(to).merge(file).words()).startsWith("0 shots taken in, 2 were here already");
            assertThat(new LibraryExchange(to).merge(from.path()).words())
                    .startsWith("0 shots taken in, 2 were here already");
            assertThat(to.summaries()).hasSize(2);
        }
    }
}
