package org.grenu.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
import org.grenu.formats.ImportFailure;
import org.grenu.library.AtomicFile;
import org.grenu.library.Library;
import org.grenu.library.Stored;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Shots without a log go out and come in with the others, once each. */
class UnloggedExchangeTest {

    @TempDir
    private Path folder;

    @Test
    void aPackageBringsThemAlongOnce() throws IOException, ImportFailure {
        ShotRecord written = ShotRecord.EMPTY.with(RecordField.DOSE, "18")
                .with(RecordField.BEVERAGE, "40")
                .with(RecordField.READINGS, "9.4; 9.5@30")
                .with(RecordField.PUMP_ON, "0")
                .with(RecordField.PUMP_OFF, "27")
                .withExtra("crema", "thin");
        Path file = folder.resolve("out.zip");
        try (Library from = Library.open(folder.resolve("from.sqlite"));
                Library to = Library.open(folder.resolve("to.sqlite"))) {
            from.write(tx -> tx.shots().add("logged.csv", new byte[] {1}, DemoStudy.shots().get(0).shot()));
            from.write(tx -> tx.shots().write(written, ShotState.PLANNED, 0));
            AtomicFile.create(file, new LibraryExchange(from).dataPackage(Stored.shots(from), number -> {}));
            assertThat(new LibraryExchange(to).merge(file).words()).startsWith("2 shots taken in");
            assertThat(Stored.shots(to)).hasSize(2);
            assertThat(Stored.shots(to).get(1).written()).isEqualTo(written);
            assertThat(Stored.shots(to).get(1).logged()).isFalse();
            assertThat(Stored.shots(to).get(1).state()).isEqualTo(ShotState.PLANNED);
            assertThat(Stored.file(to, Stored.shots(to).get(1).id())).isEmpty();
            assertThat(new LibraryExchange(to).merge(file).words()).startsWith("0 shots taken in, 2 were here already");
            assertThat(new LibraryExchange(to).merge(from.path()).words())
                    .startsWith("0 shots taken in, 2 were here already");
            assertThat(Stored.shots(to)).hasSize(2);
        }
    }
}
