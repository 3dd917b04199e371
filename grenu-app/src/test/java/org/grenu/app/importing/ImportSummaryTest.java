package org.grenu.app.importing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ImportSummaryTest {

    @TempDir
    private Path folder;

    @Test
    void aBatchIsToldInASentence() {
        ImportOutcome imported = new ImportOutcome.Imported("a.csv", 4, List.of());
        ImportOutcome duplicate = new ImportOutcome.Duplicate("b.csv", 2);
        ImportOutcome failed = new ImportOutcome.Failed("c.csv", "c.csv: empty");
        assertThat(ImportSummary.of(List.of(imported), 0)).isEqualTo("1 shot imported");
        assertThat(ImportSummary.of(List.of(imported, imported, duplicate, failed, failed), 3))
                .isEqualTo(
                        "2 shots imported · 1 already in the library · 2 files could not be read · cancelled, 3 left "
                                + "out");
        assertThat(imported.withoutRemark()).isTrue();
        assertThat(new ImportOutcome.Imported("a.csv", 4, List.of("read as ms.")).withoutRemark()).isFalse();
        assertThat(duplicate.withoutRemark() || failed.withoutRemark()).isFalse();
    }

    @Test
    void aFolderStandsForTheFilesInItByName() throws IOException {
        Files.writeString(folder.resolve("b.csv"), "b");
        Files.writeString(folder.resolve("a.csv"), "a");
        Files.createDirectories(folder.resolve("deeper"));
        List<ShotSource> sources = ShotSource.of(List.of(folder, folder.resolve("b.csv")));
        assertThat(sources).extracting(ShotSource::name).containsExactly("a.csv", "b.csv", "b.csv");
        assertThat(sources.get(0).read()).isEqualTo(new byte[] {'a'});
        assertThat(DemoFiles.all()).hasSizeGreaterThanOrEqualTo(14)
                .allSatisfy(source -> assertThat(source.read()).isNotEmpty());
    }
}
