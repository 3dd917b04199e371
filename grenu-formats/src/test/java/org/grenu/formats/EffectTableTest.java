package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Question;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class EffectTableTest {

    private static final ShotLog LOG = new ShotLog(Samples.of(0, 1, 2, 3),
            Map.of(Channel.PRESSURE, Samples.of(0, 0, 0, 0)));

    @TempDir
    private Path folder;

    private static Shot shot(int number) {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.DOSE, 18)
                .with(RecordField.BEVERAGE, 40)
                .with(RecordField.READINGS,
                        String.format(Locale.ROOT, "%.2f; %.2f", 9 + 0.2 * (number % 2) + 0.01 * number,
                                9 + 0.2 * (number % 2)))
                .with(RecordField.ARM, number % 2 == 0 ? "control, usual" : "treated \"cold\"");
        return new Shot(record, LOG);
    }

    private static Comparison comparison(int shots) {
        List<MeasuredShot> compared = new ArrayList<>();
        for (int i = 0; i < shots; i++) {
            compared.add(new MeasuredShot("s" + i, shot(i).record(), ShotMeasures.of(shot(i))));
        }
        return Comparison.of(Question.of(List.of(Variable.of(RecordFactor.ARM)),
                List.of(StandardResponse.EY_AS_DOSED, StandardResponse.STRENGTH)), compared);
    }

    private Map<String, byte[]> unzipped(byte[] zip) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (ZipFile in = new ZipFile(Files.write(folder.resolve("a.zip"), zip).toFile())) {
            for (ZipEntry entry : in.stream().toArray(ZipEntry[]::new)) {
                files.put(entry.getName(), in.getInputStream(entry).readAllBytes());
            }
        }
        return files;
    }

    @Test
    void theTableHasARowAnEffectWithAllDigits() {
        Comparison comparison = comparison(8);
        List<String> lines = EffectTableWriter.csv(comparison).lines().toList();
        assertThat(lines).hasSize(3);
        assertThat(lines.get(0)).startsWith("factor,change,response,unit,basis,estimate,interval_half_width");
        double estimate = comparison.answers().get(0).effects().get(0).estimate().orElseThrow().value();
        assertThat(lines.get(1)).startsWith(
                "arm,\"control, usual, not treated \"\"cold\"\"\",ey_as_dosed,points,equal-setting," + estimate);
    }

    /** One shot each: no degrees of freedom to test with, so no p and no verdict beyond measuring. */
    @Test
    void whatIsUnknownStaysEmpty() {
        assertThat(EffectTableWriter.csv(comparison(2)).lines().toList().get(1)).contains(",,,0.5,")
                .contains(",one shot each,,seen once,2,");
    }

    @Test
    void theSpreadsheetHoldsNumbersAsNumbers() throws IOException {
        Map<String, byte[]> parts = unzipped(EffectTableWriter.xlsx(comparison(8)));
        String record = new String(parts.get("xl/worksheets/sheet1.xml"), StandardCharsets.UTF_8);
        double margin = 0.5;
        assertThat(record).contains("<v>" + margin + "</v>").doesNotContain("NaN");
        assertThat(new String(parts.get("xl/sharedStrings.xml"), StandardCharsets.UTF_8)).contains("ey_as_dosed")
                .contains("treated &quot;cold&quot;");
    }

    @Test
    void thePackageHoldsEveryShotAsLoggedAndTheCommandThatAsksAgain() throws IOException, ImportFailure {
        Map<String, Shot> logged = new TreeMap<>();
        for (int i = 0; i < 8; i++) {
            logged.put("s" + i, shot(i));
        }
        Map<String, byte[]> files = unzipped(ComparisonPackage.write(comparison(8), logged));
        assertThat(files).containsOnlyKeys("README.txt", "datapackage.json", "effects.csv", "shots.csv",
                "shots/shot-001.csv", "shots/shot-002.csv", "shots/shot-003.csv",
                "shots/shot-004.csv", "shots/shot-005.csv", "shots/shot-006.csv", "shots/shot-007.csv",
                "shots/shot-008.csv");
        Shot back = ShotReader.read("x", files.get("shots/shot-003.csv")).shot();
        assertThat(back.log()).isEqualTo(LOG);
        assertThat(back.record()).isEqualTo(shot(2).record().with(RecordField.NAME, "s2"));
        assertThat(new String(files.get("README.txt"), StandardCharsets.UTF_8))
                .contains("./grenu compare PACKAGE --factor \"arm\" --response \"ey_as_dosed\"");
        assertThat(new String(files.get("datapackage.json"), StandardCharsets.UTF_8))
                .contains("\"profile\" : \"data-package\"")
                .contains("shots/shot-008.csv");
        assertThat(new String(files.get("shots.csv"), StandardCharsets.UTF_8).lines()).hasSize(9);
    }
}
