package org.grenu.desktop.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.grenu.app.export.ComparisonExport;
import org.grenu.app.importing.ShotSource;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.MisleadingStudies;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Shot;
import org.grenu.desktop.BenchFixture;
import org.grenu.formats.ShotCsvWriter;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Studies whose plain answer would mislead: the doubt goes along into window, clipboard, report, tables and
 * package.
 */
class MisleadingStudiesTest extends BenchFixture {

    @Override
    protected boolean withDemo() {
        return false;
    }

    private Comparison comparison() {
        return bench.compare().answeredProperty().get().comparison();
    }

    private void compare(MisleadingStudies.Study study) throws IOException {
        List<ShotSource> sources = new ArrayList<>();
        for (Shot shot : study.shots()) {
            Path file = folder.resolve(String.format(Locale.ROOT, "shot-%02d.csv", sources.size() + 1));
            sources.add(ShotSource.of(Files.writeString(file, ShotCsvWriter.write(shot))));
        }
        interact(() -> bench.importing().importSources(sources));
        until("all shots are there",
                () -> bench.desk().shots().size() == sources.size() && !bench.importing().runningProperty().get());
        interact(() -> bench.appearance().colourByProperty().set(study.first()));
        interact(() -> bench.picked().pickOnly(bench.desk().shots()));
        push(KeyCode.CONTROL, KeyCode.DIGIT4);
        until("they are compared",
                () -> bench.compare().answeredProperty().get() != null && !bench.compare().busyProperty().get()
                        && comparison().shots().size() == sources.size());
        interact(() -> bench.compare()
                .choose(now -> now.withOthers(study.also().stream().map(Variable::of).toList())
                        .withBlock(Optional.empty())));
        until("as the study asks",
                () -> !bench.compare().busyProperty().get() && comparison().question().block().isEmpty()
                        && comparison().question().variables().size() == 1 + study.also().size());
    }

    private Path export(ComparisonExport kind) {
        chosenTarget = folder.resolve(kind.suggestedName());
        interact(() -> lookup("#compare-export").queryAs(MenuButton.class)
                .getItems()
                .stream()
                .filter(item -> item.getId().equals("compare-export-" + kind.name().toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow()
                .fire());
        Path target = chosenTarget;
        until(kind + " is written", () -> Files.exists(target) && text("notice").equals("Saved " + target));
        return target;
    }

    private static String pages(Path pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    /** What has to be read wherever the answer is, and what no reader may find. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "confounded day | cannot be told from day and run order | differs",
            "eight fields   | cannot be told from operator          | differs",
            "crossover      | Grind +0.2 at profile Gentle ramp     | the same in practice",
            "stray setting  | Grind +1 lowers EY as dosed           | too little to matter",
            "outlier        | Shot 9 lies further from the others   | differs (",
            "one shot each  | One shot each                         | differs"})
    void theDoubtGoesAlong(String name, String said, String never) throws IOException {
        compare(MisleadingStudies.all().get(name));
        String headline = text("answer");
        assertThat(headline).isEqualTo(comparison().sentence().headline());
        List<String> read = new ArrayList<>();
        interact(() -> lookup("#answer-ledger").queryAll()
                .forEach(node -> node.lookupAll(".label").forEach(label -> read.add(((Label) label).getText()))));
        assertThat(String.join(" ", read)).contains(said);
        clickOn("#copy-sentence");
        List<String> copied = new ArrayList<>();
        interact(() -> copied.add(Clipboard.getSystemClipboard().getString()));
        assertThat(copied.get(0)).contains(said).doesNotContain(never);
        String table = Files.readString(export(ComparisonExport.EFFECTS_CSV));
        String inTable = said.startsWith("Grind")
                ? said.startsWith("Grind +1 lowers") ? "differs" : "+0.2 at profile Gentle ramp"
                : said.toLowerCase(Locale.ROOT);
        assertThat(table.toLowerCase(Locale.ROOT)).contains(inTable.toLowerCase(Locale.ROOT));
        String report = pages(export(ComparisonExport.REPORT));
        assertThat(report).contains(said)
                .doesNotContain(never.equals("differs") ? "repeated, interval excludes zero" : never);
    }

    @Test
    void whoFallsOutAtEqualBeverageMassIsNamed() throws IOException {
        compare(MisleadingStudies.all().get("least beverage"));
        interact(() -> bench.compare().choose(now -> now.withBasis(ComparisonBasis.EQUAL_BEVERAGE_MASS)));
        until("at equal beverage mass", () -> !bench.compare().busyProperty().get() && comparison().ground().at() > 0);
        assertThat(comparison().sentence().text())
                .containsPattern("Shot 7 ends at 1\\d(\\.\\d)? g, before the 3\\d(\\.\\d)? g");
        assertThat(pages(export(ComparisonExport.REPORT))).contains("Shot 7 ends at");
    }
}
