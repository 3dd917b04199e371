package org.grenu.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.grenu.app.export.ShotExport;
import org.grenu.app.importing.DemoFiles;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ShotReader;
import org.junit.jupiter.api.Test;

/** Every kind of export from the window's menu. */
class ExportingTest extends BenchFixture {

    private byte[] export(ShotExport kind) throws IOException {
        chosenTarget = folder.resolve("out-" + kind);
        clickOn("#export");
        clickOn("#export-" + kind.name().toLowerCase(Locale.ROOT));
        until(kind + " is written", () -> Files.exists(chosenTarget));
        until("it is said", () -> text("notice").equals("Saved " + chosenTarget));
        return Files.readAllBytes(chosenTarget);
    }

    @Test
    void shotsComeOutAsTheyAreAndAsTheyCame() throws IOException, ImportFailure {
        openShot(5);
        enter("moisture_pct", "2,4");
        until("the edit is in",
                () -> bench.desk().openProperty().get().summary().record().number(RecordField.MOISTURE).orElse(0)
                        == 2.4);
        var shot = bench.desk().openProperty().get().shot();
        assertThat(ShotReader.read("x", export(ShotExport.SHOT_CSV)).shot()).isEqualTo(shot);
        assertThat(ShotReader.read("x", export(ShotExport.SHOT_JSON)).shot()).isEqualTo(shot);
        assertThat(export(ShotExport.RAW_FILE)).as("byte for byte").isEqualTo(DemoFiles.all().get(4).read());
    }

    @Test
    void figuresAndTheTableAreWritten() throws IOException {
        openShot(5);
        var png = ImageIO.read(new ByteArrayInputStream(export(ShotExport.FIGURE_PNG)));
        assertThat(png.getWidth()).isEqualTo(1800);
        String svg = new String(export(ShotExport.FIGURE_SVG), StandardCharsets.UTF_8);
        assertThat(svg).startsWith("<?xml").contains("<path").doesNotContain("<image");
        assertThat(new String(export(ShotExport.FIGURE_PDF), StandardCharsets.ISO_8859_1)).startsWith("%PDF-");
        assertThat(new String(export(ShotExport.STUDY_TABLE), StandardCharsets.UTF_8).lines()).hasSize(50);
    }

    @Test
    void aPlaceThatCannotBeWrittenIsExplained() {
        openShot(5);
        interact(() -> bench.exports().export(ShotExport.SHOT_CSV, folder.resolve("none").resolve("x.csv")));
        until("it is said", () -> text("notice").contains("could not be written"));
    }

    /** What is saved can be read by whoever could read a file that any other program saves here. */
    @Test
    void savedFilesHaveTheUsualPermissionsAndNothingIsLeftBeside() throws IOException {
        openShot(5);
        export(ShotExport.SHOT_CSV);
        assertThat(Files.getPosixFilePermissions(chosenTarget))
                .isEqualTo(Files.getPosixFilePermissions(Files.writeString(folder.resolve("plain"), "x")));
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.map(f -> f.getFileName().toString())).noneMatch(name -> name.endsWith(".part"));
        }
    }
}
